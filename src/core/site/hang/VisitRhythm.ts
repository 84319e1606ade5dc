import { weekdayOf, type Day } from '../../units/day';

export const RHYTHMS = ['daily', 'twice-weekly', 'weekly'] as const;

/** When somebody comes by to raise lamps and set timers. */
export interface VisitRhythm {
  readonly rhythm: (typeof RHYTHMS)[number];
  /** Of a weekly round, and the first of two in a week; 0 is Sunday. */
  readonly weekday: number;
  /** At what time of the day, for the calendar. */
  readonly time_min: number;
  /** Days away, both included; on the day before nobody is away yet. */
  readonly away: readonly { readonly from: Day; readonly to: Day }[];
}

export const USUAL_RHYTHM: VisitRhythm = { rhythm: 'twice-weekly', weekday: 6, time_min: 18 * 60, away: [] };

/**
 * The days on which somebody comes by: the first one in any case, then by the rhythm, never while away; the last day before a
 * trip and the first one after it are always among them.
 */
export function visitDays({ rhythm, weekday, away }: VisitRhythm, from: Day, until: Day): Day[] {
  const gone = (day: Day) => away.some((a) => day >= a.from && day <= a.to);
  const edge = (day: Day) => away.some((a) => day === a.from - 1 || day === a.to + 1);
  const due = (day: Day) => {
    const since = (weekdayOf(day) - weekday + 7) % 7;
    return rhythm === 'daily' || since === 0 || (rhythm === 'twice-weekly' && since === 3);
  };
  const days: Day[] = [];
  for (let day = from; day <= until; day++) if (!gone(day) && (day === from || due(day) || edge(day))) days.push(day);
  return days;
}
