import { createStore, type StoreApi } from 'zustand/vanilla';
import type { LengthUnit } from '../../core/units/length';
import type { TemperatureUnit } from '../../core/units/temperature';

/** How a person likes to see things; it stays out of undo and out of exported set-ups. */
export interface Settings {
  readonly lengthUnit: LengthUnit;
  readonly temperatureUnit: TemperatureUnit;
  readonly theme: 'auto' | 'light' | 'dark';
  readonly mapShows: 'dli' | 'ppfd';
}

export type SettingsStore = StoreApi<Settings>;

/** @param language  the browser's language tag: where inches are at home, inches come first */
export function startingSettings(language: string): Settings {
  const inches = language === 'en-US';
  return { lengthUnit: inches ? 'in' : 'cm', temperatureUnit: inches ? 'F' : 'C', theme: 'auto', mapShows: 'dli' };
}

export const createSettingsStore = (language: string): SettingsStore => createStore(() => startingSettings(language));
