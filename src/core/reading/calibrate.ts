import type { Lamp } from '../lamp/Lamp';
import type { SpectrumNote } from '../library/spectrumLibrary';
import type { Ppfd } from '../quantities';
import type { Doubt } from '../uncertainty/Band';
import { ppfdOfReading } from '../units/light';
import { METER_ERROR } from './meterError';
import { nominalAt, type Around } from './nominalAt';
import type { Reading } from './Reading';

/** One reading held against the lamp's box. */
export interface Compared {
  readonly reading: Reading;
  readonly measured: Ppfd;
  readonly nominal: Ppfd;
  /** measured over nominal */
  readonly ratio: number;
}

/** What the readings say of a lamp: it gives `scale` times what its box says, with what doubt is left. */
export interface Calibration {
  readonly scale: number;
  readonly used: readonly Compared[];
  readonly doubts: readonly Doubt[];
}

/** Scatter of a single reading by hand (place, level, height), as a half-width of a nine-in-ten band. */
const HAND = 0.12; // ±0.04; our estimate, growers’ consensus

/** Readings of this lamp, converted by its own spectrum and held against its box. */
export function compare(readings: readonly Reading[], lamp: Lamp, spectrum: SpectrumNote, around: Around | null): Compared[] {
  return readings
    .filter((r) => r.lampId === lamp.id)
    .map((reading) => {
      const measured = ppfdOfReading(reading, spectrum.luxPerUmol);
      const nominal = nominalAt(reading, lamp, around);
      return { reading, measured, nominal, ratio: measured / nominal };
    });
}

/**
 * Scales a lamp to its readings: the median of the ratios, so that one bad reading among several does little.
 *
 * The doubt that is left: the meter's own error and the error of the conversion (both common to all readings, taken as the
 * best of the meters used), and the scatter of the hand, which shrinks with the root of their number.
 *
 * @param around  the sides of the tier, which add to what its lamps give; null: in the open
 * @returns null without a reading that counts
 */
export function calibrate(readings: readonly Reading[], lamp: Lamp, spectrum: SpectrumNote, around: Around | null): Calibration | null {
  const used = compare(readings, lamp, spectrum, around).filter((c) => !c.reading.leftOut && c.ratio > 0 && Number.isFinite(c.ratio));
  if (used.length === 0) return null;
  const ratios = used.map((c) => c.ratio).sort((a, b) => a - b);
  const middle = (ratios[Math.floor((ratios.length - 1) / 2)]! + ratios[Math.ceil((ratios.length - 1) / 2)]!) / 2;
  const meter = Math.min(...used.map((c) => METER_ERROR[c.reading.meter]));
  const doubts: Doubt[] = [
    { why: 'meter', low: meter, high: meter, source: 'a meter of this kind, ISO/CIE 19476:2014 and growers’ consensus' },
  ];
  if (used.every((c) => c.reading.unit !== 'umol')) {
    doubts.push({
      why: 'meter-conversion',
      low: 1 - spectrum.luxPerUmol / spectrum.luxPerUmolHigh,
      high: spectrum.luxPerUmol / spectrum.luxPerUmolLow - 1,
      source: `${spectrum.luxPerUmol} lx for each µmol (${spectrum.luxPerUmolLow}–${spectrum.luxPerUmolHigh}), ${spectrum.name}`,
    });
  }
  // 1.645 standard errors for nine in ten; the scatter seen, but not less than a hand's.
  const spread = ratios.length > 2 ? 1.645 * Math.sqrt(ratios.reduce((s, r) => s + (r / middle - 1) ** 2, 0) / (ratios.length - 1)) : 0;
  const few = Math.min(0.9, Math.max(HAND, spread) / Math.sqrt(ratios.length));
  doubts.push({ why: 'few-readings', low: few, high: few, source: `${ratios.length} of them; each by hand ±${Math.round(HAND * 100)} %` });
  return { scale: middle, used, doubts };
}
