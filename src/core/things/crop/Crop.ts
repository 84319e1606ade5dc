import type { Basis, Source } from '../../units/Source';
import type { Dli, Hours, Metres, Ppfd } from '../../units/quantities';

export const STAGE_NAMES = ['emergence', 'seedling', 'growing-on', 'flowering-fruiting', 'maintenance'] as const;
export type StageName = (typeof STAGE_NAMES)[number];
export const LEGGY_REMEDIES = [
  'bury-stem',
  'bury-to-cotyledons',
  'restart',
  'prune-and-brighten',
  'trim-tops',
  'take-cuttings',
  're-root-rosette',
  'brighten-only',
] as const;
export type LeggyRemedy = (typeof LEGGY_REMEDIES)[number];

/** What a crop asks of the light in one part of its life. */
export interface Stage {
  readonly stage: StageName;
  /** Own name of the stage where the usual one does not fit, such as "before roots". */
  readonly label: string | null;
  /** Days after emergence at which it starts; null for plants without an end date. */
  readonly fromDay: number | null;
  readonly dliMin: Dli;
  readonly dliTarget: Dli;
  readonly dliMax: Dli;
  /** Above it, plants raised indoors are likely to bleach or tip-burn. */
  readonly ppfdMax: Ppfd;
  readonly hoursMin: Hours;
  readonly hoursMax: Hours;
  readonly basis: Basis;
}

/** How its seed wakes; °C, days. */
export interface Germination {
  readonly temperature: { readonly least: number; readonly best: number; readonly most: number };
  readonly days: { readonly first: number; readonly last: number };
  /** Whether seed needs light, darkness, or does not mind. */
  readonly light: 'needs' | 'dark' | 'either';
}

/** When it is sown and planted out; weeks, counted from the last frost. */
export interface Sowing {
  readonly weeksBefore: { readonly least: number; readonly most: number };
  readonly plantOutWeeksAfter: number;
  /** Nights outside must stay above, °C. */
  readonly nightLeast: number;
}

/** Of a person's own crop: which one it was copied from, and why it differs. */
export interface OwnCrop {
  readonly basedOn: string | null;
  readonly why: string;
}

/** A crop and what is known of it. */
export interface Crop {
  readonly id: string;
  readonly name: string;
  readonly alsoCalled: readonly string[];
  readonly latin: string;
  readonly group: string;
  readonly stages: readonly Stage[];
  readonly continuousLightInjury: 'high' | 'some' | 'low' | null;
  readonly continuousLightInjurySource: string | null;
  readonly dayLengthType: string;
  readonly dayLengthNote: string;
  /** Canopy above the compost by day, under good light. */
  readonly heightByDay: readonly { readonly day: number; readonly height: Metres }[];
  /** Across the leaves by day, of plants that reach beyond their pot; empty where it is not stated. */
  readonly widthByDay: readonly { readonly day: number; readonly width: Metres }[];
  readonly containerPath: readonly { readonly containerId: string; readonly fromDay: number }[];
  /** 1 stays short, 5 falls over within days of weak light. */
  readonly stretchProne: number;
  readonly leggyRemedy: LeggyRemedy;
  /** Null for cuttings and plants that are bought. */
  readonly germination: Germination | null;
  /** Air by day and by night once it is up, °C; null: not stated. */
  readonly afterEmergence: { readonly day: number; readonly night: number } | null;
  readonly sowing: Sowing | null;
  readonly feed: { readonly after: string; readonly fromDay: number; readonly strength: string } | null;
  /** How far its numbers may be trusted, by what they are of. */
  readonly trust: {
    readonly light: Basis;
    readonly photoperiod: Basis;
    readonly germination: Basis | null;
    readonly sowing: Basis | null;
    readonly heights: Basis;
  };
  /** Null for crops of the table. */
  readonly own: OwnCrop | null;
  readonly heatMat: boolean;
  readonly fed: boolean;
  readonly airMovementBenefit: boolean;
  readonly notes: string;
  readonly sources: readonly Source[];
}
