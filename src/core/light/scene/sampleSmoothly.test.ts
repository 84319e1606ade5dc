import fc from 'fast-check';
import { evenly } from '../../../../test/evenly';
import type { Emitter } from '../emitters/Emitter';
import { smoothnessOf } from '../emitters/smoothness';
import { lightOf } from '../ppfdAtPoint';
import { sampleSmoothly } from './sampleSmoothly';

const cells = (n: number, cell: number) => Float64Array.from({ length: n }, (_, i) => (i + 0.5) * cell);

test('sampled an eighth of the distance apart, the light of the smallest lamp, a point with a beam, is right within 0.12 %', () => {
  fc.assert(
    fc.property(evenly(0.1, 0.9), evenly(0.1, 0.5), evenly(0.05, 0.5), evenly(1, 80), (x, y, h, cosinePower) => {
      const lamp: Emitter = { kind: 'point', x, y, z: h, ppf: 10, cosinePower };
      const light = lightOf(lamp);
      const [xs, ys] = [cells(100, 0.01), cells(60, 0.01)];
      const out = new Float32Array(6000);
      let asked = 0;
      sampleSmoothly((a, b) => (asked++, light(a, b, 0)), h * smoothnessOf(lamp), xs, ys, out);
      const most = out.reduce((a, b) => Math.max(a, b), 0);
      for (let k = 0; k < 6000; k += 173) expect(out[k]!).toBeWithin(light(xs[k % 100]!, ys[Math.floor(k / 100)]!, 0), { absolute: 1.2e-3 * most }); // prettier-ignore
      expect(asked).toBeLessThan(6001);
    }),
    { numRuns: 40 },
  );
});

test('what is near is asked cell by cell, whatever the size of the grid', () => {
  for (const [n, m] of [[1, 1], [2, 7], [5, 1], [9, 9]] as const) {
    const out = new Float32Array(n * m);
    sampleSmoothly((x, y) => 1 + x + 10 * y, 0, cells(n, 0.1), cells(m, 0.1), out);
    for (let k = 0; k < n * m; k++) expect(out[k]!).toBeWithin(1 + ((k % n) + 0.5) / 10 + (Math.floor(k / n) + 0.5), { relative: 1e-6 });
  } // prettier-ignore
});

test('of light that is the same on both sides one quarter is asked, once for all lamps of a kind, and as right as ever', () => {
  fc.assert(
    fc.property(evenly(0.1, 0.9), evenly(0.1, 0.5), evenly(0.06, 0.5), evenly(0, 1), evenly(0, 0.5), (x, y, h, x2, y2) => {
      const [xs, ys] = [cells(100, 0.01), cells(60, 0.01)];
      const lampAt = (lx: number, ly: number) => lightOf({ kind: 'tube', x: lx, y: ly, z: h, ppf: 10, length: 0.4, turn: 0 });
      const known: number[][] = [];
      const asked: number[] = [];
      for (const [lx, ly] of [
        [x, y],
        [1 - x, y],
        [x2, y2],
      ] as const) {
        const light = lampAt(lx, ly);
        const out = new Float32Array(6000);
        let times = 0;
        sampleSmoothly((a, b) => (times++, light(a, b, 0)), h, xs, ys, out, { x: lx, y: ly, known });
        asked.push(times);
        const most = out.reduce((a, b) => Math.max(a, b), 0);
        for (let k = 0; k < 6000; k += 173) expect(out[k]!).toBeWithin(light(xs[k % 100]!, ys[Math.floor(k / 100)]!, 0), { absolute: 1.2e-3 * most }); // prettier-ignore
      }
      // The second reaches as far from its middle as the first, on its other side.
      expect(asked[1]!).toBeLessThan(asked[0]! / 10);
      expect(asked[2]!).toBeLessThanOrEqual(6000);
    }),
    { numRuns: 30 },
  );
});
