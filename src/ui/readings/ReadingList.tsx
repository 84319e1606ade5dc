'use client';
import { Download } from 'lucide-react';
import { useMemo } from 'react';
import { readingsCsv } from '@/core/exchange/formats/readingsCsv';
import { suspicionsOf } from '@/core/measure/reading/suspicionsOf';
import { dropReadings, keepReading } from '@/core/site/stand/changeReadings';
import { changeSite, undo } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { fileName, saveFile } from '../parts/saveFile';
import { say } from '../shell/toastStore';
import { useSettings, useSite, useWorkspace } from '../shell/WorkspaceContext';
import { FreeReading } from './FreeReading';
import { ReadingRow } from './ReadingRow';
import { TableSheet } from './TableSheet';
import type { TierReadings } from './useTierReadings';
import { kindWords, placeWords } from './words';
import { LOCALE } from '../parts/locale';

/** All readings of a tier by the day they were taken, with what is wrong with them; and free ones, from anywhere. */
export function ReadingList({ of }: { of: TierReadings }) {
  const { sites } = useWorkspace();
  const { lengthUnit } = useSettings();
  const meters = useSite((s) => s.site.meters);
  const { tier: t, stand } = of;
  const { compared } = t.known;
  const days = useMemo(() => {
    const sorted = [...compared].sort((a, b) => b.reading.taken_ms - a.reading.taken_ms);
    const groups = new Map<string, typeof sorted>();
    for (const c of sorted) {
      const day = new Date(c.reading.taken_ms).toLocaleDateString(LOCALE, { day: 'numeric', month: 'long', year: 'numeric' });
      groups.set(day, [...(groups.get(day) ?? []), c]);
    }
    return [...groups.entries()];
  }, [compared]);
  const nameOf = (c: (typeof compared)[number]) => meters.find((m) => m.id === c.reading.meterId)?.name ?? kindWords(c.reading.kindId);
  const gone = t.tier.readings.length - compared.length;
  const dropAll = (ids: readonly string[]) => {
    changeSite(sites, ids.length === 1 ? 'remove a reading' : `remove ${ids.length} readings`, dropReadings(t.tier.id, ids));
    say(ids.length === 1 ? 'The reading is removed.' : `${ids.length} readings are removed.`, { label: 'Undo', run: () => undo(sites) });
  };
  return (
    <section className="space-y-4" aria-labelledby="readings">
      <h2 id="readings" className="text-xl font-semibold">
        Readings
      </h2>
      <FreeReading of={of} />
      <div className="flex flex-wrap gap-2">
        <TableSheet of={of} />
        {compared.length > 0 && (
          <Button
            onClick={() => saveFile(fileName(`${stand.stand.name} readings`, 'csv'), readingsCsv(t.tier, compared, nameOf), 'text/csv')}
          >
            <Download size={17} aria-hidden /> Save as CSV
          </Button>
        )}
      </div>
      {compared.length === 0 && <p className="text-soft">None yet. Walk over the tier with a meter, or bring in a table.</p>}
      {days.map(([day, list]) => (
        <div key={day} className="space-y-1">
          <div className="flex items-baseline gap-2 border-b border-line">
            <h3 className="flex-1 font-semibold">{day}</h3>
            <Button
              kind="quiet"
              size="icon"
              className="md:min-h-8! text-sm"
              aria-label={`Remove all of this day: ${day}`}
              onClick={() => dropAll(list.map((c) => c.reading.id))}
            >
              Remove all of this day
            </Button>
          </div>
          <ul className="space-y-1">
            {list.map((c) => (
              <ReadingRow
                key={c.reading.id}
                compared={c}
                suspicions={c.reading.leftOut ? suspicionsOf(c.reading, compared, of.lampOf, of.others, of.cache) : []}
                where={placeWords(t, c.reading, lengthUnit)}
                plan={of.plannedAt(c.reading).ppfd}
                onKeep={(what, r) => changeSite(sites, what, keepReading(t.tier.id, r))}
                onDrop={() => dropAll([c.reading.id])}
              />
            ))}
          </ul>
        </div>
      ))}
      {gone > 0 && (
        <p className="text-sm text-soft">{gone} more of lamps that are gone from the library: kept, but not understood any more.</p>
      )}
    </section>
  );
}
