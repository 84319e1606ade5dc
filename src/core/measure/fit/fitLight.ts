import { weighReading, type WeighedReading } from '../reading/ErrorHypothesis';
import type { Ppfd, Share } from '../../units/quantities';
import { basisOf, lightAt, meanReflectance, type LightBasis } from './basis';
import type { FitQuestion, FoundNumber } from './FitQuestion';
import { inverseOf } from './inverseOf';

/** What readings say of a tier: how strong its lamps are, how pale its sides, how wide its beams. */
export interface FitAnswer {
  /** By lamp: its output over that on its box. `told`: for itself; otherwise as all lamps together. */
  readonly scales: readonly FoundNumber[];
  /** Shift of the sides and their mean reflectance; null when they were not asked. */
  readonly sides: (FoundNumber & { readonly shift: number }) | null;
  /** Beam over that on the box; null when no lamp has one. */
  readonly beam: FoundNumber | null;
  /** Scatter of the honest readings about the fit. */
  readonly scatter: Share;
  readonly readings: readonly FittedReading[];
  /** How many numbers were freed. */
  readonly unknowns: number;
}

export interface FittedReading extends WeighedReading {
  readonly id: string;
  readonly ppfd: Ppfd;
  /** What the plan said before and says after. */
  readonly before: Ppfd;
  readonly after: Ppfd;
}

/** Chance that a reading is not honest, and over how many of ln it may then be found: for the search alone. */
const BAD = { chance: 0.05, over: 2 * Math.log(300) };
/** Readings that the usual scatter of a hand is worth when the scatter is estimated. */
const PRIOR_READINGS = 6;
const BEAM_DOUBT = 0.2; // of ln of the beam; boxes round and measure otherwise. Our estimate
/** A number is told when its readings narrow it to less than this share of what was known before. */
const TOLD = 0.6;

/** What is free: one scale for all or one for each lamp, the sides, the beam. */
interface Free {
  readonly each: boolean;
  readonly sides: boolean;
  readonly beam: boolean;
}

interface State {
  readonly logs: readonly number[];
  readonly shift: number;
  readonly beam: number;
  readonly cost: number;
}

/**
 * Fits lamps, sides and beams to readings.
 *
 * Each reading is honest, with a scatter, or it is not and may then show anything: so a bad one pulls at nothing. Sides and
 * beam are looked for over their whole range, the lamps' output by weighted least squares within; what the readings can't
 * tell apart stays as the plan has it, and adds its doubt to the rest.
 *
 * @param question  at least one reading
 * @returns standard errors from the curvature at the best place, by linearised least squares
 * @throws RangeError without a reading, or with one of a light ≤ 0
 * Source: mixture of good and bad data after Box & Tiao 1968, Biometrika 55:119; the rest is ours, held by cases/light-fit.json.
 */
export function fitLight(question: FitQuestion, onShare?: (done: number) => void): FitAnswer {
  const { readings, lamps, room, sides } = question;
  if (readings.length === 0) throw new RangeError('a fit needs readings');
  if (readings.some((r) => !(r.ppfd > 0))) throw new RangeError('a reading must be more than nothing');
  const places = readings.map(({ scene, x, y, z }) => ({ scene, x, y, z }));
  const basis = basisOf(question, places, onShare);
  const logs = readings.map((r) => Math.log(r.ppfd));
  const asks = { sides: room !== null && sides.length > 0, beam: lamps.some((l) => l.beamFwhm !== null) };

  const bears = (unknowns: number) => readings.length >= 2 * unknowns + 1;
  let free: Free = {
    sides: asks.sides && bears(2),
    beam: asks.beam && bears(asks.sides ? 3 : 2),
    each: lamps.length > 1 && bears(lamps.length + (asks.sides ? 1 : 0) + (asks.beam ? 1 : 0)),
  };
  let found = search(question, basis, logs, free);
  let errors = errorsOf(question, basis, logs, found);
  // What these readings do not tell is put back, the worst first, and the rest is looked for anew.
  for (;;) {
    const lost = (was: number, is: number) => is / was;
    const badly = [
      free.beam && { is: lost(BEAM_DOUBT, errors.beam), without: { ...free, beam: false } },
      free.sides && { is: lost(question.sidesUncertainty, errors.shift), without: { ...free, sides: false } },
      free.each && {
        is: Math.max(...lamps.map((l, g) => lost(l.uncertainty, errors.scale[g]!))),
        without: { ...free, each: false },
      },
    ]
      .filter((b) => b !== false)
      .filter((b) => b.is > TOLD)
      .sort((a, b) => b.is - a.is);
    if (badly.length === 0) break;
    free = badly[0]!.without;
    found = search(question, basis, logs, free);
    errors = errorsOf(question, basis, logs, found);
  }

  const scales = found.state.logs.map(Math.exp);
  const unit = basis.at(found.state.shift, found.state.beam);
  const plan = basis.at(0, 0);
  const meanAt = (shift: number) => (asks.sides ? meanReflectance(room!, sides, shift) : 0);
  const mean = meanAt(found.state.shift);
  return {
    scales: scales.map((value, g) => ({ value, error: errors.scale[g]!, told: free.each || lamps.length === 1 })),
    sides: asks.sides ? { value: mean, shift: found.state.shift, error: mean * (1 - mean) * errors.shift, told: free.sides } : null,
    beam: asks.beam ? { value: Math.exp(found.state.beam), error: errors.beam, told: free.beam } : null,
    scatter: found.scatter,
    unknowns: (free.each ? lamps.length : 1) + (free.sides ? 1 : 0) + (free.beam ? 1 : 0),
    readings: readings.map((r, i) => {
      const after = lightAt(unit, i, readings.length, scales);
      return {
        id: r.id,
        ppfd: r.ppfd,
        before: lightAt(plan, i, readings.length, lamps.map(() => 1)), // prettier-ignore
        after,
        ...weighReading(logs[i]! - Math.log(after), Math.hypot(found.scatter, r.place), r.hypotheses),
      };
    }),
  };
}

