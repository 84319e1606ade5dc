'use client';
import clsx from 'clsx';
import { Check } from 'lucide-react';
import { dliOfNinths } from '@/core/plan/clinic/circumstancesOf';
import type { TrayInPlace } from '@/core/answer/bench/traysInPlace';
import { plantAreaOf } from '@/core/site/stand/footprint';
import { dliNumber } from '../drawing/lightWords';

const NAMES = ['back left', 'back', 'back right', 'left', 'middle', 'right', 'front left', 'front', 'front right'];

interface TrayPlacesProps {
  standing: TrayInPlace;
  failed: boolean;
  places: readonly number[];
  onToggle(place: number): void;
}

const SAYS = { unknown: '', dim: 'too little light', strong: 'too much light', good: 'good' } as const;

/** The tray from above in nine places, each with its dose; pressed where the plants look worst. */
export function TrayPlaces({ standing: { tray, light }, failed, places, onToggle }: TrayPlacesProps) {
  const doses = light ? dliOfNinths(tray, light) : null;
  const { dliMin, dliMax } = tray.stage;
  const { x0, x1, y0, y1 } = plantAreaOf(tray.tray);
  return (
    <div>
      <div
        role="group"
        aria-label="Places of the tray, from above"
        className="grid max-w-130 grid-cols-3 gap-1 rounded-lg bg-night-raised p-1.5"
        style={{ aspectRatio: `${Math.min(2.6, Math.max(1.7, (x1 - x0) / (y1 - y0)))}` }}
      >
        {NAMES.map((name, i) => {
          const dli = doses?.[i] ?? null;
          const says = dli === null ? 'unknown' : dli < dliMin ? 'dim' : dli > dliMax ? 'strong' : 'good';
          const isOn = places.includes(i);
          return (
            <button
              key={name}
              type="button"
              aria-pressed={isOn}
              aria-label={`${name}: ${dli === null ? 'no data' : `${dliNumber(dli)} mol/m²/day, ${SAYS[says]}`}`}
              className={clsx(
                'relative flex min-h-14 flex-col items-center justify-center rounded border-2',
                says === 'dim' ? 'bg-[#34435c]' : says === 'strong' ? 'bg-[#7a3a1a]' : says === 'good' ? 'bg-[#17564d]' : 'bg-night',
                isOn ? 'border-ember' : 'border-transparent',
              )}
              onClick={() => onToggle(i)}
            >
              {isOn && (
                <span className="absolute top-1 right-1 grid size-5 place-items-center rounded-full bg-ember text-night" aria-hidden>
                  <Check size={14} />
                </span>
              )}
              <b className="text-lg">{dli === null ? '–' : dliNumber(dli)}</b>
              <span className="text-xs text-night-ink">{SAYS[says]}</span>
            </button>
          );
        })}
      </div>
      <p className="pt-1.5 text-sm text-night-soft" role="status">
        {failed
          ? 'The light of this stand could not be worked out. Load the page again to try once more.'
          : doses
            ? `mol/m²/day, seen from above, the front below. ${tray.crop.name} needs ${dliNumber(dliMin)}–${dliNumber(dliMax)}.`
            : 'Working out the light …'}
      </p>
    </div>
  );
}
