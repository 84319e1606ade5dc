import { cropLibrary } from '../../core/things/crop/cropLibrary';
import { containerLibrary } from '../../core/things/container/containerLibrary';
import { IN_THE_OPEN, type Enclosure } from '../../core/site/stand/Enclosure';
import { demoSite } from './demoSite';
import { lampLibrary } from '../../core/things/lamp/lampLibrary';
import { setUpOf } from '../../core/answer/stand/setUp';
import { lampRowOf, trayBlockOf } from '../../core/site/stand/layOut';
import type { Site } from '../../core/site/stand/Site';
import { emptySite } from './newSite';
import {
  addSetUp,
  applyAnswer,
  chooseContainer,
  chooseCrop,
  chooseLamp,
  chooseStage,
  copyStand,
  deleteStand,
  FARTHEST,
  farthestOf,
  keepLamp,
  PLAIN_RECIPE,
  renameStand,
  setAgeing,
  setDistance,
  setEnclosure,
  setHours,
  setLampRow,
  setPlantHeight,
  setTrayBlock,
  setTraySize,
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

test('a stage or crop chosen anew forgets the height that was measured of the old plants; a crop keeps the stage where it has it', () => {
  const tall = setPlantHeight('s', 0.2)(start);
  expect(setUp(chooseStage('s', 'growing-on')(tall)).batch).toMatchObject({ stage: 'growing-on', height: null });
  const leek = cropLibrary.find((c) => c.id === 'leek')!;
  expect(setUp(chooseCrop('s', leek)(tall)).batch).toMatchObject({ cropId: 'leek', stage: 'seedling', height: null });
  const onlyOne = { ...leek, id: 'one-stage', stages: leek.stages.filter((x) => x.stage === 'growing-on') };
  expect(chooseCrop('s', onlyOne)({ ...tall, crops: [onlyOne] }).batches[0]).toMatchObject({ cropId: 'one-stage', stage: 'growing-on' });
});

test('another container brings its sizes; one of the person’s own is none of the library', () => {
  const pot = containerLibrary.find((c) => c.id === 'pot-9') ?? containerLibrary.at(-1)!;
  const [tray] = setUp(chooseContainer('s', pot)(start)).tier.trays;
  expect([tray!.containerId, tray!.length, tray!.insideLength]).toEqual([pot.id, pot.length, pot.insideLength]);
  expect(setUp(setTraySize('s', 0.4, 0.3, 0.05)(start)).tier.trays[0]).toMatchObject({
    containerId: null,
    length: 0.4,
    width: 0.3,
    height: 0.05,
    insideLength: 0.4,
    insideWidth: 0.3,
  });
});

test('under a lid lamps hang no farther up than there is room, in the open two metres at most', () => {
  const lid: Enclosure = { ...IN_THE_OPEN, height: 0.5, faces: { ...IN_THE_OPEN.faces, ceiling: 'white-paint' } };
  expect(farthestOf(IN_THE_OPEN, 0.1)).toBe(FARTHEST);
  const room = farthestOf(lid, 0.1);
  expect(room).toBeGreaterThan(0.2);
  expect(room).toBeLessThan(0.4);
  // Plants that have grown to the lid leave no room at all, and still an honest number.
  expect(farthestOf(lid, 0.6)).toBeWithin(0.01, { absolute: 1e-9 });
  const boxed = setEnclosure('s', lid)(setDistance('s', 1)(start));
  expect(setUp(boxed).distance).toBeWithin(farthestOf(lid, setUp(boxed).canopy), { absolute: 1e-9 });
  expect(setUp(boxed).tier.enclosure).toEqual(lid);
});

test('a lamp of one’s own that is kept anew takes the place of what had its name, and hangs', () => {
  const own = { ...lampLibrary[0]!, id: 'own-1', name: 'Mine' };
  const once = keepLamp('s', own)(start);
  const twice = keepLamp('s', { ...own, name: 'Mine, mended' })(once);
  expect(twice.lamps.map((l) => l.name)).toEqual(['Mine, mended']);
  expect(setUp(twice).lamp.name).toBe('Mine, mended');
});

test('a day that is set longer or shorter keeps its middle, in quarters of an hour; one as long stays where it is', () => {
  const at = (hours: number) => setUp(applyAnswer('s', 0.2, hours, null)(setHours('s', 6 * 60, 16 * 60)(start))).timer;
  expect(at(12)).toMatchObject({ on_min: 8 * 60, lit_min: 12 * 60 });
  expect(at(16.5)).toMatchObject({ on_min: 5 * 60 + 45, lit_min: 16.5 * 60 });
  const odd = applyAnswer('s', 0.2, 16, null)(setHours('s', 6 * 60 + 7, 16 * 60)(start));
  expect(setUp(odd).timer).toMatchObject({ on_min: 6 * 60 + 7, lit_min: 16 * 60 });
});

test('what is said of a stand that is not there changes nothing', () => {
  for (const verb of [setDistance('x', 1), applyAnswer('x', 0.2, 12, null), setHours('x', 0, 60), copyStand('x', 'y')])
    expect(verb(start)).toBe(start);
  const two = copyStand('s', 'c')(start);
  expect(renameStand('c', 'Second')(two).stands.map((s) => s.name)).toEqual(['First set-up', 'Second']);
  const aged = setAgeing('c', { ...setUp(two, 'c').tier.ageing, later_h: 500 })(two);
  expect(aged.stands.map((s) => s.tiers[0]!.ageing.later_h)).toEqual([start.stands[0]!.tiers[0]!.ageing.later_h, 500]);
});

test('a copied stand keeps its readings and fits, each under a name of its own, and its fits rest on the copies', () => {
  const demo = demoSite('en-GB', dayFrom(2027, 1, 20));
  const both = copyStand('demo-rack', 'c')(demo);
  const tiersOf = (id: string) => both.stands.find((s) => s.id === id)!.tiers;
  for (const [i, tier] of tiersOf('c').entries()) {
    const was = tiersOf('demo-rack')[i]!;
    expect(tier.readings.map((r) => r.value)).toEqual(was.readings.map((r) => r.value));
    for (const r of tier.readings) expect(was.readings.map((o) => o.id)).not.toContain(r.id);
    for (const [k, fit] of tier.fits.entries()) {
      const at = (of: typeof tier, ids: readonly string[]) => ids.map((id) => of.readings.findIndex((r) => r.id === id));
      expect(at(tier, fit.readingIds)).toEqual(at(was, was.fits[k]!.readingIds));
    }
    // Two tiers of one timer still share one, which is another than before.
    expect(tier.timerId).not.toBe(was.timerId);
  }
  expect(tiersOf('c').some((t) => t.fits.length > 0)).toBe(true);
  const same = (tiers: readonly { timerId: string }[]) => tiers.map((t) => tiers.findIndex((o) => o.timerId === t.timerId));
  expect(same(tiersOf('c'))).toEqual(same(tiersOf('demo-rack')));
  const copy = both.stands.find((s) => s.id === 'c')!;
  expect(copy.chart).toBeNull();
  for (const p of copy.plugged) expect(p.timerId === null || tiersOf('c').some((t) => t.timerId === p.timerId)).toBe(true);
});

test('a change of one thing leaves the others as they are by then, not as they were shown', () => {
  const faces = { back: 'white-card', left: 'white-card' } as const;
  const twice = setEnclosure('s', { faces: { left: faces.left } })(setEnclosure('s', { faces: { back: faces.back }, depth: 0.5 })(start));
  expect(setUp(twice).tier.enclosure).toMatchObject({ depth: 0.5, faces: { ...faces, right: setUp(start).tier.enclosure.faces.right } });
  const trays = setTrayBlock('s', { deep: 2 })(setTrayBlock('s', { across: 3 })(start));
  expect(setUp(trays).tier.trays).toHaveLength(6);
});
