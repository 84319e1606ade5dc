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
 * A disc is cut into squares, those at its rim as much smaller as they lie outside of it.
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
    const cells = squaresOf(Math.max(4, Math.min(MOST, 2 * Math.ceil(emitter.radius / longest))));
    return cells.map(({ a, b, side, share }): Emitter => {
      const size = side * emitter.radius;
      return { ...emitter, kind: 'rect', turn: emitter.turn ?? 0, ...at(a * emitter.radius, b * emitter.radius), length: size, width: size, ppf: emitter.ppf * share }; // prettier-ignore
    });
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

const squares = new Map<number, Squares>();
type Squares = readonly { readonly a: number; readonly b: number; readonly side: number; readonly share: number }[];

/** Of a disc of radius 1: squares, n across, each as large as its share of the disc; where it lies partly outside, in the middle of what is inside. */
function squaresOf(n: number): Squares {
  let of = squares.get(n);
  if (!of) squares.set(n, (of = cutDisc(n)));
  return of;
}

function cutDisc(n: number): Squares {
  const FINE = 8;
  const step = 2 / n;
  const cells = Array.from({ length: n * n }, (_, k) => {
    const [a0, b0] = [-1 + step * (k % n), -1 + step * Math.floor(k / n)];
    let [count, a, b] = [0, 0, 0];
    for (let i = 0; i < FINE * FINE; i++) {
      const [x, y] = [a0 + (step * ((i % FINE) + 0.5)) / FINE, b0 + (step * (Math.floor(i / FINE) + 0.5)) / FINE];
      if (x * x + y * y <= 1) [count, a, b] = [count + 1, a + x, b + y];
    }
    return { count, a: a / count, b: b / count };
  }).filter((c) => c.count > 0);
  const all = cells.reduce((sum, c) => sum + c.count, 0);
  return cells.map(({ count, a, b }) => ({ a, b, side: (step * Math.sqrt(count)) / FINE, share: count / all }));
}
