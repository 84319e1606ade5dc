import { computeMap } from '../light/field/computeMap';
import { computeSlice } from '../light/field/computeSlice';
import { statsOver } from '../light/field/statsOver';
import { lightOf } from '../light/ppfdAtPoint';
import type { Emitter } from '../light/emitters/Emitter';
import type { Rect } from '../light/field/Grid';
import type { LightAnswer, LightQuestion } from './LightQuestion';

/** Computes the light of one tier: map at the canopy, slice from the front, statistics over the plants. */
export function answerLight(question: LightQuestion): LightAnswer {
  const { emitters, width, depth, canopy, sliceTop, sliceMargin, plantAreas, cell, sliceCell } = question;
  const map = computeMap(emitters, { x0: 0, x1: width, y0: 0, y1: depth }, canopy, cell);
  const slice = computeSlice(emitters, { x0: -sliceMargin, x1: width + sliceMargin, z0: 0, z1: sliceTop, y: depth / 2 }, sliceCell);
  return {
    map,
    slice,
    stats: statsOver(map, plantAreas),
    meanNearer: roughMean(emitters, plantAreas, canopy + 0.01),
    meanFarther: roughMean(emitters, plantAreas, canopy - 0.01),
  };
}

/** Mean over five by five points of each area: enough to see how fast the light falls with distance. */
function roughMean(emitters: readonly Emitter[], areas: readonly Rect[], z: number): number {
  const lights = emitters.map(lightOf);
  let sum = 0;
  for (const { x0, x1, y0, y1 } of areas) {
    for (let j = 0; j < 5; j++) {
      for (let i = 0; i < 5; i++)
        for (const light of lights) sum += light(x0 + ((i + 0.5) / 5) * (x1 - x0), y0 + ((j + 0.5) / 5) * (y1 - y0), z);
    }
  }
  return sum / (25 * areas.length);
}
