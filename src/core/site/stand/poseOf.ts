import { bodyHeightOf } from '../../things/lamp/bodyHeight';
import type { Lamp } from '../../things/lamp/Lamp';
import type { Metres, Radians } from '../../units/quantities';
import { faceSizeOf } from './footprint';

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

/** The upper end of a lamp's body as it hangs. */
export const topOfFitting = (hung: Tilted, lamp: Lamp): Metres => hung.face + 2 * riseOf(hung, lamp) + bodyHeightOf(lamp);
