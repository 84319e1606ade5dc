import type { Rect } from '../../light/field/Grid';
import { statsOver } from '../../light/field/statsOver';
import { lightOf } from '../../light/ppfdAtPoint';
import { lightFieldOf, type LightField } from '../../light/scene/LightField';
import { NO_CACHE, type Cache } from '../../light/scene/Cache';
import type { LightAnswer, LightQuestion } from './LightQuestion';
import { ninthsOf, perCentimetreOf } from './perCentimetreOf';

/**
 * Computes the light of one tier: map at the canopy, slice from the front, statistics over the plants.
 *
 * @param cache  what the last question left behind, for the next frame of a drag
 */
export function answerLight(question: LightQuestion, cache: Cache = NO_CACHE): LightAnswer {
  const { scene, width, depth, canopy, sliceTop, sliceMargin, plantAreas, cell, sliceCell } = question;
  const field = lightFieldOf(scene, cache);
  const map = field.map({ x0: 0, x1: width, y0: 0, y1: depth }, canopy, cell);
  const stats = statsOver(map, plantAreas);
  return {
    map,
    slice: field.slice({ x0: -sliceMargin, x1: width + sliceMargin, z0: 0, z1: sliceTop, y: depth / 2 }, sliceCell),
    stats,
    perCm: perCentimetreOf(scene.lamps.flatMap((lamp) => lamp.emitters).map(lightOf), stats, plantAreas, canopy),
    reflectedShare: scene.rooms.length > 0 ? shareOf(field, plantAreas, canopy) : 0,
  };
}

/** Reflected over whole light, at three by three places of each area. */
function shareOf(field: LightField, areas: readonly Rect[], z: number): number {
  let reflected = 0, whole = 0; // prettier-ignore
  for (const [x, y] of areas.flatMap(ninthsOf)) {
    reflected += field.reflectedAt(x, y, z);
    whole += field.ppfdAt(x, y, z);
  }
  return whole > 0 ? reflected / whole : 0;
}
