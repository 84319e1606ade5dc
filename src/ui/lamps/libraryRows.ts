import type { LampPrice } from '@/core/site/stand/Site';
import type { Lamp } from '@/core/things/lamp/Lamp';
import { searchWords } from '../parts/searchWords';
import { lampWords } from '../parts/lampWords';
import type { Metres, Ppf, Watts } from '@/core/units/quantities';

/** A kind of lamp as the table shows and sorts it. */
export interface LibraryRow {
  readonly id: string;
  readonly name: string;
  readonly isOwn: boolean;
  readonly power: Watts;
  readonly ppf: Ppf;
  readonly efficacy: number;
  /** Null: no beam to speak of. */
  readonly beam_deg: number | null;
  readonly length: Metres;
  readonly width: Metres;
  readonly price: number | null;
  /** What it is found by, in small letters. */
  readonly words: string;
}

/** One's own first, then those that are sold most, then all others. */
export function libraryRows(own: readonly Lamp[], library: readonly Lamp[], prices: readonly LampPrice[]): readonly LibraryRow[] {
  const rankOf = (l: Lamp) => (l.common ? (l.family.startsWith('LED') ? 0 : 1) : 2);
  const rowOf = (l: Lamp, isOwn: boolean): LibraryRow => ({
    id: l.id,
    name: l.name,
    isOwn,
    power: l.power,
    ppf: l.ppf,
    efficacy: l.ppf / l.power,
    beam_deg: l.beamFwhm === null ? null : (l.beamFwhm * 180) / Math.PI,
    length: l.length,
    width: l.width,
    price: prices.find((p) => p.lampId === l.id)?.price ?? null,
    words: [l.name, ...lampWords(l), isOwn ? 'own mine yours' : ''].join(' ').toLowerCase(),
  });
  return [...own.map((l) => rowOf(l, true)), ...[...library].sort((a, b) => rankOf(a) - rankOf(b)).map((l) => rowOf(l, false))];
}

/** Rows in which every word stands that somebody typed. */
export function wantedRows(rows: readonly LibraryRow[], typed: string): readonly LibraryRow[] {
  const words = searchWords(typed);
  return words.length === 0 ? rows : rows.filter((r) => words.every((w) => r.words.includes(w)));
}
