import fc from 'fast-check';
import type { Emitter } from '../../light/emitters/Emitter';
import { lightFieldOf } from '../../light/scene/LightField';
import { NO_CACHE, createCache } from '../../light/scene/Cache';
import type { Obstruction } from '../../light/scene/Scene';
import type { Metres } from '../../units/quantities';
import { answerBench } from './answerBench';
import type { AskedTier, AskedTray, TrayLight } from './BenchQuestion';
import { tallerBeside } from '../../site/stand/tallerBeside';

const tube = (x: Metres, y: Metres, z: Metres, turn = 0): Emitter => ({
  kind: 'tube',
  x,
  y,
  z,
  turn,
  length: 0.85,
  diameter: 0,

  ppf: 40,
});
const panel = (x: Metres, y: Metres, z: Metres): Emitter => ({
  kind: 'rect',
  x,
  y,
  z,
  turn: 0,
  length: 0.3,
  width: 0.2,
  cosinePower: 1,
  ppf: 60,
});

/** A tray from x0 to x1 whose rim and leaf tops are so high, over the whole depth. */
const trayOf = (id: string, [x0, x1]: readonly [Metres, Metres], rim: Metres, canopy: Metres): AskedTray => {
  const outline = { x0, x1, y0: 0.1, y1: 0.4 };
  return { id, outline, plantArea: outline, canopy, rim, through: 1 };
};
const tierOf = (emitters: readonly Emitter[], trays: readonly AskedTray[]): AskedTier => ({
  id: 'tier',
  x: 0,
  z: 0,
  width: 1.2,
  depth: 0.5,
  height: 1,
  room: null,
  hours: 16,
  lamps: emitters.map((e, i) => ({ id: `lamp ${i}`, emitters: [e] })),
  trays,
  plane: 0.1,
});
const lightOn = (tier: AskedTier, id: string): TrayLight =>
  answerBench({ tiers: [tier], view: null, cell: 0.02, sliceCell: 0.02, only: null, spill: true }).tiers.tier!.trays[id]!;
const behind = (emitters: readonly Emitter[], obstructions: readonly Obstruction[], { outline, canopy }: AskedTray) =>
  lightFieldOf({ lamps: [{ id: 'all', emitters }], rooms: [], obstructions }).map(outline, canopy, 0.02).ppfd;

const low = trayOf('low', [0.5, 0.9], 0.06, 0.1);
const tallPot = trayOf('tall', [0.1, 0.49], 0.3, 0.3);
const box = { x0: 0.1, x1: 0.49, y0: 0.1, y1: 0.4, z0: 0 };

test.each([
  ['two tubes', [tube(0.6, 0.2, 0.5), tube(0.6, 0.3, 0.45)], 0.006],
  ['a panel', [panel(0.3, 0.25, 0.55)], 0.01],
  // Its shadow has a sharp edge, which falls between two places.
  ['a tube across', [tube(0.25, 0.25, 0.6, Math.PI / 2)], 0.03],
] as const)('under %s a solid pot beside a tray leaves it the light of the same box in a scene', (_, emitters, within) => {
  const { map, stats, shadedShare } = lightOn(tierOf(emitters, [low, tallPot]), 'low');
  const clear = behind(emitters, [], low);
  const mean = clear.reduce((a, b) => a + b, 0) / clear.length;
  const exact = behind(emitters, [{ ...box, z1: 0.3 }], low);
  const off = exact.reduce((sum, v, i) => sum + Math.abs(map.ppfd[i]! - v) / exact.length / mean, 0);
  expect(off).toBeLessThan(within);
  const left = exact.reduce((a, b) => a + b, 0) / exact.length;
  expect(left).toBeLessThan(0.97 * mean);
  expect(stats.mean).toBeWithin(left, { absolute: within * mean });
  expect(shadedShare).toBeWithin(1 - left / mean, { absolute: 0.03 });
});

