import { stateOf, type Plant, type PlantState } from '@/core/judge/growth/Plant';
import type { Crop } from '@/core/things/crop/Crop';
import { STATE_WORDS } from './exerciseWords';

const ALONG = 4;
const CELL = 26;
const TALL = 34;
/** A plant that is drawn as tall as its place. */
const FULL = 2;

const COLOUR: Readonly<Record<PlantState, string>> = {
  sound: 'var(--color-verdigris)',
  leggy: 'var(--color-slate)',
  behind: 'var(--color-slate)',
  burnt: 'var(--color-copper)',
};

/** Twelve plants of a tray from the front, the back row above: how tall each is beside its kind, and how it does. */
export function PlantRow({ plants, crop, usual }: { plants: readonly Plant[]; crop: Crop; usual: number }) {
  const states = plants.map((p) => stateOf(p, crop));
  const counts = (['sound', 'leggy', 'behind', 'burnt'] as const).map((s) => [s, states.filter((t) => t === s).length] as const);
  const label = counts
    .filter(([, n]) => n > 0)
    .map(([s, n]) => `${n} ${STATE_WORDS[s]}`)
    .join(', ');
  const rows = plants.length / ALONG;
  return (
    <svg
      role="img"
      aria-label={plants.length > 0 ? `Of ${plants.length} plants: ${label}` : 'Nothing is up yet'}
      viewBox={`0 0 ${ALONG * CELL} ${3 * TALL}`}
      className="w-32 shrink-0 rounded-md bg-sunk"
    >
      {plants.map((p, i) => {
        const [column, row] = [i % ALONG, Math.floor(i / ALONG)];
        const state = states[i]!;
        const foot = (rows - row) * TALL - 4;
        const tall = Math.min(FULL, p.height / Math.max(usual, 1e-3)) * (TALL / 2 - 3);
        const x = (column + 0.5) * CELL;
        const leaf = state === 'behind' ? 4 : 7;
        return (
          <g key={i} stroke={COLOUR[state]} fill={COLOUR[state]}>
            <path d={`M${x} ${foot}V${foot - tall}`} strokeWidth={state === 'leggy' ? 1.4 : 2.4} strokeLinecap="round" />
            <path
              d={`M${x} ${foot - tall}q-${leaf} -${leaf / 2} -${leaf} ${state === 'leggy' ? 2 : -2}q${leaf / 2} 4 ${leaf} ${state === 'leggy' ? -2 : 2}q${leaf} -${leaf / 2} ${leaf} ${state === 'leggy' ? 2 : -2}q-${leaf / 2} 4 -${leaf} ${state === 'leggy' ? -2 : 2}`}
              strokeWidth={0.8}
            />
            {state === 'burnt' && <path d={`M${x - 5} ${foot - tall - 5}l10 8m0 -8l-10 8`} strokeWidth={1.6} fill="none" />}
          </g>
        );
      })}
    </svg>
  );
}
