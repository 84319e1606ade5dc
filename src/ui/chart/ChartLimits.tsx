'use client';
import { useState } from 'react';
import type { ChartLimit, HangChart } from '@/core/plan/hang/HangChart';
import type { BenchStand } from '@/core/answer/stand/benchStand';
import { isCurtained } from '@/core/answer/daylight/windowOf';
import { trayName } from '../bench/benchWords';
import { Button } from '../parts/Button';
import { joined } from '../parts/joined';
import { spanWords } from '../season/dayWords';
import { useSite } from '../shell/WorkspaceContext';
import { STANDING_COLOURS } from '../verdict/resultColours';
import { chartLimitWords, sayWords, trayOf } from './jobWords';

/** So many are shown before somebody asks for all. */
const AT_FIRST = 6;

interface Line {
  /** One and the same on several stretches of days. */
  readonly limits: readonly [ChartLimit, ...ChartLimit[]];
  readonly at: NonNullable<ReturnType<typeof trayOf>>;
  readonly count: number;
}

/** What stands in a tray's way again and again is told once; trays of one name that fare alike, as one. */
function linesOf(stand: BenchStand, limits: readonly ChartLimit[]): Line[] {
  const ofTray = new Map<string, [ChartLimit, ...ChartLimit[]]>();
  for (const limit of limits) {
    const key = [limit.trayId, limit.says, limit.bound, limit.otherHours].join();
    ofTray.set(key, [...(ofTray.get(key) ?? []), limit] as [ChartLimit, ...ChartLimit[]]);
  }
  const lines = new Map<string, Line>();
  for (const all of ofTray.values()) {
    const [l] = all;
    const at = trayOf(stand, l.trayId);
    if (!at) continue;
    const key = [at.tray.called, at.tier.number, l.says, l.bound, l.otherHours, ...all.flatMap(({ from, to }) => [from, to])].join();
    lines.set(key, { limits: all, at, count: (lines.get(key)?.count ?? 0) + 1 });
  }
  return [...lines.values()];
}

/** What no visit can put right, with the reason and what would. */
export function ChartLimits({ stand, chart }: { stand: BenchStand; chart: HangChart }) {
  const [all, setAll] = useState(false);
  const site = useSite((s) => s.site);
  const every = linesOf(stand, chart.limits);
  const shown = all ? every : every.slice(0, AT_FIRST);
  return (
    <section aria-labelledby="limits" className="border-t border-line pt-4">
      <h2 id="limits" className="pb-1 text-lg font-semibold">
        Problems that no visit can solve
      </h2>
      <ul className="space-y-2">
        {shown.map(({ limits: [l, ...more], at, count }) => (
          <li key={`${l.trayId}${l.says}${l.bound}${l.otherHours}`} data-testid="chart-limit">
            <strong className="font-semibold">
              {count > 1 ? at.tray.called : trayName(at.tray)}, tier {at.tier.number}
            </strong>
            {count > 1 && ` (${count} trays)`}, {joined([l, ...more].map(({ from, to }) => spanWords(from, to)))}:{' '}
            <span className={STANDING_COLOURS[l.says]}>{sayWords(l.says)}</span>. {chartLimitWords(l, isCurtained(site, stand.stand))}
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
