import fc from 'fast-check';
import { faultsOf, makesWorse } from '../../answer/faults/faults';
import { benchStandOf } from '../../answer/stand/benchStand';
import { createCache } from '../../light/scene/Cache';
import { freshSeason } from '../../site/stand/changeSeason';
import { BARE_SITE } from '../../site/stand/bare';
import { addFitting, changeTrays, setTimes } from '../../site/stand/change';
import { outlineOf } from '../../site/stand/footprint';
import { sizesOf } from '../../site/stand/plain';
import { standFrom, TEMPLATES } from '../../site/stand/templates';
import type { Site, Tier } from '../../site/stand/Site';
import type { PlannedBatch } from '../../site/season/SeasonPlan';
import { tables } from '../../things/tables/libraryTables';
import { dayFrom } from '../../units/day';
import { engineAnswer, resultsOf } from '../advice/Effect';
import { FLAT } from '../season/flats';
import { plannedFor } from '../season/plannedFor';
import { potOnNext, potOnStand } from './potOnStand';
import { coursesOf } from '../season/seasonLook';
import { sowOnStand } from '../season/toStands';

const TODAY = dayFrom(2027, 2, 24);
const season = freshSeason(2027);
const POT = tables.container('pot-9')!;
let n = 0;
const ids = () => `p${n++}`;

/** A rack with two lamps over each tier, and tomatillos sown on its second tier from the top. */
function sown(change: Partial<PlannedBatch> = {}, tiers = 3, face = 0.36): Site {
  const template = TEMPLATES.find((t) => t.kind === 'rack')!;
  const { stand, timer } = standFrom(template, tiers, 'Rack', ids);
  const bare: Site = { ...BARE_SITE, currency: 'EUR', price_per_kWh: 0.3, stands: [stand], timers: [timer], season };
  const lit = stand.tiers.reduce(
    (site, tier) =>
      [0.13, 0.32].reduce((s, y) => addFitting(tier.id, tables.lamp('led-shop-12-twin-50')!, { x: 0.6, y, face }, ids())(s), site),
    setTimes(timer.id, 360, 840)(bare),
  );
  const crop = tables.crop('tomatillo')!;
  const batch: PlannedBatch = {
    ...plannedFor(crop, season, null, 72, TODAY - 30, 'plan'),
    filledPercent: 100,
    lossPercent: 0,
    sown: TODAY - 30,
    out: TODAY + 40,
    ...change,
  };
  const site: Site = { ...lit, season: { ...season, batches: [batch] } };
  return sowOnStand(site, courseOf(site), stand.tiers[Math.min(1, tiers - 1)]!.id, TODAY - 30, ids, tables).site;
}
const courseOf = (site: Site) => coursesOf(site, site.season!, tables)[0]!;
const tiersOf = (site: Site): readonly Tier[] => site.stands[0]!.tiers;
const traysIn = (site: Site) => tiersOf(site).flatMap((t) => t.trays);
const pot = (site: Site) => potOnStand(site, courseOf(site), 'pot-9', ids, tables);

test('a flat of 72 cells becomes four flats of pots: where it stood, beside it, and on other tiers', () => {
  const before = sown();
  const [old] = traysIn(before);
  const { site, added, stuck } = pot(before);
  expect(tiersOf(site).map((t) => t.trays.length)).toEqual([2, 2, 0]);
  expect([added, stuck]).toEqual([[{ tierId: tiersOf(site)[1]!.id, trays: 1 }, { tierId: tiersOf(site)[0]!.id, trays: 2 }], 0]); // prettier-ignore
  const kept = traysIn(site).find((y) => y.id === old!.id)!;
  expect([kept.x, kept.y, kept.containerId]).toEqual([old!.x, old!.y, FLAT.id]);
  // Leaves stand as high as their pots lift them.
  expect(traysIn(site).every((y) => y.height === POT.height && y.batchId === old!.batchId)).toBe(true);
  // Done once, it is done.
  expect(pot(site)).toEqual({ site, added: [], stuck: 0 });
});

test('what finds no room is counted, and a batch that is cut down gives room back', () => {
  const one = pot(sown({}, 1));
  expect([traysIn(one.site).length, one.stuck]).toEqual([2, 2]);
  const two = sown({ cells: 144, keepAtMost: 12 });
  expect(traysIn(two)).toHaveLength(2);
  const { site, stuck } = pot(two);
  expect([traysIn(site).length, stuck]).toEqual([1, 0]);
  // A tray that a trial counts stays, whatever the plan says.
  const counted = { ...two, trials: [{ trays: [{ trayId: traysIn(two)[1]!.id }] }] as unknown as Site['trials'] };
  expect(traysIn(pot(counted).site)).toHaveLength(2);
});

