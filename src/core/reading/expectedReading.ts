import { colourOf, curveOf } from '../lamp/colourOf';
import { meterLibrary } from '../library/meterLibrary';
import { slantAt } from '../light/scene/slantAt';
import { meterShows, type Shown } from '../meter/meterShows';
import type { Metres } from '../quantities';
import { figuresOf } from '../spectrum/figures';
import { measuredLamp, sceneOfSetUp, type SetUp } from '../stand/setUp';
import { lampRowOf } from '../stand/layOut';
import { nominalAt } from './nominalAt';
import type { MeterKind } from './Reading';

/** The meter of the table that stands for each kind. */
const USUAL: Readonly<Record<MeterKind, string>> = {
  'lux-meter': 'lux-basic',
  'foot-candle-meter': 'fc-digital',
  'quantum-meter': 'quantum-par',
  phone: 'phone-sensor',
};

/**
 * What a sound meter of a kind should show under a set-up, by all that is known of its lamps so far: its response to their
 * colour, its range, and what it misses of slanting light.
 *
 * @param dx, dy    from the middle of the tier
 * @param distance  below the lamps' face
 */
export function expectedReading(setUp: SetUp, meter: MeterKind, dx: Metres, dy: Metres, distance: Metres): Shown {
  const { tier, lamp, around } = setUp;
  const known = measuredLamp(setUp);
  const ppfd = nominalAt({ dx, dy, distance, row: lampRowOf(tier, lamp) }, known, around);
  const face = tier.fittings[0]!.face;
  const slant = slantAt(sceneOfSetUp(setUp), tier.width / 2 + dx, tier.depth / 2 + dy, face - distance, 0);
  const { farRed } = figuresOf(curveOf(lamp).spectrum);
  const there = { ppfd, luxPerUmol: colourOf(lamp).luxPerUmol, farRed, slant };
  return meterShows(
    meterLibrary.find((m) => m.id === USUAL[meter])!,
    there,
  );
}
