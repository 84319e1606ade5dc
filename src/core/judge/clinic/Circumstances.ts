import type { Crop, StageName } from '../../things/crop/Crop';
import type { Dli, Hours, Metres, Ppfd } from '../../units/quantities';
import type { FED, HAPPENED, WATERED } from '../../site/clinic/ClinicCase';
import type { Sign } from './signs';

/** What happened lately that leaves or roots may answer to. */
export type Happening = (typeof HAPPENED)[number];

export const SIGN_PLACES = ['centre', 'edge', 'corner', 'one-side', 'one-plant', 'all'] as const;
export type SignPlace = (typeof SIGN_PLACES)[number];

/**
 * What is known of the plants that look wrong, at the spot where they look worst. What is null is not known, and moves nothing.
 */
export interface Circumstances {
  readonly crop: Pick<Crop, 'leggyRemedy' | 'continuousLightInjury' | 'afterEmergence' | 'group' | 'dayLengthType' | 'fed'>;
  readonly stage: StageName;
  /** Since emergence; of houseplants since they were potted. */
  readonly ageDays: number | null;
  readonly place: SignPlace;
  readonly signs: readonly Sign[];
  readonly light: {
    readonly dli: Dli | null;
    readonly ppfd: Ppfd | null;
    readonly hours: Hours | null;
    /** What the plan has, where the lamp is known to have burnt otherwise. */
    readonly hoursPlanned: Hours | null;
    readonly dliMin: Dli;
    readonly dliTarget: Dli;
    readonly dliMax: Dli;
    readonly ppfdMax: Ppfd;
    /** The longest day that the crop bears. */
    readonly longestDay: Hours | null;
    /** Doses at other spots of the tray. */
    readonly elsewhere: { readonly centre: Dli | null; readonly edge: Dli | null; readonly corner: Dli | null };
    /** Of the lamp when it was new. */
    readonly dliWhenNew: Dli | null;
    readonly lampHours: number | null;
    readonly spectrum: 'white' | 'no-blue' | 'far-red' | 'red-blue' | null;
    /** From the lamp to the leaves. */
    readonly clearance: Metres | null;
    /** How much nearer the lamps may come before they are too hot or touch. */
    readonly lowerBy: Metres | null;
    readonly isHot: boolean;
    readonly leafTemperature: number | null;
    /** Days between emergence and the first day under light. */
    readonly daysInDark: number | null;
    /** Share of the dose that comes from a window, which is to one side. */
    readonly windowShare: number | null;
    /** The stretch was wanted: blanching, or a blackout of shoots. */
    readonly isBlackout: boolean;
  };
  readonly air: {
    readonly day: number | null;
    readonly night: number | null;
    readonly hasFan: boolean | null;
    readonly humidity: number | null;
    readonly isDraughty: boolean | null;
  };
  readonly roots: {
    readonly temperature: number | null;
    readonly isMatOn: boolean | null;
    readonly water: (typeof WATERED)[number] | null;
    readonly ph: number | null;
    readonly isHardWater: boolean | null;
    readonly isPotSmall: boolean | null;
  };
  /** More than one to a cell, or leaves that touch long since. */
  readonly isCrowded: boolean | null;
  readonly feed: { readonly strength: (typeof FED)[number]; readonly daysAgo: number | null } | null;
  /** Within some ten days before it was seen. */
  readonly changes: readonly Happening[];
  /** A kind that looks like this by nature: red-leaved, yellow-leaved, variegated, dwarf or tall. */
  readonly isOfSuchKind: boolean;
}