test('trays of one’s own size stay as they are, and those that were exchanged by hand; others than planned are exchanged', () => {
  const site = sown();
  const [tier, tray] = [tiersOf(site)[1]!.id, traysIn(site)[0]!.id];
  for (const containerId of [null, FLAT.id]) {
    const own = changeTrays(tier, [tray], () => ({ containerId }))(site);
    expect(pot(own).site).toBe(own);
  }
  const other = changeTrays(tier, [tray], () => ({ ...sizesOf(tables.container('flat-half')!) }))(site);
  expect(traysIn(pot(other).site).every((y) => y.containerId === FLAT.id && y.height === POT.height)).toBe(true);
  // From pots into bigger ones: the flats stay, their rims rise.
  const { season: plan } = site;
  const twice = { ...site, season: { ...plan!, batches: plan!.batches.map((b) => ({ ...b, containers: [...b.containers, { containerId: 'pot-11', fromDay: 50 }] })) } }; // prettier-ignore
  const bigger = potOnStand(pot(twice).site, courseOf(twice), 'pot-11', ids, tables).site;
  expect(new Set(traysIn(bigger).map((y) => y.height))).toEqual(new Set([tables.container('pot-11')!.height]));
  const gone = { ...site, stands: [] };
  expect(potOnStand(gone, courseOf(site), 'pot-9', ids, tables).site).toBe(gone);
});

test('of a planned batch the next container is the one after that in which it stands', () => {
  const site = sown();
  const { batchId } = traysIn(site)[0]!;
  const next = potOnNext(site, batchId, ids, tables)!;
  expect([next.containerId, traysIn(next.site).length]).toEqual(['pot-9', 4]);
  expect(potOnNext(next.site, batchId, ids, tables)).toBeNull();
  expect(potOnNext({ ...site, season: null }, batchId, ids, tables)).toBeNull();
  expect(potOnNext(site, 'another', ids, tables)).toBeNull();
});

test('whatever hangs wherever, no tray overlaps or leaves its tier, and on other tiers nothing becomes wrong or too strong', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 20, max: 200 }),
      fc.integer({ min: 1, max: 4 }),
      fc.double({ min: 0.1, max: 0.38, noNaN: true }),
      (cells, tiers, face) => {
        const before = sown({ cells }, tiers, face);
        const own = new Set(tiersOf(before).flatMap((t) => (t.trays.length > 0 ? [t.id] : [])));
        const had = traysIn(before).length;
        const { site, added, stuck } = pot(before);
        const more = added.reduce((sum, a) => sum + a.trays, 0);
        expect(had + more + stuck).toBeGreaterThanOrEqual(Math.ceil(cells / 18));
        for (const t of tiersOf(site)) {
          const rects = t.trays.map(outlineOf);
          for (const [i, r] of rects.entries()) {
            expect(r.x0 >= -1e-6 && r.y0 >= -1e-6 && r.x1 <= t.width + 1e-6 && r.y1 <= t.depth + 1e-6).toBe(true);
            for (const o of rects.slice(i + 1))
              expect(r.x1 <= o.x0 + 1e-6 || o.x1 <= r.x0 + 1e-6 || r.y1 <= o.y0 + 1e-6 || o.y1 <= r.y0 + 1e-6).toBe(true);
          }
        }
        const stands = [before, site].map((s) => benchStandOf(s, s.stands[0]!, tables));
        if (added.every((a) => own.has(a.tierId))) return;
        const onOthers = (ids: ReadonlySet<string>) => stands.map((s) => ({ ...s, tiers: s.tiers.filter((t) => !ids.has(t.tier.id)) }));
        const [was, is] = onOthers(own);
        expect(makesWorse(faultsOf(was!), faultsOf(is!))).toBe(false);
        const results = resultsOf(stands[1]!, engineAnswer(stands[1]!, createCache()));
        const elsewhere = tiersOf(site).flatMap((t) => (own.has(t.id) ? [] : t.trays.map((y) => y.id)));
        for (const r of results.filter((x) => elsewhere.includes(x.trayId))) expect(r.breaches).toEqual([]);
      },
    ),
    { numRuns: 25 },
  );
});
