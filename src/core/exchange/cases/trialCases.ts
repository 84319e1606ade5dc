import { comparePairs, compareBlocks, compareCrossed, compareLatin, compareRotated, compareSwapped } from '../../judge/trial/blocks';
import { compareShares, compareStrata, compareTrayShares, type Counted } from '../../judge/trial/counts';
import { doseDirection, fitDose, type DoseModel } from '../../judge/trial/doseCurve';
import { compareEfficiency, meteredEfficiency, type EfficiencyArm } from '../../judge/trial/efficiency';
import { compareManyArms } from '../../judge/trial/manyArms';
import {
  detectable,
  detectableInPairs,
  leastPOf,
  statisticalPowerOf,
  traysNeeded,
  trayScatter,
  type Layout,
} from '../../judge/trial/power';
import { reviewDesign, type Design, type DesignArm } from '../../judge/trial/reviewDesign';
import { comparePairedScores, compareScores, triangle } from '../../judge/trial/taste';
import { comparePlants, compareTwoArms, farOff, likenessWithin, without, type TrialArm } from '../../judge/trial/twoArms';
import { answerAll, numberOf, CaseError, type CaseAnswer, type Case } from './Case';

/** Answers a file of questions about trials: what a comparison of trays shows, and what it cannot. See docs/cases.md. */
export function trialCases(file: Readonly<Record<string, unknown>>): Record<string, CaseAnswer> {
  if (!Array.isArray(file.cases)) throw new RangeError('The file must hold a list “cases”.');
  const cases = Object.fromEntries((file.cases as Case[]).map((c) => [String(c.id), c]));
  return answerAll(cases, (given) => {
    const kind = KINDS[String(given.kind)];
    if (!kind) throw new CaseError(`kind must be one of ${Object.keys(KINDS).join(', ')}`);
    return snake(kind(thing(given, 'input')));
  });
}

const thing = (given: Case, field: string): Case => {
  const value = given[field];
  if (typeof value !== 'object' || value === null || Array.isArray(value)) throw new CaseError(`${field} must be an object`);
  return value as Case;
};
const things = (given: Case, field: string): Case[] => {
  const value = given[field];
  if (!Array.isArray(value) || value.some((v) => typeof v !== 'object' || v === null))
    throw new CaseError(`${field} must be a list of objects`);
  return value as Case[];
};
const maybe = (value: unknown): number | null => (typeof value === 'number' && Number.isFinite(value) ? value : null);
const text = (value: unknown) => (typeof value === 'string' ? value : typeof value === 'number' ? String(value) : null);
const numbers = (given: Case, field: string): number[] => {
  const value = given[field];
  if (!Array.isArray(value)) throw new CaseError(`${field} must be a list of numbers`);
  return value.map(maybe).filter((v) => v !== null);
};

/** Fields as such files write them. */
function snake(answer: object): CaseAnswer {
  return Object.fromEntries(
    Object.entries(answer).map(([k, v]) => [k === 'F' ? k : (NAMES[k] ?? k.replace(/[A-Z]/g, (c) => `_${c.toLowerCase()}`)), v]),
  );
}
const NAMES: Readonly<Record<string, string>> = { canReach05: 'can_reach_05' };

function armsOf(given: Case): TrialArm[] {
  return things(given, 'arms').map((arm) => ({
    id: text(arm.id) ?? '',
    trays: things(arm, 'trays').map((t) => ({
      id: text(t.id) ?? '',
      values: Array.isArray(t.values) ? t.values.map(maybe) : [maybe(t.value)],
    })),
  }));
}

function two<T>(list: readonly T[]): readonly [T, T] {
  if (list.length !== 2) throw new CaseError('arms must be two');
  return [list[0]!, list[1]!];
}

/** Nothing sown, or not counted: no tray. */
const isCounted = (c: Case) => maybe(c.germinated) !== null && (maybe(c.sown) ?? 0) > 0;
const counted = (c: Case): Counted => ({ x: numberOf(c, 'germinated', 0), n: numberOf(c, 'sown', 1) });
const scatterOf = (g: Case) => ({
  between: numberOf(g, 'sd_between', 0),
  within: numberOf(g, 'sd_within', 0),
  plants: numberOf(g, 'plants_per_tray', 1),
});
const doses = (g: Case) => things(g, 'points').map((p) => ({ dli: numberOf(p, 'dli'), y: numberOf(p, 'y') }));

