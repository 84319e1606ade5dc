import fc from 'fast-check';
import { freshSeason, joinPlanned, movedToYear, shiftPlanned, splitPlanned } from '../../site/stand/changeSeason';
import type { PlannedBatch, SeasonPlan } from '../../site/season/SeasonPlan';
import { BARE_SITE } from '../../site/stand/bare';
import { addFitting, addTier, changeFittings, addTray, setTimes } from '../../site/stand/change';
import { litWithin } from '../../units/LitTimes';
import type { Site } from '../../site/stand/Site';
import { standFrom, TEMPLATES } from '../../site/stand/templates';
import { cropLibrary } from '../../things/crop/cropLibrary';
import { grownTo } from '../../answer/stand/grownTo';
import { tables } from '../../things/tables/libraryTables';
import { dayFrom, isoOf, weekdayOf, type Day } from '../../units/day';
import { nearestVisit, USUAL_RHYTHM, visitDays } from '../../site/hang/VisitRhythm';
import { dateBatch, logIt } from '../../site/growth/changeGrowth';
import { batchCourse } from './batchCourse';
import { flatsOn, FLAT, plantsPerFlat } from './flats';
import { nightsOfMonths, warmNightsFrom } from './lastFrost';
import { bestLevel } from '../placing/Placing';
import { autumnFrostOf } from './firstFrost';
import { mayGoOutOn, offPlanOf, restartOf } from './offPlan';
import { datesFor, plannedFor, rulesFor } from './plannedFor';
import { datesOf } from './seasonDates';
import { coursesOf, lookAtSeason } from './seasonLook';
import { shelvesCache, shelvesOf } from './shelvesOf';
import { isOver, yearToPlan } from './seasonYear';
import { frostsSwapped, unlikelyFrost } from './soundSeason';
import { sowingList } from './sowingList';
import { sowOnStand, takeToStands } from './toStands';
import { waysOut } from './waysOut';
import { hungOver } from '../buying/hungOver';
import { hangerOf, type HangerKind } from '../../site/stand/Hanger';
import { createCache } from '../../light/scene/Cache';

const TODAY = dayFrom(2027, 2, 20);
const NORTH = 0.9;
const SOUTH = -0.6;
const crop = (id: string) => tables.crop(id)!;
const season: SeasonPlan = { ...freshSeason(2027), lastFrost: { kind: 'day', month: 5, day: 3 }, firstFrost: { month: 10, day: 6 } };

let n = 0;
const ids = () => `s${n++}`;
/** A rack of so many tiers with two strong shop lights each. */
function rack(tiers: number, lamp = 'led-shop-12-twin-50'): Site {
  const { stand, timer } = standFrom(
    TEMPLATES.find((t) => t.kind === 'rack')!,
    tiers,
    'Rack',
    ids,
  );
  const bare: Site = { ...BARE_SITE, currency: 'EUR', price_per_kWh: 0.3, stands: [stand], timers: [timer] };
  return stand.tiers.reduce(
    (site, tier) => [0.13, 0.32].reduce((s, y) => addFitting(tier.id, tables.lamp(lamp)!, { x: 0.6, y, face: 0.34 }, ids())(s), site),
    bare,
  );
}
const planned = (id: string, cropId: string, change: Partial<PlannedBatch> = {}): PlannedBatch => ({
  ...plannedFor(crop(cropId), season, datesFor(crop(cropId), season, null, TODAY), 72, TODAY, id),
  ...change,
});
const look = (site: Site, plan: SeasonPlan, today: Day = TODAY) =>
  lookAtSeason({ ...site, season: plan }, plan, shelvesOf({ ...site, season: plan }, today, today + 200, tables), today, tables);

