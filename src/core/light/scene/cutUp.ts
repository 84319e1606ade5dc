import type { Emitter } from '../emitters/Emitter';
import { frameOf } from '../emitters/frameOf';

/** Longest side of a part for which one straight way stands for all of it, m. */
const PART = 0.08;
const MOST = 24;

/**
 * An emitter as several smaller ones that shine the same together: what a thing in the way hides part of.
 *
 * @param longest  side of a part, m
 *
 * Round openings and measured lamps are cut along their length only; a part of a disc is taken as a rectangle of its area.
 */
export function cutUp(emitter: Emitter, longest = PART): readonly Emitter[] {
  if (emitter.kind === 'point') return [emitter];
  const { u, v } = frameOf(emitter);
  const at = (a: number, b: number) => ({
    x: emitter.x + a * u[0] + b * v[0],
    y: emitter.y + a * u[1] + b * v[1],
    z: emitter.z + a * u[2] + b * v[2],
  });
  const parts = (length: number) => Math.max(1, Math.min(MOST, Math.ceil(length / longest)));
  const along = (length: number, n: number) => Array.from({ length: n }, (_, i) => ((i + 0.5) / n - 0.5) * length);
  if (emitter.kind === 'tube') {
    const n = parts(emitter.length);
    return along(emitter.length, n).map((a) => ({ ...emitter, ...at(a, 0), length: emitter.length / n, ppf: emitter.ppf / n }));
  }
  if (emitter.kind === 'disc') {
    const side = emitter.radius * Math.sqrt(Math.PI);
    return cutUp({ ...emitter, kind: 'rect', turn: emitter.turn ?? 0, length: side, width: side }, longest);
  }
  if (emitter.kind === 'rect' && emitter.diodes) {
    const { columns, rows } = emitter.diodes;
    return along(emitter.length, columns).flatMap((a) =>
      along(emitter.width, rows).map((b): Emitter => ({ ...emitter, kind: 'point', ...at(a, b), ppf: emitter.ppf / (columns * rows) })),
    );
  }
  const [n, m] = [parts(emitter.length), parts(emitter.width)];
  return along(emitter.length, n).flatMap((a) =>
    along(emitter.width, m).map((b): Emitter => ({
      ...emitter,
      ...at(a, b),
      length: emitter.length / n,
      width: emitter.width / m,
      ppf: emitter.ppf / (n * m),
    })),
  );
}