test('leaves let a part of what crosses them through; what is solid lets nothing', () => {
  const emitters = [tube(0.6, 0.2, 0.5)];
  const leafy = trayOf('tall', [0.1, 0.49], 0.15, 0.3);
  const { map } = lightOn(tierOf(emitters, [low, leafy]), 'low');
  const pots = behind(emitters, [{ ...box, z1: 0.15 }], low);
  const all = behind(emitters, [{ ...box, z1: 0.3 }], low);
  const clear = behind(emitters, [], low);
  map.ppfd.forEach((v, i) => {
    // One neighbour: all that its leaves are crossed by is what the pot alone leaves and both do not.
    expect(Math.abs(v - (all[i]! + Math.exp(-1.2) * (pots[i]! - all[i]!)))).toBeLessThan(0.03 * clear[i]!);
  });
});

test('a bulb right behind a wall leaves nothing there, and all of it where the wall does not stand between', () => {
  const bulb: Emitter = { kind: 'point', x: 0.05, y: 0.25, z: 0.35, cosinePower: 1, ppf: 20 };
  const wall = trayOf('wall', [0.1, 0.12], 0.6, 0.6);
  const { map, shadedShare } = lightOn(tierOf([bulb], [trayOf('behind', [0.14, 0.4], 0.05, 0.1), wall]), 'behind');
  expect(Math.max(...map.ppfd)).toBeLessThan(1e-9);
  expect(shadedShare).toBeCloseTo(1, 6);
  const before = { ...trayOf('before', [0, 0.09], 0.05, 0.1) };
  expect(lightOn(tierOf([bulb], [before, wall]), 'before').map.ppfd).toEqual(lightOn(tierOf([bulb], [before]), 'before').map.ppfd);
});

test('taller neighbours take, equal ones and lower ones do not, and more of them never give light', () => {
  const height = fc.double({ min: 0.05, max: 0.4, noNaN: true });
  fc.assert(
    fc.property(height, height, height, fc.double({ min: 0, max: 1, noNaN: true }), (own, left, right, rim) => {
      const emitters = [tube(0.6, 0.25, 0.5)];
      const tray = trayOf('own', [0.41, 0.79], 0.04, own);
      const [a, b] = [trayOf('left', [0.1, 0.4], rim * left, left), trayOf('right', [0.8, 1.1], rim * right, right)];
      const cache = createCache();
      const meanOf = (trays: readonly AskedTray[]) =>
        answerBench({ tiers: [tierOf(emitters, trays)], view: null, cell: 0.02, sliceCell: 0.02, only: null, spill: true }, cache).tiers
          .tier!.trays.own!.stats.mean;
      const alone = meanOf([tray]);
      const one = meanOf([tray, a]);
      expect(one).toBeLessThanOrEqual(alone + 1e-9);
      expect(meanOf([tray, a, b])).toBeLessThanOrEqual(one + 1e-9);
      if (left <= own) expect(one).toBe(alone);
      // A hand higher it takes as much or more.
      expect(meanOf([tray, { ...a, rim: a.rim + 0.05, canopy: left + 0.05 }])).toBeLessThanOrEqual(one + 1e-6);
    }),
    { numRuns: 30 },
  );
  expect(tallerBeside(low, [low, trayOf('as high', [0.1, 0.4], 0.05, 0.105)])).toEqual([]);
});

test('what was worked out for one lamp is the same after another has moved, and with nothing kept', () => {
  const cache = createCache();
  const at = (x: Metres, kept = cache) =>
    answerBench(
      {
        tiers: [tierOf([tube(0.6, 0.2, 0.5), tube(x, 0.3, 0.5)], [low, tallPot])],
        view: null,
        cell: 0.02,
        sliceCell: 0.02,
        only: 'tier',
        spill: true,
      },
      kept,
    ).tiers.tier!.trays.low!.map.ppfd;
  at(0.6);
  const moved = at(0.4);
  expect(moved).toEqual(at(0.4, NO_CACHE));
  expect(moved).not.toEqual(at(0.6));
});
