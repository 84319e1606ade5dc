import type { Stage } from '../crop/Crop';
import type { Dli } from '../quantities';

/** Daylight on the plants of a tier, as the person states it: how much in a day, and from when to when. */
export interface Daylight {
  readonly dli: Dli;
  readonly from_min: number;
  readonly to_min: number;
}

/** A dose of nothing at all would make every band empty. */
const LEAST: Dli = 0.01;

/** What a stage asks of the lamps where daylight gives some of its dose already: its band less the daylight. */
export function lampShareOf(stage: Stage, daylight: Daylight | null): Stage {
  if (!daylight || daylight.dli <= 0) return stage;
  // To the ten-thousandth: what is shown is not full of nines.
  const less = (dose: Dli) => Math.max(0, Math.round((dose - daylight.dli) * 1e4) / 1e4);
  return {
    ...stage,
    dliMin: less(stage.dliMin),
    dliTarget: Math.max(LEAST, less(stage.dliTarget)),
    dliMax: Math.max(LEAST, less(stage.dliMax)),
  };
}

/**
 * How much of a day's daylight has come by a minute of the day: as half a sine wave between its ends, the usual shape of a clear
 * day.
 */
export function daylightBy({ dli, from_min, to_min }: Daylight, minute: number): Dli {
  const part = (minute - from_min) / Math.max(1, to_min - from_min);
  return part <= 0 ? 0 : part >= 1 ? dli : (dli * (1 - Math.cos(Math.PI * part))) / 2;
}
