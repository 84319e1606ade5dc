import { fail, ok, type Result } from '../../units/result';
import type { Share } from '../../units/quantities';
import { LUX_PER_FOOT_CANDLE, type LightReading, type LightUnit } from '../../units/light';

/** The factor of a meter and what is left in doubt of it. */
export interface Match {
  readonly factor: number;
  /** Half-width of a nine-in-ten band. */
  readonly uncertainty: Share;
  /** Largest departure of a single pair from the factor. */
  readonly worst: Share;
}

/** A meter whose factor is outside of this is broken, or on another range or unit. */
const SANE = { low: 1 / 4, high: 4 } as const; // phones without a diffuser were found from 0.4 to 2; Gutierrez-Martinez et al. 2017

/**
 * Matches a meter against a known one, by what both showed at the same places.
 *
 *     factor = exp( mean of ln(known / own) )
 *
 * @param pairs        at least one; all of the same kind of light
 * @param knownUncertainty   of the known meter, half-width of a nine-in-ten band
 * @returns refused when the pairs contradict each other by more than a factor of 1.5, or the factor is not sane
 * Source: JCGM 100:2008 for the mean and its error.
 */
export function matchMeter(pairs: readonly { readonly own: number; readonly known: number }[], knownUncertainty: Share): Result<Match> {
  const used = pairs.filter((p) => p.own > 0 && p.known > 0);
  if (used.length === 0) return fail({ code: 'match/no-pairs', at: '' });
  const logs = used.map((p) => Math.log(p.known / p.own));
  const mean = logs.reduce((a, b) => a + b, 0) / logs.length;
  const factor = Math.exp(mean);
  if (factor < SANE.low || factor > SANE.high) return fail({ code: 'match/not-sane', at: '', found: factor });
  const worst = Math.max(...logs.map((l) => Math.abs(Math.exp(l - mean) - 1)));
  if (worst > 0.5)
    return fail({
      code: 'match/contradict',
      at: `pair ${logs.findIndex((l) => Math.abs(Math.exp(l - mean) - 1) === worst) + 1}`,
      found: worst,
    });
  // A single pair tells nothing of its scatter: then that of a hand.
  const scatter = logs.length > 1 ? 1.645 * Math.sqrt(logs.reduce((s, l) => s + (l - mean) ** 2, 0) / (logs.length - 1)) : 0;
  const uncertainty = Math.hypot(knownUncertainty, Math.max(0.05, scatter) / Math.sqrt(logs.length));
  return ok({ factor, uncertainty, worst });
}

/** Full sun above clear air: illuminance on a level face with the sun straight above, lx. */
const SUN_OVERHEAD_LUX = 127_500; // solar illuminance constant 133 800 lx, less what clear air takes at one air mass, direct and sky; Rea 2000
/** lx for each µmol of sunlight. Source: Thimijan & Heins 1983. */
const SUN_LUX_PER_UMOL = 54;
/** Clear skies differ by haze and vapour this much, half-width of a nine-in-ten band. */
const SKY_UNCERTAINTY: Share = 0.12; // Rea 2000, clear-sky daylight availability; rounded by us

/**
 * Light of a clear noon on a level face.
 *
 *     E = 127 500 lx · sin h · 0.88^(1/sin h − 1)
 *
 * @param sunHeight_deg  of the sun above the horizon, 15 … 90
 * @throws RangeError outside that range: a low sun is no standard
 * Error: ±12 % nine times in ten under a sky without cloud or haze.
 * Source: air mass as 1/sin h, transmittance of clear air per air mass 0.88 for global light; after Rea 2000.
 */
export function noonSun(sunHeight_deg: number, unit: LightUnit): { readonly value: number; readonly uncertainty: Share } {
  if (!(sunHeight_deg >= 15 && sunHeight_deg <= 90)) throw new RangeError(`the sun must stand between 15° and 90°, got ${sunHeight_deg}`);
  const s = Math.sin((sunHeight_deg * Math.PI) / 180);
  const lux = SUN_OVERHEAD_LUX * s * 0.88 ** (1 / s - 1);
  const value = unit === 'lx' ? lux : unit === 'fc' ? lux / LUX_PER_FOOT_CANDLE : lux / SUN_LUX_PER_UMOL;
  return { value, uncertainty: SKY_UNCERTAINTY };
}

/** Height of the sun at true noon: 90° − |latitude − declination|. @param day of the year, 1 … 366. Source: Cooper 1969, declination 23.45° sin(360°(284 + n)/365). */
export function noonHeight_deg(latitude_deg: number, day: number): number {
  const declination = 23.45 * Math.sin((2 * Math.PI * (284 + day)) / 365);
  return 90 - Math.abs(latitude_deg - declination);
}

/** The same light in the unit of another meter, both reading sunlight or both the same lamp. */
export function inUnit({ value, unit }: LightReading, wanted: LightUnit, luxPerUmol: number): number {
  const lux = unit === 'lx' ? value : unit === 'fc' ? value * LUX_PER_FOOT_CANDLE : value * luxPerUmol;
  return wanted === 'lx' ? lux : wanted === 'fc' ? lux / LUX_PER_FOOT_CANDLE : lux / luxPerUmol;
}
