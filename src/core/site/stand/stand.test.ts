import { BARE_SITE } from './bare';
import fc from 'fast-check';
import { evenly } from '../../../../test/evenly';
import { containerLibrary } from '../../things/container/containerLibrary';
import { lampLibrary } from '../../things/lamp/lampLibrary';
import { tables } from '../../things/tables/libraryTables';
import { benchStandOf } from '../../answer/stand/benchStand';
import {
  addFitting,
  addTier,
  addTray,
  align,
  carry,
  changeFittings,
  changeStand,
  changeTrays,
  clipOf,
  distribute,
  furnishLike,
  freePlace,
  lampsSideBySide,
  moveThings,
  paste,
  removeThings,
  removeTier,
  sizeTier,
  turnThings,
  withTier,
} from './change';
import { faultsOf, makesWorse, sizeOf, weightOf } from '../../answer/faults/faults';
import { outlineOf } from './footprint';
import { hangerOf, snapFace } from './Hanger';
import type { Site } from './Site';
import { standFrom, TEMPLATES } from './templates';

let next = 0;
const ids = () => `n${next++}`;
const bar = lampLibrary.find((l) => l.id === 'led-bar-12-white-24')!;
const cells = containerLibrary.find((c) => c.id === 'cell-72')!;
const celery = { cropId: 'celery', stage: 'seedling' } as const;

function siteWith(tiers = 2): Site {
  const { stand, timer } = standFrom(
    TEMPLATES.find((t) => t.kind === 'rack')!,
    tiers,
    'Rack',
    ids,
  );
  const site: Site = { ...BARE_SITE, currency: 'EUR', price_per_kWh: 0.3, stands: [stand], timers: [timer] };
  const tierId = stand.tiers[0]!.id;
  const planted = addTray(tierId, cells, celery, { x: 0.3, y: 0.22 }, ids)(site);
  return addFitting(tierId, bar, { x: 0.6, y: 0.22, face: 0.33 }, ids())(planted);
}
const tierOf = (site: Site, i = 0) => site.stands[0]!.tiers[i]!;
const whys = (site: Site) => faultsOf(benchStandOf(site, site.stands[0]!, tables)).map((f) => f.why);

test('a sound rack has no faults', () => expect(whys(siteWith())).toEqual([]));

test.each([
  [
    'a lamp past the posts',
    'lamp-beyond-tier',
    (s: Site) => changeFittings(tierOf(s).id, [tierOf(s).fittings[0]!.id], () => ({ y: 0.6 }))(s),
  ],
  [
    'a lamp longer than its tier',
    'lamp-beyond-tier',
    (s: Site) =>
      withTier(tierOf(s).id, (t) => ({
        ...t,
        width: 1,
        enclosure: { ...t.enclosure, faces: { ...t.enclosure.faces, left: 'white-card' } },
      }))(s),
  ],
  [
    'a lamp in the shelf above',
    'lamp-in-shelf',
    (s: Site) => changeFittings(tierOf(s).id, [tierOf(s).fittings[0]!.id], () => ({ face: 0.4 }))(s),
  ],
  [
    'leaves within the heat',
    'leaves-in-heat',
    (s: Site) =>
      changeFittings(tierOf(s).id, [tierOf(s).fittings[0]!.id], () => ({
        face: benchStandOf(s, s.stands[0]!, tables).tiers[0]!.trays[0]!.canopy + 0.02,
      }))(s),
  ],
  [
    'leaves above the lamp',
    'leaves-above-lamp',
    (s: Site) => changeFittings(tierOf(s).id, [tierOf(s).fittings[0]!.id], () => ({ face: 0.03 }))(s),
  ],
  ['a tray over the edge', 'tray-over-edge', (s: Site) => changeTrays(tierOf(s).id, [tierOf(s).trays[0]!.id], () => ({ x: 0.1 }))(s)],
  ['plants up in the shelf', 'plants-too-tall', (s: Site) => changeTrays(tierOf(s).id, [tierOf(s).trays[0]!.id], () => ({ risers: 6 }))(s)],
  ['two trays in one place', 'trays-overlap', (s: Site) => addTray(tierOf(s).id, cells, celery, { x: 0.4, y: 0.22 }, ids)(s)],
  ['a shelf that bears less', 'shelf-overloaded', (s: Site) => withTier(tierOf(s).id, (t) => ({ ...t, load: 2 }))(s)],
  [
    'a chain that bears less',
    'hanger-overloaded',
    (s: Site) => changeFittings(tierOf(s).id, [tierOf(s).fittings[0]!.id], () => ({ hanger: { ...hangerOf('chain'), load: 0.1 } }))(s),
  ],
  ['a strip at its end', 'strip-overloaded', (s: Site) => changeStand(s.stands[0]!.id, { strip: 29 })(s)],
] as const)('%s is caught', (_, why, change) => {
  expect(whys(change(siteWith()))).toContain(why);
});

