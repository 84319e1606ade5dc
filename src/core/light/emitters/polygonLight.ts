/** Most corners that a polygon may have, with room for two more where the horizon cuts it. */
const MOST = 66;
const clipped = new Float64Array(3 * MOST);

/**
 * The light of an evenly bright diffuse polygon on a receiver at the origin, for unit radiance.
 *
 *     E / L = ½ | Σ βₖ (Γₖ · n) |     with βₖ the angle under which edge k is seen and Γₖ the unit normal of its plane
 *
 * What lies behind the receiver is cut off first. The polygon need not be flat: only its outline counts.
 *
 * @param corners  x, y, z of each corner from the receiver, one after the other
 * @param count    number of corners, 3 … 64
 * Source: Lambert, Photometria (1760); Schröder & Hanrahan 1993, "On the form factor between two polygons", for the proof.
 */
export function polygonLight(corners: Float64Array, count: number, nx: number, ny: number, nz: number): number {
  let low = Infinity;
  for (let k = 0; k < 3 * count; k += 3) low = Math.min(low, corners[k]! * nx + corners[k + 1]! * ny + corners[k + 2]! * nz);
  return low >= 0 ? outlineLight(corners, count, nx, ny, nz) : outlineLight(clipped, clip(corners, count, nx, ny, nz), nx, ny, nz);
}

/** Cuts off what lies behind the receiver (Sutherland–Hodgman). @returns the number of corners left, written to `clipped` */
function clip(corners: Float64Array, count: number, nx: number, ny: number, nz: number): number {
  let kept = 0;
  let px = corners[3 * count - 3]!, py = corners[3 * count - 2]!, pz = corners[3 * count - 1]!; // prettier-ignore
  let pd = px * nx + py * ny + pz * nz;
  for (let k = 0; k < count; k++) {
    const x = corners[3 * k]!, y = corners[3 * k + 1]!, z = corners[3 * k + 2]!; // prettier-ignore
    const d = x * nx + y * ny + z * nz;
    if (d > 0 !== pd > 0) {
      const t = pd / (pd - d);
      clipped[3 * kept] = px + t * (x - px);
      clipped[3 * kept + 1] = py + t * (y - py);
      clipped[3 * kept + 2] = pz + t * (z - pz);
      kept++;
    }
    if (d > 0) {
      clipped[3 * kept] = x;
      clipped[3 * kept + 1] = y;
      clipped[3 * kept + 2] = z;
      kept++;
    }
    px = x;
    py = y;
    pz = z;
    pd = d;
  }
  return kept;
}

/** An edge seen under less than a tenth of its distance: five terms of the series of the arctangent are right to 1e-11 there. */
const SHORT = 0.01;

function outlineLight(corners: Float64Array, count: number, nx: number, ny: number, nz: number): number {
  if (count < 3) return 0;
  let sum = 0;
  let ax = corners[3 * count - 3]!, ay = corners[3 * count - 2]!, az = corners[3 * count - 1]!; // prettier-ignore
  for (let k = 0; k < 3 * count; k += 3) {
    const bx = corners[k]!, by = corners[k + 1]!, bz = corners[k + 2]!; // prettier-ignore
    const cx = ay * bz - az * by, cy = az * bx - ax * bz, cz = ax * by - ay * bx; // prettier-ignore
    const cross2 = cx * cx + cy * cy + cz * cz;
    const dot = ax * bx + ay * by + az * bz;
    const facing = cx * nx + cy * ny + cz * nz;
    if (dot > 0 && cross2 < SHORT * dot * dot) {
      const q = cross2 / (dot * dot);
      sum += (facing / dot) * (1 - q * (1 / 3 - q * (1 / 5 - q * (1 / 7 - q / 9))));
    } else if (cross2 > 1e-300) {
      const cross = Math.sqrt(cross2);
      sum += (Math.atan2(cross, dot) * facing) / cross;
    }
    ax = bx;
    ay = by;
    az = bz;
  }
  return Math.abs(sum) / 2;
}
