import { assignments, dealTwo, mannWhitney, orderInterval } from './exact';
import { mean, median, present, sd, sum } from './moments';
import { welch } from './welch';

/** A tray with its plants; null: dead, not emerged, not weighed. */
export interface TrialTray {
  readonly id: string;
  readonly values: readonly (number | null)[];
}
export interface TrialArm {
  readonly id: string;
  readonly trays: readonly TrialTray[];
}

export type TwoArmStatus = 'no_data' | 'difference_only' | 'interval_only' | 'ok';

/** Smallest p that a test over two arms of trays can give at all. */
export const leastP = (nA: number, nB: number) => (nA === nB ? 2 : 1) / assignments([nA, nB]);

/** What is left of an arm: trays with a value, each by its mean. */
export function trayMeans(arm: TrialArm): { readonly id: string; readonly values: number[]; readonly mean: number }[] {
  return arm.trays.flatMap((t) => {
    const values = present(t.values);
    return values.length === 0 ? [] : [{ id: t.id, values, mean: mean(values)! }];
  });
}

/**
 * Compares two arms with the tray as the unit: plants of one tray share its place, water and lamp, and are no repeats of each other.
 * Beside it stands the wrong analysis, plant by plant, so that the difference can be shown. Conventions: test/cases/trials.md, section 1.
 *
 * @param arms  two; differences are of the second less the first
 */
export function compareTwoArms([armA, armB]: readonly [TrialArm, TrialArm]) {
  const [A, B] = [trayMeans(armA), trayMeans(armB)];
  const [a, b] = [A.map((t) => t.mean), B.map((t) => t.mean)];
  const base = {
    nTrays: [a.length, b.length],
    trayMeans: [a, b],
    armMean: [mean(a), mean(b)],
    armSd: [sd(a), sd(b)],
  };
  if (a.length === 0 || b.length === 0) return { ...base, ...NOTHING, status: 'no_data' as TwoArmStatus };
  const w = welch(a, b);
  const deal = dealTwo(a, b);
  const differences = b.flatMap((y) => a.map((x) => y - x)).sort((x, y) => x - y);
  const hl = orderInterval(differences, mannWhitney(a.length, b.length));
  const least = leastP(a.length, b.length);
  const status: TwoArmStatus = a.length < 2 || b.length < 2 ? 'difference_only' : least > 0.05 ? 'interval_only' : 'ok';
  return {
    ...base,
    diff: mean(b)! - mean(a)!,
    welchSe: w?.se ?? null,
    welchDf: w?.df ?? null,
    welchT: w?.t ?? null,
    welchP: w?.p ?? null,
    welchLo: w?.lo ?? null,
    welchHi: w?.hi ?? null,
    permCount: deal.count as number | null,
    permP: deal.p as number | null,
    permPMin: least as number | null,
    permPMinData: deal.least as number | null,
    hl: median(differences),
    hlLo: hl?.lo ?? null,
    hlHi: hl?.hi ?? null,
    hlConf: hl?.conf ?? null,
    status,
  };
}

const NOTHING = {
  diff: null, welchSe: null, welchDf: null, welchT: null, welchP: null, welchLo: null, welchHi: null,
  permCount: null, permP: null, permPMin: null, permPMinData: null, hl: null, hlLo: null, hlHi: null, hlConf: null,
} as const; // prettier-ignore

/** The wrong analysis: every plant taken for a repeat. Hurlbert 1984. */
export function comparePlants([armA, armB]: readonly [TrialArm, TrialArm]) {
  const [a, b] = [trayMeans(armA).flatMap((t) => t.values), trayMeans(armB).flatMap((t) => t.values)];
  const w = welch(a, b);
  return {
    naiveN: [a.length, b.length],
    naiveDiff: a.length > 0 && b.length > 0 ? mean(b)! - mean(a)! : null,
    naiveDf: w?.df ?? null,
    naiveP: w?.p ?? null,
    naiveLo: w?.lo ?? null,
    naiveHi: w?.hi ?? null,
  };
}

/** How alike the plants of a tray are, and how many plants that many are worth. Donner & Koval 1980; Kish 1965. */
export function likenessWithin(arms: readonly TrialArm[]) {
  const groups = arms.map(trayMeans);
  const full = groups.filter((g) => g.length > 0);
  const [a, K] = [full.length, sum(full.map((g) => g.length))];
  const M = sum(full.flatMap((g) => g.map((t) => t.values.length)));
  if (K === a || M === K)
    return { msBetween: null, msWithin: null, m0: null, icc: null, deff: null, ess: null, sdBetween: null, sdWithin: null };
  let between = 0;
  let within = 0;
  let unevenness = 0;
  for (const group of full) {
    const plants = group.flatMap((t) => t.values);
    const centre = mean(plants)!;
    for (const t of group) {
      between += t.values.length * (t.mean - centre) ** 2;
      within += sum(t.values.map((v) => (v - t.mean) ** 2));
    }
    unevenness += sum(group.map((t) => t.values.length ** 2)) / plants.length;
  }
  const [msBetween, msWithin] = [between / (K - a), within / (M - K)];
  const m0 = (M - unevenness) / (K - a);
  const denominator = msBetween + (m0 - 1) * msWithin;
  const icc = denominator === 0 ? null : (msBetween - msWithin) / denominator;
  const kept = icc === null ? null : Math.max(0, icc);
  const average = (trays: readonly { values: readonly number[] }[]) =>
    sum(trays.map((t) => t.values.length ** 2)) / sum(trays.map((t) => t.values.length));
  return {
    msBetween,
    msWithin,
    m0,
    icc,
    deff: kept === null ? null : 1 + (average(full.flat()) - 1) * kept,
    ess:
      kept === null || full.length < groups.length
        ? null
        : groups.map((g) => sum(g.map((t) => t.values.length)) / (1 + (average(g) - 1) * kept)),
    sdBetween: Math.sqrt(Math.max(0, (msBetween - msWithin) / m0)),
    sdWithin: Math.sqrt(msWithin),
  };
}

/** Plants that stand far from their own tray; they are named, and stay in. After Iglewicz & Hoaglin 1993, pooled over trays. */
export function farOff(arms: readonly TrialArm[]): string[] {
  const residuals = arms.flatMap((arm) =>
    arm.trays.flatMap((t) => {
      const kept = present(t.values);
      if (kept.length < 3) return [];
      const centre = median(kept)!;
      return t.values.flatMap((v, i) => (v === null ? [] : [{ id: `${t.id}#${i + 1}`, residual: v - centre }]));
    }),
  );
  const mad = median(residuals.map((r) => Math.abs(r.residual)));
  return mad === null || mad === 0 ? [] : residuals.filter((r) => Math.abs((0.6745 * r.residual) / mad) > 3.5).map((r) => r.id);
}

/** The arms without the plants that are named. */
export function without(arms: readonly TrialArm[], ids: readonly string[]): TrialArm[] {
  return arms.map((arm) => ({
    ...arm,
    trays: arm.trays.map((t) => ({ ...t, values: t.values.map((v, i) => (ids.includes(`${t.id}#${i + 1}`) ? null : v)) })),
  }));
}
