import type { Metres, Share } from '../../units/quantities';
import { lightOf } from '../ppfdAtPoint';
import { cutUp } from './cutUp';
import { visibilityOf } from './visibility';
import type { Scene } from './Scene';

/** Mean of (1 − cos θ) over light that comes evenly from half the world above, each direction by its cosine. */
const EVEN_LIGHT = 1 / 3; // 1 − ∫cos²θ sinθ dθ / ∫cosθ sinθ dθ = 1 − ⅔

/**
 * How slanting the light at a place is: the mean of (1 − cos θ), each part of each lamp by the light that it gives there, and
 * what is reflected taken as coming from everywhere above.
 *
 * @returns 0 from straight above … 1 from the horizon
 */
export function slantAt(scene: Scene, x: Metres, y: Metres, z: Metres, reflectedShare: Share): Share {
  const visibility = visibilityOf(scene);
  let whole = 0, slant = 0; // prettier-ignore
  for (const lamp of scene.lamps)
    for (const emitter of lamp.emitters)
      for (const part of cutUp(emitter)) {
        const there = lightOf(part)(x, y, z) * visibility(part.x, part.y, part.z, x, y, z);
        const [dx, dy, dz] = [part.x - x, part.y - y, part.z - z];
        whole += there;
        slant += there * (1 - dz / Math.max(1e-9, Math.hypot(dx, dy, dz)));
      }
  const straight = whole > 0 ? slant / whole : EVEN_LIGHT;
  return straight * (1 - reflectedShare) + EVEN_LIGHT * reflectedShare;
}