const KINDS: Readonly<Record<string, (given: Case) => object>> = {
  two_arm(given) {
    const arms = two(armsOf(given));
    const byTray = compareTwoArms(arms);
    if (given.level === 'tray') return byTray;
    const outliers = farOff(arms);
    return {
      ...byTray,
      ...comparePlants(arms),
      ...likenessWithin(arms),
      outliers,
      diffWithoutFlagged: compareTwoArms(two(without(arms, outliers))).diff,
    };
  },
  many_arms: (given) => compareManyArms(armsOf(given)),
  paired: (given) => comparePairs(things(given, 'pairs').map((p) => ({ a: maybe(p.A), b: maybe(p.B) }))),
  blocked: (given) =>
    compareBlocks(
      things(given, 'blocks').map((b) => ({ a: Array.isArray(b.A) ? numbers(b, 'A') : [], b: Array.isArray(b.B) ? numbers(b, 'B') : [] })),
    ),
  swap: (given) =>
    compareSwapped(
      things(given, 'shelves').map((s) => ({
        id: text(s.id) ?? '',
        weeks: things(s, 'weeks').map((w) => ({
          bSide: w.B_side === 'left' ? ('left' as const) : ('right' as const),
          a: maybe(w.A),
          b: maybe(w.B),
        })),
      })),
    ),
  crossover: (given) =>
    compareCrossed(
      things(given, 'trays').map((t) => ({ seq: t.seq === 'BA' ? ('BA' as const) : ('AB' as const), p1: maybe(t.p1), p2: maybe(t.p2) })),
    ),
  latin: (given) =>
    compareLatin(
      numberOf(given, 'k', 2, 6),
      things(given, 'cells').map((c) => ({ row: numberOf(c, 'row'), col: numberOf(c, 'col'), arm: String(c.arm), y: maybe(c.y) })),
    ),
  rotation: (given) => {
    const found = compareRotated(setsOf(given));
    // With two arms there is one comparison; it is given by itself.
    return Object.fromEntries(Object.entries(found).map(([k, v]) => [k, Array.isArray(v) && k !== 'armMean' && v.length === 1 ? v[0] : v]));
  },
  two_proportions(given) {
    const [a, b] = two(things(given, 'arms'));
    return compareShares(counted(a), counted(b));
  },
  proportions_trays(given) {
    const arms = things(given, 'arms').map((a) => ({
      id: text(a.id) ?? '',
      trays: things(a, 'trays')
        .filter(isCounted)
        .map((t) => ({ id: text(t.id) ?? '', ...counted(t) })),
    }));
    return compareTrayShares(two(arms));
  },
  mantel_haenszel(given) {
    const of = (s: Case, arm: string): Counted => {
      const [x, n] = numbers(s, arm);
      if (x === undefined || n === undefined) throw new CaseError(`${arm} must be two numbers`);
      return { x, n };
    };
    return compareStrata(things(given, 'strata').map((s) => ({ a: of(s, 'A'), b: of(s, 'B') })));
  },
  scores_paired: (given) =>
    comparePairedScores(
      things(given, 'tasters').map((t) => ({ a: Array.isArray(t.A) ? numbers(t, 'A') : [], b: Array.isArray(t.B) ? numbers(t, 'B') : [] })),
    ),
  scores_unpaired: (given) => compareScores(numbers(given, 'A'), numbers(given, 'B')),
  triangle: (given) => triangle(numberOf(given, 'tests', 1), numberOf(given, 'correct', 0)),
  known_input(given) {
    const arms = things(given, 'arms').map((a): EfficiencyArm => {
      const days = numberOf(a, 'days', 0);
      return {
        kwh: (numberOf(a, 'watts', 0) / 1000) * numberOf(a, 'share', 0, 1) * numberOf(a, 'hours', 0, 24) * days,
        mol: numberOf(a, 'dli', 0) * numberOf(a, 'area_m2', 0) * days,
        grams: Array.isArray(a.grams) ? a.grams.map(maybe) : [],
      };
    });
    return compareEfficiency(two(arms));
  },
  metered: (given) => meteredEfficiency(things(given, 'trays').map((t) => ({ grams: maybe(t.grams), kwh: maybe(t.kwh) }))),
  mdd: (given) =>
    detectable(
      numberOf(given, 'trays_a', 0),
      numberOf(given, 'trays_b', 0),
      scatterOf(given),
      numberOf(given, 'power', 0, 1),
      numberOf(given, 'alpha', 0, 1),
    ),
  trays_needed: (given) =>
    traysNeeded(numberOf(given, 'difference'), scatterOf(given), {
      power: numberOf(given, 'power', 0, 1),
      alpha: numberOf(given, 'alpha', 0, 1),
      most: numberOf(given, 'max_trays', 2, 1e5),
    }),
  power(given) {
    const tau = trayScatter(scatterOf(given));
    return {
      sdTrayMean: tau,
      power: statisticalPowerOf(
        numberOf(given, 'difference'),
        numberOf(given, 'trays_a', 0),
        numberOf(given, 'trays_b', 0),
        tau,
        numberOf(given, 'alpha', 0, 1),
      ),
    };
  },
  paired_mdd: (given) =>
    detectableInPairs(
      numberOf(given, 'pairs', 0),
      numberOf(given, 'sd_diff', 0),
      numberOf(given, 'power', 0, 1),
      numberOf(given, 'alpha', 0, 1),
    ),
  perm_min: (given) => leastPOf(layoutOf(given)),
  fit_exp: (given) => fitDose('exp' as DoseModel, doses(given), numberOf(given, 'new_dli')),
  fit_mm: (given) => fitDose('mm' as DoseModel, doses(given), numberOf(given, 'new_dli')),
  direction: (given) => doseDirection(doses(given)),
  design_review: (given) => reviewDesign(designOf(given)),
};

