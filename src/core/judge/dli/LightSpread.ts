import type { Ppfd, Share } from '../../units/quantities';

/** The light on a tray in so few numbers that it can be looked up by the thousand: its ends, its mean, and how it is spread over the area. */
export interface LightSpread {
  readonly weakest: Ppfd;
  readonly mean: Ppfd;
  readonly strongest: Ppfd;
  /** Strengths in the middle of equal parts of the area, the dimmest part first. */
  readonly parts: readonly Ppfd[];
  /** At the nine spots of the tray (`nineSpotsOf`); left out: not kept. */
  readonly nine?: readonly Ppfd[];
}

/** So many equal parts: an eighth of a tray is a row of its cells. */
export const SPREAD_PARTS = 8;

/** A tray that is lit evenly. */
export const evenSpread = (ppfd: Ppfd): LightSpread => ({
  weakest: ppfd,
  mean: ppfd,
  strongest: ppfd,
  parts: Array<Ppfd>(SPREAD_PARTS).fill(ppfd),
  nine: Array<Ppfd>(9).fill(ppfd),
});

/** Where no light is. */
export const NO_LIGHT: LightSpread = evenSpread(0);

/** The same light, so many times as strong. */
export const scaled = (light: LightSpread, by: number): LightSpread => mapped(light, (v) => v * by);

/** Every figure of a spread changed in the same way, which must keep their order. */
export const mapped = ({ weakest, mean, strongest, parts, nine }: LightSpread, change: (value: number) => number): LightSpread => {
  const spread = { weakest: change(weakest), mean: change(mean), strongest: change(strongest), parts: eachOf(parts, change) };
  return nine ? { ...spread, nine: eachOf(nine, change) } : spread;
};

function eachOf(values: readonly number[], change: (value: number) => number): number[] {
  const out = new Array<number>(values.length);
  for (let i = 0; i < values.length; i++) out[i] = change(values[i]!);
  return out;
}

/**
 * Sums up strengths that were taken over a tray.
 *
 * @param values   at least one
 * @param weights  of each, all together one; left out: all alike
 * @param nine     which of the values stand at the nine spots
 */
export function spreadOf(values: ArrayLike<Ppfd>, weights?: ArrayLike<Share>, nine?: readonly number[]): LightSpread {
  const n = values.length;
  if (!(n > 0)) throw new RangeError('a spread needs at least one value');
  const spread = weights ? spreadWeighed(values, weights) : spreadAlike(values);
  return nine ? { ...spread, nine: nine.map((i) => values[i]!) } : spread;
}

function spreadWeighed(values: ArrayLike<Ppfd>, weights: ArrayLike<Share>): LightSpread {
  const n = values.length;
  const order = Array.from({ length: n }, (_, i) => i).sort((a, b) => values[a]! - values[b]!);
  let mean = 0, before = 0, at = 0; // prettier-ignore
  const parts: Ppfd[] = [];
  for (const i of order) mean += values[i]! * weights[i]!;
  for (let p = 0; p < SPREAD_PARTS; p++) {
    const middle = (p + 0.5) / SPREAD_PARTS;
    while (at < n - 1 && before + weights[order[at]!]! < middle) before += weights[order[at++]!]!;
    parts.push(values[order[at]!]!);
  }
  return { weakest: values[order[0]!]!, mean, strongest: values[order[n - 1]!]!, parts };
}

/** The same where all count alike: of a map's thousands of cells sorting the numbers themselves is several times as quick. */
function spreadAlike(values: ArrayLike<Ppfd>): LightSpread {
  const n = values.length;
  const sorted = Float64Array.from(values).sort();
  let sum = 0;
  for (const value of sorted) sum += value;
  const parts: Ppfd[] = [];
  for (let p = 0; p < SPREAD_PARTS; p++) parts.push(sorted[Math.min(n - 1, Math.ceil(((p + 0.5) / SPREAD_PARTS) * n) - 1)]!);
  return { weakest: sorted[0]!, mean: sum / n, strongest: sorted[n - 1]!, parts };
}

/** Share of the area between two strengths, by straight lines between the middles of the parts and the ends. */
export function shareBetween({ weakest, strongest, parts }: LightSpread, low: Ppfd, high: Ppfd): Share {
  if (!(low <= high)) return 0;
  return Math.max(0, shareUpTo(weakest, strongest, parts, high, true) - shareUpTo(weakest, strongest, parts, low, false));
}

/** Share of the area that is no stronger than a value; `with` what is exactly as strong. */
function shareUpTo(weakest: Ppfd, strongest: Ppfd, parts: readonly Ppfd[], value: Ppfd, withEqual: boolean): Share {
  if (value < weakest || (value === weakest && !withEqual)) return 0;
  if (value > strongest || (value === strongest && withEqual)) return 1;
  let [from, share] = [weakest, 0];
  for (let p = 0; p <= parts.length; p++) {
    const to = parts[p] ?? strongest;
    const upTo = p < parts.length ? (p + 0.5) / parts.length : 1;
    if (value < to || (value === to && !withEqual)) return to > from ? share + ((value - from) / (to - from)) * (upTo - share) : share;
    [from, share] = [to, upTo];
  }
  return 1;
}