/** Looks over all sides and beams, then closer about the best, with the scatter that its readings show. */
function search(question: FitQuestion, basis: LightBasis, logs: readonly number[], free: Free): { state: State; scatter: Share } {
  let scatter = question.hand;
  let best: State | null = null;
  const limit = 3 * Math.min(1, question.sidesUncertainty) + 1.5;
  for (let round = 0; round < 3; round++) {
    const at = (shift: number, beam: number) => settleScales(question, basis, logs, free, shift, beam, scatter);
    const shifts = free.sides ? around(best?.shift ?? 0, round === 0 ? limit : 0.4, round === 0 ? 25 : 9) : [0];
    const beams = free.beam ? around(best?.beam ?? 0, round === 0 ? 0.65 : 0.1, round === 0 ? 9 : 5) : [0];
    best = null;
    for (const shift of shifts)
      for (const beam of beams) {
        const here = at(shift, beam);
        if (!best || here.cost < best.cost) best = here;
      }
    // Closer, in turns.
    for (let turn = 0; turn < 3; turn++) {
      const step = { shift: (free.sides ? 0.15 : 0) / 2 ** turn, beam: (free.beam ? 0.08 : 0) / 2 ** turn };
      if (step.shift > 0) best = lowest((v) => at(v, best!.beam), best!.shift, step.shift);
      if (step.beam > 0) best = lowest((v) => at(best!.shift, v), best!.beam, step.beam);
    }
    scatter = scatterOf(question, basis, logs, best!, scatter);
  }
  return { state: best!, scatter };
}

const around = (middle: number, half: number, count: number) =>
  Array.from({ length: count }, (_, i) => middle + half * ((2 * i) / (count - 1) - 1));

/** Golden section about a place. */
function lowest(cost: (value: number) => State, middle: number, half: number): State {
  let [low, high] = [middle - half, middle + half];
  let [a, b] = [high - 0.618 * (high - low), low + 0.618 * (high - low)];
  let [fa, fb] = [cost(a), cost(b)];
  for (let i = 0; i < 12; i++) {
    if (fa.cost < fb.cost) {
      high = b;
      [b, fb] = [a, fa];
      a = high - 0.618 * (high - low);
      fa = cost(a);
    } else {
      low = a;
      [a, fa] = [b, fb];
      b = low + 0.618 * (high - low);
      fb = cost(b);
    }
  }
  return fa.cost < fb.cost ? fa : fb;
}

/** How likely a residual is of an honest reading. */
function trust(residual: number, scatter: Share): { weight: number; cost: number } {
  const good = ((1 - BAD.chance) * Math.exp(-0.5 * (residual / scatter) ** 2)) / (scatter * Math.sqrt(2 * Math.PI));
  const bad = BAD.chance / BAD.over;
  return { weight: good / (good + bad), cost: -Math.log(good + bad) };
}

