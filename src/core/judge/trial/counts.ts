import { chi2Upper, hypergeometric, Z } from './distributions';
import { sum } from './moments';
import { compareTwoArms, likenessWithin, type TrialArm } from './twoArms';

/** So many of so many came up. */
export interface Counted {
  readonly x: number;
  readonly n: number;
}

/** Score interval for a share, without continuity correction. Wilson 1927. */
export function wilson({ x, n }: Counted): { readonly lo: number; readonly hi: number } {
  const p = x / n;
  const middle = (p + (Z * Z) / (2 * n)) / (1 + (Z * Z) / n);
  const half = (Z / (1 + (Z * Z) / n)) * Math.sqrt((p * (1 - p)) / n + (Z * Z) / (4 * n * n));
  return { lo: x === 0 ? 0 : middle - half, hi: x === n ? 1 : middle + half };
}

/** Interval for the difference B − A of two shares. Newcombe 1998, method 10. */
export function newcombe(a: Counted, b: Counted): { readonly diff: number; readonly lo: number; readonly hi: number } {
  const [p1, p2] = [a.x / a.n, b.x / b.n];
  const [w1, w2] = [wilson(a), wilson(b)];
  const diff = p2 - p1;
  return { diff, lo: diff - Math.hypot(p2 - w2.lo, w1.hi - p1), hi: diff + Math.hypot(w2.hi - p2, p1 - w1.lo) };
}

/** Two-sided exact p of two shares: all tables no likelier than the observed one. Fisher 1935. */
export function fisher(a: Counted, b: Counted): number {
  const { from, chance } = hypergeometric(a.x + b.x, b.n, a.n);
  return upTo(chance, chance[b.x - from]!);
}

const upTo = (chance: readonly number[], observed: number) => Math.min(1, sum(chance.filter((c) => c <= observed * (1 + 1e-7))));

/** Two shares of seeds, each seed by itself. */
export function compareShares(a: Counted, b: Counted) {
  const { diff, lo, hi } = newcombe(a, b);
  const [wa, wb] = [wilson(a), wilson(b)];
  const below = a.x * (b.n - b.x);
  return {
    p: [a.x / a.n, b.x / b.n],
    wilsonLo: [wa.lo, wb.lo],
    wilsonHi: [wa.hi, wb.hi],
    diff,
    newcombeLo: lo,
    newcombeHi: hi,
    fisherP: fisher(a, b),
    oddsRatio: below === 0 ? null : (b.x * (a.n - a.x)) / below,
  };
}

export interface CountedArm {
  readonly id: string;
  readonly trays: readonly (Counted & { readonly id: string })[];
}

/** Shares of trays: the tray's share is what was observed; the pooled seeds stand beside it as the wrong analysis. */
export function compareTrayShares([a, b]: readonly [CountedArm, CountedArm]) {
  const shares = ({ id, trays }: CountedArm): TrialArm => ({ id, trays: trays.map((t) => ({ id: t.id, values: [t.x / t.n] })) });
  const seeds = ({ id, trays }: CountedArm): TrialArm => ({
    id,
    trays: trays.map((t) => ({ id: t.id, values: Array.from({ length: t.n }, (_, i) => Number(i < t.x)) })),
  });
  const pooled = ({ trays }: CountedArm): Counted => ({ x: sum(trays.map((t) => t.x)), n: sum(trays.map((t) => t.n)) });
  const by = compareTwoArms([shares(a), shares(b)]);
  const naive = newcombe(pooled(a), pooled(b));
  const { icc, deff, ess } = likenessWithin([seeds(a), seeds(b)]);
  return {
    trayP: by.trayMeans,
    armMean: by.armMean,
    diff: by.diff,
    welchLo: by.welchLo,
    welchHi: by.welchHi,
    permCount: by.permCount,
    permP: by.permP,
    permPMin: by.permPMin,
    naiveDiff: naive.diff,
    naiveNewcombeLo: naive.lo,
    naiveNewcombeHi: naive.hi,
    naiveFisherP: fisher(pooled(a), pooled(b)),
    icc,
    deff,
    ess,
  };
}

