import type { Lamp } from '@/core/things/lamp/Lamp';

const METRES_PER_FOOT = 0.3048; // exact
/** Shorter lamps are not called by their length. */
const LONG_m = 0.45;

/** The length by which tubes and bars are sold, in whole feet; null for a lamp that is not called by its length. */
export const feetOf = ({ length }: Pick<Lamp, 'length'>): number | null => (length > LONG_m ? Math.round(length / METRES_PER_FOOT) : null);

/** What a kind of lamp is found by beside its name, for `searchWords`. */
export function lampWords(lamp: Pick<Lamp, 'family' | 'power' | 'cct' | 'length'>): string[] {
  const { family, power, cct } = lamp;
  const feet = feetOf(lamp);
  return [
    family,
    family.replace(/-/g, ' '),
    `${power} W ${power}W`,
    ...(cct ? [`${cct} K ${cct}K`] : []),
    ...(feet === null ? [] : [`${feet}ft`]),
  ];
}
