'use client';
import { useMemo, useState } from 'react';
import { suitsHere } from '@/core/answer/daylight/suits';
import type { MonthAtPlace } from '@/core/answer/daylight/yearOf';
import { cropLibrary } from '@/core/things/crop/cropLibrary';
import { Button } from '../parts/Button';
import { Segments } from '../parts/Segments';
import { useSite } from '../shell/WorkspaceContext';
import { MonthCells, MonthCellsKey, monthsWords } from './MonthCells';

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
          <li key={s.cropId} className="grid grid-cols-[1fr_auto_4.6rem] items-center gap-x-3 max-[22.5rem]:grid-cols-[auto_1fr]">
            <span className="max-[22.5rem]:col-span-full md:truncate">{names.get(s.cropId)}</span>
            <MonthCells months={s.months} />
            <span className="text-right text-sm whitespace-nowrap tabular-nums">{monthsWords(s.inBand)}</span>
          </li>
        ))}
      </ol>
      <MonthCellsKey />
      {ranked.length > FEW && <Button onClick={() => setAll(!all)}>{all ? 'Show the best only' : `Show all ${ranked.length}`}</Button>}
    </section>
  );
}
