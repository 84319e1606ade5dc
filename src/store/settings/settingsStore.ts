import { createStore, type StoreApi } from 'zustand/vanilla';
import { USUAL_MIX, type FeedMix } from '../../core/judge/feed/FeedMix';
import type { ColumnPlan } from '../../core/measure/reading/readingTable';
import type { ClockForm } from '../../core/units/clock';
import type { LengthUnit } from '../../core/units/length';
import type { TemperatureUnit } from '../../core/units/temperature';
import { GALLON } from '../../core/units/volume';

export const MAP_SHOWS = ['dli', 'ppfd', 'share'] as const;
/** What the numbers of a map are: the day's dose, the strength now, or the share of what suits the crop best. */
export type MapShows = (typeof MAP_SHOWS)[number];

export const FIRST_WAYS = ['lamp', 'seeds', 'sick'] as const;
/** What a first visit begins with. */
export type FirstWay = (typeof FIRST_WAYS)[number];

/** How a person likes to see things; it stays out of undo and out of exported set-ups. */
export interface Settings {
  readonly lengthUnit: LengthUnit;
  readonly temperatureUnit: TemperatureUnit;
  readonly clock: ClockForm;
  readonly theme: 'auto' | 'light' | 'dark';
  readonly mapShows: MapShows;
  /** The steps in which the household's timers can be set. */
  readonly timerStep_min: 1 | 15 | 30;
  /** When the day's jobs are told, minutes of the day; null: never. */
  readonly remind_min: number | null;
  /** The meter in the hand: one of the person's own, or a kind of the table. */
  readonly meter: string;
  /** The first steps: offered, on a way, or over and never in the way again. */
  readonly firstWay: 'offered' | FirstWay | 'over';
  /** How many of its choices were opened. */
  readonly firstDone: number;
  /** The feed that was last divided, and how. */
  readonly feed: FeedMix;
  /** How the columns of tables of readings were matched, by their head; the newest first. */
  readonly tablePlans: readonly { readonly head: string; readonly plan: ColumnPlan }[];
}

export type SettingsStore = StoreApi<Settings>;

/** @param language  the browser's language tag: where inches are at home, inches come first; so with clocks that go to 12 */
export function startingSettings(language: string): Settings {
  const inches = language === 'en-US';
  return {
    lengthUnit: inches ? 'in' : 'cm',
    temperatureUnit: inches ? 'F' : 'C',
    clock: countsToTwelve(language) ? '12' : '24',
    theme: 'auto',
    mapShows: 'dli',
    timerStep_min: 15,
    remind_min: null,
    meter: 'lux-basic',
    firstWay: 'offered',
    firstDone: 0,
    feed: inches ? { ...USUAL_MIX, can: GALLON } : USUAL_MIX,
    tablePlans: [],
  };
}

/** Where clocks go from 12 to 12 in everyday writing, by the browser's own tables. */
function countsToTwelve(language: string): boolean {
  try {
    return new Intl.DateTimeFormat(language, { hour: 'numeric' }).resolvedOptions().hour12 === true;
  } catch {
    return false; // no language tag
  }
}

export const createSettingsStore = (language: string): SettingsStore => createStore(() => startingSettings(language));
