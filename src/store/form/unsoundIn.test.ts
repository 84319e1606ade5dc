import fc from 'fast-check';
import { addWindow, dropWindow, standAtWindow } from '../../core/site/stand/changeWindows';
import { tidyAngle, USUAL_WINDOW } from '../../core/site/window/Window';
import { containerLibrary } from '../../core/things/container/containerLibrary';
import { lampLibrary } from '../../core/things/lamp/lampLibrary';
import { addFitting, addTier, addTray, changeStand, freePlace, removeThings, removeTier } from '../../core/site/stand/change';
import type { Change } from '../../core/site/stand/change';
import type { Site } from '../../core/site/stand/Site';
import { dayFrom } from '../../core/units/day';
import { mergeSite } from '../files/mergeSite';
import { exportSite } from '../files/exportSite';
import { readSiteText } from '../files/readSiteText';
import { demoSite } from '../site/demoSite';
import { beginGesture, changeSite, createSiteStore, endGesture, undo } from '../site/siteStore';
import { tables } from '../../core/things/tables/libraryTables';
import { readSite } from './readSite';
import { unsoundIn } from './unsoundIn';
import { writeSite } from './writeSite';

const demo = demoSite('en-GB', dayFrom(2027, 2, 28));
const rack = demo.stands.find((s) => s.id === 'demo-rack')!;
const bar = lampLibrary.find((l) => l.id === 'led-bar-12-white-24')!;
const pot = containerLibrary.find((c) => c.id === 'pot-6')!;
const readsBack = (site: Site) => readSite(JSON.parse(JSON.stringify(writeSite(site)))).ok;
let next = 0;
const ids = () => `u${next++}`;

test('what was sound is sound, and nothing is looked at twice', () => {
  expect(unsoundIn(demo, demo)).toEqual([]);
});

test.each<[string, string, Change]>([
  ['a name too long', 'stands[0].name', changeStand(rack.id, { name: 'x'.repeat(121) })],
  ['401 stands', 'stands', (s) => ({ ...s, stands: Array.from({ length: 401 }, (_, i) => ({ ...s.stands.at(-1)!, id: `s${i}` })) })],
  ['21 tiers', 'stands[0].tiers', (s) => Array.from({ length: 16 }).reduce<Site>((x) => addTier(rack.id, ids())(x), s)],
  ['51 lamps', 'stands[0].tiers[0].fittings', (s) => Array.from({ length: 51 }).reduce<Site>((x, _, i) => addFitting(rack.tiers[0]!.id, bar, { x: 0.6, y: 0.2, face: 0.3 + i / 1e4 }, ids())(x), s)], // prettier-ignore
  ['a number that is none', 'stands[0].shelf_m', changeStand(rack.id, { shelf: NaN })],
  ['a timer that is not there', 'stands[0].tiers[0].programmeId', (s) => ({ ...s, stands: s.stands.map((x) => (x.id === rack.id ? { ...x, tiers: x.tiers.map((t) => ({ ...t, timerId: 'gone' })) } : x)) })], // prettier-ignore
])('%s is found, and not made', (_, at, change) => {
  const after = change(demo);
  expect(readsBack(after)).toBe(false);
  expect(unsoundIn(demo, after)[0]).toMatchObject({ at });
  const store = createSiteStore(demo);
  expect(changeSite(store, 'try', change)).toBe(false);
  expect(store.getState()).toMatchObject({ site: demo, past: [], refused: { what: 'try' } });
});

test('a batch that changed is looked at though no stand did; one that did not, where a crop may have taken its stage', () => {
  const wrong = { ...demo, batches: demo.batches.map((b, i) => (i === 0 ? { ...b, height: 9 } : b)) };
  expect(readsBack(wrong)).toBe(false);
  expect(unsoundIn(demo, wrong).map((p) => p.at)).toEqual([expect.stringMatching(/^batches\[\d+\]/)]);
  // A crop of one's own loses the stage that a batch is in.
  const id = demo.batches[0]!.cropId;
  const crop = tables.crop(id)!;
  const copied = { ...demo, crops: [...demo.crops, { ...crop, id: 'mine', own: { basedOn: id, why: 'ours' } }], batches: demo.batches.map((b, i) => (i === 0 ? { ...b, cropId: 'mine' } : b)) }; // prettier-ignore
  const without = { ...copied, crops: copied.crops.map((c) => (c.id === 'mine' ? { ...c, stages: c.stages.filter((s) => s.stage !== copied.batches[0]!.stage) } : c)) }; // prettier-ignore
  expect(readsBack(without)).toBe(false);
  expect(unsoundIn(copied, without).length).toBeGreaterThan(0);
});

