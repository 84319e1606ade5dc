'use client';
import { useCallback, useMemo } from 'react';
import type { HomePlace } from '@/core/plan/daylight/homePlaces';
import type { MonthAtPlace } from '@/core/answer/daylight/yearOf';
import { yearOfDay } from '@/core/units/day';
import { useWorkedOut } from '../parts/useWorkedOut';
import { useSite, useToday, useWorkspace } from '../shell/WorkspaceContext';

/** Half hours are fine enough to rank places by. */
const PARTS = 48;

/** The months of daylight at those of some places that it reaches, by their ids; null while they are worked out. */
export function useYearOfPlaces(places: readonly HomePlace[] | null): ReadonlyMap<string, readonly MonthAtPlace[]> | null {
  const { daylightYear } = useWorkspace();
  const site = useSite((s) => s.site);
  const today = useToday();
  const { place, climate, timeZone } = site;
  const asked = useMemo(
    () => (places ? { places, place, climate, timeZone, year: yearOfDay(today) } : null),
    [places, place, climate, timeZone, today],
  );
  const look = useCallback(
    async ({ places, place, ...of }: NonNullable<typeof asked>): Promise<ReadonlyMap<string, readonly MonthAtPlace[]>> => {
      const lit = places.flatMap(({ id, asked }) => (asked ? [{ id, asked }] : []));
      if (!place || lit.length === 0) return new Map();
      const { year } = await daylightYear({ ...of, place, parts: PARTS, sills: lit.map((p) => p.asked), timer: null });
      return new Map(year.places.map((at, i) => [lit[i]!.id, at.months]));
    },
    [daylightYear],
  );
  // The page that shows them says when the workers are gone.
  const told = useWorkedOut(asked, look);
  return told && told.of === asked ? told.answer : null;
}
