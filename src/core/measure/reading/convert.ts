import { colourOf, curveOf } from '../../things/lamp/colourOf';
import { meterOf } from '../../things/meter/meterLibrary';
import type { Ppfd, Share } from '../../units/quantities';
import { figuresOf } from '../../light/spectrum/figures';
import { ppfdOfReading } from '../../units/light';
import type { LightThere } from './lightThere';
import type { Reading } from '../../site/reading/Reading';

/** The factor that is handed about for white lamps. Source: Thimijan & Heins 1983, HortScience 18:818–822, cool-white fluorescent. */
const PLAIN_LUX_PER_UMOL = 74;

/** A reading as light for plants, and how it came to be that. */
export interface Converted {
  readonly ppfd: Ppfd;
  /** Within this, by the colour alone, nine times in ten. */
  readonly low: Ppfd;
  readonly high: Ppfd;
  /** lx for each µmol of the mixture that falls there. */
  readonly luxPerUmol: number;
  /** What the plain factor for white lamps would have said; of a meter that counts photons the same as `ppfd`. */
  readonly plain: Ppfd;
  /** What the meter misses of slanting light, put back. */
  readonly missed: Share;
  /** The meter hardly sees this light: its conversion is a wide guess. */
  readonly wide: boolean;
}

/** A conversion whose band is wider than this, to each side, is warned of. */
const WIDE = 0.2; // lamps of pink and violet light; white ones are within 0.08 by spectra-notes

/**
 * What a reading says of the light at its place: daylight taken away, the meter's own factor, the colour of the mixture that
 * falls there, and what it misses of slanting light.
 *
 * @param there  what the lit lamps give at that place, for the shares of the mixture and its slant
 */
export function convert(reading: Reading, there: LightThere): Converted {
  const meter = meterOf(reading.kindId);
  const shown = { value: Math.max(0, reading.value - reading.dark) * reading.factor, unit: reading.unit };
  const missed = Math.min(0.9, (meter.missesAt60 * there.slant) / 0.5);
  const shares = there.parts.map((p) => (there.ppfd > 0 ? p.ppfd / there.ppfd : 1 / there.parts.length));
  const mixed = (of: (i: number) => number) => shares.reduce((sum, s, i) => sum + s * of(i), 0);
  const colours = there.parts.map((p) => colourOf(p.lamp));
  const photons = shown.unit === 'umol';
  const extra =
    photons && meter.counts === 'photons-and-far-red' ? 1 + mixed((i) => figuresOf(curveOf(there.parts[i]!.lamp).spectrum).farRed) : 1;
  const by = (luxPerUmol: number) => ppfdOfReading(shown, luxPerUmol) / (1 - missed) / extra;
  const luxPerUmol = mixed((i) => colours[i]!.luxPerUmol) || PLAIN_LUX_PER_UMOL;
  const low = by(mixed((i) => colours[i]!.luxPerUmolHigh) || PLAIN_LUX_PER_UMOL);
  const high = by(mixed((i) => colours[i]!.luxPerUmolLow) || PLAIN_LUX_PER_UMOL);
  const ppfd = by(luxPerUmol);
  return { ppfd, low, high, luxPerUmol, plain: by(PLAIN_LUX_PER_UMOL), missed, wide: !photons && high - low > 2 * WIDE * ppfd };
}
