'use client';
import { useMemo, useState } from 'react';
import { sunPosition, type SunPosition } from '@/core/sky/sun/sunPosition';
import { minutesAhead } from '@/core/units/clockChanges';
import { dayFrom, yearOfDay, type Day } from '@/core/units/day';
import { useSite, useToday } from '../shell/WorkspaceContext';

/** The sun's way over one day, every ten minutes. */
export interface SunPath {
  readonly name: 'longest' | 'shortest' | 'chosen';
  readonly faint: boolean;
  readonly points: readonly { readonly minute: number; readonly sun: SunPosition }[];
}

/** The hour and month that is looked at, and where the sun then is. */
export interface LookedAt {
  /** 0 is January. */
  readonly month: number;
  readonly minute: number;
  /** The 21st of the month in this year. */
  readonly day: Day;
  readonly sun: SunPosition;
  readonly paths: readonly SunPath[];
  setMonth(month: number): void;
  setMinute(minute: number): void;
}

/** Begins with noon of this month. The household has said where it is. */
export function useLookedAt(): LookedAt {
  const { place, timeZone } = useSite((s) => s.site);
  const today = useToday();
  const [month, setMonth] = useState(() => new Date(today * 86_400_000).getUTCMonth());
  const [minute, setMinute] = useState(12 * 60);
  const year = yearOfDay(today);
  const day = dayFrom(year, month + 1, 21);
  const sunAt = useMemo(() => {
    const ahead = minutesAhead(timeZone);
    const { latitude, longitude } = place!;
    return (on: Day, min: number) => sunPosition(on * 86_400_000 + (min - ahead(on)) * 60_000, latitude, longitude);
  }, [timeZone, place]);
  const paths = useMemo(() => {
    const along = (name: SunPath['name'], on: Day): SunPath => ({
      name,
      faint: name !== 'chosen',
      points: Array.from({ length: 145 }, (_, i) => ({ minute: i * 10, sun: sunAt(on, i * 10) })),
    });
    return [along('longest', dayFrom(year, 6, 21)), along('shortest', dayFrom(year, 12, 21)), along('chosen', day)];
  }, [year, day, sunAt]);
  return { month, minute, day, sun: sunAt(day, minute), paths, setMonth, setMinute };
}
