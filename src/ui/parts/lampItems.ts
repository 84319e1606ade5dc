import type { Lamp } from '@/core/things/lamp/Lamp';
import { lampLibrary } from '@/core/things/lamp/lampLibrary';
import type { SearchItem } from './SearchList';

/** Said again each time: what the watts and photons of a lamp are. */
const detailOf = (l: Lamp) => `${l.power} W, ${Math.round(l.ppf)} µmol/s`;

/** Among the usual ones those first that are sold today. */
const rankOf = (l: Lamp) => (l.common ? (l.family.startsWith('LED') ? 0 : 1) : 2);
const ledFirst = (a: Lamp, b: Lamp) => rankOf(a) - rankOf(b);

/** The person's own lamps first, then those that many have, then all others. */
export const lampItems = (own: readonly Lamp[]): readonly SearchItem[] => [
  ...own.map((l) => ({ id: l.id, name: l.name, detail: detailOf(l), words: ['own', 'mine', 'box'], group: 'Yours' })),
  ...[...lampLibrary].sort(ledFirst).map((l) => ({
    id: l.id,
    name: l.name,
    detail: detailOf(l),
    words: [l.family, l.family.replace(/-/g, ' '), `${l.power}w`, `${l.cct ?? ''}k`],
    group: l.common ? 'Usual' : 'All others',
  })),
];
