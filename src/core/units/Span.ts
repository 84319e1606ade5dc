import { MINUTES_PER_DAY } from './clock';

/** A stretch of every day, from a minute to a minute, past midnight if need be; from = to is a whole day. */
export interface Span {
  readonly from_min: number;
  readonly to_min: number;
}

/** How long a stretch is, min. */
export const lengthOf = ({ from_min, to_min }: Span): number => (to_min - from_min + MINUTES_PER_DAY) % MINUTES_PER_DAY || MINUTES_PER_DAY;

/** How many minutes of a lamp's day fall into a stretch. @param lit_min  0 … 1440 */
export function overlapOf(on_min: number, lit_min: number, span: Span): number {
  const length = lengthOf(span);
  let sum = 0;
  // The lamp's day may run into the next; the stretch is there yesterday, today and tomorrow.
  for (const day of [-MINUTES_PER_DAY, 0, MINUTES_PER_DAY])
    sum += Math.max(0, Math.min(on_min + lit_min, span.from_min + day + length) - Math.max(on_min, span.from_min + day));
  return Math.min(lit_min, sum);
}
