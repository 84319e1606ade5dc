import type { Plant } from '../../judge/growth/Plant';
import type { Day } from '../../units/day';
import type { Dli } from '../../units/quantities';
import type { ExerciseId } from './Exercise';

/** A tray of an exercise and what its days have made of it. */
export interface TrayRun {
  readonly batchId: string;
  /** Twelve plants that stand for all, row by row from the front left; empty until they come up. */
  readonly plants: readonly Plant[];
  /** Mean dose of each day since it began, as it really was; null: it stood nowhere. */
  readonly doses: readonly (Dli | null)[];
}

/** One exercise as it goes. Plain data: it is kept, and the same seed and the same deeds come to the same. */
export interface Session {
  readonly exerciseId: ExerciseId;
  readonly seed: number;
  /** The day on which it began. */
  readonly first: Day;
  readonly today: Day;
  /** When the clocks of the timers were set last. */
  readonly clockSet: Day;
  readonly trays: Readonly<Record<string, TrayRun>>;
  readonly kWh: number;
  readonly ended: boolean;
}

export const dayNumberOf = ({ first, today }: Pick<Session, 'first' | 'today'>): number => today - first;
