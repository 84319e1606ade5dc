'use client';
import { useState } from 'react';
import type { ChartLimit, HangChart } from '@/core/plan/hang/HangChart';
import type { BenchStand } from '@/core/answer/stand/benchStand';
import { trayName } from '../bench/benchWords';
import { Button } from '../parts/Button';
import { spanWords } from '../season/dayWords';
import { STANDING_COLOURS } from '../verdict/resultColours';
import { chartLimitWords, sayWords, trayOf } from './jobWords';

/** So many are shown before somebody asks for all. */
const AT_FIRST = 6;

/** What no visit can put right, with the reason and what would. */
export function ChartLimits({ stand, chart }: { stand: BenchStand; chart: HangChart }) {
  const [all, setAll] = useState(false);
  // Trays of one name that fare alike are told as one.
  const lines = new Map<string, { limit: ChartLimit; at: NonNullable<ReturnType<typeof trayOf>>; count: number }>();
  for (const limit of chart.limits) {
    const y = trayOf(stand, limit.trayId);
    if (!y) continue;
    const key = [y.tray.called, y.tier.number, limit.says, limit.bound, limit.otherHours, limit.from, limit.to].join();
    lines.set(key, { limit, at: y, count: (lines.get(key)?.count ?? 0) + 1 });
  }
  const every = [...lines.values()];
  const shown = all ? every : every.slice(0, AT_FIRST);
  return (
    <section aria-labelledby="limits" className="border-t border-line pt-4">
      <h2 id="limits" className="pb-1 text-lg font-semibold">
        Problems that no visit can solve
      </h2>
      <ul className="space-y-2">
        {shown.map(({ limit: l, at, count }) => (
          <li key={`${l.trayId}${l.says}${l.from}`} data-testid="chart-limit">
            <strong className="font-semibold">
              {count > 1 ? at.tray.called : trayName(at.tray)}, tier {at.tier.number}
            </strong>
            {count > 1 && ` (${count} trays)`}, {spanWords(l.from, l.to)}:{' '}
            <span className={STANDING_COLOURS[l.says]}>{sayWords(l.says)}</span>. {chartLimitWords(l)}
          </li>
        ))}
      </ul>
      {shown.length < every.length && (
        <Button kind="quiet" onClick={() => setAll(true)}>
          Show {every.length - shown.length} more
        </Button>
      )}
    </section>
  );
}
