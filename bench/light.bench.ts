import { answerLight } from '../src/core/answer/answerLight';
import { lampLibrary } from '../src/core/library/lampLibrary';
import { emittersOf } from '../src/core/lamp/emittersOf';
import type { TubeEmitter } from '../src/core/light/emitters/Emitter';
import { computeMap } from '../src/core/light/field/computeMap';

const area = { x0: 0, x1: 1.2, y0: 0, y1: 0.6 };
const tubes: TubeEmitter[] = [0.12, 0.24, 0.36, 0.48].map((y) => ({ kind: 'tube', x: 0.6, y, z: 0.3, ppf: 28, length: 1.15, turn: 0 }));

function median(times: number, work: () => void): number {
  for (let i = 0; i < 8; i++) work();
  const took = Array.from({ length: times }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  }).sort((a, b) => a - b);
  return took[Math.floor(times / 2)]!;
}

/** The plain way: each tube as a hundred points, added up at each cell. */
function plainLoop(): number {
  let sum = 0;
  for (let row = 0; row < 60; row++) {
    for (let column = 0; column < 120; column++) {
      const x = (column + 0.5) / 100;
      const y = (row + 0.5) / 100;
      for (const t of tubes) {
        for (let i = 0; i < 100; i++) {
          const dx = t.x + ((i + 0.5) / 100 - 0.5) * t.length - x;
          const d2 = dx * dx + (t.y - y) ** 2 + t.z * t.z;
          const sin = Math.sqrt(Math.max(0, 1 - (dx * dx) / d2));
          sum += (sin * t.z) / (d2 * Math.sqrt(d2));
        }
      }
    }
  }
  return sum;
}

const print = (line: string) => process.stdout.write(`${line}\n`);

{
  const ours = median(60, () => void computeMap(tubes, area, 0, 0.01));
  const plain = median(9, () => void plainLoop());
  print(
    `map 1.2 × 0.6 m, 1 cm, four tubes: ${ours.toFixed(2)} ms (goal 5); plain loop over 100 points a tube: ${plain.toFixed(1)} ms, ${(plain / ours).toFixed(0)} times as long`,
  );
}

// What one move of the lamp asks, for each kind of lamp.
{
  for (const id of ['t8-12-2refl', 'led-shop-12-twin-42', 'led-board-100', 'led-a-14-clamp', 'led-a-14']) {
    const lamp = lampLibrary.find((l) => l.id === id)!;
    const emitters = [0.2, 0.4].flatMap((y) => emittersOf(lamp, { x: 0.6, y, face: 0.3, turn: 0 }));
    const took = median(
      25,
      () =>
        void answerLight({
          emitters,
          width: 1.2,
          depth: 0.6,
          canopy: 0.1,
          sliceTop: 0.5,
          sliceMargin: 0.04,
          plantAreas: [area],
          cell: 0.01,
          sliceCell: 0.02,
        }),
    );
    print(`one move, map and slice, two × ${lamp.name}: ${took.toFixed(2)} ms`);
  }
}
