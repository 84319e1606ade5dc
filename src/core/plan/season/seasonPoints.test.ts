import fc from 'fast-check';
import { freshSeason } from '../../site/stand/changeSeason';
import { BARE_SITE } from '../../site/stand/bare';
import { addFitting, addTray, setTimes, withTier } from '../../site/stand/change';
import { addPlugged } from '../../site/stand/changeOutlets';
import type { Site } from '../../site/stand/Site';
import { standFrom, TEMPLATES } from '../../site/stand/templates';
import { tables } from '../../things/tables/libraryTables';
import { dayFrom, type Day } from '../../units/day';
import { litBatches } from './litBatches';
import { matsShort } from './matsShort';
import { datesFor, plannedFor } from './plannedFor';
import { coursesOf, mondayOf, type SeasonWeek } from './seasonLook';
import { haveSameWaysOut } from './takeWayOut';
import { worstStretch } from './worstStretch';

const TODAY = dayFrom(2027, 2, 20);
const season = { ...freshSeason(2027), lastFrost: { kind: 'day', month: 5, day: 3 } as const };
let n = 0;
const ids = () => `p${n++}`;
const rack = TEMPLATES.find((t) => t.kind === 'rack')!;

function racked(tiers: number): Site {
  const { stand, timer } = standFrom(rack, tiers, 'Rack', ids);
  return { ...BARE_SITE, currency: 'EUR', price_per_kWh: 0.3, stands: [stand], timers: [timer] };
}

const withOver = (over: readonly number[]): SeasonWeek[] =>
  over.map((o, i) => ({ from: TODAY + 7 * i, trays: { sown: 0, raised: o, potted: 0, hardening: 0 }, room: 0, over: o, homeless: 0 }));

test('the worst week is shown with all weeks beside it that lack light as well', () => {
  expect(worstStretch(withOver([0, 0]))).toBeNull();
  expect(worstStretch([])).toBeNull();
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 0, max: 3 }), { minLength: 1, maxLength: 12 }), (over) => {
      const weeks = withOver(over);
      const found = worstStretch(weeks);
      const most = Math.max(...over);
      if (most === 0) return expect(found).toBeNull();
      const [a, b] = [weeks.indexOf(found!.from), weeks.indexOf(found!.until)];
      expect(over.slice(a, b + 1)).not.toContain(0);
      expect([over[a - 1] ?? 0, over[b + 1] ?? 0]).toEqual([0, 0]);
      expect(weeks.indexOf(found!.worst)).toBe(over.indexOf(most));
    }),
  );
});

describe('mats', () => {
  const warm = tables.crop('tomato')!;
  const sown = (id: string, day: Day, cells: number) => ({
    ...plannedFor(warm, season, datesFor(warm, season, null, TODAY), cells, TODAY, id),
    sown: day,
    out: day + 90,
  });
  const short = (batches: readonly ReturnType<typeof sown>[], mats: number) => {
    const bare = racked(1);
    const plan = { ...season, batches };
    const site = Array.from({ length: mats }).reduce<Site>((s) => addPlugged(s.stands[0]!.id, { id: ids(), kind: 'mat', name: 'Mat', power: 20, timerId: null })(s), { ...bare, season: plan }); // prettier-ignore
    return matsShort(coursesOf(site, plan, tables), site.stands, TODAY);
  };

  test('the week in which the most trays want one, against those that are plugged in', () => {
    expect(warm.heatMat).toBe(true);
    const later = mondayOf(TODAY) + 28;
    const batches = [sown('a', TODAY, 72), sown('b', later, 72), sown('c', later + 1, 72)];
    const found = short(batches, 0)!;
    expect(found).toMatchObject({ week: later, mats: 0 });
    const one = found.trays / 2;
    expect(short(batches, Math.ceil(one))).toMatchObject({ trays: found.trays, mats: Math.ceil(one) });
    expect(short(batches, found.trays)).toBeNull();
    expect(short([], 0)).toBeNull();
  });
});

test('a batch is lit only where all its trays stand below a lamp that burns daily', () => {
  const site = racked(2);
  const [upper, lower] = site.stands[0]!.tiers;
  const lamp = addFitting(upper!.id, tables.lamp('led-shop-12-twin-50')!, { x: 0.6, y: 0.2, face: 0.34 }, ids());
  const flat = tables.container('flat-1020')!;
  const put = (tierId: string, batchId: string, x: number) =>
    withTier(tierId, (t) => {
      const stood = addTray(tierId, flat, { cropId: 'leek', stage: 'seedling' }, { x, y: 0 }, ids)(site);
      const [tray] = stood.stands[0]!.tiers.find((s) => s.id === tierId)!.trays;
      return { ...t, trays: [...t.trays, { ...tray!, batchId }] };
    });
  const stood = [put(upper!.id, 'lit', 0), put(upper!.id, 'both', 0.6), put(lower!.id, 'both', 0), put(lower!.id, 'dark', 0.6)].reduce(
    (s, f) => f(s),
    lamp(site),
  );
  expect([...litBatches(setTimes(upper!.timerId, 480, 840)(stood))]).toEqual(['lit']);
  expect([...litBatches(setTimes(upper!.timerId, 480, 0)(stood))]).toEqual([]);
});

test('ways out are looked for again after whatever changes light or plan, and not after a note', () => {
  const site = racked(1);
  expect(haveSameWaysOut(site, { ...site, jobMarks: [], cropNotes: [], clinic: [] })).toBe(true);
  expect(haveSameWaysOut(site, { ...site, place: { latitude: 0.9, longitude: 0 } })).toBe(false);
  expect(haveSameWaysOut(site, setTimes(site.timers[0]!.id, 480, 600)(site))).toBe(false);
});
