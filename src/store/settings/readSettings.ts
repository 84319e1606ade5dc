import { LIGHT_UNITS, type LightUnit } from '../../core/units/light';
import { COLUMNS, type Column, type ColumnPlan } from '../../core/measure/reading/readingTable';
import { FIRST_WAYS, MAP_SHOWS, type Settings } from './settingsStore';

/** As many tables as a person deals with. */
export const MOST_PLANS = 20;

function planOf(kept: unknown): Settings['tablePlans'] {
  const { head, plan } = (typeof kept === 'object' && kept !== null ? kept : {}) as Record<string, unknown>;
  const { columns, unit, length, headed } = (typeof plan === 'object' && plan !== null ? plan : {}) as Record<string, unknown>;
  const good =
    typeof head === 'string' &&
    Array.isArray(columns) &&
    columns.every((c) => COLUMNS.includes(c as Column)) &&
    LIGHT_UNITS.includes(unit as LightUnit) &&
    ['m', 'cm', 'mm', 'in'].includes(length as string);
  return good ? [{ head, plan: { columns, unit, length, headed: headed === true } as ColumnPlan }] : [];
}

/** Settings as they were kept; what is missing or strange falls back, since nothing of value can be lost here. */
export function readSettings(data: unknown, fallback: Settings): Settings {
  const kept = typeof data === 'object' && data !== null ? (data as Record<string, unknown>) : {};
  const pick = <K extends keyof Settings>(key: K, allowed: readonly Settings[K][]): Settings[K] =>
    allowed.includes(kept[key] as Settings[K]) ? (kept[key] as Settings[K]) : fallback[key];
  return {
    lengthUnit: pick('lengthUnit', ['cm', 'in']),
    temperatureUnit: pick('temperatureUnit', ['C', 'F']),
    clock: pick('clock', ['24', '12']),
    theme: pick('theme', ['auto', 'light', 'dark']),
    mapShows: pick('mapShows', MAP_SHOWS),
    timerStep_min: pick('timerStep_min', [1, 15, 30]),
    remind_min:
      Number.isInteger(kept.remind_min) && (kept.remind_min as number) >= 0 && (kept.remind_min as number) < 1440
        ? (kept.remind_min as number)
        : null,
    meter: typeof kept.meter === 'string' ? kept.meter.slice(0, 80) : fallback.meter,
    firstWay: pick('firstWay', ['offered', ...FIRST_WAYS, 'over']),
    firstDone: pick('firstDone', [0, 1, 2, 3]),
    tablePlans: Array.isArray(kept.tablePlans) ? kept.tablePlans.flatMap(planOf).slice(0, MOST_PLANS) : fallback.tablePlans,
  };
}