function layoutOf(given: Case): Layout {
  if (given.design === 'latin') return { kind: 'latin', order: numberOf(given, 'k', 2, 6) };
  if (Array.isArray(given.blocks)) return { kind: 'blocked', blocks: given.blocks as number[][] };
  // Whatever it is called: a list of numbers is the trays of each arm.
  const trays = Object.values(given).find((v) => Array.isArray(v) && v.every((n) => typeof n === 'number'));
  if (Array.isArray(trays)) return { kind: 'unblocked', trays: trays as number[] };
  // Pairs, shelves whose sides are swapped, sets that rotate: signs are turned, one for each.
  const pairs = [given.pairs, given.shelves, given.sets].find((n) => typeof n === 'number');
  if (pairs !== undefined) return { kind: 'blocked', blocks: Array.from({ length: pairs as number }, () => [1, 1]) };
  return { kind: 'unblocked', trays: [numberOf(given, 'trays_a', 0), numberOf(given, 'trays_b', 0)] };
}

/** Sets of trays that wander over the places, however they are listed: by arm, or cell by cell. */
function setsOf(given: Case): Record<string, number[]>[] {
  const sets = Array.isArray(given.sets) ? things(given, 'sets') : [given];
  return sets.map((set) => {
    const of: Record<string, number[]> = {};
    const put = (arm: string, value: unknown) => {
      const y = maybe(value);
      if (y !== null) (of[arm] ??= []).push(y);
    };
    const lists = [set.cells, set.trays, set.places, set.weeks, set.arms].find(Array.isArray) as Case[] | undefined;
    for (const cell of lists ?? []) {
      const arm = text(cell.arm) ?? text(cell.id);
      const values = [cell.values, cell.y, cell.value, cell.places].find((v) => v !== undefined);
      if (arm !== null && Array.isArray(values))
        values.forEach((v) => put(arm, typeof v === 'object' && v !== null ? ((v as Case).y ?? (v as Case).value) : v));
      else if (arm !== null && values !== undefined) put(arm, values);
      else for (const [k, v] of Object.entries(cell)) if (/^[A-Z]$/.test(k)) put(k, v);
    }
    if (!lists)
      for (const [k, v] of Object.entries(set.arms ?? set)) if (/^[A-Z]$/.test(k)) (Array.isArray(v) ? v : [v]).forEach((x) => put(k, x));
    return of;
  });
}

/** The arms that a deviation names, or all. */
function armsNamed(d: Case, arms: readonly Case[]): string[] {
  if (Array.isArray(d.arms)) return d.arms.map(String);
  const named = text(d.arms) ?? text(d.arm) ?? '';
  return named === 'all' ? arms.map((a) => String(a.id)) : [named];
}

function designOf(given: Case): Design {
  const declared = thing(given, 'declared');
  const outcome = thing(given, 'outcome');
  return {
    declared: String(declared.factor) as Design['declared'],
    equalDose: declared.equal_dose === true,
    doseBy: typeof declared.dose_by === 'string' ? (declared.dose_by as Design['doseBy']) : null,
    unit: given.replicate_unit === 'plant' ? 'plant' : 'tray',
    selection: String(given.selection) as Design['selection'],
    outcome: {
      kind: outcome.kind === 'scored' ? 'scored' : outcome.kind === 'counted' ? 'counted' : 'measured',
      isBlind: typeof outcome.blind === 'boolean' ? outcome.blind : null,
      isFixed: outcome.fixed !== false && outcome.name !== null,
    },
    isStopFixed: given.stop_rule_fixed === true,
    arePlacesRotated: given.positions_rotated === true,
    deviations: things(given, 'deviations').map((d) => ({ arms: armsNamed(d, things(given, 'arms')) })),
    arms: things(given, 'arms').map((a): DesignArm => ({
      id: String(a.id),
      lamp: text(a.lamp) ?? '',
      distance_m: maybe(a.distance_cm) === null ? null : maybe(a.distance_cm)! / 100,
      hours: maybe(a.hours),
      dli: maybe(a.predicted_dli),
      mat: typeof a.mat === 'boolean' ? a.mat : text(a.mat),
      cover: text(a.cover),
      medium: text(a.medium),
      container: text(a.container),
      position: text(a.position),
      sown: text(a.sown),
      crops: things(a, 'crops').map((c) => ({
        crop: String(c.crop),
        cultivar: text(c.cultivar),
        trays: numberOf(c, 'trays', 0),
        plants: numberOf(c, 'plants_per_tray', 0),
      })),
    })),
  };
}