describe('counting back', () => {
  test('every crop with a sowing window is old enough when it goes out, and the window is as wide as its table says', () => {
    const raised = cropLibrary.filter((c) => c.sowing);
    expect(raised.length).toBeGreaterThan(40);
    for (const c of raised) {
      const dates = datesFor(c, season, null, dayFrom(2026, 11, 1))!;
      const { weeksBefore, plantOutWeeksAfter } = c.sowing!;
      expect(dates.window.latest - dates.window.earliest).toBe(7 * (weeksBefore.most - weeksBefore.least));
      expect(dates.window.plantOut - dayFrom(2027, 5, 3)).toBe(7 * plantOutWeeksAfter);
      const batch = plannedFor(c, season, dates, 36, dayFrom(2026, 11, 1), 'b');
      expect(batch.out - batch.sown).toBeGreaterThanOrEqual(dates.rules.age.youngest);
      expect(batch.out - batch.sown).toBeLessThanOrEqual(dates.rules.age.oldest);
    }
  });

  test('a plan that is begun late goes out later, never younger', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 400 }), fc.constantFrom(...cropLibrary.filter((c) => c.sowing)), (late, c) => {
        const today = dayFrom(2026, 10, 1) + late;
        const dates = datesFor(c, season, null, today)!;
        const batch = plannedFor(c, season, dates, 10, today, 'b');
        expect(batch.sown).toBeGreaterThanOrEqual(today);
        expect(batch.out - batch.sown).toBeGreaterThanOrEqual(dates.rules.age.youngest);
      }),
    );
  });

  test('tender crops wait for warm nights, hardy ones don’t', () => {
    const cold = { ...season, nights: [-4, -3, 0, 3, 6, 9, 12, 12, 8, 4, 1, -2] };
    const [tomato, leek] = ['tomato', 'leek'].map((id) => datesFor(crop(id), cold, null, TODAY)!);
    expect([tomato!.binding, leek!.binding]).toEqual(['night', 'frost']);
    expect(tomato!.window.plantOut).toBeGreaterThan(dayFrom(2027, 5, 10));
    expect(datesFor(crop('okra'), { ...cold, nights: cold.nights.map((t) => t - 5) }, null, TODAY)).toBeNull();
    // Months are met in their middles, and the year closes.
    const nights = nightsOfMonths(cold.nights);
    expect(nights).toHaveLength(365);
    expect(nights[14]).toBeCloseTo(-4, 1);
    expect(Math.abs(nights[364]! - nights[0]!)).toBeLessThan(0.2);
    expect(
      isoOf(
        warmNightsFrom(
          nights.map((_, i) => nights[(i + 182) % 365]!),
          8,
          2027,
        )!,
      ).slice(5, 7),
    ).toMatch(/1[0-2]/);
  });

  test('a frost after midsummer, a chance that rises and frosts the wrong way round are told apart from sound ones', () => {
    const day = (month: number, d: number) => ({ kind: 'day', month, day: d }) as const;
    expect(unlikelyFrost(day(5, 3), NORTH)).toBeNull();
    expect(unlikelyFrost(day(8, 3), NORTH)).toEqual({ code: 'frost-after-midsummer' });
    expect(unlikelyFrost(day(10, 10), SOUTH)).toBeNull();
    expect(unlikelyFrost(day(3, 10), SOUTH)).toEqual({ code: 'frost-after-midsummer' });
    expect(unlikelyFrost(day(8, 3), null)).toBeNull();
    const rows = [
      { month: 4, day: 6, laterPercent: 50 },
      { month: 5, day: 6, laterPercent: 60 },
    ];
    expect(unlikelyFrost({ kind: 'table', rows, riskPercent: 20 }, NORTH)).toEqual({ code: 'chance-rises', row: 1 });
    expect(frostsSwapped({ lastFrost: day(5, 3), firstFrost: { month: 4, day: 20 } }, NORTH)).toBe(true);
    expect(frostsSwapped(season, NORTH)).toBe(false);
    expect(frostsSwapped({ lastFrost: day(10, 10), firstFrost: { month: 4, day: 24 } }, SOUTH)).toBe(false);
  });
});

test.each([
  [2027, 2, 20, NORTH, 2027],
  [2027, 8, 30, NORTH, 2027],
  [2027, 9, 10, NORTH, 2028],
  [2027, 9, 10, null, 2028],
  // South of the equator that is the spring which begins.
  [2027, 9, 10, SOUTH, 2027],
  [2027, 12, 1, SOUTH, 2027],
  [2028, 2, 20, SOUTH, 2027],
  [2028, 3, 20, SOUTH, 2028],
])('who begins on %i-%i-%i at a latitude of %s plans for %i', (year, month, day, latitude, planned) => {
  expect(yearToPlan(dayFrom(year, month, day), latitude)).toBe(planned);
});

test('a plan is taken to another year only when nobody plans for its own any more, and nothing of it still grows', () => {
  const autumn = dayFrom(2027, 10, 20);
  const late = { ...season, batches: [planned('b', 'kale', { out: autumn + 10 })] };
  const early = { ...season, batches: [planned('b', 'kale', { out: autumn - 60 })] };
  expect([isOver(early, autumn, NORTH), isOver(late, autumn, NORTH)]).toEqual([true, false]);
  // It is spring there.
  expect(isOver(early, autumn, SOUTH)).toBe(false);
  expect(isOver(early, dayFrom(2028, 4, 1), SOUTH)).toBe(true);
  expect(isOver({ ...early, year: 2028 }, autumn, NORTH)).toBe(false);
  // What is lost does not grow.
  expect(isOver({ ...late, batches: [{ ...late.batches[0]!, lost: autumn - 5 }] }, autumn, NORTH)).toBe(true);
});

