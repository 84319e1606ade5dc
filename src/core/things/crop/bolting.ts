import type { Hours } from '../../units/quantities';
import type { Crop } from './Crop';

/**
 * Photoperiods beyond which crops that are grown for their leaves, stems or bulbs run to flower (or bulb) too soon, when it is
 * warm: by species, since flowers that need long days are grown for just that. Cultivars differ by an hour or two.
 * Source: the day-length notes of the crop table; Brewster 2008 for onions; Wurr & Fellows 1991 and growers' consensus for the
 * others.
 */
const BOLTS_ABOVE: Readonly<Record<string, Hours>> = {
  lettuce: 16,
  spinach: 13,
  'pak-choi': 14,
  mustard: 14,
  rocket: 14,
  coriander: 14,
  dill: 14,
  fennel: 14,
  'bulb-onion': 12, // early kinds; those of the north from 14, but nobody is asked which kind it is
};

/** Of a crop that was made from nothing and said to need long days: growers' consensus. */
const LONG_DAY: Hours = 14;

/** The photoperiod beyond which a crop may bolt or bulb too soon; null: it does not mind, or its flowers are wanted. */
export function boltsAbove({ id, own, dayLengthType }: Pick<Crop, 'id' | 'own' | 'dayLengthType'>): Hours | null {
  if (own?.basedOn === null) return dayLengthType === 'long-day' ? LONG_DAY : null;
  return BOLTS_ABOVE[own?.basedOn ?? id] ?? null;
}
