'use client';
import { useEffect, useState } from 'react';
import type { HomePlace } from '@/core/plan/daylight/homePlaces';
import type { MonthAtPlace } from '@/core/answer/daylight/yearOf';
import { yearOfDay } from '@/core/units/day';
import { useSite, useToday, useWorkspace } from '../shell/WorkspaceContext';

/** Half hours are fine enough to rank places by. */
const PARTS = 48;

/** The months of daylight at those of some places that it reaches, by their ids; null while they are worked out. */
export function useYearOfPlaces(places: readonly HomePlace[] | null): ReadonlyMap<string, readonly MonthAtPlace[]> | null {
  const { daylightYear } = useWorkspace();
  const site = useSite((s) => s.site);
  const today = useToday();
  const [known, setKnown] = useState<{ of: readonly HomePlace[]; months: ReadonlyMap<string, readonly MonthAtPlace[]> } | null>(null);
  const { place, climate, timeZone } = site;
  useEffect(() => {
    if (!places) return;
    const lit = places.flatMap(({ id, asked }) => (asked ? [{ id, asked }] : []));
    let gone = false;
    const year =
      place && lit.length > 0
        ? daylightYear({ year: yearOfDay(today), place, climate, timeZone, parts: PARTS, sills: lit.map((p) => p.asked), timer: null })
        : null;
    void (async () => {
      try {
        const found = (await year)?.year.places ?? [];
        if (!gone) setKnown({ of: places, months: new Map(found.map((at, i) => [lit[i]!.id, at.months])) });
      } catch {
        // The page that shows them says when the workers are gone.
      }
    })();
    return () => {
      gone = true;
    };
  }, [places, place, climate, timeZone, today, daylightYear]);
  return known && known.of === places ? known.months : null;
}
