'use client';
import clsx from 'clsx';
import { badness, SAYS_WORDS, trayName } from '../bench/benchWords';
import { judgedTrays } from '../bench/useBench';
import { dliBeside, dliNumber } from '../drawing/lightWords';
import { Link } from '../parts/Link';
import { colourOfResult } from '../verdict/resultColours';
import type { StandToday } from './useTodayCharts';
import { Term } from '../terms/Term';

const MOST = 4;

interface TroublesProps {
  readonly stands: readonly StandToday[];
  /** Whether the light of every stand is known. */
  readonly isAll: boolean;
}

/** Trays that are out of their band, the worst first, its worst number large. */
export function Troubles({ stands, isAll }: TroublesProps) {
  const all = stands.flatMap(({ stand, light }) =>
    stand.tiers.flatMap((t) => {
      const where = stand.tiers.length > 1 ? `${stand.stand.name}, tier ${t.number}` : stand.stand.name;
      return judgedTrays(t, light.tiers[t.tier.id] ?? null)
        .filter((j) => j.verdict.says !== 'in-range')
        .map((j) => ({ ...j, name: trayName(j.tray), where }));
    }),
  );
  if (stands.length === 0) return null;
  const worst = all.sort((a, b) => badness(b.verdict.says) - badness(a.verdict.says) || a.verdict.shareInBand - b.verdict.shareInBand);
  return (
    <section aria-labelledby="troubles" className="space-y-2">
      <h2 id="troubles" className="text-lg font-semibold">
        {headingOf(all.length, isAll)}
      </h2>
      <ul className="divide-y divide-line">
        {worst.slice(0, MOST).map(({ tray, name, verdict: v, where }) => {
          const isDim = v.weakest.value < tray.stage.dliMin;
          const worstNumber = isDim ? v.weakest.value : v.strongest.value;
          return (
            <li key={tray.tray.id} className="flex items-center gap-3 py-2">
              <span className={clsx('w-16 shrink-0 text-right text-2xl font-semibold', colourOfResult(v.says))}>
                {dliBeside(worstNumber, isDim ? tray.stage.dliMin : v.highDli)}
              </span>
              <span className="min-w-0 flex-1">
                <Link
                  className="font-semibold underline decoration-line underline-offset-3 hover:decoration-ink"
                  href={`/tray/${encodeURIComponent(tray.tray.id)}`}
                >
                  {name}
                </Link>
                : {SAYS_WORDS[v.says]}
                <span className="block text-sm text-soft">
                  {isDim ? 'weakest' : 'strongest'} spot, <Term id="dli">mol/m²/day</Term>; it needs {dliNumber(tray.stage.dliMin)}–
                  {dliNumber(v.highDli)}
                </span>
                <span className="block text-sm text-soft">{where}</span>
              </span>
            </li>
          );
        })}
      </ul>
      {all.length > MOST && (
        <Link className="inline-flex min-h-9 items-center font-semibold text-verdigris max-md:min-h-11" href="/stands">
          All {all.length} on the stands
        </Link>
      )}
    </section>
  );
}

function headingOf(count: number, isAll: boolean): string {
  if (count === 0) return isAll ? 'No tray is in trouble' : 'Working out the light …';
  const trays = count === 1 ? 'one tray' : `${count} trays`;
  return isAll ? `In trouble: ${trays}` : `In trouble so far: ${trays}`;
}