describe('a batch through its life', () => {
  test('its parts follow each other without a gap, and never hold more plants than before', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...cropLibrary.filter((c) => c.sowing)),
        fc.integer({ min: 1, max: 500 }),
        fc.integer({ min: 0, max: 100 }),
        fc.integer({ min: 0, max: 100 }),
        fc.option(fc.integer({ min: 1, max: 300 }), { nil: null }),
        fc.integer({ min: 1, max: 160 }),
        (c, cells, filledPercent, lossPercent, keepAtMost, long) => {
          const batch = planned('b', c.id, { cells, filledPercent, lossPercent, keepAtMost, out: TODAY + long, sown: TODAY });
          const { parts, plantsOut } = batchCourse(batch, c, undefined, tables.container, season);
          expect(parts[0]!.from).toBe(TODAY);
          expect(parts.at(-1)!.until).toBe(batch.out);
          parts.forEach((p, i) => {
            if (i > 0) expect([p.from, p.plants <= parts[i - 1]!.plants]).toEqual([parts[i - 1]!.until, true]);
            expect(p.until).toBeGreaterThan(p.from);
            expect(p.plants).toBeLessThanOrEqual(cells);
          });
          expect(plantsOut).toBe(parts.at(-1)!.plants);
        },
      ),
    );
  });

  test('a flat of 72 cells becomes four flats of pots', () => {
    const batch = planned('b', 'tomatillo', { cells: 72, filledPercent: 100, lossPercent: 0, sown: TODAY, out: TODAY + 60 });
    const { parts } = batchCourse(batch, crop('tomatillo'), undefined, tables.container, season);
    expect(parts.map((p) => [p.containerId, p.trays])).toEqual([
      ['cell-72', 1],
      ['cell-72', 1],
      ['pot-9', 4],
      ['pot-9', 4],
    ]);
    expect(plantsPerFlat(tables.container('pot-9')!)).toBe(18);
    expect([flatsOn(1.2, 0.45).length, flatsOn(1.2, 0.6).length, flatsOn(0.3, 0.1).length]).toEqual([2, 4, 0]);
    for (const r of flatsOn(1.2, 0.6)) expect((r.x1 - r.x0) * (r.y1 - r.y0)).toBeCloseTo(FLAT.length * FLAT.width, 9);
  });

  test('what was seen moves its dates: a late emergence moves potting on by as much', () => {
    const site = dateBatch('grown', TODAY)({ ...rack(1), batches: [{ ...({} as Site['batches'][number]), id: 'grown', cropId: 'tomatillo', stage: 'emergence', height: null, sown: null, leaves: null, log: [], plan: { kind: 'as-set', hours: null, days: null } }] }); // prettier-ignore
    const batch = planned('b', 'tomatillo', { batchId: 'grown', sown: TODAY, out: TODAY + 70 });
    const usual = batchCourse(batch, crop('tomatillo'), site.batches[0], tables.container, season);
    const late = logIt('grown', { id: 'l', day: usual.emergence.expected + 6, what: 'emerged', height: null, stage: null })(site);
    const then = batchCourse(batch, crop('tomatillo'), late.batches[0], tables.container, season);
    const potted = (c: typeof then) => c.parts.find((p) => p.containerId === 'pot-9')!.from;
    expect(potted(then) - potted(usual)).toBe(6);
    expect(then.emergence.seen).toBe(true);
    // Old enough all the same, its date holds; else it moves by what is missing, and then no more is asked.
    const { youngest } = rulesFor(crop('tomatillo'), season).age;
    const lateIn = (days: number) => {
      const tight = { ...batch, out: TODAY + days };
      return offPlanOf([batchCourse(tight, crop('tomatillo'), late.batches[0], tables.container, season)], season, TODAY + 20).find((o) => o.kind.kind === 'came-up-late'); // prettier-ignore
    };
    expect(lateIn(youngest + 6)).toMatchObject({ change: null, later: 0 });
    expect(lateIn(youngest + 2)).toMatchObject({ kind: { days: 6 }, change: { out: TODAY + youngest + 6 }, later: 4 });
    expect(datesOf(then).map((d) => d.what)).toEqual(['pot-on', 'harden', 'out']);
  });

  test('half and half make one again, together they are moved, and a plan of another year keeps its weekdays', () => {
    const base: Site = { ...rack(1), season: { ...season, batches: [planned('a', 'leek'), planned('b', 'sage', { batchId: 'gone' })] } };
    const split = splitPlanned('a', 30, 'c')(base);
    expect(split.season!.batches.map((b) => [b.id, b.cells])).toEqual([['a', 42], ['c', 30], ['b', 72]]); // prettier-ignore
    expect(joinPlanned('a', 'c')(split).season!.batches).toEqual(base.season!.batches);
    const moved = shiftPlanned(['a', 'b'], 9)(base).season!.batches;
    expect(moved[0]!.sown - base.season!.batches[0]!.sown).toBe(9);
    expect(moved[1]!.sown).toBe(base.season!.batches[1]!.sown);
    const next = movedToYear(base.season!, 2028, 'next');
    next.batches.forEach((b, i) => expect([weekdayOf(b.sown), b.batchId]).toEqual([weekdayOf(base.season!.batches[i]!.sown), null]));
    // About the same date, whole weeks on, however many years ahead or back.
    for (const year of [2020, 2026, 2028, 2031, 2040])
      movedToYear(base.season!, year, 'n').batches.forEach((b, i) =>
        expect(Math.abs(b.sown - base.season!.batches[i]!.sown - (year - base.season!.year) * 365.2425)).toBeLessThanOrEqual(3.5),
      );
  });
});

