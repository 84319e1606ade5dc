import { bodyHeightOf } from '../../things/lamp/bodyHeight';
import type { Lamp } from '../../things/lamp/Lamp';
import type { Metres, Radians } from '../../units/quantities';
import type { Rect } from '../../light/field/Grid';
import { faceSizeOf, outlineOfFitting } from './footprint';
import type { Fitting } from './Site';
import { sweptBy } from '../../things/lamp/Travel';

/** A lamp may look this far to one side at most: beyond it shines past everything. */
export const MOST_TILT: Radians = (75 * Math.PI) / 180; // our choice

/** What of a lamp's place its tilt changes: the height of the lowest edge of its face, and how far it is turned about its own length. */
interface Tilted {
  readonly face: Metres;
  readonly tilt?: Radians;
}

/** How much higher the middle of a tilted lamp's face is than its lowest edge; the upper edge is as much higher again. */
export const riseOf = ({ tilt = 0 }: Pick<Tilted, 'tilt'>, lamp: Lamp): Metres => (faceSizeOf(lamp).width / 2) * Math.abs(Math.sin(tilt));

/** A lamp as light sees it: heights are measured to the lowest edge of a face, and it turns about its middle. */
export const poseOf = <T extends Tilted>(hung: T, lamp: Lamp): T => (hung.tilt ? { ...hung, face: hung.face + riseOf(hung, lamp) } : hung);

/** The upper edge of a lamp's face, m above the floor of its tier. */
export const topOfFaceOf = (hung: Tilted, lamp: Lamp): Metres => hung.face + 2 * riseOf(hung, lamp);

/** The upper end of a lamp's body as it hangs, m above the floor of its tier; of a tilted one at most so high. */
export const topOfFitting = (hung: Tilted, lamp: Lamp): Metres => topOfFaceOf(hung, lamp) + bodyHeightOf(lamp);

/** Where the body of a lamp is, seen from above, and comes to on its rail: that of a tilted one swings out to the side from which it looks away, a bulb's by its neck. */
export function bodyOutlineOf(fitting: Fitting, lamp: Lamp): Rect {
  const { x0, x1, y0, y1 } = outlineOfFitting(fitting, lamp);
  const out = bodyHeightOf(lamp) * Math.sin(fitting.tilt ?? 0);
  const [dx, dy] = [out * Math.sin(fitting.turn), -out * Math.cos(fitting.turn)];
  return sweptBy(
    { x0: x0 + Math.min(0, dx), x1: x1 + Math.max(0, dx), y0: y0 + Math.min(0, dy), y1: y1 + Math.max(0, dy) },
    fitting.travel,
  );
}