test('a strip may be used to four fifths by what burns all day', () => {
  // The bar draws 24 W at a power factor of 0.9, 26.7 VA: four fifths of 33.4.
  const site = siteWith();
  expect(whys(changeStand(site.stands[0]!.id, { strip: 33.4 })(site))).toEqual([]);
  expect(whys(changeStand(site.stands[0]!.id, { strip: 33.2 })(site))).toEqual(['strip-overloaded']);
});

test('a watered tray of 72 cells weighs what one lifts', () => {
  const site = siteWith();
  const tray = benchStandOf(site, site.stands[0]!, tables).tiers[0]!.trays[0]!;
  // 72 cells of 45 ml, as its maker states them, and a centimetre of water in 54.5 × 28 cm.
  expect(tray.mix_L).toBeWithin(3.24, { relative: 1e-9 });
  expect(weightOf(tray)).toBeWithin(3.24 * 0.85 + 1.526, { relative: 1e-9 });
  // Of a tray of no known make its outline is all that is known.
  const own = changeTrays(tierOf(site).id, [tray.tray.id], () => ({ containerId: null }))(site);
  expect(benchStandOf(own, own.stands[0]!, tables).tiers[0]!.trays[0]!.mix_L).toBeWithin(5.45 * 2.8 * 0.57, { relative: 1e-9 });
});

test('leaves that reach beyond their pot are warmed beyond it', () => {
  const site = siteWith();
  const { id, trays } = tierOf(site);
  const pot = containerLibrary.find((c) => c.id === 'pot-15')!;
  const lily = { cropId: 'peace-lily', stage: 'maintenance' } as const;
  const potted = addTray(id, pot, lily, { x: 0.3, y: 0.22 }, ids)(removeThings([trays[0]!.id, tierOf(site).fittings[0]!.id])(site));
  const { leaves, plantHeight } = benchStandOf(potted, potted.stands[0]!, tables).tiers[0]!.trays[0]!;
  // At the middle of its curve, day 547, a lily is 40 cm + 182/730 of 20 cm tall and 45 cm + 182/730 of 25 cm wide.
  expect(plantHeight).toBeWithin(0.4 + (182.5 / 730) * 0.2, { relative: 1e-9 });
  expect(leaves.x1 - leaves.x0).toBeWithin(0.45 + (182.5 / 730) * 0.25, { relative: 1e-9 });
  const hot = lampLibrary.find((l) => l.family === 'incandescent')!;
  // 80 cm to the right of the pot's middle, 54 cm from its leaves: too far for the pot, near enough for the leaves' edge.
  const lit = addFitting(id, hot, { x: 0.95, y: 0.22, face: 0.3 }, 'hot')(potted);
  const aside = 0.65 - hot.width / 2 - (leaves.x1 - leaves.x0) / 2;
  expect(faultsOf(benchStandOf(lit, lit.stands[0]!, tables)).filter((f) => f.why === 'leaves-in-heat')).toMatchObject([
    { distance: expect.closeTo(aside, 6) },
  ]);
  expect(0.65 - hot.width / 2 - 0.075).toBeGreaterThan(hot.heatClearance);
});

