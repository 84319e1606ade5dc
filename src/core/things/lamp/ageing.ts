import type { Hours, Share } from '../../units/quantities';
import type { Lamp } from './Lamp';

export const AGE_VIEWS = ['new', 'now', 'end'] as const;
/** Which day of a lamp's life the light is shown for. */
export type AgeView = (typeof AGE_VIEWS)[number];

/** How old and how dusty the lamps of a tier are, and which day is shown. */
export interface Ageing {
  /** Hours burned; null: not known. */
  readonly used_h: number | null;
  /** Hours that it will have burned besides on the day that is shown: of a later day of the season alone, never kept. */
  readonly later_h?: number;
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
 * Hours after which a lamp gives no more than a share of its first output: `maintenance` turned round.
 *
 * @param share  over 0, at most 1
 * @returns Infinity for a lamp that does not fade
 */
export function hoursUntilFaded(lamp: Pick<Lamp, 'family' | 'life_h' | 'maintenanceAtEnd'>, share: Share): Hours {
  if (!(share > 0 && share <= 1)) throw new RangeError(`a share must be over 0 and at most 1, got ${share}`);
  if (share === 1) return 0;
  if (lamp.maintenanceAtEnd >= 1) return Infinity;
  const part = Math.log(share) / Math.log(lamp.maintenanceAtEnd);
  return lamp.life_h * (EARLY.test(lamp.family) ? part ** 2 : part);
}

/**
 * How far through its life a lamp of unknown age is taken to be: as likely at its beginning as at its end, so in the middle. Its
 * ends hold nine in ten such lamps.
 */
export const UNKNOWN_LIVED = { least: 0.05, expected: 0.5, most: 0.95 } as const;

/** Hours that a lamp has burned, or is expected to have burned. */
export const hoursBurned = ({ life_h }: Pick<Lamp, 'life_h'>, { used_h }: Pick<Ageing, 'used_h'>): number =>
  used_h ?? UNKNOWN_LIVED.expected * life_h;

/**
 * What the light of lamps is multiplied by for the day that is shown. Of unknown age the expected lamp stands for today: half
 * way through its life; how far it may be from that is left to the doubt.
 *
 * @param measured  readings were taken: they are of today, and the other days are reckoned from there
 */
export function outputFor(lamp: Pick<Lamp, 'family' | 'life_h' | 'maintenanceAtEnd'>, ageing: Ageing, measured: boolean): number {
  const { dirt, view, later_h = 0 } = ageing;
  const burned = hoursBurned(lamp, ageing);
  const today = maintenance(lamp, burned) * (1 - dirt);
  const shown = maintenance(lamp, burned + later_h) * (1 - dirt);
  const then = view === 'new' ? 1 : view === 'now' ? shown : lamp.maintenanceAtEnd * (1 - dirt);
  return measured ? then / today : then;
}
