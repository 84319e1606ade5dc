import { meterOf } from '../../things/meter/meterLibrary';
import type { Ppfd } from '../../units/quantities';
import { LUX_PER_FOOT_CANDLE } from '../../units/light';
import { distanceOf, type Reading } from '../../site/reading/Reading';
import type { ErrorHypothesis } from './ErrorHypothesis';

/** What would have been read if the sensor or the lamps had been otherwise than stated: over what falls there if all was as stated. */
export interface Otherwise {
  /** The sensor lay on the tier's floor; null: it did. */
  readonly onShelf: number | null;
  /** It was 5 cm lower, or 5 cm higher than stated. */
  readonly lower: number;
  readonly higher: number;
  /** One of the lamps was off: by lamp that was said to be lit. */
  readonly unlit: readonly number[];
  /** It was taken on another tier of the stand, at the like place. */
  readonly otherTiers: readonly number[];
}

/** Nearer than this to a lamp, its housing and the meter's own body take light away. */
const TOUCHING = 0.03; // m; our estimate

/**
 * How often each slip happens among readings by hand: our estimates. They only have to be right in their order, since a slip of
 * the range is off by ten and the scatter of a hand by a twentieth.
 */
const PRIORS = {
  range10: 0.012,
  range100: 0.004,
  unit: 0.006,
  fullScale: 0.3,
  daylight: 0.01,
  daylightMeasured: 0.002,
  shaded: 0.02,
  touching: 0.1,
  height: 0.006,
  /** The sensor laid on the shelf instead of held at the leaves: what beginners do. */
  onShelf: 0.018,
  /** One of several lamps off, or not plugged in. */
  unlit: 0.03,
  otherTier: 0.003,
} as const;

/**
 * What may have gone wrong with a reading, each slip with what it would do.
 *
 * @param luxPerUmol  of the mixture that falls there
 * @param otherwise   what the model says of other heights and lamps; null: not worked out
 */
export function hypothesesOf(reading: Reading, luxPerUmol: number, otherwise: Otherwise | null = null): ErrorHypothesis[] {
  const meter = meterOf(reading.kindId);
  const hypotheses: ErrorHypothesis[] = [];
  const mere = (why: ErrorHypothesis['why'], multiply: number, prior: number) =>
    hypotheses.push({ why, multiply, shift: -Math.log(multiply), spread: 0.03, prior });
  const vague = (why: ErrorHypothesis['why'], shift: number, spread: number, prior: number) =>
    hypotheses.push({ why, multiply: null, shift, spread, prior });
  if (meter.ranges.length > 1) {
    mere('range-reads-low', 10, PRIORS.range10);
    mere('range-reads-high', 1 / 10, 0.7 * PRIORS.range10);
    mere('range-reads-low', 100, PRIORS.range100);
    mere('range-reads-high', 1 / 100, 0.7 * PRIORS.range100);
    if (isFullScale(reading)) vague('full-scale', -0.8, 0.6, PRIORS.fullScale);
  }
  if (reading.unit === 'lx') {
    mere('foot-candles-read-as-lux', LUX_PER_FOOT_CANDLE, PRIORS.unit);
    mere('umol-read-as-lux', luxPerUmol, PRIORS.unit / 2);
  } else if (reading.unit === 'fc') mere('lux-read-as-foot-candles', 1 / LUX_PER_FOOT_CANDLE, PRIORS.unit);
  else mere('lux-read-as-umol', 1 / luxPerUmol, PRIORS.unit);
  vague('daylight', Math.log(2.2), 0.6, reading.dark > 0 ? PRIORS.daylightMeasured : PRIORS.daylight);
  vague('shaded-or-tilted', Math.log(0.55), 0.45, PRIORS.shaded);
  if (distanceOf(reading) < TOUCHING) vague('touching-the-lamp', Math.log(0.4), 0.5, PRIORS.touching);
  if (otherwise) {
    const wrong = (why: ErrorHypothesis['why'], ratio: number | null, spread: number, prior: number) => {
      // What would change nothing can't be told, and explains nothing.
      if (ratio !== null && ratio > 0 && Math.abs(Math.log(ratio)) > 0.12) vague(why, Math.log(ratio), spread, prior);
    };
    wrong('on-the-shelf', otherwise.onShelf, 0.04, PRIORS.onShelf);
    wrong('other-height', otherwise.lower, 0.1, PRIORS.height);
    wrong('other-height', otherwise.higher, 0.1, PRIORS.height);
    for (const ratio of otherwise.unlit) wrong('lamp-unlit', ratio, 0.04, PRIORS.unlit / otherwise.unlit.length);
    for (const ratio of otherwise.otherTiers) wrong('other-tier', ratio, 0.06, PRIORS.otherTier);
  }
  return hypotheses;
}

/** Whether a reading is at the end of one of its meter's ranges: then there may be more. */
function isFullScale({ kindId, value }: Pick<Reading, 'kindId' | 'value'>): boolean {
  return meterOf(kindId).ranges.some((r) => Math.abs(value - r) <= 0.01 * r);
}

/** Ratios for `Otherwise`, guarded against dark places. */
export const over = (there: Ppfd, stated: Ppfd): number => (stated > 0 ? there / stated : 0);
