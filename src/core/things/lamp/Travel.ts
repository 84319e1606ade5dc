import { gaussLegendre } from '../../units/gaussLegendre';
import type { Rect } from '../../light/field/Grid';
import type { Metres, Share } from '../../units/quantities';

export const TRAVEL_WAYS = ['width', 'depth'] as const;

/** A lamp on a rail: its middle goes evenly to and fro about its place, over so much in all. */
export interface Travel {
  /** Along the width of its tier, or along its depth. */
  readonly along: (typeof TRAVEL_WAYS)[number];
  readonly length: Metres;
}

/** Rails of a household are no longer. */
export const LONGEST_TRAVEL: Metres = 4; // our choice

/** A place on the way, from the middle of it, and for what share of the time the lamp stands for it. */
export interface Stop {
  readonly dx: Metres;
  readonly dy: Metres;
  readonly share: Share;
}

/** From one stop to the next: so that their mean is the way's within 0.5 % at this share of the height below the lamp (travelling.test.ts). */
const STEP_OVER_HEIGHT = 0.5;
/** No finer than this: nearer than that to a lamp that moves, no leaf should be. */
export const FINEST_STEP: Metres = 0.05;
const FEWEST_STOPS = 3;
const MOST_STOPS = 64;

const STILL: readonly Stop[] = [{ dx: 0, dy: 0, share: 1 }];

/**
 * The stops that stand for the whole of a way about its middle, each with its share of the time; together one. No way has one stop.
 *
 * @param x     how far it goes along the width in all, y along the depth, m
 * @param step  from one to the next, about, m; > 0
 */
export function stopsAlong(x: Metres, y: Metres, step: Metres): readonly Stop[] {
  const length = Math.hypot(x, y);
  if (length === 0) return STILL;
  const { at, weight } = gaussLegendre(Math.min(MOST_STOPS, Math.max(FEWEST_STOPS, 1 + Math.ceil(length / step))));
  return Array.from(at, (u, i) => ({ dx: u * x, dy: u * y, share: weight[i]! }));
}

/** @param below  from the lamp down to the highest place that is asked about, m */
export const stopsOf = (travel: Travel | undefined, below: Metres): readonly Stop[] =>
  stopsAlong(...reachOf(travel), Math.max(FINEST_STEP, STEP_OVER_HEIGHT * below));

const reachOf = (travel: Travel | undefined): [Metres, Metres] =>
  travel ? (travel.along === 'width' ? [travel.length, 0] : [0, travel.length]) : [0, 0];

/** What an outline passes over on its way. */
export function sweptBy({ x0, x1, y0, y1 }: Rect, travel: Travel | undefined): Rect {
  const [x, y] = reachOf(travel);
  return { x0: x0 - x / 2, x1: x1 + x / 2, y0: y0 - y / 2, y1: y1 + y / 2 };
}
