/**
 * How much of the light that one rectangle sends out evenly reaches another, both aligned with the axes: the double area
 * integrals from which the form factors of a box follow, as functions of corner distances.
 *
 *     A₁F₁₂ = 1/2π · Σ ± G     over all pairs of corners
 *
 * Source: Howell, A Catalog of Radiation Heat Transfer Configuration Factors, C-13 (parallel) and C-15 (at right angles).
 * Checked in lightField.test.ts against the published values for a cube and against the sum of all factors, which is 1.
 */

/** G for parallel planes a distance c apart; x and y are differences of corner places. c > 0. */
export function parallelCorner(x: number, y: number, c: number): number {
  const rx = Math.sqrt(x * x + c * c);
  const ry = Math.sqrt(y * y + c * c);
  return y * rx * Math.atan(y / rx) + x * ry * Math.atan(x / ry) - ((c * c) / 2) * Math.log(x * x + y * y + c * c);
}

/** G for planes at right angles; y is the difference along their common line, a and b are the distances from it. */
export function squareCorner(y: number, a: number, b: number): number {
  const q2 = a * a + b * b;
  const q = Math.sqrt(q2);
  const sum = q2 + y * y;
  if (sum === 0) return 0;
  return (q > 0 ? y * q * Math.atan(y / q) : 0) - ((q2 - y * y) / 4) * Math.log(sum);
}

/**
 * Light on a small level piece that faces up, from the part of an evenly bright ceiling between it and (x, y), the ceiling
 * a height c above: a corner function, of which a rectangle needs four.
 *
 * Source: Howell, B-4 (element to parallel rectangle).
 */
export function ceilingCorner(x: number, y: number, c: number): number {
  const rx = Math.sqrt(x * x + c * c);
  const ry = Math.sqrt(y * y + c * c);
  return ((x / rx) * Math.atan(y / rx) + (y / ry) * Math.atan(x / ry)) / (2 * Math.PI);
}

/**
 * Light on a small level piece that faces up, from an evenly bright wall a distance c away, reaching y along and z above it.
 *
 * Source: Howell, B-3 (element to rectangle at right angles).
 */
export function wallCorner(y: number, z: number, c: number): number {
  const q = Math.sqrt(c * c + z * z);
  return (Math.atan(y / c) - (c / q) * Math.atan(y / q)) / (2 * Math.PI);
}