describe('what goes otherwise', () => {
  const said = (batch: PlannedBatch, today = TODAY, trips: readonly { from: Day; to: Day }[] = []) =>
    offPlanOf(coursesOf({ ...rack(1) }, { ...season, batches: [batch] }, tables), { ...season, batches: [batch] }, today, trips);

  test('a day of sowing that has passed is met by sowing today, and the date moves only if it must', () => {
    const [late] = said(planned('b', 'leek', { sown: TODAY - 20, out: TODAY + 100 }));
    expect(late).toMatchObject({ kind: { kind: 'not-sown', days: 20 }, change: { sown: TODAY, out: TODAY + 100 }, later: 0 });
    const [tight] = said(planned('b', 'leek', { sown: TODAY - 20, out: TODAY + 50 }));
    expect(tight).toMatchObject({ change: { sown: TODAY, out: TODAY + 63 }, later: 13 });
  });

  test('going out before the frost is over, or too young, is said with the day that would do', () => {
    const early = said(planned('b', 'tomato', { sown: TODAY, out: dayFrom(2027, 3, 25) }));
    expect(early.map((o) => o.kind.kind)).toEqual(['too-young', 'before-weather']);
    expect(early[1]!.change).toEqual({ out: dayFrom(2027, 5, 10) });
  });

  test('what would go out into the first frost of autumn is told so, also with what is offered; crops that stand it are not', () => {
    const frosts = (batch: PlannedBatch, today: Day) => said(batch, today).flatMap(({ kind }) => (kind.kind === 'after-frost' ? [kind.days] : [])); // prettier-ignore
    const frost = dayFrom(2027, 10, 6);
    const outOn = (cropId: string, out: Day) => frosts(planned('b', cropId, { sown: out - 55, out }), out - 60);
    expect([outOn('tomato', frost - 1), outOn('tomato', frost), outOn('tomato', frost + 9)]).toEqual([[], [0], [9]]);
    expect(outOn('leek', frost + 9)).toEqual([]);
    // Not sown in time, it would be sown today: too late by then.
    expect(frosts(planned('b', 'tomato', { sown: frost - 60, out: frost - 4 }), frost - 20)).toEqual([22]);
    expect(datesFor(crop('tomato'), season, null, TODAY)!.ends).toBe(frost);
    expect(datesFor(crop('kale'), season, null, TODAY)!.ends).toBeNull();
  });

  test('the first frost of autumn comes after the last one of spring, whatever the year, and on either half of the globe', () => {
    const day = (month: number, d: number) => ({ kind: 'day', month, day: d }) as const;
    const autumn = (lastFrost: SeasonPlan['lastFrost'], month: number, d: number) => autumnFrostOf({ lastFrost, firstFrost: { month, day: d }, year: 2027 }); // prettier-ignore
    expect(autumn(day(5, 3), 10, 6)).toBe(dayFrom(2027, 10, 6));
    expect(autumn(day(10, 10), 4, 24)).toBe(dayFrom(2028, 4, 24));
    // A mild coast, where it comes after the new year.
    expect(autumn(day(2, 20), 1, 5)).toBe(dayFrom(2028, 1, 5));
    expect(autumn({ kind: 'unknown' }, 10, 6)).toBe(dayFrom(2027, 10, 6));
    expect(autumn({ kind: 'unknown' }, 4, 24)).toBe(dayFrom(2028, 4, 24));
    expect(autumnFrostOf({ ...season, firstFrost: null })).toBeNull();
  });

  test('seed that may come up during a trip is sown so that somebody is back', () => {
    const batch = planned('b', 'tomato', { sown: TODAY, out: TODAY + 90 });
    const away = said(batch, TODAY, [{ from: TODAY + 3, to: TODAY + 12 }]).find((o) => o.kind.kind === 'up-while-away')!;
    expect(away.later).toBe(8);
    const moved = { ...batch, ...away.change };
    expect(said(moved, TODAY, [{ from: TODAY + 3, to: TODAY + 12 }]).some((o) => o.kind.kind === 'up-while-away')).toBe(false);
  });

  test('a trip after all seed should be up is no matter; seed that is late, just before one, is', () => {
    // Up 5 to 12 days from sowing.
    const batch = planned('b', 'tomato', { sown: TODAY, out: TODAY + 90 });
    const { first, last } = crop('tomato').germination!.days;
    const told = (from: number, sown = TODAY) =>
      said({ ...batch, sown, batchId: sown < TODAY ? 'sown' : null }, TODAY, [{ from, to: from + 6 }]).find(
        (o) => o.kind.kind === 'up-while-away',
      );
    expect(told(TODAY + last + 1)).toBeUndefined();
    expect(told(TODAY + last)).toBeDefined();
    // Somebody is there when the first come up, and switches the lamp on: the trip's own days are the most that any stands in the dark.
    expect(told(TODAY + first + 1)!.kind).toMatchObject({ darkDays: 7 });
    const sown = TODAY - last - 2;
    expect(told(TODAY + 2, sown)).toBeDefined();
    expect(told(TODAY + 20, sown)).toBeUndefined();
  });

  test('plants that grow too old are not sent out into frost: where the weather keeps them in, it is said and nothing is offered', () => {
    const sown = TODAY - 100;
    const grown = { ...({} as Site['batches'][number]), id: 'g', cropId: 'tomato', stage: 'seedling' as const, height: null, sown, leaves: null, log: [], plan: { kind: 'as-set' as const, hours: null, days: null } }; // prettier-ignore
    const out = (day: number) => {
      const batch = planned('b', 'tomato', { sown, out: day, batchId: 'g' });
      const course = batchCourse(batch, crop('tomato'), grown, tables.container, season);
      return offPlanOf([course], season, TODAY).find((o) => o.kind.kind === 'too-old')!;
    };
    const warm = dayFrom(2027, 5, 10);
    expect(out(warm)).toMatchObject({ change: null, later: 0 });
    expect(out(warm + 5)).toMatchObject({ change: { out: warm }, later: -5 });
  });

  test('a crowded shelf is no reason to plant out into frost, or too young', () => {
    const { youngest } = rulesFor(crop('tomato'), season).age;
    const warm = dayFrom(2027, 5, 10);
    const may = (sown: number, day: number) => mayGoOutOn(coursesOf(rack(1), { ...season, batches: [planned('b', 'tomato', { sown, out: day })] }, tables)[0]!, season, day, TODAY); // prettier-ignore
    expect([may(warm - youngest, warm), may(warm - youngest, warm - 1), may(warm - youngest + 1, warm)]).toEqual([true, false, false]);
    const frost = dayFrom(2027, 10, 6);
    expect([may(frost - 90, frost - 1), may(frost - 90, frost)]).toEqual([true, false]);
    // A full shelf: whatever way out there is, none breaks either.
    const crowd = Array.from({ length: 4 }, (_, i) => planned(`t${i}`, 'tomato', { sown: warm - 80, out: warm + 3 + 2 * i, cells: 72 }));
    const plan = { ...season, batches: crowd };
    const site: Site = { ...rack(1), season: plan };
    const shelves = shelvesOf(site, TODAY, TODAY + 200, tables);
    const ways = waysOut(site, plan, shelves, lookAtSeason(site, plan, shelves, TODAY, tables), TODAY, tables, []);
    expect(ways.length).toBeGreaterThan(0);
    for (const { what, change } of ways) {
      if (what.kind !== 'out-earlier') continue;
      expect(change!.out!).toBeGreaterThanOrEqual(warm);
    }
    // Nor to sow so late that the frost of autumn comes first.
    const unsown = { ...plan, batches: crowd.map((b) => ({ ...b, sown: TODAY + 1 })) };
    const latest = (weather: SeasonPlan) =>
      Math.max(...waysOut(site, weather, shelves, lookAtSeason(site, weather, shelves, TODAY, tables), TODAY, tables, []).map((w) => (w.what.kind === 'sow-later' ? w.what.days : 0))); // prettier-ignore
    expect(latest(unsown)).toBeGreaterThan(14);
    expect(latest({ ...unsown, firstFrost: { month: 5, day: 31 } })).toBe(14);
  });

  test('what is offered settles it: once taken, the same is never offered again', () => {
    const crops = ['tomato', 'leek', 'celery', 'sage', 'snapdragon', 'tomatillo'];
    fc.assert(
      fc.property(
        fc.constantFrom(...crops),
        fc.integer({ min: -90, max: 40 }),
        fc.integer({ min: 1, max: 200 }),
        fc.boolean(),
        fc.integer({ min: 0, max: 40 }),
        (cropId, sownIn, raised, isSown, upAfter) => {
          const sown = TODAY + Math.min(sownIn, isSown ? 0 : sownIn);
          const log = isSown && sown + upAfter <= TODAY ? [{ id: 'u', day: sown + upAfter, what: 'emerged' as const, height: null, stage: null }] : []; // prettier-ignore
          const grown = { ...({} as Site['batches'][number]), id: 'g', cropId, stage: 'seedling' as const, height: null, sown, leaves: null, log, plan: { kind: 'as-set' as const, hours: null, days: null } }; // prettier-ignore
          const batch = planned('b', cropId, { sown, out: sown + raised, batchId: isSown ? 'g' : null });
          const offers = (b: PlannedBatch) =>
            offPlanOf([batchCourse(b, crop(cropId), isSown ? grown : undefined, tables.container, season)], season, TODAY);
          for (const { kind, change, later } of offers(batch)) {
            if (!change) continue;
            const moved = { ...batch, ...change };
            expect(moved.out - batch.out).toBe(later);
            expect(offers(moved).filter((o) => o.kind.kind === kind.kind && o.change !== null)).toEqual([]);
          }
        },
      ),
      { numRuns: 400 },
    );
  });

  test('what is lost is no matter any more, and starting over says whether the date holds', () => {
    const batch = planned('b', 'leek', { sown: TODAY - 20, out: TODAY + 50, lost: TODAY });
    expect(said(batch)).toEqual([]);
    const [course] = coursesOf(rack(1), { ...season, batches: [batch] }, tables);
    expect(restartOf(course!, season, TODAY)).toMatchObject({ canBury: false, readyOn: TODAY + 63, daysLate: 13, holds: false });
    expect(course!.plantsOut).toBe(0);
    expect(course!.parts.at(-1)!.until).toBe(TODAY);
  });
});

