import type { Settings } from './settingsStore';

/** Settings as they were kept; what is missing or strange falls back, since nothing of value can be lost here. */
export function readSettings(data: unknown, fallback: Settings): Settings {
  const kept = typeof data === 'object' && data !== null ? (data as Record<string, unknown>) : {};
  const pick = <K extends keyof Settings>(key: K, allowed: readonly Settings[K][]): Settings[K] =>
    allowed.includes(kept[key] as Settings[K]) ? (kept[key] as Settings[K]) : fallback[key];
  return {
    lengthUnit: pick('lengthUnit', ['cm', 'in']),
    temperatureUnit: pick('temperatureUnit', ['C', 'F']),
    theme: pick('theme', ['auto', 'light', 'dark']),
    mapShows: pick('mapShows', ['dli', 'ppfd']),
  };
}
