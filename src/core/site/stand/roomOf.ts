import { CANOPY_REFLECTANCE, materialOf } from '../../things/material/materialLibrary';
import { withCrowdedFloor } from '../../light/room/crowdedFloor';
import { FACES, type Face, type FaceName, type Room } from '../../light/room/Room';
import { rimOf } from './canopy';
import { outlineOf } from './footprint';
import type { Metres, Share } from '../../units/quantities';
import type { Around } from '../reading/Reading';
import type { Tier } from './Site';

/**
 * A tier as a room of the light: its faces by their materials, its trays with their leaves as blocks that swallow what falls among them.
 * Null where every face is open: nothing sends light back.
 *
 * @param tops   heights of the leaf tops of its trays above its floor, m
 * @param found  reflectances of sides that readings have found, by material; others are those of the table
 */
export const roomOf = (tier: Surroundings, tops: readonly Metres[], found: Found = {}): Room | null =>
  roomFrom(aroundOf(tier, tops), found);

type Surroundings = Pick<Tier, 'enclosure' | 'width' | 'depth' | 'trays'>;
type Found = Readonly<Record<string, Share>>;

/**
 * A tier as far as its light goes, to be remembered with a reading.
 *
 * @param tops  as above; left out: plants are taken to be no higher than the rims
 */
export function aroundOf({ enclosure, width, depth, trays }: Surroundings, tops: readonly Metres[] = trays.map(rimOf)): Around {
  let covered = 0, edge = 0, sum = 0; // prettier-ignore
  trays.forEach((tray, i) => {
    const r = outlineOf(tray);
    const [w, d] = [r.x1 - r.x0, r.y1 - r.y0];
    covered += w * d;
    edge += 2 * (w + d);
    sum += w * d * tops[i]!;
  });
  return {
    width,
    depth,
    height: enclosure.height,
    faces: enclosure.faces,
    covered: Math.min(1, covered / (width * depth)),
    ...(covered > 0 && { standing: { height: STEP * Math.round(sum / covered / STEP), edge } }),
  };
}

/** The room of a tier as it was remembered. */
export function roomFrom({ width, depth, height, faces: materials, covered, standing }: Around, found: Found = {}): Room | null {
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
  const empty: Room = { x: 0, y: 0, z: 0, width, depth, height, faces };
  const usual = { height: USUAL_TOPS, edge: covered * width * depth * USUAL_EDGE };
  return withCrowdedFloor(empty, { ...(standing ?? usual), covered, reflectance: CANOPY_REFLECTANCE });
}

/** Plants are taken to grow by steps of this, so that not every day is a room of its own: it moves no light by 0.2 %. */
const STEP: Metres = 0.005;

/** What stood around a reading of long ago: trays with seedlings, where only how much they covered was kept. */
const USUAL_TOPS: Metres = 0.1; // our choice
/** Edge of trays over their area, m⁻¹: of a standard flat, 0.545 × 0.28 m. */
const USUAL_EDGE = (2 * (0.545 + 0.28)) / (0.545 * 0.28);
