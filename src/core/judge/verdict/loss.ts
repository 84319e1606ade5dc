import type { Stage } from '../../things/crop/Crop';
import type { Ppfd, Share } from '../../units/quantities';
import {
  clearDayOf,
  daylightDli,
  isFromOneSide,
  receivedIn,
  strongestBeside,
  usualBesideLamps,
  type LightDay,
  type Received,
} from '../dli/LightDay';
import { dliSpreadOf } from '../dli/dliSpread';
import { shareBetween, type LightSpread } from '../dli/LightSpread';
import { lampBandOf } from '../dli/lightBand';
import { MOL_SECONDS } from '../dli/dli';
import { CELLS_OF_TRAY, overTray } from '../../site/stand/nineSpots';
import { breachesOf, depthOf, type Breach, type HardLimits } from './hardLimits';
import { bearingOf, scorches, scorchingPpfd } from './scorch';

/**
 * Weights of what is wrong with a tray, against a dose that is off by a factor e over all of it: our choice. A place out of band
 * counts by itself and by how far it is off; the weakest and the strongest spot count once more, since that is where plants fail
 * first; the mean a little, so that of two that suit the better one wins.
 */
const OUT_OF_BAND = 1.2;
const ENDS = 0.25;
const OFF_TARGET = 0.1;
/** A limit that is broken outweighs anything that could be gained by it. */
export const BREACH = 1000;
/** Hours short of the shortest day that is usual for a crop, each. */
const PER_HOUR_SHORT = 0.15; // our estimate

const over = (value: number, most: number) => (value > most && value > 1e-6 ? Math.log(value / Math.max(1e-6, most)) : 0);

/**
 * How far a tray is from right on a day; 0 when every leaf gets the best dose. Used to rank whatever is offered, by advice,
 * timers, charts and the solver alike, so that they agree on what comes nearest when nothing suits.
 */
export function lossOf(light: LightSpread, stage: Stage, limits: HardLimits, day: LightDay, on = lightOn(light, limits, day)): number {
  return wrongIn(light, stage, limits, day, on) + offTargetOf(light, stage, day);
}

/** What the light of a tray comes to on a day, and which limits that breaks: for those who judge it by more than one measure. */
export interface LightOn {
  readonly doses: ReturnType<typeof dliSpreadOf>;
  readonly received: Received;
  readonly breaches: readonly Breach[];
}

export function lightOn(light: LightSpread, limits: HardLimits, day: LightDay): LightOn {
  const doses = dliSpreadOf(light, day);
  const received = receivedIn(doses, light, day);
  return { doses, received, breaches: breachesOf(received, limits) };
}

/** A little for a mean that is not the crop's best, so that of two that suit the better one wins. */
export function offTargetOf({ mean }: Pick<LightSpread, 'mean'>, stage: Stage, day: LightDay): number {
  const dose = mean * (day.lit_min / 60) * MOL_SECONDS + daylightDli(day);
  return OFF_TARGET * Math.abs(Math.log(Math.max(1e-6, dose) / stage.dliTarget));
}

/** How much is wrong with the light of a tray on a day; 0 within its band and its limits, wherever within. */
export function wrongIn(light: LightSpread, stage: Stage, limits: HardLimits, day: LightDay, on = lightOn(light, limits, day)): number {
  const { doses, received, breaches } = on;
  const { parts } = doses;
  let off = 0;
  for (const dose of parts) off += over(stage.dliMin, dose) + over(dose, stage.dliMax);
  const share = shareInBand(light, stage, day, doses);
  const ends =
    over(stage.dliMin, received.weakest) + Math.max(over(received.strongest, stage.dliMax), over(received.litPpfd, limits.strongest));
  let breach = 0;
  for (const b of breaches) breach += 0.2 + depthOf(b);
  const short = Math.max(0, stage.hoursMin - received.photoperiod);
  return off / parts.length + OUT_OF_BAND * (1 - share) + ENDS * ends + PER_HOUR_SHORT * short + BREACH * breach;
}

/** Of the area of a tray, by its spread, how much is within the band on a day, lamps and daylight together. @param doses of both, where they are known */
export function shareInBand(light: LightSpread, stage: Stage, day: LightDay, doses = dliSpreadOf(light, day)): Share {
  if (!light.nine || !isFromOneSide(day)) return shareOfEven(stage, day, (low, high) => shareBetween(light, low, high));
  const ofDose = shareBetween(doses, stage.dliMin, stage.dliMax);
  // What is too strong is mostly what has too high a dose as well.
  const least = Math.min(ofDose, unscorched(day, stage));
  if (day.lit_min <= 0) return least;
  // Where lamps and daylight are strongest differs: as much as the strongest spot of both is below the sum of the strongest of each.
  const beside = strongestBeside(light, usualBesideLamps(day), day.daylight?.course?.nine) - light.strongest;
  return Math.min(least, shareBetween(light, 0, stage.ppfdMax - beside));
}

/** Of the area of a tray, how much is never scorched by daylight alone. */
function unscorched(day: LightDay, stage: Stage): Share {
  const clear = clearDayOf(day);
  if (!scorches(clear, bearingOf(stage))) return 1;
  const shares = day.daylight?.course?.nineClear;
  if (!shares) return 0;
  overTray(shares, cells);
  return cells.filter((share) => share * clear.noonPpfd <= scorchingPpfd(bearingOf(stage))).length / cells.length;
}
const cells = new Float64Array(CELLS_OF_TRAY);

/** The same where daylight is alike everywhere. @param share of the area between two strengths of the lamps */
export function shareOfEven(stage: Stage, day: LightDay, share: (low: Ppfd, high: Ppfd) => Share): Share {
  const more = daylightDli(day);
  if (scorches(clearDayOf(day), bearingOf(stage))) return 0;
  if (day.lit_min <= 0) return more >= stage.dliMin && more <= stage.dliMax ? 1 : 0;
  const { low, high } = lampBandOf(stage, day);
  return low > high ? 0 : share(low, high);
}
