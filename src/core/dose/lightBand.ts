import type { Stage } from '../crop/Crop';
import type { Hours, Ppfd } from '../quantities';
import { ppfdFor } from './dli';

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