test('lamps go up and down in the steps that there are', () => {
  fc.assert(
    fc.property(
      evenly(0.1, 0.4),
      evenly(0.01, 0.6),
      fc.constantFrom('chain' as const, 'notch' as const, 'ratchet' as const),
      (now, wished, kind) => {
        const hanger = hangerOf(kind);
        const { face, steps } = snapFace(hanger, now, wished);
        expect(face - now).toBeWithin(steps * hanger.step, { absolute: 1e-12 });
        expect(Math.abs(face - wished)).toBeLessThanOrEqual(hanger.step / 2 + 1e-12);
      },
    ),
  );
  expect(snapFace(hangerOf('fixed'), 0.3, 0.1)).toEqual({ face: 0.3, steps: 0 });
});

test('n of these side by side, spread, in line, turned', () => {
  let site = siteWith();
  const { id } = tierOf(site);
  site = lampsSideBySide(id, tierOf(site).fittings[0]!.id, bar, 3, 0.1, ids)(site);
  const ys = tierOf(site).fittings.map((f) => f.y);
  expect(ys[1]! - ys[0]!).toBeWithin(bar.width + 0.1, { relative: 1e-9 });
  expect((ys[0]! + ys[2]!) / 2).toBeWithin(tierOf(site).depth / 2, { relative: 1e-9 });
  const all = tierOf(site).fittings.map((f) => f.id);
  site = distribute(id, all, 'y')(site);
  expect(tierOf(site).fittings.map((f) => Math.round(f.y * 1000))).toEqual([75, 225, 375]);
  site = align(id, all, 'y')(site);
  expect(new Set(tierOf(site).fittings.map((f) => f.y)).size).toBe(1);
  site = turnThings(id, [all[0]!, tierOf(site).trays[0]!.id])(site);
  expect(tierOf(site).fittings[0]!.turn).toBeWithin(Math.PI / 2, { relative: 1e-12 });
  expect(tierOf(site).trays[0]!.turned).toBe(true);
  expect(site.stands[0]!.autoArranged).toBe(false);
});

test('copies have batches of their own, and what is taken away takes its batch along', () => {
  let site = siteWith();
  const [upper, lower] = [tierOf(site).id, tierOf(site, 1).id];
  const put = paste(
    clipOf(
      site,
      [...tierOf(site).fittings, ...tierOf(site).trays].map((t) => t.id),
    ),
    lower,
    0,
    ids,
  );
  site = put.change(site);
  expect(put.ids).toHaveLength(2);
  expect(tierOf(site, 1).fittings[0]!.lampId).toBe(bar.id);
  expect(tierOf(site, 1).trays[0]!.batchId).not.toBe(tierOf(site).trays[0]!.batchId);
  expect(site.batches).toHaveLength(2);
  site = removeThings(put.ids)(site);
  expect([site.batches.length, tierOf(site, 1).fittings.length]).toEqual([1, 0]);
  // Nowhere to, or nothing to carry: nothing changes.
  expect(carry(tierOf(site).trays.map((t) => t.id), 'gone')(site)).toBe(site); // prettier-ignore
  expect(carry(['gone'], lower)(site)).toBe(site);
  site = carry(tierOf(site).trays.map((t) => t.id), lower, 0.1)(site); // prettier-ignore
  expect(tierOf(site).trays).toEqual([]);
  expect(tierOf(site, 1).trays[0]!.x).toBeWithin(0.4, { relative: 1e-9 });
  expect(site.stands[0]!.tiers.map((t) => t.id)).toEqual([upper, lower]);
});

