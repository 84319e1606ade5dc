import { fUpper } from './distributions';
import { dealMany, dealTwo } from './exact';
import { mean, sd, sum } from './moments';
import { trayMeans, type TrialArm } from './twoArms';
import { welch } from './welch';

/** Compares several arms, each with the first, trays as units; p of the pairs adjusted step down. Fisher 1935; Holm 1979. */
export function compareManyArms(arms: readonly TrialArm[]) {
  const groups = arms.map((a) => trayMeans(a).map((t) => t.mean));
  const all = groups.flat();
  const [k, N] = [groups.length, all.length];
  const centre = mean(all);
  const between = sum(groups.map((g) => g.length * ((mean(g) ?? 0) - (centre ?? 0)) ** 2));
  const within = sum(groups.map((g) => sum(g.map((v) => (v - mean(g)!) ** 2))));
  const isSound = groups.every((g) => g.length > 0) && N > k && within > 0;
  const f = isSound ? between / (k - 1) / (within / (N - k)) : null;
  const control = groups[0]!;
  const pairs = groups.slice(1).map((g) => {
    const isThere = control.length > 0 && g.length > 0;
    return { diff: isThere ? mean(g)! - mean(control)! : null, welch: welch(control, g), p: isThere ? dealTwo(control, g).p : null };
  });
  const deal = groups.every((g) => g.length > 0) ? dealMany(groups) : null;
  return {
    nTrays: groups.map((g) => g.length),
    armMean: groups.map(mean),
    armSd: groups.map(sd),
    anovaF: f,
    anovaP: f === null ? null : fUpper(f, k - 1, N - k),
    permCount: deal?.count ?? null,
    permP: deal?.p ?? null,
    diff: pairs.map((p) => p.diff),
    welchLo: pairs.map((p) => p.welch?.lo ?? null),
    welchHi: pairs.map((p) => p.welch?.hi ?? null),
    welchP: pairs.map((p) => p.welch?.p ?? null),
    pairPermP: pairs.map((p) => p.p),
    pairPermPHolm: holm(pairs.map((p) => p.p)),
  };
}

/** Step-down adjustment for several comparisons; nulls stay out. */
export function holm(ps: readonly (number | null)[]): (number | null)[] {
  const known = ps.flatMap((p, i) => (p === null ? [] : [{ p, i }])).sort((a, b) => a.p - b.p);
  const out: (number | null)[] = ps.map(() => null);
  let most = 0;
  known.forEach(({ p, i }, rank) => {
    most = Math.max(most, Math.min(1, p * (known.length - rank)));
    out[i] = most;
  });
  return out;
}
