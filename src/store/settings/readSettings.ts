import { LIGHT_UNITS, type LightUnit } from '../../core/units/light';
import { ELEMENTS, type FeedForm, type Npk } from '../../core/judge/feed/feed';
import type { FeedMix } from '../../core/judge/feed/FeedMix';
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

/** The feed that was last divided; anything strange in it, and it is the usual one. */
function feedOf(kept: unknown, fallback: FeedMix): FeedMix {
  const f = (typeof kept === 'object' && kept !== null ? kept : {}) as Record<string, unknown>;
  const within = (v: unknown, most: number): v is number => typeof v === 'number' && v >= 0 && v <= most;
  const npk = (v: unknown, most: number): v is Npk =>
    typeof v === 'object' && v !== null && ELEMENTS.every((e) => within((v as Record<string, unknown>)[e], most));
  const form = f.form as FeedForm | undefined;
  const isForm =
    form?.kind === 'powder' || form?.kind === 'liquid-w/v' || (form?.kind === 'liquid-w/w' && within(form.density_kg_per_L, 2));
  const good =
    npk(f.label, 100) &&
    npk(f.ceiling, 2000) &&
    isForm &&
    (f.basis === 'oxide' || f.basis === 'elemental') &&
    (f.by === 'nitrogen' || f.by === 'label') &&
    within(f.ppm, 1000) &&
    within(f.perLitre, 100) &&
    within(f.can, 1000);
  return good ? (f as unknown as FeedMix) : fallback;
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
    feed: feedOf(kept.feed, fallback.feed),
    tablePlans: Array.isArray(kept.tablePlans) ? kept.tablePlans.flatMap(planOf).slice(0, MOST_PLANS) : fallback.tablePlans,
  };
}