test('empty tiers are furnished like one that is not, and those with something on them stay', () => {
  const site = siteWith(4);
  const first = tierOf(site).id;
  const lastTray = addTray(tierOf(site, 3).id, cells, { cropId: 'leek', stage: 'seedling' }, { x: 0.6, y: 0.2 }, ids)(site);
  // A stand or a tier that is not there changes nothing.
  expect(furnishLike('nowhere', first, ids)(lastTray)).toBe(lastTray);
  expect(furnishLike(site.stands[0]!.id, 'nowhere', ids)(lastTray)).toBe(lastTray);
  const done = furnishLike(site.stands[0]!.id, first, ids)(lastTray);
  expect(done.stands[0]!.tiers.map((t) => [t.fittings.length, t.trays.length])).toEqual([[1, 1], [1, 1], [1, 1], [0, 1]]); // prettier-ignore
  const all = done.stands[0]!.tiers.flatMap((t) => [...t.fittings, ...t.trays].map((thing) => thing.id));
  expect(new Set(all).size).toBe(all.length);
  expect(done.batches).toHaveLength(4);
});

test('a lamp carried to a lower tier of another height keeps its chain', () => {
  const site = sizeTier(tierOf(siteWith(), 0).id, {})(siteWith());
  const taller = sizeTier(tierOf(site, 1).id, { height: 0.5 })(site);
  const moved = carry([tierOf(taller).fittings[0]!.id], tierOf(taller, 1).id)(taller);
  expect(tierOf(moved, 1).fittings[0]!.face).toBeWithin(0.43, { absolute: 1e-9 });
});

test('trays find a free place beside each other, and none overlap until the shelf is full', () => {
  let site = siteWith();
  const { id, width } = tierOf(site, 1);
  const fit = Math.floor(width / cells.length);
  for (let i = 0; i < fit; i++) site = addTray(id, cells, celery, freePlace(tierOf(site, 1), cells.length, cells.width), ids)(site);
  expect(tierOf(site, 1).trays).toHaveLength(fit);
  expect(whys(site)).toEqual([]);
  expect(
    tierOf(site, 1)
      .trays.map(outlineOf)
      .every((r) => r.x1 <= width + 1e-6),
  ).toBe(true);
});

test('tiers come and go; the last one stays; a wider tier keeps its things in the middle', () => {
  let site = siteWith(1);
  const standId = site.stands[0]!.id;
  site = removeTier(standId, tierOf(site).id)(site);
  expect(site.stands[0]!.tiers).toHaveLength(1);
  site = addTier(standId, 'top')(site);
  expect(site.stands[0]!.tiers.map((t) => t.id)[0]).toBe('top');
  expect(tierOf(site).fittings).toEqual([]);
  site = sizeTier(tierOf(site, 1).id, { width: 1.4 })(site);
  expect(tierOf(site, 1).fittings[0]!.x).toBeWithin(0.7, { relative: 1e-9 });
  expect(tierOf(site, 1).enclosure.width).toBe(1.4);
  expect(benchStandOf(site, site.stands[0]!, tables).width).toBe(1.4);
  site = removeTier(standId, tierOf(site, 1).id)(site);
  expect(site.batches).toEqual([]);
});

test('what hung on the timer of a tier that goes is always on from then; what hangs on another stays there', () => {
  const site = siteWith(1);
  const [stand] = site.stands;
  const added = addTier(stand!.id, 'top')(site);
  const own = withTier('top', (t) => ({ ...t, timerId: 'top-timer' }))({
    ...added,
    timers: [...added.timers, { ...added.timers[0]!, id: 'top-timer' }],
  });
  const kept = own.stands[0]!.tiers.find((t) => t.id !== 'top')!.timerId;
  const plug = (id: string, timerId: string | null) => ({ id, kind: 'fan' as const, name: 'Fan', power: 5, timerId });
  const timersAfter = (...plugged: ReturnType<typeof plug>[]) =>
    removeTier(stand!.id, 'top')({ ...own, stands: own.stands.map((s) => ({ ...s, plugged })) }).stands[0]!.plugged.map((p) => p.timerId);
  expect(timersAfter(plug('a', 'top-timer'))).toEqual([null]);
  expect(timersAfter(plug('a', 'top-timer'), plug('b', kept), plug('c', null))).toEqual([null, kept, null]);
  expect(timersAfter(plug('b', kept))).toEqual([kept]);
});