describe('room that carries light', () => {
  const crowd = (count: number) =>
    Array.from({ length: count }, (_, i) => planned(`t${i}`, 'tomatillo', { sown: TODAY + 7, out: TODAY + 77, cells: 72 }));

  test('one batch finds light on a strong rack, a crowd does not, and more tiers never make it worse', () => {
    expect(look(rack(2), { ...season, batches: [planned('a', 'leek')] }).over).toBe(0);
    const plan = { ...season, batches: crowd(3) };
    const [one, two, four] = [1, 2, 4].map((tiers) => look(rack(tiers), plan).over);
    expect(one!).toBeGreaterThan(two!);
    expect(two!).toBeGreaterThanOrEqual(four!);
    expect(one!).toBeGreaterThan(0);
  });

  test('no tier holds more trays than it has places, and no leaf gets more than it bears', () => {
    const site = rack(2);
    const plan = { ...season, batches: [...crowd(2), planned('a', 'leek'), planned('s', 'snapdragon')] };
    const shelves = shelvesOf({ ...site, season: plan }, TODAY, TODAY + 200, tables);
    const seen = lookAtSeason({ ...site, season: plan }, plan, shelves, TODAY, tables);
    seen.weeks.forEach((_, t) => {
      for (const carry of shelves.carries) {
        const there = seen.courses.filter((c) => seen.placing.tierOf[c.batch.id]![t] === carry.tierId);
        const trays = there.reduce((sum, c) => sum + Math.max(...c.parts.filter((p) => p.from < seen.weeks[t]!.from + 7 && p.until > seen.weeks[t]!.from).map((p) => p.trays)), 0); // prettier-ignore
        expect(trays).toBeLessThanOrEqual(carry.places);
        const set = seen.placing.setting[carry.tierId]![t];
        if (!set) continue;
        for (const c of there.filter((x) => seen.placing.well[x.batch.id]![t])) {
          const age = seen.weeks[t]!.from + 3 - c.emergence.expected;
          const stage = c.crop.stages.findLast((s) => (s.fromDay ?? 0) <= age);
          if (stage && seen.weeks[t]!.from + 3 < c.hardening) expect(set.hours).toBeLessThanOrEqual(stage.hoursMax);
        }
      }
    });
  });

  test('no tray in its band is bought with one that gets more than it bears: a limit is no weight', () => {
    const tier = {
      places: 9,
      clear_cm: 60,
      levels: [
        { dli: 0, wh_per_day: 0 },
        { dli: 10, wh_per_day: 9, hours: 16, spot_umol: 300, clear_cm: 40 },
      ],
    };
    const many = { trays: 8, dliMin: 8, dliMax: 16, height_cm: 10 };
    const bears = { trays: 1, dliMin: 0, dliMax: 20, height_cm: 10, hours: { least: 0, most: 16 }, spotMost_umol: 300 };
    const worth = { inBand: 100, below: 10, above: -100 };
    expect(bestLevel(tier, 0, [many, bears], worth).level).toBe(1);
    for (const frail of [
      { ...bears, hours: { least: 0, most: 14 } },
      { ...bears, spotMost_umol: 250 },
      { ...bears, height_cm: 41 },
    ])
      expect(bestLevel(tier, 0, [many, frail], worth).level).toBe(0);
  });

  test('a tier that gets another one above it can hang its lamps no higher than that, from then on', () => {
    const { stand, timer } = standFrom({ ...TEMPLATES.find((t) => t.kind === 'other')!, height: 0.3 }, 1, 'Open', ids);
    const bare: Site = { ...BARE_SITE, currency: 'EUR', price_per_kWh: 0.3, stands: [stand], timers: [timer] };
    const { id } = stand.tiers[0]!;
    const site = addFitting(id, tables.lamp('led-bar-12-white-24')!, { x: 0.5, y: 0.25, face: 0.2 }, ids())(bare);
    const cache = shelvesCache();
    const farthest = (now: Site) => {
      const carry = shelvesOf(now, TODAY, TODAY, tables, cache).carries.find((c) => c.tierId === id)!;
      return Math.max(...carry.at.map((a) => a.distance));
    };
    expect(farthest(site)).toBeGreaterThan(0.27);
    expect(farthest(addTier(stand.id, 'above')(site))).toBeLessThan(0.27);
    // So does what is tried there: it is not taken for the highest tier.
    const covered = addTier(stand.id, 'above')(site);
    const below = covered.stands[0]!.tiers[1]!;
    const tried = hungOver(covered, below, ['led-bar-12-white-24'], tables, createCache(64))!;
    expect(Math.max(...tried.at.map((a) => a.distance))).toBeLessThan(0.27);
  });

  test('how far off a tier can carry does not depend on how high its lamps hang today, unless they are screwed on', () => {
    const farthest = (face: number, kind: HangerKind = 'cord') => {
      const site = rack(1);
      const { id, fittings } = site.stands[0]!.tiers[0]!;
      const hung = changeFittings(id, fittings.map((f) => f.id), () => ({ face, hanger: hangerOf(kind) }))(site); // prettier-ignore
      return shelvesOf(hung, TODAY, TODAY, tables).carries[0]!.at.map((a) => a.distance);
    };
    expect(farthest(0.12)).toEqual(farthest(0.34));
    expect(farthest(0.12).length).toBeGreaterThan(3);
    expect(Math.max(...farthest(0.12, 'fixed'))).toBeLessThan(0.12);
  });

  test('what lives on a tier anyway keeps its room', () => {
    const site = rack(1);
    const tier = site.stands[0]!.tiers[0]!;
    const lived = addTray(tier.id, FLAT, { cropId: 'fern', stage: 'maintenance' }, { x: 0.3, y: 0.22 }, ids)(site);
    const plan = {
      ...season,
      batches: [
        planned('a', 'lettuce', { sown: TODAY, out: TODAY + 40, cells: 250, containers: [{ containerId: 'cell-128', fromDay: 0 }] }),
      ],
    };
    expect(look(site, plan).over).toBe(0);
    expect(look(lived, plan).over).toBeGreaterThan(0);
  });

  test('ways out are tried on the whole season: each that is offered leaves less, and leaves what it says', () => {
    const site = rack(2);
    const plan = { ...season, batches: [...crowd(2), planned('l', 'lettuce', { sown: TODAY + 20, out: TODAY + 70, cells: 72 })] };
    const shelves = shelvesOf({ ...site, season: plan }, TODAY, TODAY + 200, tables);
    const base = lookAtSeason({ ...site, season: plan }, plan, shelves, TODAY, tables);
    expect(base.over).toBeGreaterThan(0);
    const ways = waysOut(site, plan, shelves, base, TODAY, tables, []);
    expect(ways.length).toBeGreaterThan(2);
    expect(new Set(ways.map((w) => w.what.kind)).size).toBeGreaterThan(1);
    for (const way of ways) {
      expect(way.over).toBeLessThan(base.over);
      if (!way.change || !('id' in way.what)) continue;
      const { id } = way.what;
      const changed = { ...plan, batches: plan.batches.map((b) => (b.id === id ? { ...b, ...way.change } : b)) };
      // With more time to search than the trying had, it is never worse than was said.
      expect(lookAtSeason(site, changed, shelves, TODAY, tables).over).toBeLessThanOrEqual(way.over);
    }
  });
});

