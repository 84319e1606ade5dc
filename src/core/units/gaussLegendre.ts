export interface Rule {
  readonly at: Float64Array;
  readonly weight: Float64Array;
}

const rules = new Map<number, Rule>();

/**
 * Abscissae and weights of the Gauss–Legendre rule with n points on [−½, ½]; the weights add up to 1.
 *
 * @param n  1 … 64
 * Source: Newton's method on the Legendre polynomial with Tricomi's first guess; Abramowitz & Stegun (1964), 25.4.29.
 */
export function gaussLegendre(n: number): Rule {
  const known = rules.get(n);
  if (known) return known;
  if (!(Number.isInteger(n) && n >= 1 && n <= 64)) throw new RangeError(`n must be a whole number from 1 to 64, got ${n}`);
  const at = new Float64Array(n);
  const weight = new Float64Array(n);
  for (let i = 0; i < n; i++) {
    let x = Math.cos((Math.PI * (i + 0.75)) / (n + 0.5));
    let slope = 1;
    for (let turn = 0; turn < 20; turn++) {
      let p0 = 1, p1 = x; // prettier-ignore
      for (let k = 2; k <= n; k++) [p0, p1] = [p1, ((2 * k - 1) * x * p1 - (k - 1) * p0) / k];
      slope = (n * (x * p1 - p0)) / (x * x - 1);
      const change = p1 / slope;
      x -= change;
      if (Math.abs(change) < 1e-15) break;
    }
    at[i] = x / 2;
    weight[i] = 1 / ((1 - x * x) * slope * slope);
  }
  const rule = { at, weight };
  rules.set(n, rule);
  return rule;
}
