'use client';
import { create } from 'qrcode';
import type { BenchStand } from '@/core/answer/stand/benchStand';
import { trayName } from '../bench/benchWords';
import { ageWords } from '../chart/ageWords';
import { dayWords } from '../season/dayWords';
import { useToday } from '../shell/WorkspaceContext';
import { stageWords } from '../verdict/words';

/** A label for each tray: what grows in it, when it was sown, what it asks for, and a code that opens it here. */
export function TrayLabels({ stand }: { stand: BenchStand }) {
  const today = useToday();
  const trays = stand.tiers.flatMap((t) => t.trays.map((y) => ({ ...y, number: t.number })));
  if (trays.length === 0) return null;
  return (
    <section className="break-before-page pt-2">
      <h1 className="mb-3 border-b border-black pb-1 text-lg font-semibold">Labels of {stand.stand.name}</h1>
      <ul className="grid grid-cols-2 gap-2">
        {trays.map((y) => (
          <li key={y.tray.id} className="flex break-inside-avoid items-center gap-3 border border-dashed border-neutral-500 p-2">
            <Code text={new URL(`/tray/${encodeURIComponent(y.tray.id)}`, window.location.href).href} label={`Code of ${trayName(y)}`} />
            <div className="min-w-0">
              <p className="text-base leading-tight font-semibold">{y.called}</p>
              {y.called !== y.crop.name && <p>{y.crop.name}</p>}
              <p>
                tier {y.number}
                {y.batch.sown !== null && ` · sown ${dayWords(y.batch.sown)}`}
              </p>
              <p>{ageWords(y, today)}</p>
              <p>
                {stageWords(y.stage)}: {y.stage.dliMin}–{y.stage.dliMax} mol/m²/day
              </p>
            </div>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** A text as a QR code, drawn in squares. */
export function Code({ text, label, side = 84 }: { text: string; label: string; side?: number }) {
  const { modules } = create(text, { errorCorrectionLevel: 'M' });
  const { size, data } = modules;
  const path = Array.from(data, (dark, i) => (dark ? `M${i % size} ${Math.floor(i / size)}h1v1h-1z` : '')).join('');
  return (
    <svg
      width={side}
      height={side}
      viewBox={`-2 -2 ${size + 4} ${size + 4}`}
      role="img"
      aria-label={label}
      shapeRendering="crispEdges"
      className="shrink-0"
    >
      <rect x="-2" y="-2" width={size + 4} height={size + 4} fill="#fff" />
      <path d={path} fill="#000" />
    </svg>
  );
}
