import type { DiscEmitter, LightAt } from './Emitter';
import { gaussLegendre } from '../../units/gaussLegendre';
import { stripPpfd } from './ppfdFromRect';

/**
 * PPFD of a flat round opening on a level receiver that faces up.
 *
 * Diffuse (n = 1) in closed form; other beams as a sum over chords.
 *
 * @returns ≥ 0; nothing at or above the level of the disc
 *
 * Error: n = 1 exact; otherwise under 0.1 %, checked in emitters.test.ts.
 * Source: Howell, A Catalog of Radiation Heat Transfer Configuration Factors, B-12 (element to parallel disc off the axis).
 */
export function ppfdFromDisc(lamp: DiscEmitter): LightAt {
  const { radius, cosinePower: n, ppf } = lamp;
  const strip = stripPpfd(n);
  const area = Math.PI * radius * radius;
  const sharp = Math.sqrt(Math.max(1, n));
  return (x, y, z) => {
    const h = lamp.z - z;
    if (!(h > 0)) return 0;
    const aside2 = (x - lamp.x) ** 2 + (y - lamp.y) ** 2;
    if (n === 1) {
      const sum = h * h + aside2 + radius * radius;
      return (0.5 * ppf * (1 - (h * h + aside2 - radius * radius) / Math.sqrt(sum * sum - 4 * radius * radius * aside2))) / area;
    }
    // The disc as chords across the line to the receiver; each chord is a strip with a closed form.
    const aside = Math.sqrt(aside2);
    const from = Math.atan((aside - radius) / h);
    const to = Math.atan((aside + radius) / h);
    let sum = 0;
    if (to - from < 0.8) {
      // Gauss–Chebyshev of the second kind: its weight √(1−t²) is the length of the chord.
      const seen = (sharp * radius) / Math.hypot(Math.max(0, aside - radius), h);
      const chords = seen < 0.1 ? 2 : seen < 0.3 ? 4 : seen < 0.7 ? 8 : 20;
      for (let k = 1; k <= chords; k++) {
        const angle = (Math.PI * k) / (chords + 1);
        const sin = Math.sin(angle);
        sum += ((2 * sin * sin) / (chords + 1)) * strip(2 * radius * sin, 0, aside - radius * Math.cos(angle), h);
      }
      return ppf * sum;
    }
    // Near: by equal angles ψ instead, as in ppfdFromRect, so that a receiver almost touching the disc is still right.
    const { at, weight } = gaussLegendre(32);
    for (let k = 0; k < at.length; k++) {
      const angle = (from + to) / 2 + at[k]! * (to - from);
      const y = aside - h * Math.tan(angle);
      const half = Math.sqrt(Math.max(0, radius * radius - y * y));
      if (half > 0) sum += (weight[k]! * half * strip(2 * half, 0, aside - y, h)) / Math.cos(angle) ** 2;
    }
    return (ppf * sum * 2 * h * (to - from)) / area;
  };
}