test('things are moved together', () => {
  const site = siteWith();
  const all = [tierOf(site).fittings[0]!, tierOf(site).trays[0]!];
  const moved = moveThings(tierOf(site).id, all.map((t) => t.id), 0.05, -0.02)(site); // prettier-ignore
  expect(tierOf(moved).fittings[0]!.x - all[0]!.x).toBeWithin(0.05, { relative: 1e-9 });
  expect(tierOf(moved).trays[0]!.y - all[1]!.y).toBeWithin(-0.02, { relative: 1e-9 });
});

test('heat reaches leaves to every side of a lamp, not only below it, and nearer is worse', () => {
  const hot = lampLibrary.find((l) => l.family === 'incandescent')!;
  const site = siteWith();
  const beside = (x: number, face: number) => {
    const { id, fittings } = tierOf(site);
    const bare = removeThings([fittings[0]!.id])(site);
    return addFitting(id, hot, { x, y: 0.22, face }, 'hot')(bare);
  };
  const heat = (site: Site) => faultsOf(benchStandOf(site, site.stands[0]!, tables)).filter((f) => f.why === 'leaves-in-heat');
  // The tray reaches from 3 to 57 cm; the bulb hangs 10 cm to the right of it at the height of its leaves.
  expect(heat(beside(0.7, 0.12))).toMatchObject([{ thingId: 'hot', least: hot.heatClearance }]);
  expect(heat(beside(0.7, 0.12))[0]).toMatchObject({ distance: expect.closeTo(0.7 - hot.width / 2 - 0.5725, 2) });
  expect(heat(beside(1.15, 0.12))).toEqual([]);
  const [near, far] = [heat(beside(0.65, 0.2)), heat(beside(0.75, 0.2))];
  expect(makesWorse(far, near)).toBe(true);
  expect(makesWorse(near, far)).toBe(false);
  expect(makesWorse([], near)).toBe(true);
});

test('leaves above a lamp are deeper in its heat than any below it, and come out of it step by step', () => {
  const site = siteWith();
  const at = (face: number) => {
    const { id, fittings } = tierOf(site);
    const moved = changeFittings(id, [fittings[0]!.id], () => ({ face }))(site);
    return faultsOf(benchStandOf(moved, moved.stands[0]!, tables)).filter(
      (f) => f.why === 'leaves-in-heat' || f.why === 'leaves-above-lamp',
    );
  };
  const { canopy } = benchStandOf(site, site.stands[0]!, tables).tiers[0]!.trays[0]!;
  const heights = [-0.04, -0.01, 0.005, 0.015].map((d) => at(canopy + d));
  expect(heights.map((f) => f[0]!.why)).toEqual(['leaves-above-lamp', 'leaves-above-lamp', 'leaves-in-heat', 'leaves-in-heat']);
  for (let i = 1; i < heights.length; i++) {
    expect(sizeOf(heights[i]![0]!)).toBeLessThan(sizeOf(heights[i - 1]![0]!));
    expect(makesWorse(heights[i - 1]!, heights[i]!)).toBe(false);
    expect(makesWorse(heights[i]!, heights[i - 1]!)).toBe(true);
  }
});

test('two lamps cannot hang in one place', () => {
  const site = siteWith();
  const { id } = tierOf(site);
  const at = (y: number, face: number) => addFitting(id, bar, { x: 0.6, y, face }, 'other')(site);
  expect(whys(at(0.23, 0.33))).toContain('lamps-collide');
  expect(whys(at(0.22 + bar.width + 0.01, 0.33))).not.toContain('lamps-collide');
  expect(whys(at(0.22, 0.2))).not.toContain('lamps-collide');
});
