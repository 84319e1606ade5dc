import type { Fit } from '../../site/reading/Fit';
import { materialOf } from '../../things/material/materialLibrary';
import type { Share } from '../../units/quantities';
import type { Enclosure } from '../../site/stand/Enclosure';
import type { Uncertainty } from './Band';

/**
 * How much the light may be off because sides send back more or less than their material usually does.
 *
 *     share of the light that comes from the sides · (doubt of a reflectance / reflectance), the mean over the faces that reflect
 *
 * @param found  what readings have found of the sides: then that error counts
 * @param reflectedShare  0–1, of the mean light on the plants
 */
export function uncertaintyOfWalls({ faces }: Enclosure, reflectedShare: Share, found: Fit['sides'] = null): Uncertainty {
  const paler = Object.values(faces)
    .map(materialOf)
    .filter((m) => m.reflectance > 0);
  const weight = paler.reduce((sum, m) => sum + m.reflectance, 0);
  if (found) {
    const told = Object.values(found.reflectances);
    const mean = told.reduce((sum, r) => sum + r, 0) / Math.max(1, told.length);
    const off = Math.min(0.9, mean > 0 ? (reflectedShare * 1.645 * found.error) / mean : 0);
    return { why: 'sides', low: off, high: off, source: 'a fit to readings: reflectance of the sides with its error' };
  }
  const relative = weight > 0 ? paler.reduce((sum, m) => sum + m.reflectanceUncertainty, 0) / weight : 0;
  const off = reflectedShare * relative;
  return { why: 'sides', low: off, high: off, source: 'computed: reflectances of the material table, each with its spread' };
}
