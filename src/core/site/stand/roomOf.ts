import { CANOPY_REFLECTANCE, materialOf } from '../../things/material/materialLibrary';
import { FACES, type Face, type FaceName, type Room } from '../../light/room/Room';
import { outlineOf } from './footprint';
import type { Share } from '../../units/quantities';
import type { Around } from '../reading/Reading';
import type { Tier } from './Site';

/**
 * A tier as a room of the light: its faces by their materials, the floor part canopy and part what is left of it between the
 * trays. Null where every face is open: nothing sends light back.
 *
 * @param found  reflectances of sides that readings have found, by material; others are those of the table
 * Error: the canopy reflects at the floor instead of at its own height; at 7 % that is under 1 % of the light on it.
 */
export const roomOf = (tier: Pick<Tier, 'enclosure' | 'width' | 'depth' | 'trays'>, found: Found = {}): Room | null =>
  roomFrom(aroundOf(tier), found);

type Found = Readonly<Record<string, Share>>;

/** A tier as far as its light goes, to be remembered with a reading. */
export function aroundOf({ enclosure, width, depth, trays }: Pick<Tier, 'enclosure' | 'width' | 'depth' | 'trays'>): Around {
  const covered = trays.map(outlineOf).reduce((sum, r) => sum + (r.x1 - r.x0) * (r.y1 - r.y0), 0) / (width * depth);
  return { width, depth, height: enclosure.height, faces: enclosure.faces, covered: Math.min(1, covered) };
}

/** The room of a tier as it was remembered. */
export function roomFrom({ width, depth, height, faces: materials, covered: share }: Around, found: Found = {}): Room | null {
  if (FACES.every((name) => materials[name] === 'open')) return null;
  const faces = Object.fromEntries(
    FACES.map((name) => {
      const id = materials[name];
      const { reflectance, transmittance, specular } = materialOf(id);
      // What readings found of the sides; floor and ceiling stay as their material has them.
      const own = name === 'floor' || name === 'ceiling' ? undefined : found[id];
      return [name, { reflectance: Math.min(1 - transmittance, own ?? reflectance), transmittance, ...(specular ? { specular } : {}) }];
    }),
  ) as Record<FaceName, Face>;
  const floor: Face = {
    reflectance: share * CANOPY_REFLECTANCE + (1 - share) * faces.floor.reflectance,
    transmittance: (1 - share) * faces.floor.transmittance,
  };
  return { x: 0, y: 0, z: 0, width, depth, height, faces: { ...faces, floor } };
}
