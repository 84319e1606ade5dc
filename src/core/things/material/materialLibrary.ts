import type { Face } from '../../light/room/Room';
import type { Source } from '../../units/Source';

/** What a side, a shelf or a floor may be made of. */
export interface Material extends Face {
  readonly id: string;
  readonly name: string;
  /** Half-width of the reflectance, as one finds it in homes. */
  readonly reflectanceUncertainty: number;
  readonly sources: readonly Source[];
}

const rea: Source = { cite: 'Rea (ed.) 2000, IESNA Lighting Handbook, 9th ed.', kind: 'bulletin', supports: ['reflectance'] };
const consensus: Source = { cite: 'grower consensus, editable', kind: 'consensus', supports: ['rest'] };
const material = (
  id: string,
  name: string,
  reflectance: number,
  uncertainty: number,
  transmittance = 0,
  sources = [consensus],
  specular?: number,
): Material => ({
  id,
  name,
  reflectance,
  reflectanceUncertainty: uncertainty,
  transmittance,
  sources,
  ...(specular === undefined ? {} : { specular }),
});

/**
 * Reflectances for light of 400–700 nm. Foil and mirror film throw part of it back like mirrors; how much, is our estimate: smooth
 * films and foils do so with nearly all of it, but at home film has creases and foil has been crumpled.
 */
export const materialLibrary: readonly Material[] = [
  material('open', 'open', 0, 0, 1),
  material('white-paint', 'white paint, matt', 0.82, 0.07, 0, [rea, consensus]),
  material('white-card', 'white card or foam board', 0.87, 0.05),
  material('foil', 'kitchen foil, crumpled', 0.7, 0.1, 0, [rea, consensus], 0.3),
  material('mirror-film', 'mirror film', 0.9, 0.05, 0, [consensus], 0.8),
  material('pale-wood', 'pale wood', 0.45, 0.12, 0, [rea, consensus]),
  material('dark-wood', 'dark wood or brick', 0.2, 0.08, 0, [rea, consensus]),
  material('dark', 'dark cloth or black plastic', 0.05, 0.03),
  material('clear', 'clear plastic or glass', 0.08, 0.02, 0.88, [rea, consensus]),
  material('thin-white', 'thin white cloth', 0.55, 0.1, 0.3),
  material('wire', 'wire shelf', 0.1, 0.05, 0.75),
];

const byId = new Map(materialLibrary.map((m) => [m.id, m]));

/** @throws RangeError for an id that the library does not hold: a caller's mistake, since readers let none through */
export function materialOf(id: string): Material {
  const found = byId.get(id);
  if (!found) throw new RangeError(`no material is called ${id}`);
  return found;
}

export const isMaterial = (id: string): boolean => byId.has(id);

/** A canopy of leaves sends back little of 400–700 nm. */
export const CANOPY_REFLECTANCE = 0.07; // ±0.03; Gates et al. 1965, Applied Optics 4, for single leaves and stands
