import { MINUTES_PER_DAY } from '@/core/units/clock';

const wrap = (m: number) => ((m % MINUTES_PER_DAY) + MINUTES_PER_DAY) % MINUTES_PER_DAY;

/** A lamp's day by when it goes on and off; where both are the same it is the whole day if it was long, else none of it. */
export function litBetween(on_min: number, off_min: number, before_min: number): number {
  const lit = wrap(off_min - on_min);
  return lit === 0 ? (before_min > MINUTES_PER_DAY / 2 ? MINUTES_PER_DAY : 0) : lit;
}

/** When a lamp goes off. */
export const offAt = (on_min: number, lit_min: number): number => wrap(on_min + lit_min);