/** Pairs of trays, B against A, taken together. Mantel & Haenszel 1959; Robins, Breslow & Greenland 1986; Sato 1989. */
export function compareStrata(strata: readonly { readonly a: Counted; readonly b: Counted }[]) {
  const cells = strata.map(({ a: { x: y, n: n0 }, b: { x, n: n1 } }) => ({ x, y, n1, n0, N: n1 + n0, a: x, b: n1 - x, c: y, d: n0 - y }));
  const R = sum(cells.map((k) => (k.a * k.d) / k.N));
  const S = sum(cells.map((k) => (k.b * k.c) / k.N));
  const or = R === 0 || S === 0 ? null : R / S;
  const half =
    or === null
      ? null
      : Z *
        Math.sqrt(
          sum(cells.map((k) => (((k.a + k.d) / k.N) * (k.a * k.d)) / k.N)) / (2 * R * R) +
            sum(cells.map((k) => (((k.a + k.d) / k.N) * (k.b * k.c)) / k.N + (((k.b + k.c) / k.N) * (k.a * k.d)) / k.N)) / (2 * R * S) +
            sum(cells.map((k) => (((k.b + k.c) / k.N) * (k.b * k.c)) / k.N)) / (2 * S * S),
        );
  const W = sum(cells.map((k) => (k.n1 * k.n0) / k.N));
  const rd = sum(cells.map((k) => (k.x * k.n0 - k.y * k.n1) / k.N)) / W;
  const P = sum(cells.map((k) => (k.n1 ** 2 * k.y - k.n0 ** 2 * k.x + (k.n1 * k.n0 * (k.n0 - k.n1)) / 2) / k.N ** 2));
  const Q = sum(cells.map((k) => (k.x * (k.n0 - k.y) + k.y * (k.n1 - k.x)) / (2 * k.N)));
  const rdHalf = Z * Math.sqrt(Math.max(0, rd * P + Q) / W ** 2);
  const hits = cells.map((k) => k.x + k.y);
  const away = Math.abs(sum(cells.map((k) => k.x)) - sum(cells.map((k, i) => (k.n1 * hits[i]!) / k.N)));
  const V = sum(cells.map((k, i) => (k.n1 * k.n0 * hits[i]! * (k.N - hits[i]!)) / (k.N ** 2 * (k.N - 1))));
  const [chi2, chi2Cc] = V === 0 ? [null, null] : [away ** 2 / V, Math.max(0, away - 0.5) ** 2 / V];
  return {
    orMh: or,
    orLo: or === null ? null : or * Math.exp(-half!),
    orHi: or === null ? null : or * Math.exp(half!),
    rdMh: rd,
    rdLo: rd - rdHalf,
    rdHi: rd + rdHalf,
    chi2,
    chi2P: chi2 === null ? null : chi2Upper(chi2),
    chi2Cc,
    chi2CcP: chi2Cc === null ? null : chi2Upper(chi2Cc),
    exactP: exactOfStrata(cells, hits),
  };
}

/** The distributions of the strata folded into each other. It takes seeds of a tray for independent. */
function exactOfStrata(cells: readonly { x: number; n1: number; n0: number }[], hits: readonly number[]): number {
  let from = 0;
  let chance: number[] = [1];
  cells.forEach(({ n1, n0 }, i) => {
    const next = hypergeometric(hits[i]!, n1, n0);
    const folded = Array<number>(chance.length + next.chance.length - 1).fill(0);
    chance.forEach((p, a) => next.chance.forEach((q, b) => (folded[a + b]! += p * q)));
    from += next.from;
    chance = folded;
  });
  return upTo(chance, chance[sum(cells.map((k) => k.x)) - from]!);
}
