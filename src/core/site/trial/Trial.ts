import type { Day } from '../../units/day';
import type { Dli, Hours, Metres } from '../../units/quantities';

export const TRIAL_FACTORS = [
  'lamp',
  'distance',
  'dose',
  'hours',
  'mat',
  'cover',
  'medium',
  'container',
  'position',
  'sown',
  'feed',
  'crop',
] as const;
export type TrialFactor = (typeof TRIAL_FACTORS)[number];
export const OUTCOME_KINDS = ['measured', 'scored', 'counted'] as const;
export const SELECTIONS = ['none', 'random', 'best_picked', 'worst_removed'] as const;
export const ARM_IDS = ['A', 'B', 'C', 'D'] as const;
export type ArmId = (typeof ARM_IDS)[number];

/** One of the things compared; what the plan knows of its trays is not kept here. */
export interface Arm {
  readonly id: ArmId;
  readonly name: string;
  /** In the person's own words, where no drawing shows it; empty: not said. */
  readonly medium: string;
  readonly isMatOn: boolean;
  /** Its dose as stated, where its trays stand in no drawing; null: not stated. */
  readonly dli: Dli | null;
}

/** How a tray of a trial stands, as the plan knows it. */
export interface TrayFacts {
  readonly cropId: string;
  readonly sown: Day | null;
  readonly tierId: string;
  /** Kinds of lamp over it, each once. */
  readonly lamps: readonly string[];
  /** From the lowest face to its leaves; null where no lamp hangs. */
  readonly distance: Metres | null;
  readonly hours: Hours;
  readonly coverId: string | null;
  readonly containerId: string | null;
}

/** How a tray stood, and what it had been given from the start of its trial until the end, or until it was taken away. */
export interface TrayHad extends TrayFacts {
  readonly days: number;
  /** Over its plants. */
  readonly mol_per_m2: number;
  /** Its part of what its tiers drew. */
  readonly kWh: number;
  readonly area_m2: number;
  readonly batchId: string;
}

/** A tray of a trial, known by a code that does not tell its arm. */
export interface TrialTrayRow {
  readonly code: string;
  readonly arm: ArmId;
  /** Of the stands; null: it stands elsewhere. */
  readonly trayId: string | null;
  /** Which places belong together, such as a shelf; trays are compared within it. */
  readonly block: string;
  /** What was measured of each plant, or one number of the whole tray; null: dead, not emerged, not measured. */
  readonly values: readonly (number | null)[];
  /** Of a count: how many were sown; null: no count. */
  readonly sown: number | null;
  /** Left out as long as it stands where the plan shows it and the trial runs. */
  readonly had?: TrayHad;
}

/** Something that went otherwise on the way. */
export interface Deviation {
  readonly id: string;
  readonly day: Day;
  readonly text: string;
  readonly arms: readonly ArmId[];
}

/** A comparison of trays: the question is fixed before it starts, and kept. */
export interface Trial {
  readonly id: string;
  readonly name: string;
  readonly factor: TrialFactor;
  /** Distances and hours are to give the arms the same dose. */
  readonly equalDose: boolean;
  readonly outcome: {
    readonly name: string;
    readonly unit: string;
    readonly kind: (typeof OUTCOME_KINDS)[number];
    readonly isBlind: boolean;
  };
  readonly starts: Day;
  /** When it ends, as fixed at its start; null: not fixed. */
  readonly ends: Day | null;
  readonly selection: (typeof SELECTIONS)[number];
  /** Trays change places every so many days; null: they stay. */
  readonly rotate_days: number | null;
  /** Days on which they did, as ticked. */
  readonly moves: readonly Day[];
  readonly arms: readonly Arm[];
  readonly trays: readonly TrialTrayRow[];
  readonly deviations: readonly Deviation[];
  /** Deals the trays out, so that it can be done again the same way. */
  readonly seed: number;
  readonly ended: Day | null;
}

export const MOST_TRIALS = 100;
export const MOST_TRIAL_TRAYS = 60;
export const MOST_VALUES = 200;
export const MOST_TRIAL_MOVES = 500;
