'use client';
import { useMemo, useState } from 'react';
import { byRank, rankOf } from '@/core/answer/daylight/suits';
import { homePlaces } from '@/core/plan/daylight/homePlaces';
import type { Stage } from '@/core/things/crop/Crop';
import { tables } from '@/core/things/tables/libraryTables';
import { Button } from '../parts/Button';
import { dliNumber } from '../drawing/lightWords';
import { Link } from '../parts/Link';
import { useSettings, useSite } from '../shell/WorkspaceContext';
import { placeName } from './daylightWords';
import { MonthCells, MonthCellsKey, monthsWords } from './MonthCells';
import { useYearOfPlaces } from './useYearOfPlaces';

/** The best of one's places for a plant, by daylight alone, in numbers rather than "bright indirect". */
export function PlacesFor({ plant, cropId, stage }: { plant: string; cropId: string; stage: Stage }) {
  const site = useSite((s) => s.site);
  const { lengthUnit } = useSettings();
  const [isOpen, setOpen] = useState(false);
  const places = useMemo(() => (isOpen ? homePlaces(site, tables).filter((p) => p.asked) : null), [site, isOpen]);
  const year = useYearOfPlaces(places);
  if (!isOpen)
    return (
      <Button className="py-1 text-left whitespace-normal!" onClick={() => setOpen(true)}>
        The best of my places for {plant}
      </Button>
    );
  const ranked =
    year && places!.map((p) => ({ ...rankOf(year.get(p.id) ?? [], stage), id: p.id, name: placeName(p, lengthUnit) })).sort(byRank);
  return (
    <section aria-label={`Places for ${plant}`} className="space-y-3" data-testid="places-for">
      <h2 className="text-lg font-semibold">The best of my places for {plant}</h2>
      {!ranked ? (
        <p role="status">Working out your places…</p>
      ) : (
        <ol className="space-y-1.5">
          {ranked.map((p) => (
            <li key={p.id} className="grid grid-cols-[1fr_auto] items-center gap-x-3">
              <span>
                {p.name}
                <span className="block text-sm text-soft">
                  {dliNumber(p.least)} mol in the darkest month, {dliNumber(p.most)} in the brightest
                </span>
              </span>
              <span className="text-right text-sm">
                <MonthCells months={p.months} />
                {monthsWords(p.inBand)}
              </span>
            </li>
          ))}
        </ol>
      )}
      <MonthCellsKey />
      <Link
        href={`/stands/places?plant=${encodeURIComponent(cropId)}&stage=${stage.stage}`}
        className="inline-flex min-h-9 items-center font-semibold underline underline-offset-4 max-md:min-h-11"
      >
        All places, lamps included
      </Link>
    </section>
  );
}
