import type { Crop } from '../../things/crop/Crop';
import { heightAt } from '../../things/crop/heightAt';
import type { Metres } from '../../units/quantities';
import { LEGGY_FROM, LONG_FROM } from './stretchOf';

export type HowLong = 'short' | 'usual' | 'long' | 'leggy';

/** A length of a plant beside what is usual for its kind at its age. */
export interface BesideUsual {
  readonly length: Metres;
  readonly usual: Metres;
  readonly times: number;
  readonly says: HowLong;
}

/** Below so many times its usual height a plant is short: growers' consensus. */
const SHORT_BELOW = 0.7;

const besideUsual = (length: Metres, usual: Metres): BesideUsual | null => {
  if (!(length > 0 && usual > 0)) return null;
  const times = length / usual;
  return {
    length,
    usual,
    times,
    says: times >= LEGGY_FROM ? 'leggy' : times >= LONG_FROM ? 'long' : times < SHORT_BELOW ? 'short' : 'usual',
  };
};

export interface Legginess {
  /** From the compost to the tops. */
  readonly height: BesideUsual | null;
  /** From the compost to the seed leaves: usually about as tall as the seedling on the day it comes up (our reading of the curve). */
  readonly stem: BesideUsual | null;
  /** From the seed leaves to the tops: so much longer or shorter is the spacing of the leaves. */
  readonly above: BesideUsual | null;
}

/**
 * Whether a plant is leggy at all: its measures beside the curve of its crop, raised in good light.
 *
 * @param age   days since emergence, ≥ 0
 * @param height, stem  null: not measured
 */
export function legginessOf(crop: Crop, age: number, height: Metres | null, stem: Metres | null): Legginess {
  const [usual, first] = [heightAt(crop, age), heightAt(crop, 0)];
  return {
    height: height === null ? null : besideUsual(height, usual),
    stem: stem === null ? null : besideUsual(stem, first),
    above: height === null || stem === null ? null : besideUsual(height - stem, usual - first),
  };
}

const WORST: readonly HowLong[] = ['leggy', 'long', 'short', 'usual'];

/** What all measures together say; null: nothing was measured. */
export const worstOfLegginess = ({ height, stem, above }: Legginess): HowLong | null =>
  WORST.find((says) => [height, stem, above].some((m) => m?.says === says)) ?? null;
