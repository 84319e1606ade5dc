import { colourOf, curveOf } from '../../things/lamp/colourOf';
import { meterOf } from '../../things/meter/meterLibrary';
import { meterShows, type Shown } from '../../things/meter/meterShows';
import { figuresOf } from '../../light/spectrum/figures';
import type { LightThere } from './lightThere';

/**
 * What a sound meter of a kind should show at a place, by all that is known of the lamps so far: its response to their colour,
 * its range, and what it misses of slanting light.
 *
 * @param there   what falls there from lamps as strong as they are known to be
 * @param factor  the meter's own: what it shows has to be multiplied by that to be right
 */
export function expectedReading(kindId: string, { ppfd, parts, slant }: LightThere, factor = 1): Shown {
  const mixed = (of: (i: number) => number) => (ppfd > 0 ? parts.reduce((sum, p, i) => sum + (p.ppfd / ppfd) * of(i), 0) : 0);
  return meterShows(meterOf(kindId), {
    ppfd: ppfd / factor,
    luxPerUmol: mixed((i) => colourOf(parts[i]!.lamp).luxPerUmol),
    farRed: mixed((i) => figuresOf(curveOf(parts[i]!.lamp).spectrum).farRed),
    slant,
  });
}
