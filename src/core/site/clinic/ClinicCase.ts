import type { Day } from '../../units/day';

export const WATERED = ['wet', 'dry', 'even'] as const;
export const FED = ['none', 'weak', 'half', 'full', 'too-much'] as const;
export const HAPPENED = [
  'potted-on',
  'stronger-light',
  'weaker-light',
  'more-wind',
  'colder',
  'warmer',
  'fed',
  'watered',
  'moved',
] as const;

/** What a person says that no plan knows; what is left out was not said. Temperatures in °C, humidity in %. */
export interface Told {
  readonly day_C?: number;
  readonly night_C?: number;
  readonly compost_C?: number;
  readonly humidity_percent?: number;
  readonly ph?: number;
  readonly daysInDark?: number;
  /** From the compost to the seed leaves. */
  readonly stem_m?: number;
  readonly water?: (typeof WATERED)[number];
  readonly fed?: (typeof FED)[number];
  readonly hasFan?: boolean;
  readonly isDraughty?: boolean;
  readonly isMatOn?: boolean;
  readonly isCrowded?: boolean;
  readonly isPotSmall?: boolean;
  readonly isOfSuchKind?: boolean;
  readonly isLampHot?: boolean;
  readonly happened?: readonly (typeof HAPPENED)[number][];
}

export const OUTCOMES_OF_TEST = ['helped', 'same', 'worse'] as const;

/** One change made to tell two causes apart. */
export interface TestRun {
  readonly test: string;
  readonly cause: string;
  /** The next likely cause when it was begun. */
  readonly next: string;
  readonly began: Day;
  readonly look: Day;
  /** How the half that was changed did; null: not looked at yet. */
  readonly outcome: (typeof OUTCOMES_OF_TEST)[number] | null;
}

/** Plants that look wrong: where, how, since when; what was tried. */
export interface ClinicCase {
  readonly id: string;
  readonly batchId: string;
  readonly trayId: string;
  readonly opened: Day;
  readonly since: Day | null;
  /** Where it is worst: of nine places of the tray, row by row from the back left; none: everywhere. */
  readonly places: readonly number[];
  readonly signs: readonly string[];
  readonly told: Told;
  /** Facts that the person said are not so. */
  readonly denied: readonly string[];
  readonly tests: readonly TestRun[];
  /** When it was over; null: it still goes on. */
  readonly closed: Day | null;
}

/** As many are kept. */
export const MOST_CASES = 500;
