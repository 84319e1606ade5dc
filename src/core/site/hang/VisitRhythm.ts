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
export function visitDays(visits: VisitRhythm, from: Day, until: Day): Day[] {
  const days: Day[] = [];
  for (let day = from; day <= until; day++) if (isVisit(visits, day) || (day === from && !isGone(visits, day))) days.push(day);
  return days;
}

const isGone = ({ away }: VisitRhythm, day: Day): boolean => away.some((a) => day >= a.from && day <= a.to);

/** Whether somebody comes by on a day: by the rhythm, or on the eve of a trip and the day after it; never while away. */
function isVisit(visits: VisitRhythm, day: Day): boolean {
  const { rhythm, weekday, away } = visits;
  if (isGone(visits, day)) return false;
  const since = (weekdayOf(day) - weekday + 7) % 7;
  const isDue = rhythm === 'daily' || since === 0 || (rhythm === 'twice-weekly' && since === 3);
  return isDue || away.some((a) => day === a.from - 1 || day === a.to + 1);
}

/** As far as a visit is looked for; who is away for longer is not waited for. */
const FAR = 60;

/** The visit nearest to a day, the earlier of two that are as near; the day itself where there is none for weeks. */
export function nearestVisit(visits: VisitRhythm, day: Day): Day {
  for (let off = 0; off <= FAR; off++) {
    if (isVisit(visits, day - off)) return day - off;
    if (isVisit(visits, day + off)) return day + off;
  }
  return day;
}
