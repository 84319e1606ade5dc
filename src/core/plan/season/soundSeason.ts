import type { FrostRow, LastFrost, SeasonPlan, YearDay } from '../../site/season/SeasonPlan';
import type { Radians } from '../../units/quantities';
import { inYear } from './lastFrost';

/** Why a season's weather can't be so. */
export type Unlikely =
  | { readonly code: 'frost-after-midsummer' }
  | { readonly code: 'frosts-swapped' }
  /** A later day must have a smaller chance; index of the row. */
  | { readonly code: 'chance-rises'; readonly row: number }
  | { readonly code: 'too-few-rows' };

/** Any year without 29 February will do to compare days of the year. */
const YEAR = 2027;

/** Days from midwinter: spring frosts come before half a year has gone. */
const sinceWinter = (d: YearDay, latitude: Radians): number => {
  const winter = latitude < 0 ? inYear({ month: 6, day: 21 }, YEAR) : inYear({ month: 12, day: 21 }, YEAR - 1);
  return (inYear(d, YEAR) - winter + 730) % 365;
};
const HALF_YEAR = 183;
/** On mild coasts the last frost may come before midwinter: so many days before it still count as spring's. */
const EARLY = 60;
const isSpring = (d: YearDay, latitude: Radians): boolean => {
  const days = sinceWinter(d, latitude);
  return days <= HALF_YEAR || days >= 365 - EARLY;
};

/** A last frost must lie between midwinter and midsummer. @param latitude  null: not known, then nothing is said */
export function unlikelyFrost(frost: LastFrost, latitude: Radians | null): Unlikely | null {
  const rows: readonly YearDay[] = frost.kind === 'day' ? [frost] : frost.kind === 'table' ? frost.rows : [];
  if (latitude !== null && !rows.every((d) => isSpring(d, latitude))) return { code: 'frost-after-midsummer' };
  return frost.kind === 'table' ? unlikelyTable(frost.rows) : null;
}

/** The chance of a later frost falls from day to day. */
function unlikelyTable(rows: readonly FrostRow[]): Unlikely | null {
  if (rows.length < 2) return { code: 'too-few-rows' };
  const sorted = rows.map((r, row) => ({ at: inYear(r, YEAR), later: r.laterPercent, row })).sort((a, b) => a.at - b.at);
  const wrong = sorted.find((r, i) => i > 0 && r.later >= sorted[i - 1]!.later);
  return wrong ? { code: 'chance-rises', row: wrong.row } : null;
}

/** The first frost of autumn comes after the last one of spring, within one growing season. */
export function frostsSwapped({ lastFrost, firstFrost }: Pick<SeasonPlan, 'lastFrost' | 'firstFrost'>, latitude: Radians | null): boolean {
  if (lastFrost.kind !== 'day' || !firstFrost || latitude === null) return false;
  const spring = sinceWinter(lastFrost, latitude);
  return sinceWinter(firstFrost, latitude) <= (spring > HALF_YEAR ? spring - 365 : spring);
}
