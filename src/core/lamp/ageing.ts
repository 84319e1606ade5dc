import type { Share } from '../quantities';
import type { Lamp } from './Lamp';

export const AGE_VIEWS = ['new', 'now', 'end'] as const;
/** Which day of a lamp's life the light is shown for. */
export type AgeView = (typeof AGE_VIEWS)[number];

/** How old and how dusty the lamps of a tier are, and which day is shown. */
export interface Ageing {
  /** Hours burned; null: not known. */
  readonly used_h: number | null;
  /** Share of the light that dust on lamp and reflector takes. */
  readonly dirt: Share;
  readonly view: AgeView;
}

export const AS_NEW: Ageing = { used_h: null, dirt: 0, view: 'now' };

/**
 * Families that lose most of what they lose early: fluorescent and discharge lamps. The others fade evenly (in the
 * logarithm), as TM-21 projects LEDs.
 * Source: IES LM-80 and TM-21 for LEDs; Rea 2000 for the early fall of fluorescent and discharge lamps; the square root is ours.
 */
const EARLY = /^(T\d|CFL|MH|CMH|HPS)/;

/**
 * Share of its first output that a lamp still gives.
 *
 *     M = M_endᵖ⁽ʰ⁾,   p = h / life, or its square root where most is lost early
 *
 * @param hours  ≥ 0; beyond the stated life the curve goes on
 */
export function maintenance(lamp: Pick<Lamp, 'family' | 'life_h' | 'maintenanceAtEnd'>, hours: number): Share {
  if (!(hours >= 0)) throw new RangeError(`hours must be ≥ 0, got ${hours}`);
  const lived = hours / lamp.life_h;
  return lamp.maintenanceAtEnd ** (EARLY.test(lamp.family) ? Math.sqrt(lived) : lived);
}

/**
 * What the light of lamps is multiplied by for the day that is shown.
 *
 * @param measured  readings were taken: they are of today, and the other days are reckoned from there
 */
export function outputFor(
  lamp: Pick<Lamp, 'family' | 'life_h' | 'maintenanceAtEnd'>,
  { used_h, dirt, view }: Ageing,
  measured: boolean,
): number {
  // Of unknown age the box's figure stands for today; that it may have faded is left to the doubt.
  const today = (used_h === null ? 1 : maintenance(lamp, used_h)) * (1 - dirt);
  const then = view === 'new' ? 1 : view === 'now' ? today : lamp.maintenanceAtEnd * (1 - dirt);
  return measured ? then / today : then;
}
