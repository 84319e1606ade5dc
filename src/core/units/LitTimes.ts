import { MINUTES_PER_DAY } from './clock';
import { lengthOf, overlapOf, type Span } from './Span';

/** When lamps burn on every day: from a minute on, so many minutes in all, past midnight if need be; not within the pause. */
export interface LitTimes {
  readonly on_min: number;
  /** What they burn, the pause not counted: 0 … 1440 less the pause. */
  readonly lit_min: number;
  /** A stretch of the day in which they stay off; null: they burn in one block. */
  readonly pause: Span | null;
}

/** A stretch in which lamps burn without a break. */
export interface LitBlock {
  readonly on_min: number;
  readonly lit_min: number;
}

const wrap = (m: number) => ((m % MINUTES_PER_DAY) + MINUTES_PER_DAY) % MINUTES_PER_DAY;

/** The longest that lamps can burn in a day beside a pause, min. */
export const mostLit = (pause: Span | null): number => MINUTES_PER_DAY - (pause ? lengthOf(pause) : 0);

/** One block, or the two that a pause makes of it. What would begin within the pause begins at its end. */
export function blocksOf({ on_min, lit_min, pause }: LitTimes): readonly LitBlock[] {
  if (!pause || lit_min <= 0) return [{ on_min, lit_min }];
  const start = wrap(on_min - pause.from_min) < lengthOf(pause) ? wrap(pause.to_min) : on_min;
  const before = start === wrap(pause.to_min) ? mostLit(pause) : wrap(pause.from_min - start);
  const lit = Math.min(lit_min, mostLit(pause));
  return lit <= before
    ? [{ on_min: start, lit_min: lit }]
    : [
        { on_min: start, lit_min: before },
        { on_min: wrap(pause.to_min), lit_min: lit - before },
      ];
}

/** When lamps go off for the day, minutes after midnight. */
export function offAt(times: LitTimes): number {
  const last = blocksOf(times).at(-1)!;
  return wrap(last.on_min + last.lit_min);
}

/** How many minutes of a lamp's day fall into a stretch. */
export const litWithin = (times: LitTimes, span: Span): number =>
  blocksOf(times).reduce((sum, b) => sum + overlapOf(b.on_min, b.lit_min, span), 0);

/** Whether lamps burn at a minute of the day. */
export const isLitAt = (times: LitTimes, minute: number): boolean => blocksOf(times).some((b) => wrap(minute - b.on_min) < b.lit_min);

/**
 * How long lamps burn that go on and off at some times; where both are the same it is the whole day if it was long, else none of it.
 *
 * @param before_min  as long as they burned before
 */
export function litBetween(on_min: number, off_min: number, pause: Span | null, before_min: number): number {
  const whole = wrap(off_min - on_min);
  if (whole === 0) return before_min > MINUTES_PER_DAY / 2 ? mostLit(pause) : 0;
  return pause ? whole - overlapOf(on_min, whole, pause) : whole;
}

/** The longest stretch without light, min, of lamps and what else is light: what plants take for the night. */
export function longestDark(times: LitTimes, daylight: Span | null): number {
  const light = [...blocksOf(times), ...(daylight ? [{ on_min: daylight.from_min, lit_min: lengthOf(daylight) }] : [])]
    .filter((b) => b.lit_min > 0)
    .map((b) => ({ from: wrap(b.on_min), to: wrap(b.on_min) + b.lit_min }))
    .sort((a, b) => a.from - b.from);
  if (light.length === 0) return MINUTES_PER_DAY;
  // Light of yesterday evening may last past midnight.
  let lit = Math.max(...light.map((b) => b.to)) - MINUTES_PER_DAY;
  let dark = 0;
  for (const { from, to } of light) {
    dark = Math.max(dark, from - lit);
    lit = Math.max(lit, to);
  }
  return Math.max(0, Math.min(MINUTES_PER_DAY, dark));
}
