'use client';
import { useId } from 'react';
import type { SunPosition } from '@/core/sky/sun/sunPosition';
import type { Window } from '@/core/site/window/Window';
import { nameAtWindow } from './placeWords';
import { sunPatch } from './paneFrame';
import type { TrayAtWindow } from './useDaylight';
import { NIGHT } from '../theme/night';

interface SillPlanProps {
  window: Window;
  trays: readonly TrayAtWindow[];
  chosen: number;
  sun: SunPosition;
  onChoose(index: number): void;
}

const CM = 100;

/** How deep the picture from above has to be, m. */
export const planDepth = (trays: readonly TrayAtWindow[]): number =>
  Math.min(1.6, Math.max(0.3, ...trays.map((t) => t.asked.at.depth + 0.16)));

/** The place before the window from above, in centimetres: its trays, and the patch of sun on their leaves. */
export function SillPlan({ window, trays, chosen, sun, onChoose }: SillPlanProps) {
  const clip = useId();
  const half = window.width / 2 + 0.04;
  const deep = planDepth(trays);
  const k = Math.max(1, (window.height + deep + 0.25) / 1.75);
  const over = trays[chosen]?.asked.at.over ?? 0;
  const patch = sunPatch(window, sun, over);
  return (
    <g role="group" aria-label="From above: the window at the top, the trays before it">
      <clipPath id={clip}>
        <rect x={-half * CM} y={0} width={2 * half * CM} height={deep * CM} />
      </clipPath>
      <rect x={-half * CM} y={0} width={2 * half * CM} height={deep * CM} fill={NIGHT.raised} />
      {patch.length > 0 && (
        <polygon
          points={patch.map((p) => `${p.across * CM},${p.depth * CM}`).join(' ')}
          fill={NIGHT.lit}
          opacity={0.55}
          clipPath={`url(#${clip})`}
          data-testid="patch"
        />
      )}
      <line x1={(-window.width / 2) * CM} x2={(window.width / 2) * CM} y1={0} y2={0} stroke="#dfe7e3" strokeWidth={1.6} />
      {trays.map((t, i) => {
        const { along, depth } = t.asked.at;
        const side = sideOf(t);
        // Where another stands right before it, its name is beside it.
        const isCrowded = trays.some(({ asked: { at }, ...o }) => {
          const [between, apart] = [at.depth - depth - side / 2 - sideOf(o) / 2, Math.abs(at.along - along)];
          return at.depth > depth && between < 0.06 * k && apart < (side + sideOf(o)) / 2;
        });
        return (
          <g
            key={t.tray.id}
            role="button"
            tabIndex={0}
            aria-pressed={i === chosen}
            aria-label={nameAtWindow(t, trays)}
            className="cursor-pointer"
            onClick={() => onChoose(i)}
            onKeyDown={(e) => {
              if (e.key !== 'Enter' && e.key !== ' ') return;
              e.preventDefault();
              onChoose(i);
            }}
          >
            <rect
              x={(along - side / 2) * CM}
              y={(depth - side / 2) * CM}
              width={side * CM}
              height={side * CM}
              rx={2}
              fill={i === chosen ? '#2f6f66' : NIGHT.ground}
              stroke={i === chosen ? NIGHT.ink : NIGHT.soft}
              strokeWidth={i === chosen ? 1.2 : 0.7}
            />
            <text
              {...(isCrowded
                ? { x: (along + side / 2) * CM + 2 * k, y: depth * CM + 1.5 * k, textAnchor: 'start' }
                : { x: along * CM, y: (depth + side / 2) * CM + 5 * k, textAnchor: 'middle' })}
              fontSize={4.2 * k}
              fill={NIGHT.ink}
              className="pointer-events-none"
            >
              {shortName(t)}
            </text>
          </g>
        );
      })}
    </g>
  );
}

/** As large as it is drawn: a pot is seen all the same. */
const sideOf = ({ tray }: Pick<TrayAtWindow, 'tray'>): number => Math.max(0.08, Math.min(0.5, tray.insideWidth));
const shortName = (t: TrayAtWindow): string => t.called.split(/[(,]/)[0]!.trim().slice(0, 12);
