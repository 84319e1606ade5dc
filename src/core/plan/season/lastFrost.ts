import type { FrostRow, LastFrost, YearDay } from '../../site/season/SeasonPlan';
import { dayFrom, type Day } from '../../units/day';

export const inYear = ({ month, day }: YearDay, year: number): Day => dayFrom(year, month, day);

/**
 * The day after which a frost comes in no more than so many of a hundred years: between two rows by a straight line, a part of a day
 * rounded up, to the safe side; null beyond the rows, as nothing is known there.
 *
 * @param rows  in any order
 */
export function frostAtRisk(rows: readonly FrostRow[], riskPercent: number, year: number): Day | null {
  const sorted = rows.map((r) => ({ at: inYear(r, year), later: r.laterPercent })).sort((a, b) => a.at - b.at);
  const exact = sorted.find((r) => r.later === riskPercent);
  if (exact) return exact.at;
  const after = sorted.findIndex((r) => r.later < riskPercent);
  const [before, next] = [sorted[after - 1], sorted[after]];
  if (!before || !next) return null;
  return before.at + Math.ceil(((before.later - riskPercent) / (before.later - next.later)) * (next.at - before.at) - 1e-9);
}

/** The last frost of a year, as the person knows it; null where it is not known, or the risk lies beyond the table. */
export function lastFrostOf(known: LastFrost, year: number): Day | null {
  if (known.kind === 'unknown') return null;
  return known.kind === 'day' ? inYear(known, year) : frostAtRisk(known.rows, known.riskPercent, year);
}

/** As many nights in a row must be warm enough: growers' consensus. */
const WARM_NIGHTS = 14;
/** Days of the mean by which the coldest part of a year is found. */
const COLD_SPELL = 15;
const YEAR = 365;

/**
 * The first day from which on nights stay warm enough for two weeks, searched from the coldest part of the year; null where they never do.
 *
 * @param nights  365 normal night minima from 1 January, °C; 29 February has none
 */
export function warmNightsFrom(nights: readonly number[], least: number, year: number): Day | null {
  const at = (i: number) => nights[((i % YEAR) + YEAR) % YEAR]!;
  const spell = (i: number) => Array.from({ length: COLD_SPELL }, (_, k) => at(i + k - 7)).reduce((a, b) => a + b, 0);
  const spells = nights.map((_, i) => spell(i));
  const coldest = spells.indexOf(Math.min(...spells));
  for (let k = 0; k < YEAR; k++) {
    if (!Array.from({ length: WARM_NIGHTS }, (_, j) => at(coldest + k + j)).every((t) => t >= least)) continue;
    const index = coldest + k;
    // A winter that is coldest before the new year belongs to the spring after it.
    const wraps = index >= YEAR && coldest < 300 ? 1 : 0;
    const plain = new Date(Date.UTC(2001, 0, 1 + (index % YEAR)));
    return dayFrom(year + wraps, plain.getUTCMonth() + 1, plain.getUTCDate());
  }
  return null;
}

/** The 365 nights that twelve monthly means stand for: straight lines from the middle of a month to the next one's. */
export function nightsOfMonths(months: readonly number[]): number[] {
  const middles = Array.from({ length: 12 }, (_, m) => (Date.UTC(2001, m, 15.5) - Date.UTC(2001, 0, 1)) / 86_400_000);
  return Array.from({ length: YEAR }, (_, d) => {
    const next = middles.findIndex((m) => m > d);
    const [a, b] = next === -1 ? [11, 0] : [(next + 11) % 12, next];
    const from = middles[a]! - (a === 11 && next === 0 ? YEAR : 0);
    const to = middles[b]! + (next === -1 ? YEAR : 0);
    return months[a]! + ((d - from) / (to - from)) * (months[b]! - months[a]!);
  });
}
