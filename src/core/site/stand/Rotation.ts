import type { Day } from '../../units/day';

export const ROTATION_KINDS = ['turn', 'swap', 'both'] as const;
export type RotationKind = (typeof ROTATION_KINDS)[number];

/** Every so many days the trays of a tier turn half round, change places, or both. */
export interface Rotation {
  readonly kind: RotationKind;
  readonly every: number;
  readonly from: Day;
}
