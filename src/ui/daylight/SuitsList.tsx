'use client';
import clsx from 'clsx';
import { useMemo, useState } from 'react';
import { suitsHere, type MonthSays } from '@/core/answer/daylight/suits';
import type { MonthAtPlace } from '@/core/answer/daylight/yearOf';
import { cropLibrary } from '@/core/things/crop/cropLibrary';
import { Button } from '../parts/Button';
import { Segments } from '../parts/Segments';
import { useSite } from '../shell/WorkspaceContext';
import { MONTH_SAYS_WORDS, MONTHS, shortMonth } from './daylightWords';

const COLOURS: Readonly<Record<MonthSays, string>> = {
  dark: 'bg-ink/70',
  dim: 'bg-slate/50',
  suits: 'bg-verdigris',
  strong: 'bg-copper/60',
  scorch: 'bg-copper',
};
const FEW = 8;

/** Plants by how many months of the year this place suits them, by daylight alone. */
export function SuitsList({ months }: { months: readonly MonthAtPlace[] }) {
  const own = useSite((s) => s.site.crops);
  const [kind, setKind] = useState<'house' | 'sown'>('house');
  const [all, setAll] = useState(false);
  const crops = useMemo(() => [...own, ...cropLibrary].filter((c) => (c.germination === null) === (kind === 'house')), [own, kind]);
  const ranked = useMemo(() => suitsHere(crops, months), [crops, months]);
  const names = useMemo(() => new Map(crops.map((c) => [c.id, c.name])), [crops]);
  return (
    <section aria-label="What suits this place" className="space-y-3">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h2 className="text-lg font-semibold">What suits this place, without a lamp</h2>
        <Segments
          label="Plants"
          value={kind}
          options={[
            { value: 'house', label: 'houseplants' },
            { value: 'sown', label: 'sown crops' },
          ]}
          onChange={(v) => setKind(v)}
        />
      </div>
      <ol className="space-y-1">
        {(all ? ranked : ranked.slice(0, FEW)).map((s) => (
          <li key={s.cropId} className="grid grid-cols-[1fr_auto_4.6rem] items-center gap-3">
            <span className="truncate">{names.get(s.cropId)}</span>
            <span
              className="flex gap-px"
              role="img"
              aria-label={s.months.map((m, i) => `${shortMonth(i)}: ${MONTH_SAYS_WORDS[m]}`).join(', ')}
            >
              {s.months.map((m, i) => (
                <span key={i} title={`${MONTHS[i]!}: ${MONTH_SAYS_WORDS[m]}`} className={clsx('h-4 w-2.5', COLOURS[m])} />
              ))}
            </span>
            <span className="text-right text-sm whitespace-nowrap tabular-nums">{s.inBand === 1 ? '1 month' : `${s.inBand} months`}</span>
          </li>
        ))}
      </ol>
      <p className="flex flex-wrap gap-x-4 gap-y-1 text-sm text-soft">
        {(Object.keys(COLOURS) as MonthSays[]).map((m) => (
          <span key={m} className="inline-flex items-center gap-1.5">
            <span className={clsx('h-3 w-3', COLOURS[m])} aria-hidden /> {MONTH_SAYS_WORDS[m]}
          </span>
        ))}
      </p>
      {ranked.length > FEW && <Button onClick={() => setAll(!all)}>{all ? 'Show the best only' : `Show all ${ranked.length}`}</Button>}
    </section>
  );
}
