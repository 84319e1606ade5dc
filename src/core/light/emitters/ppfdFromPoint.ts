import type { LightAt, PointEmitter } from './Emitter';

/**
 * PPFD of a small source on a level receiver that faces up.
 *
 *     E = I(θ) · cos θ / d²,   I = Φ/4π (even)  or  Φ (n+1)/2π · cosⁿθ (downward)
 *
 * @param lamp  ppf ≥ 0
 * @returns ≥ 0; nothing at or above the source's own level
 *
 * Error: exact for a point; exact also for an evenly bright diffuse ball as long as the receiver's plane does not cut it.
 * Source: Lambert, Photometria (1760).
 */
export function ppfdFromPoint(lamp: PointEmitter): LightAt {
  const n = lamp.cosinePower;
  const strength = n === null ? lamp.ppf / (4 * Math.PI) : (lamp.ppf * (n + 1)) / (2 * Math.PI);
  return (x, y, z) => {
    const h = lamp.z - z;
    if (!(h > 0)) return 0;
    const dx = lamp.x - x;
    const dy = lamp.y - y;
    const d2 = dx * dx + dy * dy + h * h;
    const d = Math.sqrt(d2);
    return n === null ? (strength * h) / (d2 * d) : (strength * Math.pow(h / d, n + 1)) / d2;
  };
}
