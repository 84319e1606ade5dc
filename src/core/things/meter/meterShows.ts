import type { Meter } from './meterLibrary';
import type { Ppfd, Share } from '../../units/quantities';
import { LUX_PER_FOOT_CANDLE, type LightUnit } from '../../units/light';

/** The light at a point, as far as a meter can tell. */
export interface LightAtMeter {
  readonly ppfd: Ppfd;
  /** Of the mixture that falls there. */
  readonly luxPerUmol: number;
  /** Photons of 700–750 nm over those of 400–700 nm. */
  readonly farRed: number;
  /** Mean of (1 − cos θ) over the light that falls there: 0 from straight above, ⅓ from all over the sky. */
  readonly slant: Share;
}

/** What a meter shows: the number in its own unit, or that it is beyond its last range. */
export interface Shown {
  readonly value: number | null;
  readonly unit: LightUnit;
  readonly range: number;
}

/**
 * What a perfect meter of a kind would show, held level at a point: its response, its range, its error for slanting light.
 *
 *     shown = light · (1 − e₆₀ · slant / (1 − cos 60°))       what it misses grows with 1 − cos θ
 *
 * @returns null beyond its last range; otherwise rounded to its resolution, in the smallest range that holds it
 * Source: ISO/CIE 19476:2014 for the error terms; that it grows with 1 − cos θ is ours, exact at 0° and 60°.
 */
export function meterShows(meter: Meter, { ppfd, luxPerUmol, farRed, slant }: LightAtMeter): Shown {
  const lux = ppfd * luxPerUmol;
  const [full, unit] =
    meter.counts === 'lux'
      ? ([lux, 'lx'] as const)
      : meter.counts === 'foot-candles'
        ? ([lux / LUX_PER_FOOT_CANDLE, 'fc'] as const)
        : ([ppfd * (meter.counts === 'photons-and-far-red' ? 1 + farRed : 1), 'umol'] as const);
  const seen = full * Math.max(0, 1 - (meter.missesAt60 * slant) / 0.5);
  const range = meter.ranges.find((r) => seen <= r);
  if (range === undefined) return { value: null, unit, range: meter.ranges[meter.ranges.length - 1]! };
  return { value: Math.round(seen / meter.resolution) * meter.resolution, unit, range };
}
