import fc from 'fast-check';
import { evenly } from '../../../../test/evenly';
import { mulberry } from '../../units/mulberry';
import { heightOnPhoto, type PhotoMarks } from './heightOnPhoto';

const marks = (change: Partial<PhotoMarks> = {}): PhotoMarks => ({
  known: [{ x: 100, y: 800 }, { x: 100, y: 500 }], // prettier-ignore
  length: 0.1,
  base: { x: 400, y: 800 },
  tip: { x: 400, y: 575 },
  pointing_px: 3,
  ...change,
});
const read = (m: PhotoMarks) => {
  const r = heightOnPhoto(m);
  if (!r.ok) throw new Error(r.problems[0]!.code);
  return r.value;
};

test('a label of 10 cm that is 300 pixels long makes a stem of 225 pixels 7.5 cm tall', () => {
  expect(read(marks()).height).toBeWithin(0.075, { relative: 1e-12 });
});

test('neither the size of the photo nor how it is turned changes the height', () => {
  fc.assert(
    fc.property(evenly(0.2, 5), evenly(0, 6.3), (by, turn) => {
      const turned = ({ x, y }: { x: number; y: number }) => ({
        x: by * (x * Math.cos(turn) - y * Math.sin(turn)),
        y: by * (x * Math.sin(turn) + y * Math.cos(turn)),
      });
      const m = marks();
      const other = {
        ...m,
        known: [turned(m.known[0]), turned(m.known[1])] as const,
        base: turned(m.base),
        tip: turned(m.tip),
        pointing_px: by * 3,
      };
      const [a, b] = [read(m), read(other)];
      expect(b.height).toBeWithin(a.height, { relative: 1e-9 });
      expect(b.sd).toBeWithin(a.sd, { relative: 1e-9 });
    }),
  );
});

test('the doubt is what many careless fingers differ by', () => {
  const chance = mulberry(5);
  const normal = () => Math.sqrt(-2 * Math.log(1 - chance())) * Math.cos(2 * Math.PI * chance());
  const off = (p: { x: number; y: number }) => ({ x: p.x + 3 * normal(), y: p.y + 3 * normal() });
  const m = marks();
  const heights = Array.from({ length: 20_000 }, () => {
    const depth = 1 + 0.04 * normal();
    return depth * read({ ...m, known: [off(m.known[0]), off(m.known[1])], base: off(m.base), tip: off(m.tip) }).height;
  });
  const mean = heights.reduce((a, b) => a + b) / heights.length;
  const sd = Math.sqrt(heights.reduce((s, h) => s + (h - mean) ** 2, 0) / heights.length);
  expect(read(m).sd).toBeWithin(sd, { relative: 0.03 });
});

test.each([
  ['photo/length', { length: 0 }],
  ['photo/length', { length: NaN }],
  ['photo/known-too-short', { known: [{ x: 1, y: 1 }, { x: 4, y: 4 }] as const }], // prettier-ignore
  ['photo/plant-too-short', { tip: { x: 400, y: 799 } }],
])('%s is refused by name', (code, change) => {
  const r = heightOnPhoto(marks(change));
  expect(r.ok ? null : r.problems[0]!.code).toBe(code);
});
