import { LEFT_BY_MATCHING, meterErrorOf, meterOf } from '../../things/meter/meterLibrary';
import type { Ppfd } from '../../units/quantities';
import type { Uncertainty } from '../../judge/uncertainty/Band';
import { createCache, type Cache } from '../../light/scene/Cache';
import { convert, type Converted } from './convert';
import { lightThere, type LampOf, type LightThere } from './lightThere';
import type { Reading } from '../../site/reading/Reading';

/** One reading held against what the lamps' boxes say. */
export interface Compared {
  readonly reading: Reading;
  readonly there: LightThere;
  readonly converted: Converted;
  readonly measured: Ppfd;
  readonly nominal: Ppfd;
  /** measured over nominal */
  readonly ratio: number;
}

/** What readings say of a lamp: it gives `scale` times what its box says, with what doubt is left. */
export interface Calibration {
  readonly scale: number;
  /** The readings that it rests on. */
  readonly used: readonly Compared[];
  readonly uncertainties: readonly Uncertainty[];
  /** Whether a fit of the whole tier says so, or the middle of the readings alone. */
  readonly fitted: boolean;
}

/** Scatter of a single reading by hand (place, level, height), as a half-width of a nine-in-ten band. */
export const HAND = 0.12; // ±0.04; our estimate, growers’ consensus

/** A kind of lamp must give this much of the light at a place for a reading there to say anything of it. */
const HAS_A_SAY = 0.25;

/** Lamps and walls of readings that are kept settled: readings of one tier are mostly lit alike. */
const LIT_ALIKE = 48;

/** Readings converted by the light at their place, and held against the boxes of the lamps that were lit. */
export function compare(readings: readonly Reading[], lampOf: LampOf, cache: Cache = createCache(LIT_ALIKE)): Compared[] {
  return readings.flatMap((reading) => {
    const there = lightThere(reading, lampOf, {}, cache);
    if (there.parts.length === 0) return [];
    const converted = convert(reading, there);
    return [{ reading, there, converted, measured: converted.ppfd, nominal: there.ppfd, ratio: converted.ppfd / there.ppfd }];
  });
}

/** Whether a reading says something of a kind of lamp. */
export const tellsOf = ({ there }: Compared, lampId: string): boolean =>
  there.parts.some((p) => p.lamp.id === lampId && p.ppfd >= HAS_A_SAY * there.ppfd);

/** Readings that count. */
export const counts = ({ reading, ratio }: Compared): boolean => !reading.leftOut && ratio > 0 && Number.isFinite(ratio);

/**
 * Scales a lamp to its readings: the median of the ratios, so that one bad reading among several does little.
 *
 * @param compared  readings of its tier; only those count in which the lamp has a say
 * @returns null without a reading that counts
 */
export function calibrate(compared: readonly Compared[], lampId: string): Calibration | null {
  const used = compared.filter((c) => counts(c) && tellsOf(c, lampId));
  if (used.length === 0) return null;
  const ratios = used.map((c) => c.ratio).sort((a, b) => a - b);
  const middle = (ratios[Math.floor((ratios.length - 1) / 2)]! + ratios[Math.ceil((ratios.length - 1) / 2)]!) / 2;
  // 1.645 standard errors for nine in ten; the scatter seen, but not less than a hand's.
  const spread = ratios.length > 2 ? 1.645 * Math.sqrt(ratios.reduce((s, r) => s + (r / middle - 1) ** 2, 0) / (ratios.length - 1)) : 0;
  const few = Math.min(0.9, Math.max(HAND, spread) / Math.sqrt(ratios.length));
  const scatter: Uncertainty = {
    why: 'few-readings',
    low: few,
    high: few,
    source: `${ratios.length} of them; each by hand ±${Math.round(HAND * 100)} %`,
  };
  return { scale: middle, used, uncertainties: [...uncertaintiesOfMeters(used), scatter], fitted: false };
}

/** The meter's own error and the error of the conversion: both common to all readings, taken as the best of those used. */
export function uncertaintiesOfMeters(used: readonly Compared[]): Uncertainty[] {
  const errors = used.map(({ reading }) => (reading.factor === 1 ? meterErrorOf(meterOf(reading.kindId)) : LEFT_BY_MATCHING));
  const meter = Math.min(...errors);
  const uncertainties: Uncertainty[] = [
    { why: 'meter', low: meter, high: meter, source: 'a meter of this kind, ISO/CIE 19476:2014 and growers’ consensus' },
  ];
  if (used.every((c) => c.reading.unit !== 'umol')) {
    const best = used.reduce((a, b) => (spreadOf(b) < spreadOf(a) ? b : a)).converted;
    const names = [...new Set(used.flatMap((c) => c.there.parts.map((p) => p.lamp.name)))];
    uncertainties.push({
      why: 'meter-conversion',
      low: 1 - best.low / best.ppfd,
      high: best.high / best.ppfd - 1,
      source: `${Math.round(best.luxPerUmol * 10) / 10} lx for each µmol, ${names.length === 1 ? names[0]! : 'the mixture of its lamps'}`,
    });
  }
  return uncertainties;
}

const spreadOf = ({ converted: { low, high, ppfd } }: Compared) => (ppfd > 0 ? (high - low) / ppfd : Infinity);
