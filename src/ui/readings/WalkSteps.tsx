'use client';
import clsx from 'clsx';
import type { TierReadings } from './useTierReadings';
import { goTo, type Walk } from './walkStore';

/** The walk at a glance: which points have their reading, and the way to each. */
export function WalkSteps({ of, walk }: { of: TierReadings; walk: Walk }) {
  return (
    <ol aria-label="Points of the walk" className="flex gap-1.5 overflow-x-auto pt-2 md:flex-wrap md:px-2">
      {walk.points.map((_, i) => {
        const c = of.tier.known.compared.find(({ reading }) => reading.id === walk.taken[i]);
        const said = c ? (c.reading.leftOut ? 'in doubt' : `${Math.round(c.measured)} µmol`) : 'not read';
        return (
          <li key={i}>
            <button
              type="button"
              aria-label={`Point ${i + 1}: ${said}`}
              aria-current={i === walk.at ? 'step' : undefined}
              onClick={() => goTo(i)}
              className={clsx(
                'min-h-9 min-w-9 rounded-md border px-2 text-sm font-semibold',
                i === walk.at ? 'border-night-ink bg-night-ink text-night' : 'border-night-line text-night-soft',
                c && i !== walk.at && (c.reading.leftOut ? 'text-ember' : 'text-night-ink'),
              )}
            >
              {c ? (c.reading.leftOut ? `${i + 1} ?` : Math.round(c.measured)) : i + 1}
            </button>
          </li>
        );
      })}
    </ol>
  );
}