test('a timer that changed is looked at though no stand did', () => {
  const wrong = { ...demo, timers: demo.timers.map((t, i) => (i === 0 ? { ...t, lit_min: 2000 } : t)) };
  expect(readsBack(wrong)).toBe(false);
  expect(unsoundIn(demo, wrong).length).toBeGreaterThan(0);
});

test('a gesture that ends where nothing can be kept is taken back whole', () => {
  const store = createSiteStore(demo);
  beginGesture(store, 'drag');
  changeSite(store, 'drag', changeStand(rack.id, { shelf: 0.05 }));
  changeSite(store, 'drag', changeStand(rack.id, { shelf: NaN }));
  endGesture(store);
  expect(store.getState()).toMatchObject({ site: demo, past: [], inGesture: false, refused: { what: 'drag' } });
});

test('a file of one’s own is opened until it is full, and then refused', () => {
  const store = createSiteStore(demo);
  const file = readSiteText(exportSite(demo));
  if (!file.ok) throw new Error();
  const open = () => changeSite(store, 'open', (s) => mergeSite(s, file.value));
  const held = () => store.getState().site.stands.length;
  // Doubled until the next doubling is too much, then filled up but for one of them.
  while (2 * held() <= 400) expect(changeSite(store, 'double', (s) => mergeSite(s, s))).toBe(true);
  const room = 400 - held() - demo.stands.length;
  expect(changeSite(store, 'fill up', (s) => mergeSite(s, { ...s, trials: [], clinic: [], stands: s.stands.slice(0, room) }))).toBe(true);
  expect([held(), open(), held(), open(), held()]).toEqual([400 - demo.stands.length, true, 400, false, 400]);
  expect(readsBack(store.getState().site)).toBe(true);
});

test('whatever is done, in whatever order, reads back', () => {
  const step: fc.Arbitrary<Change> = fc.oneof(
    fc.constant<Change>((s) => addTier(s.stands[0]!.id, ids())(s)),
    fc.constant<Change>((s) => addFitting(s.stands[0]!.tiers[0]!.id, bar, { x: 0.6, y: 0.2, face: 0.3 }, ids())(s)),
    fc.constant<Change>((s) => {
      const tier = s.stands[0]!.tiers[0]!;
      return addTray(tier.id, pot, { cropId: 'celery', stage: 'seedling' }, freePlace(tier, pot.length, pot.width), ids)(s);
    }),
    fc.constant<Change>((s) => removeThings(s.stands[0]!.tiers[0]!.trays.slice(0, 1).map((t) => t.id))(s)),
    fc.constant<Change>((s) => (s.stands[0]!.tiers.length > 1 ? removeTier(s.stands[0]!.id, s.stands[0]!.tiers.at(-1)!.id)(s) : s)),
    fc.string({ maxLength: 140 }).map<Change>((name) => (s) => changeStand(s.stands[0]!.id, { name })(s)),
    fc.double().map<Change>((shelf) => (s) => changeStand(s.stands[0]!.id, { shelf })(s)),
    fc.record({ facing: fc.double({ min: -1, max: 8, noNaN: true }), width: fc.double(), name: fc.string({ maxLength: 130 }) }).map<Change>(
      ({ facing, width, name }) =>
        (s) =>
          standAtWindow(s.stands[0]!.id, { windowId: `w${s.windows.length}`, side: 'back', gap: 0.1, along: 0, above: 0 })(
            addWindow({ ...USUAL_WINDOW, id: `w${s.windows.length}`, name, facing: tidyAngle(facing), width })(s),
          ),
    ),
    fc.constant<Change>((s) => (s.windows[0] ? dropWindow(s.windows[0].id)(s) : s)),
    fc.double().map<Change>((strip) => (s) => changeStand(s.stands[0]!.id, { strip })(s)),
  );
  fc.assert(
    fc.property(fc.array(fc.oneof({ weight: 9, arbitrary: step }, fc.constant(null)), { maxLength: 60 }), (steps) => {
      const store = createSiteStore(demo);
      for (const change of steps) if (change) changeSite(store, 'step', change);
        else undo(store); // prettier-ignore
      expect(readsBack(store.getState().site)).toBe(true);
    }),
    { numRuns: 25 },
  );
});
