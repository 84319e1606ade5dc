import type { Stage } from '../../things/crop/Crop';
import { DAYLIGHT_OFF } from '../../site/stand/Daylight';
import { lampBandOf, type LightBand } from '../dli/lightBand';
import { daylightAtSpots, daylightDli, receivedOf, usualBesideLamps, type LampSpots, type LightDay, type Received } from '../dli/LightDay';
import { MOL_SECONDS } from '../dli/dli';
import type { Dli, Ppfd, Share } from '../../units/quantities';
import type { Banded, Uncertainty } from '../uncertainty/Band';
import { addLogFactors, certaintyFor, deviationOf, logsOf, normalIn, WORLDS, type Certainty } from '../uncertainty/certainty';
import { HAND_ERROR_cm, type PerCentimetre } from '../uncertainty/uncertaintyOfDistance';
import { breachesOf, type Breach, type HardLimits } from './hardLimits';
import type { Spots } from '../dli/Spots';
import { saysOf, standingOf, type Says, type Standing } from './standing';

export interface Verdict extends Spots<Banded> {
  readonly says: Says;
  readonly standing: Standing;
  readonly certainty: Certainty;
  /** Of lamps as uncertain as these, how many would earn the same word. */
  readonly probability: Share;
  /** Doses and strength of lamps and daylight together, and how long it is light. */
  readonly received: Received;
  /** Limits that are broken; none where all is allowed. */
  readonly breaches: readonly Breach[];
  /** What the lamps have to give on this day. */
  readonly band: LightBand;
  /** The least that these plants need. */
  readonly lowDli: Dli;
  /** The most that is good for these plants in these hours, daylight included. */
  readonly highDli: Dli;
  /** The strongest spot is over the leaf's ceiling. */
  readonly strengthBinds: boolean;
  readonly hoursTooLong: boolean;
  readonly hoursTooShort: boolean;
  readonly shareInBand: Share;
}

/** A tray's light, and what is asked of it. */
export interface JudgeQuestion {
  readonly light: LampSpots;
  /** How much a centimetre nearer or farther changes each. */
  readonly perCm: Spots<PerCentimetre>;
  /** Of the area of the tray, how much is in band on this day. */
  readonly shareInBand: Share;
  readonly stage: Stage;
  readonly limits: HardLimits;
  readonly day: LightDay;
  /** Of the lamps and what is around them; distance and daylight have their own. */
  readonly uncertainties: readonly Uncertainty[];
}

/**
 * Judges a tray by its weakest and its strongest spot against what its crop needs, lamps and daylight together.
 *
 * Bands hold the truth nine times in ten, at each spot by itself; the certainty is the share of possible worlds in which the same
 * word would be said (certainty.test.ts holds both against a count through the light itself).
 */
export function judge(question: JudgeQuestion): Verdict {
  const { light, stage, limits, day } = question;
  const received = receivedOf(light, day);
  const says = saysOf(received, stage, limits);
  const { doses, same } = worldsOf(question, says);
  const bandOf = (spot: keyof Spots<Dli>): Banded => {
    const sorted = doses[spot].sort();
    return { value: received[spot], low: sorted[Math.floor(0.05 * WORLDS)]!, high: sorted[Math.ceil(0.95 * WORLDS) - 1]! };
  };
  const band = lampBandOf(stage, day);
  const breaches = breachesOf(received, limits);
  const inDay = (ppfd: Ppfd) => ppfd * (day.lit_min / 60) * MOL_SECONDS + daylightDli(day);
  return {
    says,
    standing: standingOf(says),
    certainty: certaintyFor(same),
    probability: same,
    weakest: bandOf('weakest'),
    mean: bandOf('mean'),
    strongest: bandOf('strongest'),
    received,
    breaches,
    band,
    lowDli: stage.dliMin,
    highDli: day.lit_min > 0 ? Math.min(stage.dliMax, inDay(Math.max(0, stage.ppfdMax - usualBesideLamps(day)))) : stage.dliMax,
    strengthBinds: breaches.some((b) => b.why !== 'day-too-long'),
    hoursTooLong: breaches.some((b) => b.why === 'day-too-long'),
    hoursTooShort: received.strongest > 0 && received.photoperiod < stage.hoursMin,
    shareInBand: question.shareInBand,
  };
}

