import type { Metres, Ppfd } from '../../quantities';
import { cosineIntegral } from './cosinePower';
import type { RectEmitter } from './Emitter';
import { gaussLegendre } from './gaussLegendre';

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
export function ppfdFromRect(lamp: RectEmitter, x: Metres, y: Metres, z: Metres): Ppfd {
  const h = lamp.z - z;
  if (!(h > 0)) return 0;
  const cos = Math.cos(lamp.turn);
  const sin = Math.sin(lamp.turn);
  const dx = x - lamp.x;
  const dy = y - lamp.y;
  const along = dx * cos + dy * sin;
  const aside = dy * cos - dx * sin;
  const { length, width, cosinePower: n, ppf } = lamp;
  if (width === 0) return stripPpfd(ppf, length, n, along, aside, h);
  if (n === 1) return diffusePanelPpfd(ppf, length, width, along, aside, h);
  // Cut by equal angles ψ seen from the receiver, tan ψ = distance aside / h: what is left under the integral is
  // smooth, however near the panel: with dy = h/cos²ψ dψ the strip's light per ψ is ∝ cosⁿψ.
  const from = Math.atan((aside - width / 2) / h);
  const to = Math.atan((aside + width / 2) / h);
  const count = to - from < 0.25 ? 2 : to - from < 0.8 ? 4 : to - from < 1.8 ? 8 : 20;
  const { at, weight } = gaussLegendre(count);
  let sum = 0;
  for (let k = 0; k < count; k++) {
    const cosAngle = Math.cos((from + to) / 2 + at[k]! * (to - from));
    const r = h / cosAngle;
    sum += weight[k]! * Math.pow(cosAngle, n) * stripEnds(n, along, length, r);
  }
  return ((ppf / (length * width)) * (n + 1) * (to - from) * sum) / (2 * Math.PI);
}

/** PPFD of one strip, the receiver `along` its length from its middle and `aside` from it, `h` below. */
export function stripPpfd(ppf: number, length: number, n: number, along: number, aside: number, h: number): number {
  const r = Math.sqrt(aside * aside + h * h);
  const cosAside = h / r;
  const spread = n === 1 ? cosAside * cosAside : Math.pow(cosAside, n + 1);
  return (((ppf / length) * (n + 1)) / (2 * Math.PI)) * (spread / r) * stripEnds(n, along, length, r);
}

/** ∫ cosⁿ⁺¹φ dφ between the angles under which the two ends of a strip are seen. */
function stripEnds(n: number, along: number, length: number, r: number): number {
  return cosineIntegral(n + 1, Math.atan((along + length / 2) / r)) - cosineIntegral(n + 1, Math.atan((along - length / 2) / r));
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
