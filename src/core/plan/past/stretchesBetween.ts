import type { Day } from '../../units/day';

/** The stretches of days into which changes part some time, the earliest first: each from a day on, until the next begins. */
export function stretchesBetween(changes: readonly Day[], from: Day, until: Day): readonly (readonly [Day, Day])[] {
  const inside = [...new Set(changes)].filter((day) => day > from && day < until).sort((a, b) => a - b);
  const bounds = [from, ...inside, until];
  return bounds.slice(1).map((end, i) => [bounds[i]!, end] as const);
}
