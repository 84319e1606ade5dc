import fc from 'fast-check';
import { evenly } from '../../../../test/evenly';
import { FACES, type FaceName, type Room } from '../../light/room/Room';
import type { Emitter } from '../../light/emitters/Emitter';
import { answerScene } from './answerScene';
import type { QuestionLamp, SceneQuestion } from './SceneQuestion';

const grey: Room = {
  x: 0,
  y: 0,
  z: 0,
  width: 1,
  depth: 0.6,
  height: 0.5,
  faces: Object.fromEntries(FACES.map((n) => [n, { reflectance: n === 'front' ? 0 : 0.5, transmittance: n === 'front' ? 1 : 0 }])) as Record<FaceName, Room['faces']['floor']>, // prettier-ignore
};
const lamp = (id: string, change: Partial<Emitter>, more: Partial<QuestionLamp> = {}): QuestionLamp => ({
  id,
  emitters: [{ kind: 'tube', x: 0.5, y: 0.2, z: 0.4, ppf: 20, length: 0.8, turn: 0, ...change } as Emitter],
  spectrumId: 'led-4000',
  ppfDoubt: { low: 0.2, high: 0.1 },
  heightDoubt: 0,
  ...more,
});
const ask = (lamps: QuestionLamp[], change: Partial<SceneQuestion> = {}): SceneQuestion => ({
  scene: { lamps, rooms: [], obstructions: [] },
  trays: [],
  points: [],
  maps: [],
  slices: [],
  falloffs: [],
  trayCell: 0.02,
  ...change,
});
const point = { x: 0.4, y: 0.3, z: 0.05 };

test('of one lamp the band is its own; of two equal ones it is narrower by the root of two', () => {
  const one = answerScene(ask([lamp('a', {})], { points: [point] })).points[0]!.ppfd;
  expect(one.low / one.value).toBeWithin(0.8, { relative: 1e-6 });
  expect(one.high / one.value).toBeWithin(1.1, { relative: 1e-6 });
  const two = answerScene(ask([lamp('a', {}), lamp('b', {})], { points: [point] })).points[0]!.ppfd;
  expect(1 - two.low / two.value).toBeWithin(0.2 / Math.SQRT2, { relative: 1e-6 });
});

test('a doubt of the height counts through the change with height', () => {
  const exact = { low: 0, high: 0 };
  const [sure, unsure] = [0, 0.02].map(
    (heightDoubt) => answerScene(ask([lamp('a', {}, { ppfDoubt: exact, heightDoubt })], { points: [point] })).points[0]!,
  );
  expect(sure!.ppfd.high).toBeWithin(sure!.ppfd.value, { relative: 1e-12 });
  // Nearer by 2 cm: about twice the change for one.
  expect(unsure!.ppfd.high / unsure!.ppfd.value - 1).toBeWithin(2 * unsure!.changePerCentimetre, { relative: 1e-6 });
  expect(unsure!.changePerCentimetre).toBeGreaterThan(0);
});

test('every point knows the share of each lamp, and lux is converted by the mixture', () => {
  fc.assert(
    fc.property(evenly(0.1, 0.9), evenly(0.1, 0.5), (x, y) => {
      const lamps = [lamp('white', { y: 0.15 }), lamp('pink', { y: 0.45 }, { spectrumId: 'led-blurple' })];
      const { points } = answerScene(ask(lamps, { scene: { lamps, rooms: [grey], obstructions: [] }, points: [{ x, y, z: 0 }] }));
      const [white, pink] = points[0]!.lamps.map((l) => l.share) as [number, number];
      expect(white + pink).toBeWithin(1, { relative: 1e-9 });
      expect(points[0]!.luxPerUmol).toBeWithin(71 * white + 14 * pink, { relative: 1e-6 }); // factors of the spectrum table
      expect(y > 0.35 ? pink : 1).toBeGreaterThan(y > 0.35 ? white : 0.5);
    }),
    { numRuns: 8 },
  );
});

test('a tray is judged as its map is, whatever the size of the cells', () => {
  const tray = { id: 't', area: { x0: 0.2, x1: 0.8, y0: 0.1, y1: 0.5 }, z: 0.05, band: { low: 5, high: 1e6 } };
  const lamps = [lamp('a', {})];
  const at = (trayCell: number) => answerScene(ask(lamps, { trays: [tray], trayCell })).trays[0]!;
  const [coarse, fine] = [at(0.04), at(0.01)];
  expect(coarse.mean.value).toBeWithin(fine.mean.value, { relative: 0.01 });
  expect(coarse.shareOfPpf).toBeWithin(fine.shareOfPpf, { relative: 0.01 });
  expect(fine.weakest.ppfd).toBeLessThanOrEqual(coarse.weakest.ppfd);
  expect(fine.uniformityMinOverMean).toBeWithin(fine.weakest.ppfd / fine.mean.value, { relative: 1e-9 });
  expect(fine.shareInBand).toBeGreaterThan(0);
});

test('far below a small lamp the inverse square holds; below a long tube it does not for a long way', () => {
  const from = { x: 0.5, y: 0.2, z: 0.4, from: 0.05, to: 5, count: 60 };
  const holds = (length: number) => answerScene(ask([lamp('a', { length })], { falloffs: [from] })).falloffs[0]!.holdsFrom!;
  expect(holds(0.05)).toBeLessThan(0.15);
  expect(holds(0.8)).toBeGreaterThan(0.8);
});

test('nearer is never dimmer straight below, and no cell is dark or negative between pale walls', () => {
  const lamps = [lamp('a', {})];
  const { falloffs, maps } = answerScene(
    ask(lamps, {
      scene: { lamps, rooms: [grey], obstructions: [] },
      falloffs: [{ x: 0.5, y: 0.2, z: 0.4, from: 0.02, to: 0.39, count: 25 }],
      maps: [{ area: { x0: 0, x1: 1, y0: 0, y1: 0.6 }, z: 0.02, cell: 0.05 }],
    }),
  );
  const rows = falloffs[0]!.rows.map((r) => r.ppfd);
  rows.forEach((v, i) => expect(i === 0 ? true : v <= rows[i - 1]!).toBe(true));
  expect(Math.min(...maps[0]!.ppfd)).toBeGreaterThan(0);
});
