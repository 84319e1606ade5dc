import type { LightAt, TubeEmitter } from './Emitter';

/**
 * PPFD of a straight tube on a level receiver that faces up, the tube taken as a thin diffuse cylinder.
 *
 *     E = Φ/(L π²) · h/r² · ½ [ φ + sin φ cos φ ] from φ₁ to φ₂
 *
 * with h the height of the axis above the receiver, r the shortest distance to the axis and φ the angles under which
 * the receiver sees the two ends, measured from the perpendicular.
 *
 * @returns ≥ 0; nothing at or above the level of the axis
 *
 * Error: a real tube is thicker: within 2–3 % alongside, more beyond its ends.
 * Source: derived from i(θ) = i₀ sin θ per length, whose integral over all directions is i₀ π²; checked against
 * independent quadrature in emitters.test.ts.
 */
export function ppfdFromTube(lamp: TubeEmitter): LightAt {
  const cos = Math.cos(lamp.turn);
  const sin = Math.sin(lamp.turn);
  const half = lamp.length / 2;
  const strength = ((lamp.shaded ? 2 : 1) * lamp.ppf) / (lamp.length * Math.PI * Math.PI * 2);
  return (x, y, z) => {
    const h = lamp.z - z;
    if (!(h > 0)) return 0;
    const dx = x - lamp.x;
    const dy = y - lamp.y;
    const along = dx * cos + dy * sin;
    const aside = dy * cos - dx * sin;
    const r2 = aside * aside + h * h;
    const r = Math.sqrt(r2);
    const t1 = (along - half) / r;
    const t2 = (along + half) / r;
    // φ + sin φ cos φ, with sin φ cos φ = t/(1+t²) for t = tan φ
    const swept = Math.atan(t2) - Math.atan(t1) + t2 / (1 + t2 * t2) - t1 / (1 + t1 * t1);
    return (strength * h * swept) / r2;
  };
}
