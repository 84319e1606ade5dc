import { CANOPY_REFLECTANCE, materialOf } from '../library/materialLibrary';
import { FACES, type Face, type FaceName, type Room } from '../light/room/Room';
import { outlineOf } from './footprint';
import type { Tier } from './Site';

/**
 * A tier as a room of the light: its faces by their materials, the floor part canopy and part what is left of it between the
 * trays. Null where every face is open: nothing sends light back.
 *
 * Error: the canopy reflects at the floor instead of at its own height; at 7 % that is under 1 % of the light on it.
 */
export function roomOf(tier: Tier): Room | null {
  const { enclosure, width, depth } = tier;
  if (FACES.every((name) => enclosure.faces[name] === 'open')) return null;
  const faces = Object.fromEntries(
    FACES.map((name) => {
      const { reflectance, transmittance } = materialOf(enclosure.faces[name]);
      return [name, { reflectance, transmittance }];
    }),
  ) as Record<FaceName, Face>;
  const covered = tier.trays.map(outlineOf).reduce((sum, r) => sum + (r.x1 - r.x0) * (r.y1 - r.y0), 0) / (width * depth);
  const share = Math.min(1, covered);
  const floor: Face = {
    reflectance: share * CANOPY_REFLECTANCE + (1 - share) * faces.floor.reflectance,
    transmittance: (1 - share) * faces.floor.transmittance,
  };
  return { x: 0, y: 0, z: 0, width, depth, height: enclosure.height, faces: { ...faces, floor } };
}
