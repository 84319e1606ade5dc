import type { LightField } from '../../light/scene/LightField';
import type { Cache } from '../../light/scene/Cache';
import type { Metres, Share } from '../../units/quantities';
import type { AskedTier } from './BenchQuestion';

/**
 * Light from other tiers changes slowly from place to place: it is worked out at so many places along each side of a tier, between them
 * by straight lines. Odd across and along, so that the planes of both views lie among them.
 */
const ACROSS = 9;
const ALONG = 7;
const UP = 9;
const BELOW_SHELF: Metres = 0.001;

/** Values on a coarse grid over a rectangle of any plane, its corners included; `index = i + columns · j`. */
export interface Coarse {
  readonly from: readonly [Metres, Metres];
  readonly to: readonly [Metres, Metres];
  readonly columns: number;
  readonly rows: number;
  readonly values: Float64Array;
}

/**
 * The light that comes into a tier from the others, over its whole extent; less what its own lamps lose to them: a shelf above that lets
 * light through sends less of it back than the tier's own ceiling would.
 */
export interface Spill {
  /** On a level plane of the tier, at a height from its floor; above the shelf over it as just below that. */
  level(z: Metres): Coarse;
  /** On the upright plane through its middle that faces the front or a side. */
  upright(view: 'front' | 'side'): Coarse;
}

/**
 * @param own    the light of the tier's own lamps, in its own coordinates
 * @param whole  that of the whole stand, each lamp counted by its hours
 * @param still  as it was the last time, where it has been asked before: while a hand moves something in the tier itself
 */
export function spillInto(tier: AskedTier, own: LightField, whole: () => LightField, cache: Cache, still: boolean): Spill {
  const planes: Float64Array[] = [];
  // The highest just below the shelf above: on it a place would be the next tier's.
  const heightOf = (k: number): Metres => Math.min((tier.height * k) / (UP - 1), tier.height - BELOW_SHELF);
  const plane = (k: number): Float64Array =>
    (planes[k] ??= cache.next<Float64Array>(`spill ${tier.id} ${k}`, (last) => {
      if (still && last) return last;
      const [xs, ys] = [evenly(tier.width, ACROSS), evenly(tier.depth, ALONG)];
      const z = heightOf(k);
      const here = own.indirectOver(xs, ys, z);
      // The straight light of its own lamps is left out of both.
      const all = whole().indirectOver(
        xs.map((x) => x + tier.x),
        ys,
        z + tier.z,
      );
      return all.map((v, i) => v / tier.hours - here[i]!);
    }));

  return {
    level(z) {
      const at = Math.min(UP - 1, Math.max(0, (z / tier.height) * (UP - 1)));
      const k = Math.min(UP - 2, Math.floor(at));
      const t = at - k;
      const lower = plane(k);
      const values = t > 0 ? lower.map((v, i) => v * (1 - t) + plane(k + 1)[i]! * t) : lower;
      return { from: [0, 0], to: [tier.width, tier.depth], columns: ACROSS, rows: ALONG, values };
    },
    upright(view) {
      const columns = view === 'front' ? ACROSS : ALONG;
      const placeOf = (i: number) => (view === 'front' ? i + ACROSS * ((ALONG - 1) / 2) : (ACROSS - 1) / 2 + ACROSS * i);
      const values = new Float64Array(columns * UP);
      for (let k = 0; k < UP; k++) for (let i = 0; i < columns; i++) values[i + columns * k] = plane(k)[placeOf(i)]!;
      return { from: [0, 0], to: [view === 'front' ? tier.width : tier.depth, tier.height], columns, rows: UP, values };
    },
  };
}

/** Whether light of other tiers may come into a tier. */
export const isSpiltInto = (tier: AskedTier, tiers: readonly AskedTier[]): boolean =>
  tier.hours > 0 && tiers.some((t) => t !== tier && t.lamps.length > 0 && t.hours > 0);

const evenly = (to: Metres, count: number) => Float64Array.from({ length: count }, (_, i) => (to * i) / (count - 1));

/** The coarse light at a place of its rectangle; beyond its rim as at its rim. */
export function coarseAt({ from, to, columns, rows, values }: Coarse, a: Metres, b: Metres): number {
  const place = (v: number, low: number, high: number, n: number) =>
    Math.min(n - 1, Math.max(0, high > low ? ((v - low) / (high - low)) * (n - 1) : 0));
  const u = place(a, from[0], to[0], columns);
  const v = place(b, from[1], to[1], rows);
  const i = Math.min(columns - 2, Math.floor(u));
  const j = Math.min(rows - 2, Math.floor(v));
  const [s, t] = [u - i, v - j];
  const row = (k: number) => values[i + columns * k]! * (1 - s) + values[i + 1 + columns * k]! * s;
  return row(j) * (1 - t) + row(j + 1) * t;
}

interface FineGrid {
  readonly columns: number;
  readonly rows: number;
  readonly ppfd: Float32Array;
}

/** Adds the coarse light to a fine grid whose cells cover a rectangle of the same plane. */
export function addCoarse(coarse: Coarse, grid: FineGrid, from: readonly [Metres, Metres], to: readonly [Metres, Metres]): void {
  eachCell(grid, from, to, (i, a, b) => (grid.ppfd[i] = Math.max(0, grid.ppfd[i]! + coarseAt(coarse, a, b))));
}

/** Takes coarse shares of a fine grid over the same rectangle away, and says what share of all of it that was. */
export function dimByCoarse(coarse: Coarse, grid: FineGrid): Share {
  let taken = 0, all = 0; // prettier-ignore
  eachCell(grid, coarse.from, coarse.to, (i, a, b) => {
    const less = grid.ppfd[i]! * coarseAt(coarse, a, b);
    taken += less;
    all += grid.ppfd[i]!;
    grid.ppfd[i]! -= less;
  });
  return all > 0 ? taken / all : 0;
}

function eachCell(
  { columns, rows }: FineGrid,
  from: readonly [Metres, Metres],
  to: readonly [Metres, Metres],
  visit: (i: number, a: Metres, b: Metres) => void,
): void {
  for (let r = 0; r < rows; r++) {
    const b = from[1] + ((r + 0.5) / rows) * (to[1] - from[1]);
    for (let c = 0; c < columns; c++) visit(r * columns + c, from[0] + ((c + 0.5) / columns) * (to[0] - from[0]), b);
  }
}

/** Light from other tiers is little and even: half as many patches along each side change it by less than a thousandth of a tray's light. */
export const SPILL_PATCHES = 0.5;
