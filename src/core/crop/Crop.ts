import type { Basis, Source } from '../library/Source';
import type { Dli, Hours, Metres, Ppfd } from '../quantities';

export type StageName = 'emergence' | 'seedling' | 'growing-on' | 'flowering-fruiting' | 'maintenance';
export type LeggyRemedy =
  | 'bury-stem'
  | 'bury-to-cotyledons'
  | 'restart'
  | 'prune-and-brighten'
  | 'trim-tops'
  | 'take-cuttings'
  | 're-root-rosette'
  | 'brighten-only';

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
  readonly containerPath: readonly { readonly containerId: string; readonly fromDay: number }[];
  /** 1 stays short, 5 falls over within days of weak light. */
  readonly stretchProne: number;
  readonly leggyRemedy: LeggyRemedy;
  readonly heatMat: boolean;
  readonly fed: boolean;
  readonly airMovementBenefit: boolean;
  readonly notes: string;
  readonly sources: readonly Source[];
}
