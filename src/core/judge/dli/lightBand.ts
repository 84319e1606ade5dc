import type { Stage } from '../../things/crop/Crop';
import type { Hours, Ppfd } from '../../units/quantities';
import { MOL_SECONDS, ppfdFor } from './dli';
import { daylightDli, usualBesideLamps, type LightDay } from './LightDay';

/** What a strength of light means to a crop at the given hours: below `low` too dim, above `high` too strong. */
export interface LightBand {
  readonly low: Ppfd;
  readonly target: Ppfd;
  readonly high: Ppfd;
  /** Whether the dose or the leaf's own ceiling makes the upper end. */
  readonly highBy: 'dose' | 'strength';
}

/**
 * The band of PPFD that suits a stage when the lamp burns so many hours.
 * `low` may exceed `high`: then the day is too short for any strength to suit.
 */
export function lightBandOf(stage: Stage, hours: Hours): LightBand {
  const byDose = ppfdFor(stage.dliMax, hours);
  return {
    low: ppfdFor(stage.dliMin, hours),
    target: Math.min(ppfdFor(stage.dliTarget, hours), stage.ppfdMax),
    high: Math.min(byDose, stage.ppfdMax),
    highBy: byDose <= stage.ppfdMax ? 'dose' : 'strength',
  };
}

/**
 * The band of PPFD that the lamps have to give on a day: what daylight adds to the dose and to the strength is off already.
 * Where daylight alone is enough, `low` is 0; where it is too much already, no strength suits.
 */
export function lampBandOf(stage: Stage, day: LightDay): LightBand {
  const hours = day.lit_min / 60;
  const dose = daylightDli(day);
  if (dose === 0) return lightBandOf(stage, hours);
  const k = hours * MOL_SECONDS;
  const forDose = (wanted: number) => (wanted - dose > 0 ? (k > 0 ? (wanted - dose) / k : Infinity) : 0);
  const byStrength = stage.ppfdMax - usualBesideLamps(day);
  const byDose = stage.dliMax < dose ? -1 : forDose(stage.dliMax);
  return {
    low: forDose(stage.dliMin),
    target: Math.max(0, Math.min(forDose(stage.dliTarget), byStrength)),
    high: Math.min(byDose, byStrength),
    highBy: byDose <= byStrength ? 'dose' : 'strength',
  };
}