/** Ways of doubt that are not in the list: the hand's error, and the sky. */
const HAND_WAY = 0;
const SKY_WAY = 1;
const BEAM_WAYS = [2, 3] as const;
const FIRST_WAY = 4;

/**
 * What the tray gets in each of the possible worlds: lamps that give more or less, hung a little nearer or farther, under other skies.
 *
 * @returns the doses, world by world, and the share of worlds in which the same is said
 */
function worldsOf({ light, perCm, stage, limits, day, uncertainties }: JudgeQuestion, says: Says) {
  // Factors are summed up as logarithms: a world costs a few exponentials however many the doubts are.
  const sums = () => new Float64Array(WORLDS);
  const common = sums();
  uncertainties.filter((d) => d.why !== 'beam-shape').forEach((d, i) => addLogFactors(common, FIRST_WAY + i, logsOf(d)));
  // Where a beam is stronger in the middle it is weaker at the rim: what is off there does not follow from what is off here.
  const [middle, rim] = BEAM_WAYS.map((way) => {
    const off = common.slice();
    for (const d of uncertainties) if (d.why === 'beam-shape') addLogFactors(off, way, logsOf(d));
    return off;
  }) as [Float64Array, Float64Array];
  const sky = sums();
  addLogFactors(sky, SKY_WAY, logsOf(day.daylight?.course?.off ?? DAYLIGHT_OFF));
  const perCm_log = { weakest: perNearer(perCm.weakest), mean: perNearer(perCm.mean), strongest: perNearer(perCm.strongest) };
  const more = daylightAtSpots(light, day);
  // Only daylight that differs from spot to spot asks where the lamps are strong.
  const nine = light.strongest > 0 && day.daylight?.course ? light.nine : undefined;
  const doses: Spots<Float64Array> = { weakest: sums(), mean: sums(), strongest: sums() };
  let same = 0;
  for (let world = 0; world < WORLDS; world++) {
    const nearer_cm = normalIn(world, HAND_WAY) * deviationOf(HAND_ERROR_cm);
    const at = (spot: keyof Spots<Ppfd>, off: Float64Array) =>
      light[spot] * Math.exp(off[world]! + (nearer_cm >= 0 ? nearer_cm * perCm_log[spot].nearer : -nearer_cm * perCm_log[spot].farther));
    const skies = Math.exp(sky[world]!);
    const [weakest, mean, strongest] = [at('weakest', rim), at('mean', common), at('strongest', middle)];
    // The strongest spot stays the strongest, whatever is off where.
    const received = receivedOf(
      {
        weakest: Math.min(weakest, strongest),
        mean: Math.min(Math.max(weakest, mean), Math.max(weakest, strongest)),
        strongest: Math.max(weakest, strongest),
        nine: nine?.map((v) => (v * strongest) / light.strongest),
      },
      day,
      { weakest: more.weakest * skies, mean: more.mean * skies, strongest: more.strongest * skies },
    );
    if (saysOf(received, stage, limits) === says) same++;
    doses.weakest[world] = received.weakest;
    doses.mean[world] = received.mean;
    doses.strongest[world] = received.strongest;
  }
  return { doses, same: same / WORLDS };
}

/** The logarithm of what one centimetre nearer and farther changes. */
const perNearer = ({ nearer, farther }: PerCentimetre) => ({
  nearer: Math.log(Math.max(1e-3, 1 + nearer)),
  farther: Math.log(Math.max(1e-3, 1 - farther)),
});
