import type { Metres } from '../../units/quantities';
import type { Emitter } from './Emitter';
import { frameOf, type Vec } from './frameOf';
import type { IntensityTable } from './IntensityTable';

/**
 * An emitter as a mirror shows it.
 *
 * @param axis 0 x, 1 y, 2 z: across the mirror
 * @param at   where the mirror stands on it
 */
export function mirroredEmitter(emitter: Emitter, axis: 0 | 1 | 2, at: Metres): Emitter {
  const { u, w } = frameOf(emitter);
  const flipped = (p: Vec): Vec => [axis === 0 ? -p[0] : p[0], axis === 1 ? -p[1] : p[1], axis === 2 ? -p[2] : p[2]];
  const [x, y, z] = [emitter.x, emitter.y, emitter.z].map((p, k) => (k === axis ? 2 * at - p : p)) as [Metres, Metres, Metres];
  const turned = { ...emitter, x, y, z, ...anglesOf(flipped(u), flipped(w)) };
  // A frame of angles has its width on the other side than the mirror image: only a measured far field tells the sides apart.
  return turned.kind === 'photometric' ? { ...turned, table: sideChanged(turned.table) } : turned;
}

/** The angles of a frame by its length and the direction in which it shines: the inverse of `frameOf`. */
function anglesOf(u: Vec, w: Vec): { turn: number; tilt: number; pitch: number } {
  const upright = Math.abs(u[2]) > 1 - 1e-12;
  const pitch = Math.asin(Math.max(-1, Math.min(1, u[2])));
  if (upright) return { turn: 0, tilt: Math.atan2(w[1], w[0] * Math.sign(u[2])), pitch };
  // v = u × w; its height is that of the tilt.
  return { turn: Math.atan2(u[1], u[0]), tilt: exact(Math.atan2(u[0] * w[1] - u[1] * w[0], -w[2])), pitch: exact(pitch) };
}

/** A level lamp stays level, with its closed forms, in a mirror that stands upright. */
const exact = (angle: number) => (Math.abs(angle) < 1e-12 ? 0 : angle);

const changed = new WeakMap<IntensityTable, IntensityTable>();

/** A far field with left and right of the lamp's length exchanged. */
function sideChanged(table: IntensityTable): IntensityTable {
  if (table.c.length === 1) return table;
  const known = changed.get(table);
  if (known) return known;
  const n = table.gamma.length;
  const planes = table.c.map((c, k) => ({ c: c === 0 ? 0 : 2 * Math.PI - c, values: table.perFlux.slice(k * n, (k + 1) * n) }));
  planes.sort((a, b) => a.c - b.c);
  const made = { gamma: table.gamma, c: planes.map((p) => p.c), perFlux: planes.flatMap((p) => p.values) };
  changed.set(table, made);
  return made;
}