/** The outputs that fit best for given sides and beam. */
function settleScales(
  question: FitQuestion,
  basis: LightBasis,
  logs: readonly number[],
  free: Free,
  shift: number,
  beam: number,
  scatter: Share,
): State {
  const { lamps, readings } = question;
  const n = readings.length;
  const unit = basis.at(shift, beam);
  // From the middle of what the readings say one by one.
  const ratios = logs.map((l, i) => l - Math.log(lightAt(unit, i, n, lamps.map(() => 1)))).sort((a, b) => a - b); // prettier-ignore
  const start = (ratios[Math.floor((n - 1) / 2)]! + ratios[Math.ceil((n - 1) / 2)]!) / 2;
  let theta: number[] = lamps.map(() => start);
  const unknowns = free.each ? lamps.length : 1;
  for (let round = 0; round < 12; round++) {
    const scales = theta.map(Math.exp);
    const normal = Array.from({ length: unknowns }, (_, a) =>
      Array.from({ length: unknowns }, (_, b) => (a === b ? priorOf(question, free, a) : 0)),
    );
    const right = Array.from({ length: unknowns }, (_, a) => -priorOf(question, free, a) * theta[a]!);
    for (let i = 0; i < n; i++) {
      const whole = lightAt(unit, i, n, scales);
      const r = logs[i]! - Math.log(whole);
      const sd = Math.hypot(scatter, readings[i]!.place);
      const w = trust(r, sd).weight / sd ** 2;
      const j = free.each ? lamps.map((_, g) => (scales[g]! * unit[g * n + i]!) / whole) : [1];
      for (let a = 0; a < unknowns; a++) {
        right[a]! += w * j[a]! * r;
        for (let b = 0; b < unknowns; b++) normal[a]![b]! += w * j[a]! * j[b]!;
      }
    }
    const inverse = inverseOf(normal);
    const step = inverse.map((row) => row.reduce((sum, v, b) => sum + v * right[b]!, 0)).map((s) => Math.max(-0.7, Math.min(0.7, s)));
    theta = theta.map((t, g) => t + (free.each ? step[g]! : step[0]!));
    if (Math.max(...step.map(Math.abs)) < 1e-6) break;
  }
  const scales = theta.map(Math.exp);
  let cost = 0.5 * (question.sidesUncertainty > 0 ? shift / question.sidesUncertainty : 0) ** 2 + 0.5 * (beam / BEAM_DOUBT) ** 2;
  for (let a = 0; a < unknowns; a++) cost += 0.5 * priorOf(question, free, a) * theta[a]! ** 2;
  for (let i = 0; i < n; i++) cost += trust(logs[i]! - Math.log(lightAt(unit, i, n, scales)), Math.hypot(scatter, readings[i]!.place)).cost;
  return { logs: theta, shift, beam, cost };
}

const priorOf = ({ lamps }: FitQuestion, free: Free, g: number) =>
  1 / (free.each ? lamps[g]!.uncertainty : Math.max(...lamps.map((l) => l.uncertainty))) ** 2;

/** Scatter of the honest readings, with the usual one of a hand as a few readings more. */
function scatterOf(question: FitQuestion, basis: LightBasis, logs: readonly number[], state: State, before: Share): Share {
  const n = logs.length;
  const unit = basis.at(state.shift, state.beam);
  const scales = state.logs.map(Math.exp);
  let sum = PRIOR_READINGS * question.hand ** 2, count = PRIOR_READINGS; // prettier-ignore
  logs.forEach((l, i) => {
    const r = l - Math.log(lightAt(unit, i, n, scales));
    const { place } = question.readings[i]!;
    const { weight } = trust(r, Math.hypot(before, place));
    // What the place explains is not the hand's.
    sum += weight * Math.max(0, r * r - place ** 2);
    count += weight;
  });
  return Math.sqrt(sum / Math.max(1, count - 1));
}

/** Standard errors, each with all the others as unsure as they are: what is not free counts with the doubt that it had. */
function errorsOf(
  question: FitQuestion,
  basis: LightBasis,
  logs: readonly number[],
  { state, scatter }: { state: State; scatter: Share },
): { scale: number[]; shift: number; beam: number } {
  const { lamps, sidesUncertainty } = question;
  const n = logs.length;
  const scales = state.logs.map(Math.exp);
  const lnAt = (shift: number, beam: number) => {
    const unit = basis.at(shift, beam);
    return logs.map((_, i) => Math.log(lightAt(unit, i, n, scales)));
  };
  const unit = basis.at(state.shift, state.beam);
  const here = lnAt(state.shift, state.beam);
  const h = 0.05;
  const up = lnAt(state.shift + h, state.beam), down = lnAt(state.shift - h, state.beam); // prettier-ignore
  const wide = lnAt(state.shift, state.beam + h), narrow = lnAt(state.shift, state.beam - h); // prettier-ignore
  const jacobian = logs.map((_, i) => [
    ...lamps.map((_, g) => (scales[g]! * unit[g * n + i]!) / Math.exp(here[i]!)),
    (up[i]! - down[i]!) / (2 * h),
    (wide[i]! - narrow[i]!) / (2 * h),
  ]);
  const k = lamps.length + 2;
  const normal = Array.from({ length: k }, (_, a) =>
    Array.from({ length: k }, (_, b) => {
      if (a !== b) return 0;
      if (a < lamps.length) return 1 / lamps[a]!.uncertainty ** 2;
      return 1 / (a === lamps.length ? Math.max(1e-3, sidesUncertainty) : BEAM_DOUBT) ** 2;
    }),
  );
  logs.forEach((l, i) => {
    const sd = Math.hypot(scatter, question.readings[i]!.place);
    const w = trust(l - here[i]!, sd).weight / sd ** 2;
    for (let a = 0; a < k; a++) for (let b = 0; b < k; b++) normal[a]![b]! += w * jacobian[i]![a]! * jacobian[i]![b]!;
  });
  const covariance = inverseOf(normal);
  const error = (a: number) => Math.sqrt(covariance[a]![a]!);
  return { scale: lamps.map((_, g) => error(g)), shift: error(lamps.length), beam: error(k - 1) };
}