describe('taken to the stands', () => {
  test('a batch that is sown stands there with its date, and the plan knows of it', () => {
    const site: Site = { ...rack(2), season: { ...season, batches: [planned('a', 'leek', { cells: 200, containers: [{ containerId: 'cell-128', fromDay: 0 }], label: 'Leek, ours' })] } }; // prettier-ignore
    const [course] = coursesOf(site, site.season!, tables);
    const tier = site.stands[0]!.tiers[1]!;
    const { site: sown, stuck } = sowOnStand(site, course!, tier.id, TODAY, ids, tables);
    expect(stuck).toBe(0);
    const trays = sown.stands[0]!.tiers[1]!.trays;
    expect(trays.map((t) => [t.containerId, t.label])).toEqual([['cell-128', 'Leek, ours'], ['cell-128', 'Leek, ours']]); // prettier-ignore
    expect(new Set(trays.map((t) => t.batchId)).size).toBe(1);
    expect(sown.season!.batches[0]).toMatchObject({ batchId: trays[0]!.batchId, sown: TODAY });
    expect(sown.batches.find((b) => b.id === trays[0]!.batchId)).toMatchObject({ cropId: 'leek', sown: TODAY });
    // A tier that is full takes nothing, and nothing is half done.
    const full = sowOnStand(sown, course!, tier.id, TODAY, ids, tables);
    expect([full.stuck, full.site]).toEqual([2, sown]);
  });

  test('the places of a week bring trays, lamps and timers along', () => {
    const weak = rack(1, 'led-bar-06-white-10');
    const strong = rack(1);
    const site: Site = { ...strong, stands: [...weak.stands, ...strong.stands], timers: [...weak.timers, ...strong.timers], season: { ...season, batches: [planned('a', 'leek', { sown: TODAY - 40, out: TODAY + 40 })] } }; // prettier-ignore
    const [from, to] = site.stands.map((s) => s.tiers[0]!);
    const [course] = coursesOf(site, site.season!, tables);
    const sown = sowOnStand(site, course!, from!.id, TODAY - 40, ids, tables).site;
    const up = logIt(sown.season!.batches[0]!.batchId!, { id: 'e', day: TODAY - 28, what: 'emerged', height: null, stage: null })(sown);
    const seen = look(up, up.season!);
    const week = seen.weeks.findIndex((w) => w.from <= TODAY && w.from + 7 > TODAY);
    expect(seen.placing.tierOf.a![week]).toBe(to!.id);
    const taken = takeToStands(grownTo(up, TODAY, tables), seen, week, tables);
    expect([taken.trays, taken.stuck]).toEqual([1, 0]);
    expect(taken.moves).toEqual([{ id: 'a', from: from!.id, to: to!.id }]);
    expect(taken.lamps).toBeGreaterThan(0);
    expect(taken.site.stands[1]!.tiers[0]!.trays).toHaveLength(1);
    const lit = taken.site.timers.find((p) => p.id === to!.timerId)!.lit_min / 60;
    expect(lit).toBe(seen.placing.setting[to!.id]![week]!.hours);
    // A longer day does not burn into the quiet of a household that kept it; where it did so before, it is left alone.
    const quiet = { from_min: 21 * 60, to_min: 7 * 60 };
    const at = (on_min: number, lit_min: number) => {
      const set = setTimes(to!.timerId, on_min, lit_min)({ ...grownTo(up, TODAY, tables), quiet });
      return takeToStands(set, seen, week, tables).site.timers.find((p) => p.id === to!.timerId)!;
    };
    const kept = at(14 * 60, 7 * 60);
    expect(litWithin(kept, quiet)).toBe(0);
    expect(kept.lit_min).toBe(Math.min(lit * 60, 14 * 60));
    expect(at(20 * 60, 8 * 60)).toMatchObject({ on_min: 20 * 60, lit_min: lit * 60 });
  });
});

