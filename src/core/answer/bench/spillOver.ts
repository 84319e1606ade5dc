import type { Metres, Ppfd } from '../../units/quantities';

/** Light from other tiers changes slowly from place to place: it is worked out at so many places, between them by straight lines. */
const ACROSS = 9;
const ALONG = 7;

/** Values on a coarse grid over a rectangle of any plane, its corners included. */
export interface Coarse {
  readonly from: readonly [Metres, Metres];
  readonly to: readonly [Metres, Metres];
  readonly values: Float64Array;
}

/** Samples a slowly changing light over a rectangle. */
export function coarseOf(from: readonly [Metres, Metres], to: readonly [Metres, Metres], at: (a: Metres, b: Metres) => Ppfd): Coarse {
  const values = new Float64Array(ACROSS * ALONG);
  for (let j = 0; j < ALONG; j++)
    for (let i = 0; i < ACROSS; i++)
      values[i + ACROSS * j] = at(from[0] + ((to[0] - from[0]) * i) / (ACROSS - 1), from[1] + ((to[1] - from[1]) * j) / (ALONG - 1));
  return { from, to, values };
}

/** The coarse light at a place of its rectangle; beyond its rim as at its rim. */
export function coarseAt({ from, to, values }: Coarse, a: Metres, b: Metres): Ppfd {
  const place = (v: number, low: number, high: number, n: number) =>
    Math.min(n - 1, Math.max(0, high > low ? ((v - low) / (high - low)) * (n - 1) : 0));
  const u = place(a, from[0], to[0], ACROSS);
  const v = place(b, from[1], to[1], ALONG);
  const i = Math.min(ACROSS - 2, Math.floor(u));
  const j = Math.min(ALONG - 2, Math.floor(v));
  const [s, t] = [u - i, v - j];
  const row = (k: number) => values[i + ACROSS * k]! * (1 - s) + values[i + 1 + ACROSS * k]! * s;
  return row(j) * (1 - t) + row(j + 1) * t;
}

/** Adds the coarse light to a fine grid whose cells cover a rectangle of the same plane. */
export function addCoarse(
  coarse: Coarse,
  grid: { readonly columns: number; readonly rows: number; readonly ppfd: Float32Array },
  from: readonly [Metres, Metres],
  to: readonly [Metres, Metres],
): void {
  const { columns, rows, ppfd } = grid;
  for (let r = 0; r < rows; r++) {
    const b = from[1] + ((r + 0.5) / rows) * (to[1] - from[1]);
    for (let c = 0; c < columns; c++) ppfd[r * columns + c]! += coarseAt(coarse, from[0] + ((c + 0.5) / columns) * (to[0] - from[0]), b);
  }
}
