import type { Year, YearAtPlace } from '../../answer/daylight/yearOf';
import { sunUp } from '../../answer/daylight/daylightAt';
import type { Place } from '../../sky/outdoors/outdoorsAt';
import type { Daylight } from '../../site/stand/Daylight';
import { dayFrom, noonOf, type Day } from '../../units/day';

/** Half a month: as fine as anybody sets a timer by the season. */
export interface Half {
  readonly from: Day;
  readonly to: Day;
}

/** The halves of the months of a year. */
export function halvesOf({ from, days }: Pick<Year, 'from' | 'days'>): Half[] {
  const year = noonOf(from).getUTCFullYear();
  return Array.from({ length: 12 }, (_, m) => {
    const [first, middle, next] = [dayFrom(year, m + 1, 1), dayFrom(year, m + 1, 16), m < 11 ? dayFrom(year, m + 2, 1) : from + days];
    return [
      { from: first, to: middle - 1 },
      { from: middle, to: next - 1 },
    ];
  }).flat();
}

/** The mean day of a stretch at a place; null where no light comes in. */
export function meanDay(year: Year, at: YearAtPlace, half: Half, place: Place, ahead: (day: Day) => number): Daylight | null {
  const middle = Math.round((half.from + half.to) / 2);
  const up = sunUp({ place, day: middle, ahead_min: ahead(middle) });
  if (!up) return null;
  const n = half.to - half.from + 1;
  const mean = new Array<number>(year.parts).fill(0);
  const clear = new Array<number>(year.parts).fill(0);
  let [dli, low, high] = [0, 0, 0];
  for (let day = half.from; day <= half.to; day++) {
    const d = day - year.from;
    dli += at.mean[d]! / n;
    low += Math.min(at.clear[d]!, at.overcast[d]!) / n;
    high += Math.max(at.clear[d]!, at.overcast[d]!) / n;
    for (let i = 0; i < year.parts; i++) {
      mean[i]! += at.course[d * year.parts + i]! / n;
      clear[i]! += at.clearCourse[d * year.parts + i]! / n;
    }
  }
  if (!(dli > 0)) return null;
  return {
    dli,
    ...up,
    course: { mean, clear, peak: Math.max(...clear), off: { low: Math.max(0, 1 - low / dli), high: Math.max(0, high / dli - 1) } },
  };
}
