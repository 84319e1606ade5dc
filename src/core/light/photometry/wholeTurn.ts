/** Planes of a symmetric file spread out over the whole turn: `angles` rising in degrees from 0, each with its plane of values. */
export type Planes = readonly { readonly deg: number; readonly values: readonly number[] }[];

/**
 * Spreads the planes that a file gives over the whole turn, by the symmetry that their range stands for.
 *
 * @param planes  0 alone, or 0 … 90, 0 … 180, 0 … 360, or 90 … 270 degrees
 * @returns planes from 0 to below 360, or null for a range that stands for no symmetry
 */
export function wholeTurn(planes: Planes): Planes | null {
  const [first, last] = [planes[0]!.deg, planes[planes.length - 1]!.deg];
  const near = (a: number, b: number) => Math.abs(a - b) < 1e-6;
  const mirrored = (about: number) => planes.map((p) => ({ deg: 2 * about - p.deg, values: p.values }));
  const tidy = (all: Planes): Planes => {
    const turned = all.map((p) => ({ ...p, deg: ((p.deg % 360) + 360) % 360 })).sort((a, b) => a.deg - b.deg);
    return turned.filter((p, i) => i === 0 || !near(p.deg, turned[i - 1]!.deg));
  };
  if (planes.length === 1 && near(first, 0)) return planes;
  if (near(first, 0) && near(last, 90)) {
    const half = [...planes, ...mirrored(90)];
    return tidy([...half, ...half.map((p) => ({ ...p, deg: 360 - p.deg }))]);
  }
  if (near(first, 0) && near(last, 180)) return tidy([...planes, ...mirrored(180)]);
  if (near(first, 90) && near(last, 270)) return tidy([...planes, ...mirrored(90)]);
  if (near(first, 0) && last > 180 && last <= 360 + 1e-6) return tidy(planes);
  return null;
}
