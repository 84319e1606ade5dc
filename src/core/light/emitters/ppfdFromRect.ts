import type { Metres } from '../../units/quantities';
import { cosineIntegral } from './cosinePower';
import type { LightAt, RectEmitter } from './Emitter';
import { gaussLegendre } from '../../units/gaussLegendre';

/**
 * PPFD of a flat strip or panel on a level receiver that faces up.
 *
 * A diffuse panel (n = 1) has a closed form. For other beams the panel is cut into strips, and each strip of length L is
 *
 *     E = Φ/L · (n+1)/2π · hⁿ⁺¹/rⁿ⁺² · ∫ cosⁿ⁺¹φ dφ   between the angles of its two ends
 *
 * with h the height and r the shortest distance to the strip; the integral is tabulated.
 *
 * @returns ≥ 0; nothing at or above the level of the panel
 *
 * Error: n = 1 exact; otherwise under 0.1 %, checked in emitters.test.ts.
 * Source: closed form: Howell, A Catalog of Radiation Heat Transfer Configuration Factors, B-4 (element to parallel
 * rectangle); the strip is derived, checked against independent quadrature.
 */
export function ppfdFromRect(lamp: RectEmitter): LightAt {
  const { length, width, cosinePower: n, ppf } = lamp;
  const cos = Math.cos(lamp.turn);
  const sin = Math.sin(lamp.turn);
  const strip = width === 0 ? stripPpfd(n) : null;
  const integral = cosineIntegral(n + 1);
  const strength = ((ppf / (length * width)) * (n + 1)) / (2 * Math.PI);
  // A sharper beam changes faster with the angle and needs more points for the same angle.
  const sharp = Math.sqrt(Math.max(1, n));
  return (x, y, z) => {
    const h = lamp.z - z;
    if (!(h > 0)) return 0;
    const dx = x - lamp.x;
    const dy = y - lamp.y;
    const along = dx * cos + dy * sin;
    const aside = dy * cos - dx * sin;
    if (strip) return ppf * strip(length, along, aside, h);
    if (n === 1) return diffusePanelPpfd(ppf, length, width, along, aside, h);
    // Cut by equal angles ψ seen from the receiver, tan ψ = distance aside / h: what is left under the integral is
    // smooth, however near the panel: with dy = h/cos²ψ dψ the strip's light per ψ is ∝ cosⁿψ.
    const from = Math.atan((aside - width / 2) / h);
    const to = Math.atan((aside + width / 2) / h);
    // At grazing angles cosⁿψ changes faster still.
    const seen = (to - from) * sharp * (1 + (0.8 * Math.max(0, Math.abs(aside) - width / 2)) / h);
    const { at, weight } = gaussLegendre(seen < 0.15 ? 1 : seen < 0.6 ? 2 : seen < 1.2 ? 4 : seen < 2 ? 8 : 20);
    let sum = 0;
    for (let k = 0; k < at.length; k++) {
      const cosAngle = Math.cos((from + to) / 2 + at[k]! * (to - from));
      const byLength = cosAngle / h; // 1 / distance to the strip
      const swept = integral(Math.atan((along + length / 2) * byLength)) - integral(Math.atan((along - length / 2) * byLength));
      sum += weight[k]! * Math.pow(cosAngle, n) * swept;
    }
    return strength * (to - from) * sum;
  };
}

/**
 * The light of a strip of unit flux with beam exponent n: of its length, with the receiver `along` it from its middle,
 * `aside` from it and `h` below.
 */
export function stripPpfd(n: number): (length: Metres, along: Metres, aside: Metres, h: Metres) => number {
  const integral = cosineIntegral(n + 1);
  const strength = (n + 1) / (2 * Math.PI);
  return (length, along, aside, h) => {
    const r = Math.sqrt(aside * aside + h * h);
    const swept = integral(Math.atan((along + length / 2) / r)) - integral(Math.atan((along - length / 2) / r));
    return ((strength / length) * Math.pow(h / r, n + 1) * swept) / r;
  };
}

/** Radiance Φ/(π L W) times π times the configuration factor, summed over the four quarter rectangles. */
function diffusePanelPpfd(ppf: number, length: number, width: number, along: number, aside: number, h: number): number {
  const x1 = (along - length / 2) / h, x2 = (along + length / 2) / h; // prettier-ignore
  const y1 = (aside - width / 2) / h, y2 = (aside + width / 2) / h; // prettier-ignore
  const factor = corner(x2, y2) - corner(x1, y2) - corner(x2, y1) + corner(x1, y1);
  return (ppf / (length * width)) * Math.max(0, factor);
}

function corner(a: number, b: number): number {
  const ra = Math.sqrt(1 + a * a);
  const rb = Math.sqrt(1 + b * b);
  return ((a / ra) * Math.atan(b / ra) + (b / rb) * Math.atan(a / rb)) / (2 * Math.PI);
}