test('a list of what has to be at hand counts every cell, pot and litre once', () => {
  const plan = {
    ...season,
    batches: [planned('a', 'tomatillo', { cells: 72, filledPercent: 100, lossPercent: 0, sown: TODAY, out: TODAY + 60 })],
  };
  const list = sowingList(rack(1), plan, tables);
  expect(list.rows[0]!.containers).toEqual([
    { containerId: 'cell-72', count: 1, compost_L: expect.closeTo(72 * 0.045, 6) as number },
    { containerId: 'pot-9', count: 72, compost_L: expect.closeTo(72 * 0.43, 6) as number },
  ]);
  expect(list.rows[0]!.labels).toBe(4);
});

test('a day is moved to the nearest visit, and never into a trip', () => {
  const weekly = { ...USUAL_RHYTHM, rhythm: 'weekly' as const, weekday: 6, away: [{ from: TODAY + 5, to: TODAY + 16 }] };
  for (let day = TODAY; day < TODAY + 40; day++) {
    const visit = nearestVisit(weekly, day);
    expect(visitDays(weekly, TODAY - 10, TODAY + 60)).toContain(visit);
    for (const other of visitDays(weekly, TODAY - 9, TODAY + 60)) expect(Math.abs(visit - day)).toBeLessThanOrEqual(Math.abs(other - day));
  }
});
