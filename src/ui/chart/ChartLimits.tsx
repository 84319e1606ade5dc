'use client';
import { useState } from 'react';
import type { HangChart } from '@/core/hang/HangChart';
import type { BenchStand } from '@/core/stand/benchStand';
import { trayName } from '../bench/benchWords';
import { Button } from '../parts/Button';
import { spanWords } from '../season/dayWords';
import { limitWords, sayWords, trayOf } from './jobWords';

/** So many are shown before somebody asks for all. */
const AT_FIRST = 6;

/** What no visit can put right, with the reason and what would. */
export function ChartLimits({ stand, chart }: { stand: BenchStand; chart: HangChart }) {
  const [all, setAll] = useState(false);
  const shown = all ? chart.limits : chart.limits.slice(0, AT_FIRST);
  return (
    <section aria-labelledby="limits" className="border-t border-line pt-4">
      <h2 id="limits" className="pb-1 text-lg font-semibold">
        What no visit puts right
      </h2>
      <ul className="space-y-2">
        {shown.map((l) => {
          const y = trayOf(stand, l.trayId);
          return (
            y && (
              <li key={`${l.trayId}${l.says}${l.from}`} data-testid="chart-limit">
                <strong className="font-semibold">
                  {trayName(y.tray)}, tier {y.tier.number}
                </strong>
                , {spanWords(l.from, l.to)}: <span className="text-copper">{sayWords(l.says)}</span>. {limitWords(l)}
              </li>
            )
          );
        })}
      </ul>
      {shown.length < chart.limits.length && (
        <Button kind="quiet" onClick={() => setAll(true)}>
          Show {chart.limits.length - shown.length} more
        </Button>
      )}
    </section>
  );
}
