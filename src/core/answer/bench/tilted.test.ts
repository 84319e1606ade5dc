import fc from 'fast-check';
import { evenly } from '../../../../test/evenly';
import { lightThere } from '../../measure/reading/lightThere';
import { placeNow } from '../../measure/reading/takeReading';
import { lightFieldOf } from '../../light/scene/LightField';
import { createCache } from '../../light/scene/Cache';
import { BARE_SITE, BARE_STAND } from '../../site/stand/bare';
import { addFitting, addTray, changeFittings } from '../../site/stand/change';
import { bodyOutlineOf, MOST_TILT, poseOf, riseOf, topOfFitting } from '../../site/stand/poseOf';
import type { Site } from '../../site/stand/Site';
import { standFrom, TEMPLATES } from '../../site/stand/templates';
import { bodyHeightOf } from '../../things/lamp/bodyHeight';
import { emittersOf } from '../../things/lamp/emittersOf';
import { lampLibrary } from '../../things/lamp/lampLibrary';
import { tables } from '../../things/tables/libraryTables';
import { faultsOf } from '../faults/faults';
import { benchStandOf, type BenchTier } from '../stand/benchStand';
import { answerBench } from './answerBench';
import { sceneOfTier } from './benchScene';
import { askedTier, questionOfStand } from './questionOfStand';

const bar = lampLibrary.find((l) => l.id === 'led-bar-12-white-24')!;
const panel = lampLibrary.find((l) => l.id === 'led-board-65')!;
const WIDTH = 1.2;
const DEPTH = 0.45;

/** A shelf of a rack: one lamp over the middle of its depth, tilted, and a tray on either side of that. */
function shelf(tilt: number, { lamp = bar, turn = 0, face = 0.24 } = {}): Site {
  let n = 0;
  const ids = () => `t${n++}`;
  const { stand, timer } = standFrom(TEMPLATES.find((t) => t.kind === 'rack')!, 1, 'Rack', ids); // prettier-ignore
  const [tier] = stand.tiers;
  const pot = tables.container('pot-9')!;
  const grow = { cropId: 'lettuce', stage: 'seedling' } as const;
  const steps = [
    addFitting(tier!.id, lamp, { x: WIDTH / 2, y: DEPTH / 2, face }, 'lamp'),
    addTray(tier!.id, pot, grow, { x: WIDTH / 2, y: 0.08 }, () => ['front-batch', 'front'][n++ % 2]!),
    addTray(tier!.id, pot, grow, { x: WIDTH / 2, y: DEPTH - 0.08 }, () => ['back-batch', 'back'][n++ % 2]!),
    changeFittings(tier!.id, ['lamp'], () => ({ tilt, turn })),
  ];
  n = 0;
  return steps.reduce((site, step) => step(site), {
    ...BARE_SITE,
    currency: 'EUR',
    price_per_kWh: 0.3,
    stands: [{ ...stand, ...BARE_STAND }],
    timers: [timer],
  } as Site);
}
const tierOf = (site: Site): BenchTier => benchStandOf(site, site.stands[0]!, tables).tiers[0]!;
const fieldOf = (site: Site) => lightFieldOf(sceneOfTier(askedTier(tierOf(site))), createCache());
const meansOf = (site: Site) => {
  const stand = benchStandOf(site, site.stands[0]!, tables);
  const { trays } = answerBench(questionOfStand(stand, null)).tiers[stand.tiers[0]!.tier.id]!;
  return stand.tiers[0]!.trays.map((y) => trays[y.tray.id]!.stats.mean);
};

test('heights are those of the lowest edge of a face: the light turns about its middle, half its width times the sine higher', () => {
  fc.assert(
    fc.property(evenly(-MOST_TILT, MOST_TILT), evenly(0.1, 0.5), (tilt, face) => {
      const [emitter] = emittersOf(panel, poseOf({ x: 0, y: 0, face, turn: 0, tilt }, panel));
      expect(emitter!.kind).toBe('rect');
      const half = (emitter as { width: number }).width / 2;
      expect(emitter!.z - half * Math.abs(Math.sin(tilt))).toBeWithin(face, { absolute: 0.003 });
      expect(topOfFitting({ face, tilt }, panel)).toBeGreaterThanOrEqual(face + 2 * riseOf({ tilt }, panel));
    }),
  );
  const level = { x: 0, y: 0, face: 0.3, turn: 0 };
  expect(poseOf(level, bar)).toBe(level);
});

