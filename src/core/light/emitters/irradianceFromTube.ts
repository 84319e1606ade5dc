import type { IrradianceAt, TubeEmitter } from './Emitter';
import { frameOf } from './frameOf';
import { polygonLight } from './polygonLight';

/** Straight pieces for the arc at each end of a tube's outline: near by, and the fewer the farther, in diameters. */
const piecesAt = (diameters: number): number => (diameters < 2 ? 6 : diameters < 5 ? 3 : 2);

/**
 * Light of a straight tube on a receiver of any direction. As a line (diameter 0):
 *
 *     E = Φ/(L π²) · 1/r · ∫ (A cos φ + B sin φ) cos φ dφ,   A = p·n, B = u·n, where the bracket is positive
 *
 * with r the shortest distance to the axis, p the unit vector there, u the axis, and φ the angle along it. Else as what
 * the eye would see of an evenly bright cylinder with dark ends: its outline, two straight sides and an arc at each end,
 * by Lambert's formula for polygons.
 *
 * @returns ≥ 0; nothing inside the tube's shadow beyond its dark ends
 * Error: the arcs in two to six pieces, under 0.3 % alongside and 1 % in the faint light beyond the ends, a diameter away. Source: derived; line and cylinder
 * agree far away, and a sum over the cylinder's surface agrees near by, both in emitters.test.ts.
 */
export function irradianceFromTube(lamp: TubeEmitter): IrradianceAt {
  const { u, w } = frameOf(lamp);
  const { x: x0, y: y0, z: z0, length, diameter = 0, shaded = false } = lamp;
  const ppf = shaded ? 2 * lamp.ppf : lamp.ppf;
  const half = length / 2;
  const line = ppf / (length * Math.PI * Math.PI);
  const radius = diameter / 2;
  const radiance = diameter > 0 ? ppf / (Math.PI * Math.PI * diameter * length) : 0;
  const corners = new Float64Array(3 * 2 * 7);
  return (x, y, z, nx, ny, nz) => {
    const dx = x0 - x, dy = y0 - y, dz = z0 - z; // prettier-ignore
    if (shaded && dx * w[0] + dy * w[1] + dz * w[2] >= 0) return 0;
    // Along the axis from the foot of the perpendicular to the middle of the tube.
    const middle = dx * u[0] + dy * u[1] + dz * u[2];
    let px = dx - middle * u[0], py = dy - middle * u[1], pz = dz - middle * u[2]; // prettier-ignore
    const r = Math.max(1e-9, Math.sqrt(px * px + py * py + pz * pz));
    px /= r;
    py /= r;
    pz /= r;
    const from = middle - half, to = middle + half; // prettier-ignore
    const beyond = Math.max(0, from, -to);
    if (radius > 0) {
      if (r <= radius && beyond > 0) return 0;
      // In the plane across the axis: from the axis towards the receiver, and at right angles to it.
      const ex = -px, ey = -py, ez = -pz; // prettier-ignore
      const fx = u[1] * ez - u[2] * ey, fy = u[2] * ex - u[0] * ez, fz = u[0] * ey - u[1] * ex; // prettier-ignore
      const away = Math.max(r, radius * 1.0001);
      const cosSeen = radius / away, sinSeen = Math.sqrt(1 - cosSeen * cosSeen), seen = Math.acos(cosSeen); // prettier-ignore
      let count = 0;
      for (let end = 0; end < 2; end++) {
        const s = end === 0 ? from : to;
        const sense = end === 0 ? 1 : -1;
        const pieces = piecesAt(Math.sqrt(r * r + s * s) / diameter);
        const step = (2 * seen) / pieces;
        const cosStep = pieces === 2 ? cosSeen : Math.cos(step), sinStep = pieces === 2 ? sinSeen : Math.sin(step); // prettier-ignore
        // Corners between the sides stand out a little, so that the pieces enclose the area of the arc.
        const out = radius * standOut(pieces, step, sinStep);
        // From one side of the outline to the other, turned by a step at a time.
        let cos = cosSeen, sin = -sinSeen; // prettier-ignore
        for (let k = 0; k <= pieces; k++) {
          const reach = k === 0 || k === pieces ? radius : out;
          const c = reach * cos - away, q = sense * reach * sin; // prettier-ignore
          corners[count] = s * u[0] + c * ex + q * fx;
          corners[count + 1] = s * u[1] + c * ey + q * fy;
          corners[count + 2] = s * u[2] + c * ez + q * fz;
          count += 3;
          const turned = cos * cosStep - sin * sinStep;
          sin = sin * cosStep + cos * sinStep;
          cos = turned;
        }
      }
      return radiance * polygonLight(corners, count / 3, nx, ny, nz);
    }
    const a = px * nx + py * ny + pz * nz;
    const b = u[0] * nx + u[1] * ny + u[2] * nz;
    let t1 = from / r, t2 = to / r; // prettier-ignore
    // Only what stands before the receiver: a + b t > 0.
    if (b > 1e-12) t1 = Math.max(t1, -a / b);
    else if (b < -1e-12) t2 = Math.min(t2, -a / b);
    else if (a <= 0) return 0;
    if (t2 <= t1) return 0;
    const q1 = 1 / (1 + t1 * t1), q2 = 1 / (1 + t2 * t2); // prettier-ignore
    const even = (Math.atan(t2) - Math.atan(t1) + t2 * q2 - t1 * q1) / 2;
    const odd = (q1 - q2) / 2; // ½ (sin²φ₂ − sin²φ₁)
    return Math.max(0, (line / r) * (a * even + b * odd));
  };
}

/**
 * How far the corners between the two sides stand out, in radii, so that the pieces enclose the area of the arc: f in
 * ½ sin(step) · (2f + (pieces − 2) f²) = ½ pieces · step.
 */
function standOut(pieces: number, step: number, sinStep: number): number {
  if (step < 1e-6) return 1;
  const wanted = (pieces * step) / sinStep;
  return pieces === 2 ? wanted / 2 : (Math.sqrt(1 + (pieces - 2) * wanted) - 1) / (pieces - 2);
}
