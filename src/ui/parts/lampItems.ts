import type { Lamp } from '@/core/things/lamp/Lamp';
import { lampLibrary } from '@/core/things/lamp/lampLibrary';
import { feetOf, lampWords } from './lampWords';
import type { LengthUnit } from '@/core/units/length';
import type { SearchItem } from './SearchList';

/** Said again each time: what the watts and photons of a lamp are; where lengths are in inches, how many feet it is long. */
function detailOf(l: Lamp, unit: LengthUnit): string {
  const feet = unit === 'in' ? feetOf(l) : null;
  return `${feet === null ? '' : `${feet} ft, `}${l.power} W, ${Math.round(l.ppf)} µmol/s`;
}

/** Among the usual ones those first that are sold today. */
const rankOf = (l: Lamp) => (l.common ? (l.family.startsWith('LED') ? 0 : 1) : 2);
const ledFirst = (a: Lamp, b: Lamp) => rankOf(a) - rankOf(b);

/** The person's own lamps first, then those that many have, then all others. */
export const lampItems = (own: readonly Lamp[], unit: LengthUnit): readonly SearchItem[] => [
  ...own.map((l) => ({
    id: l.id,
    name: l.name,
    detail: detailOf(l, unit),
    words: ['own', 'mine', 'box', ...lampWords(l)],
    group: 'Yours',
  })),
  ...[...lampLibrary].sort(ledFirst).map((l) => ({
    id: l.id,
    name: l.name,
    detail: detailOf(l, unit),
    words: lampWords(l),
    group: l.common ? 'Usual' : 'All others',
  })),
];
