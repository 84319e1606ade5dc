/** A line through points in several variables. */
export interface LinearFit {
  readonly coefficients: readonly number[];
  readonly sse: number;
  /** (XᵀX)⁻¹. */
  readonly inverse: readonly (readonly number[])[];
}

/** Ordinary least squares by the normal equations, for a handful of variables; null where they do not determine it. */
export function leastSquares(x: readonly (readonly number[])[], y: readonly number[]): LinearFit | null {
  const p = x[0]?.length ?? 0;
  const normal = Array.from({ length: p }, (_, i) => Array.from({ length: p }, (_, j) => x.reduce((s, row) => s + row[i]! * row[j]!, 0)));
  const inverse = inverted(normal);
  if (!inverse) return null;
  const right = Array.from({ length: p }, (_, i) => x.reduce((s, row, n) => s + row[i]! * y[n]!, 0));
  const coefficients = inverse.map((row) => row.reduce((s, v, j) => s + v * right[j]!, 0));
  const sse = x.reduce((s, row, n) => s + (y[n]! - row.reduce((t, v, j) => t + v * coefficients[j]!, 0)) ** 2, 0);
  return { coefficients, sse, inverse };
}

/** A small matrix inverted by Gauss and Jordan with pivots; null where it is singular. */
export function inverted(matrix: readonly (readonly number[])[]): number[][] | null {
  const n = matrix.length;
  const scale = Math.max(1e-300, ...matrix.flat().map(Math.abs));
  const m = matrix.map((row, i) => [...row, ...Array.from({ length: n }, (_, j) => Number(i === j))]);
  for (let c = 0; c < n; c++) {
    let pivot = c;
    for (let r = c + 1; r < n; r++) if (Math.abs(m[r]![c]!) > Math.abs(m[pivot]![c]!)) pivot = r;
    if (Math.abs(m[pivot]![c]!) < 1e-12 * scale) return null;
    [m[c], m[pivot]] = [m[pivot]!, m[c]!];
    const by = m[c]![c]!;
    m[c] = m[c]!.map((v) => v / by);
    for (let r = 0; r < n; r++) {
      const times = m[r]![c]!;
      if (r !== c && times !== 0) m[r] = m[r]!.map((v, j) => v - times * m[c]![j]!);
    }
  }
  return m.map((row) => row.slice(n));
}
