import type { Metres, Ppfd } from '../../quantities';
import type { PointEmitter } from './Emitter';

/**
 * PPFD of a small source on a level receiver that faces up.
 *
 *     E = I(θ) · cos θ / d²,   I = Φ/4π (even)  or  Φ (n+1)/2π · cosⁿθ (downward)
 *
 * @param lamp  ppf ≥ 0
 * @param x     place of the receiver; likewise y, z
 * @returns ≥ 0; nothing at or above the source's own level
 *
 * Error: exact for a point; exact also for an evenly bright diffuse ball as long as the receiver's plane does not cut it.
 * Source: Lambert, Photometria (1760).
 */
export function ppfdFromPoint(lamp: PointEmitter, x: Metres, y: Metres, z: Metres): Ppfd {
  const h = lamp.z - z;
  if (!(h > 0)) return 0;
  const d2 = (lamp.x - x) ** 2 + (lamp.y - y) ** 2 + h * h;
  const d = Math.sqrt(d2);
  const n = lamp.cosinePower;
  if (n === null) return ((lamp.ppf / (4 * Math.PI)) * h) / (d2 * d);
  return ((lamp.ppf * (n + 1)) / (2 * Math.PI)) * (Math.pow(h / d, n + 1) / d2);
}
