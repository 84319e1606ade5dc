import { cropLibrary } from '../../core/things/crop/cropLibrary';
import { lampLibrary } from '../../core/things/lamp/lampLibrary';
import { setUpOf } from '../../core/answer/stand/setUp';
import { lampRowOf, trayBlockOf } from '../../core/site/stand/layOut';
import type { Site } from '../../core/site/stand/Site';
import { emptySite } from './newSite';
import {
  addSetUp,
  applyAnswer,
  chooseCrop,
  chooseLamp,
  copyStand,
  deleteStand,
  PLAIN_RECIPE,
  setDistance,
  setHours,
  setLampRow,
  setPlantHeight,
  setTrayBlock,
} from './setUpVerbs';
import { benchStandOf } from '../../core/answer/stand/benchStand';
import { measuredLamp } from '../../core/answer/stand/setUp';
import type { OwnLamp } from '../../core/site/lamp/OwnLamp';
import { plainOwnLamp } from '../../core/site/ownLamps/changeOwnLamps';
import { knowOwnLamps } from '../../core/site/ownLamps/hangingOf';
import { dayFrom } from '../../core/units/day';
import { tables } from '../../core/things/tables/libraryTables';

const start = addSetUp(PLAIN_RECIPE, 's')(emptySite('en-GB'));
const setUp = (site: Site, id = 's') =>
  setUpOf(
    site,
    site.stands.find((s) => s.id === id)!,
    tables,
  );

test('a new set-up is what its recipe says', () => {
  const s = setUp(start);
  expect([s.crop.id, s.stage.stage, s.lamp.id, s.hours]).toEqual(['tomato', 'seedling', 'led-shop-12-twin-42', 16]);
  expect(s.distance).toBeWithin(0.15, { relative: 1e-9 });
});

test('the distance stays when plants, trays or lamps change', () => {
  const tall = setPlantHeight('s', 0.4)(start);
  expect(setUp(tall).distance).toBeWithin(0.15, { relative: 1e-9 });
  expect(setUp(tall).canopy).toBeGreaterThan(setUp(start).canopy);
  expect(
    setUp(
      chooseCrop(
        's',
        cropLibrary.find((c) => c.id === 'basil')!,
      )(tall),
    ).distance,
  ).toBeWithin(0.15, { relative: 1e-9 });
  expect(setUp(setTrayBlock('s', { across: 3, deep: 2, turned: true })(start)).distance).toBeWithin(0.15, { relative: 1e-9 });
});

test('a hot lamp is hung no nearer than its heat allows', () => {
  const hot = lampLibrary.find((l) => l.id === 'mh-400')!;
  expect(setUp(chooseLamp('s', hot)(start)).distance).toBeWithin(hot.heatClearance, { relative: 1e-9 });
});

test('rows of lamps and blocks of trays are read back as they were set, and all stand within the tier', () => {
  const site = setTrayBlock('s', { across: 3, deep: 2, turned: true })(setLampRow('s', { count: 3, gap: 0.12 })(start));
  const { tier, lamp } = setUp(site);
  expect(lampRowOf(tier, lamp)).toEqual({ count: 3, gap: expect.closeTo(0.12, 9) });
  expect(trayBlockOf(tier)).toEqual({ across: 3, deep: 2, turned: true });
  for (const t of tier.trays) {
    expect(t.x).toBeGreaterThan(0);
    expect(t.x).toBeLessThan(tier.width);
    expect(t.y).toBeGreaterThan(0);
    expect(t.y).toBeLessThan(tier.depth);
  }
});

test('a distance or a day beyond what there is, is brought back', () => {
  expect(setUp(setDistance('s', 9)(start)).distance).toBeWithin(2, { relative: 1e-9 });
  expect(setUp(setDistance('s', -1)(start)).distance).toBeWithin(0.005, { relative: 1e-9 });
  expect(setUp(setHours('s', -30, 2000)(start)).timer).toMatchObject({ on_min: 1410, lit_min: 1440 });
});

test('a copy lives its own life, under a name of its own', () => {
  const both = copyStand('s', 'c')(start);
  const changed = setHours(
    'c',
    0,
    600,
  )(
    chooseCrop(
      'c',
      cropLibrary.find((c) => c.id === 'leek')!,
    )(both),
  );
  expect(setUp(changed).crop.id).toBe('tomato');
  expect(setUp(changed).hours).toBe(16);
  expect(changed.stands.map((s) => s.name)).toEqual(['First set-up', 'First set-up 2']);
});

test('deleting takes batches and hours along and leaves the others', () => {
  const gone = deleteStand('s')(copyStand('s', 'c')(start));
  expect([gone.stands.length, gone.batches.length, gone.timers.length]).toEqual([1, 1, 1]);
  expect(setUp(gone, 'c').crop.id).toBe('tomato');
});

test('a lamp of one’s own in a set-up gives and draws what it does on the bench: its hours, its dimmer, its measured power', () => {
  const TODAY = dayFrom(2027, 2, 6);
  const [fitting] = setUp(start).tier.fittings;
  const own: OwnLamp = {
    ...plainOwnLamp('mine', fitting!.lampId, 'Mine'),
    fittingId: fitting!.id,
    counted: { hours: 20_000, on: TODAY },
    drawn: { power: 50, load: null },
    dimmer: { steps: [0.25, 0.5], points: [{ setting: 0.5, light: 0.6, draw: 0.55 }] },
  };
  const answered = applyAnswer('s', 0.2, 14, 0.5)({ ...start, ownLamps: [own] });
  const site = knowOwnLamps(answered, TODAY);
  const s = setUp(site);
  expect([s.distance, s.hours, s.tier.fittings.map((f) => f.dim)]).toEqual([expect.closeTo(0.2, 9), 14, [0.5]]);
  const [onBench] = benchStandOf(site, s.stand, tables).tiers[0]!.lamps;
  expect(s.lamps[0]!.real).toEqual(onBench!.real);
  expect(measuredLamp(s).power).toBeCloseTo(27.5, 9);
  const full = setUp(knowOwnLamps(setDistance('s', 0.2)({ ...start, ownLamps: [own] }), TODAY));
  expect(measuredLamp(s).ppf).toBeCloseTo(0.6 * measuredLamp(full).ppf, 9);
  // Old lamps give less than those whose hours nobody knows.
  expect(measuredLamp(full).ppf).not.toBe(measuredLamp(setUp(start)).ppf);
  // The dimmer stays where it is when the set-up is laid out anew.
  expect(setUp(setTrayBlock('s', { across: 2, deep: 1, turned: true })(site)).tier.fittings[0]!.dim).toBe(0.5);
});
