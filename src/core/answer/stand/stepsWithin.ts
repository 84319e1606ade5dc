import { snapFace } from '../../site/stand/Hanger';
import { topOfFaceOf } from '../../site/stand/poseOf';
import type { Metres } from '../../units/quantities';
import type { BenchLamp, BenchTier } from './benchStand';
import { roofOf } from './roofOf';

/** A face hangs no lower than this over the floor of its tier. */
const LEAST_FACE: Metres = 0.01; // our choice: of no use to any plant, but still above the floor

/** How high the lowest edge of a lamp's face may hang above the floor of a tier, m: its upper edge clear of what is above; Infinity in the open. */
export const highestFaceOf = (t: Pick<BenchTier, 'tier' | 'number'>, { fitting, lamp }: Pick<BenchLamp, 'fitting' | 'lamp'>): Metres =>
  roofOf(t) - (topOfFaceOf(fitting, lamp) - fitting.face);

/**
 * By how many whole steps of its hanger (up: above zero) a lamp comes nearest to a wished height: below what is above the tier, and above
 * its floor. A lamp that is beyond either already is not taken farther.
 *
 * @param wished  of its lowest edge above the floor of the tier, m; any number
 */
export function stepsWithin(t: Pick<BenchTier, 'tier' | 'number'>, hung: Pick<BenchLamp, 'fitting' | 'lamp'>, wished: Metres): number {
  const { hanger, face } = hung.fitting;
  const stepsIn = (room: Metres) => Math.max(0, Math.floor(room / hanger.step + 1e-6));
  const up = stepsIn(highestFaceOf(t, hung) - face);
  const down = stepsIn(face - LEAST_FACE);
  const { steps } = snapFace(hanger, face, wished);
  return steps > 0 ? Math.min(up, steps) : Math.max(0 - down, steps);
}
