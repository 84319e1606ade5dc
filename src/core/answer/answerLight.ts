import type { Rect } from '../light/field/Grid';
import { statsOver } from '../light/field/statsOver';
import { lightOf } from '../light/ppfdAtPoint';
import { lightFieldOf, type LightField } from '../light/scene/LightField';
import { NO_RECALL, type Recall } from '../light/scene/Recall';
import type { Scene } from '../light/scene/Scene';
import type { LightAnswer, LightQuestion } from './LightQuestion';

/**
 * Computes the light of one tier: map at the canopy, slice from the front, statistics over the plants.
 *
 * @param recall  what the last question left behind, for the next frame of a drag
 */
export function answerLight(question: LightQuestion, recall: Recall = NO_RECALL): LightAnswer {
  const { scene, width, depth, canopy, sliceTop, sliceMargin, plantAreas, cell, sliceCell } = question;
  const field = lightFieldOf(scene, recall);
  const map = field.map({ x0: 0, x1: width, y0: 0, y1: depth }, canopy, cell);
  const stats = statsOver(map, plantAreas);
  // How a centimetre changes the mean is read off the straight light; the reflected light hardly changes with it.
  const here = straightMean(scene, plantAreas, canopy);
  const after = (z: number) => (here > 0 ? (stats.mean * straightMean(scene, plantAreas, z)) / here : 0);
  return {
    map,
    slice: field.slice({ x0: -sliceMargin, x1: width + sliceMargin, z0: 0, z1: sliceTop, y: depth / 2 }, sliceCell),
    stats,
    meanNearer: after(canopy + 0.01),
    meanFarther: after(canopy - 0.01),
    reflectedShare: scene.rooms.length > 0 ? shareOf(field, plantAreas, canopy) : 0,
  };
}

/** Reflected over whole light, at three by three places of each area. */
function shareOf(field: LightField, areas: readonly Rect[], z: number): number {
  let reflected = 0, whole = 0; // prettier-ignore
  for (const { x0, x1, y0, y1 } of areas)
    for (const u of [1 / 6, 1 / 2, 5 / 6])
      for (const v of [1 / 6, 1 / 2, 5 / 6]) {
        const [x, y] = [x0 + u * (x1 - x0), y0 + v * (y1 - y0)];
        reflected += field.reflectedAt(x, y, z);
        whole += field.ppfdAt(x, y, z);
      }
  return whole > 0 ? reflected / whole : 0;
}

/** Mean over five by five points of each area: enough to see how fast the light falls with distance. */
function straightMean(scene: Scene, areas: readonly Rect[], z: number): number {
  const lights = scene.lamps.flatMap((lamp) => lamp.emitters).map(lightOf);
  let sum = 0;
  for (const { x0, x1, y0, y1 } of areas) {
    for (let j = 0; j < 5; j++) {
      for (let i = 0; i < 5; i++)
        for (const light of lights) sum += light(x0 + ((i + 0.5) / 5) * (x1 - x0), y0 + ((j + 0.5) / 5) * (y1 - y0), z);
    }
  }
  return sum / (25 * areas.length);
}