test('a lamp that is tilted to the back lights the back more, to the front the front; both ways alike', () => {
  const [front, back] = meansOf(shelf(0));
  expect(front).toBeWithin(back!, { relative: 0.02 });
  const [toBackFront, toBackBack] = meansOf(shelf(0.5));
  expect(toBackBack).toBeGreaterThan(1.15 * toBackFront!);
  const [toFrontFront, toFrontBack] = meansOf(shelf(-0.5));
  expect(toFrontFront).toBeWithin(toBackBack!, { relative: 0.02 });
  expect(toFrontBack).toBeWithin(toBackFront!, { relative: 0.02 });
});

test('turned by a quarter, what looked to the back looks to the left', () => {
  const field = fieldOf(shelf(0.6, { turn: Math.PI / 2 }));
  const [left, right] = [-0.25, 0.25].map((dx) => field.ppfdAt(WIDTH / 2 + dx, DEPTH / 2, 0.05));
  expect(left).toBeGreaterThan(1.2 * right!);
});

test('all of the light comes down that came down level, as long as nothing looks up: over a wide plane below, within a per cent', () => {
  const flux = (tilt: number) => {
    const emitters = emittersOf(bar, poseOf({ x: 0, y: 0, face: 0.3, turn: 0, tilt }, bar));
    const field = lightFieldOf({ lamps: [{ id: 'a', emitters }], rooms: [], obstructions: [] }, createCache());
    let sum = 0;
    const step = 0.1;
    for (let x = -9.95; x < 10; x += step) for (let y = -9.95; y < 10; y += step) sum += field.ppfdAt(x, y, 0) * step * step;
    return sum;
  };
  const level = flux(0);
  expect(level).toBeWithin(bar.ppf, { relative: 0.03 });
  // The edge of its beam rises over the horizon: what looks up never comes down.
  for (const tilt of [0.2, 0.4]) {
    expect(flux(tilt)).toBeLessThanOrEqual(level * 1.01);
    expect(flux(tilt)).toBeGreaterThan(level * 0.9);
  }
});

test('a reading remembers the tilt of what was lit: the plan has the light there that the bench has', () => {
  fc.assert(
    fc.property(evenly(-0.8, 0.8), evenly(0.3, 0.9), evenly(0.1, 0.35), (tilt, x, y) => {
      const site = shelf(tilt);
      const { tier, lamps } = tierOf(site);
      const place = placeNow(tier, { x, y, z: 0.05 });
      expect(place.lit[0]!.tilt ?? 0).toBeCloseTo(tilt, 12);
      // Lamps as old as they are.
      expect(lightThere(place, () => lamps[0]!.real).ppfd).toBeWithin(fieldOf(site).ppfdAt(x, y, 0.05), { relative: 0.002 });
    }),
    { numRuns: 15 },
  );
});

test('a tilted lamp may stick into the shelf above, and its lowest edge is what leaves must keep away from', () => {
  const { height } = tierOf(shelf(0)).tier.enclosure;
  const stand = (site: Site) => benchStandOf(site, site.stands[0]!, tables);
  const high = { lamp: panel, face: height - 0.06 };
  const whys = (site: Site) => faultsOf(stand(site)).map((f) => f.why);
  expect(whys(shelf(0, high))).not.toContain('lamp-in-shelf');
  expect(whys(shelf(0.9, high))).toContain('lamp-in-shelf');
  const canopy = Math.max(...tierOf(shelf(0)).trays.map((y) => y.canopy));
  const fault = faultsOf(stand(shelf(0.9, { lamp: panel, face: canopy + 0.005 }))).find((f) => f.why === 'leaves-in-heat');
  expect(fault?.distance).toBeCloseTo(0.005, 6);
});

test('the neck of a tilted bulb swings out to the side from which it looks away: there leaves must keep their distance too', () => {
  const bulb = lampLibrary.find((l) => l.shape === 'bulb-reflector')!;
  const fitting = { ...shelf(0.9).stands[0]!.tiers[0]!.fittings[0]!, tilt: 0.9 };
  const [level, tilted] = [bodyOutlineOf({ ...fitting, tilt: 0 }, bulb), bodyOutlineOf(fitting, bulb)];
  const out = bodyHeightOf(bulb) * Math.sin(0.9);
  // It looks to the back: its body comes forward, by its height times the sine.
  expect([tilted.y0 - level.y0, tilted.y1 - level.y1, tilted.x0 - level.x0]).toEqual([expect.closeTo(-out, 9), 0, 0]);
  // Turned by a quarter it looks to the left, and its body goes to the right.
  const across = bodyOutlineOf({ ...fitting, turn: Math.PI / 2 }, bulb);
  expect(across.x1 - bodyOutlineOf({ ...fitting, tilt: 0, turn: Math.PI / 2 }, bulb).x1).toBeCloseTo(out, 9);
  expect(bodyOutlineOf({ ...fitting, tilt: -0.9 }, bulb).y1 - level.y1).toBeCloseTo(out, 9);
});
