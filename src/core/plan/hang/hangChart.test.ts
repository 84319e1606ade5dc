import { createChartMemory } from './ChartMemory';
import { createCache } from '../../light/scene/Cache';
import { answerBench } from '../../answer/bench/answerBench';
import { questionOfStand } from '../../answer/bench/questionOfStand';
import { dateBatch, logIt, measureBatch } from '../../site/growth/changeGrowth';
import { grownTo } from '../../answer/stand/grownTo';
import { growthOf } from '../../site/growth/growthOf';
import { containerLibrary } from '../../things/container/containerLibrary';
import { lampLibrary } from '../../things/lamp/lampLibrary';
import { tables } from '../../things/tables/libraryTables';
import type { HoursPlan } from '../../site/timer/HoursPlan';
import { BARE_SITE } from '../../site/stand/bare';
import { benchStandOf } from '../../answer/stand/benchStand';
import { addFitting, addTray, changeFittings, changeTrays, plugInto, setTimes } from '../../site/stand/change';
import { hangerOf, type HangerKind } from '../../site/stand/Hanger';
import type { Site, StandKind } from '../../site/stand/Site';
import { standFrom, TEMPLATES } from '../../site/stand/templates';
import { faultsOf } from '../../answer/faults/faults';
import { resultsOf } from '../advice/Effect';
import { dayFrom, isoOf } from '../../units/day';
import { diffCharts } from './diffCharts';
import { doVisit, siteOn } from './doVisits';
import type { ChartAsked, ChartOnTheWay, HangChart } from './HangChart';
import { hangChartOf, workAhead } from './hangChartOf';
import { NEAR, TierCourse } from './TierCourse';
import { visitDays, type VisitRhythm } from '../../site/hang/VisitRhythm';
import { plainOwnLamp } from '../../site/ownLamps/changeOwnLamps';
import { knowOwnLamps } from '../../site/ownLamps/hangingOf';

const FROM = dayFrom(2027, 2, 6); // a Saturday
let next = 0;
const ids = () => `h${next++}`;
const lamp = lampLibrary.find((l) => l.id === 'led-shop-12-twin-42')!;
const cells = containerLibrary.find((c) => c.id === 'cell-72')!;
const plan = (kind: HoursPlan['kind'], hours: number | null = null): HoursPlan => ({ kind, hours, days: null });

interface Wanted {
  readonly kind?: StandKind;
  readonly crops: readonly string[];
  readonly age?: number;
  readonly tiers?: number;
  readonly plan?: HoursPlan;
  readonly by?: HangerKind;
  readonly face?: number;
  readonly risers?: number;
  readonly visits?: Partial<VisitRhythm>;
}

/** A rack, or another stand, of tiers alike: trays side by side under two shop lights, up for so many days already. */
function rack({
  kind = 'rack',
  crops,
  age = 0,
  tiers = 1,
  plan: hours = plan('as-set'),
  by = 'chain',
  face = 0.22,
  risers = 0,
  visits = {},
}: Wanted): Site {
  const { stand, timer } = standFrom(
    TEMPLATES.find((t) => t.kind === kind)!,
    tiers,
    'Rack',
    ids,
  );
  let site: Site = {
    ...BARE_SITE,
    currency: 'EUR',
    price_per_kWh: 0.3,
    stands: [stand],
    timers: [timer],
    visits: { ...BARE_SITE.visits, ...visits },
  };
  for (const { id } of stand.tiers) {
    for (const [i, cropId] of crops.entries()) {
      const stage = tables.crop(cropId)!.stages[0]!.stage;
      site = addTray(id, cells, { cropId, stage }, { x: 0.32 + 0.56 * i, y: 0.225 }, ids)(site);
      const batch = site.batches.at(-1)!;
      site = dateBatch(batch.id, FROM - age - 10)(site);
      if (age >= 0) site = logIt(batch.id, { id: ids(), what: 'emerged', day: FROM - age, height: null, stage: null })(site);
      site = { ...site, batches: site.batches.map((b) => (b.id === batch.id ? { ...b, plan: hours } : b)) };
    }
    for (const y of [0.14, 0.31]) site = addFitting(id, lamp, { x: 0.6, y, face }, ids())(site);
    const tier = site.stands[0]!.tiers.find((t) => t.id === id)!;
    site = changeFittings(id, tier.fittings.map((f) => f.id), () => ({ hanger: hangerOf(by) }))(site); // prettier-ignore
    site = changeTrays(id, tier.trays.map((y) => y.id), () => ({ risers, riserHeight: 0.05 }))(site); // prettier-ignore
  }
  return grownTo(site, FROM, tables);
}

const standIn = (site: Site) => benchStandOf(site, site.stands[0]!, tables);
const askedOf = (site: Site): ChartAsked => ({ site, standId: site.stands[0]!.id, from: FROM, timerStep_min: 15 });
const chartOf = (site: Site, progress?: ChartOnTheWay): HangChart =>
  hangChartOf({ ...askedOf(site), answer: answerBench(questionOfStand(standIn(site), null)) }, tables, progress);
const stretchesOf = (chart: HangChart) => chart.visits.map((v) => [v.day - FROM, v.lamps.map((l) => l.steps)[0] ?? 0] as const);

test('rounds: daily, twice a week, weekly; nobody comes while away, but on the day before and after', () => {
  const rhythm: VisitRhythm = { rhythm: 'weekly', weekday: 6, time_min: 0, away: [] };
  expect(visitDays(rhythm, FROM, FROM + 21)).toEqual([0, 7, 14, 21].map((d) => FROM + d));
  expect(visitDays({ ...rhythm, rhythm: 'twice-weekly' }, FROM, FROM + 10)).toEqual([0, 3, 7, 10].map((d) => FROM + d));
  expect(visitDays({ ...rhythm, rhythm: 'daily' }, FROM, FROM + 3)).toHaveLength(4);
  const away = { ...rhythm, away: [{ from: FROM + 5, to: FROM + 9 }] };
  expect(visitDays(away, FROM, FROM + 21)).toEqual([0, 4, 10, 14, 21].map((d) => FROM + d));
  // The first day is today, whatever the rhythm.
  expect(visitDays(rhythm, FROM + 2, FROM + 8)).toEqual([FROM + 2, FROM + 7]);
});

test('every number of the chart is what the engine says of that day', () => {
  const site = rack({ crops: ['leek', 'snapdragon'], age: 8, tiers: 2, plan: plan('dose') });
  const chart = chartOf(site);
  expect(chart.visits.length).toBeGreaterThan(2);
  for (const v of chart.visits)
    for (const [day, told] of [
      [v.day, v.after],
      [v.last, v.before],
    ] as const) {
      // prettier-ignore
      const stand = standIn(siteOn(site, chart.visits, day, tables));
      const answer = answerBench(questionOfStand(stand, null));
      for (const t of stand.tiers)
        for (const y of t.trays) {
          const said = told.find((d) => d.trayId === y.tray.id)!;
          const { stats } = answer.tiers[t.tier.id]!.trays[y.tray.id]!;
          const k = t.hours * 0.0036;
          expect(said.mean).toBeWithin(stats.mean * k, { relative: 0.03 });
          expect(said.strongest).toBeWithin(stats.strongest.ppfd * k, { relative: 0.03 });
          expect(said.weakest).toBeWithin(stats.weakest.ppfd * k, { relative: 0.03 });
          expect(said.height).toBeWithin(y.plantHeight, { absolute: 1e-9 });
          expect(said.distance).toBeWithin(Math.min(...t.lamps.map((l) => l.fitting.face)) - y.canopy, { absolute: 1e-6 });
        }
    }
});

test('one sort under lamps that suit it stays in its band on every day, lamps only rising, and never nearer than heat allows', () => {
  const site = rack({ crops: ['lettuce', 'lettuce'], age: 2, plan: plan('dose'), visits: { rhythm: 'daily' } });
  const chart = chartOf(site);
  for (let day = FROM; day <= chart.until; day += 3) {
    const [t] = standIn(siteOn(site, chart.visits, day, tables)).tiers;
    const light = answerBench(questionOfStand(standIn(siteOn(site, chart.visits, day, tables)), null)).tiers[t!.tier.id]!;
    for (const y of t!.trays) {
      expect(t!.lamps[0]!.fitting.face - y.canopy).toBeGreaterThanOrEqual(lamp.heatClearance - 1e-9);
      const bad = chart.limits.some((l) => l.trayId === y.tray.id && day >= l.from && day <= l.to);
      if (bad) continue;
      const k = t!.hours * 0.0036;
      expect(light.trays[y.tray.id]!.stats.weakest.ppfd * k).toBeGreaterThan(y.stage.dliMin * (1 - NEAR) * 0.94);
      expect(light.trays[y.tray.id]!.stats.strongest.ppfd * k).toBeLessThan(y.stage.dliMax * (1 + NEAR) * 1.04);
    }
  }
});

test('fewer visits cannot be: a search through all settings needs as many', () => {
  const asked = rack({ crops: ['leek'], age: 4, by: 'notch', visits: { rhythm: 'daily' } });
  // As long a day as leeks may have, so that the hours stay.
  const site = setTimes(asked.timers[0]!.id, 360, 840)(asked);
  const stand = standIn(site);
  const answer = answerBench(questionOfStand(stand, null));
  const chart = chartOf(site);
  const course = new TierCourse(stand.tiers[0]!, answer, FROM, chart.until - FROM + 1, createCache(), createChartMemory());
  const hours = stand.tiers[0]!.timer;
  const days = visitDays(site.visits, FROM, chart.until);
  const settings = course.settings(course.now, FROM, FROM, hours);
  // Breadth first over the days of visits: how many settings, one after the other, it takes to reach the end.
  const okUntil = (from: number) => Math.max(...settings.map((s) => course.firstBad(s, from, chart.until, hours)));
  const nowUntil = course.firstBad(course.now, FROM, chart.until, hours);
  let reached = days.filter((d) => d <= nowUntil).at(-1)!;
  let count = 0;
  if (nowUntil <= chart.until) {
    let front = new Set([reached]);
    for (count = 1; ; count++) {
      const ends = [...front].map(okUntil);
      if (Math.max(...ends) > chart.until) break;
      front = new Set(ends.flatMap((e) => days.filter((d) => d <= e && d > reached)));
      if (front.size === 0) break;
      reached = Math.max(...front);
    }
  }
  // Where every setting fails before the next visit the chart says so; this rack is not of that kind.
  expect(chart.limits.filter((l) => l.bound === 'rhythm')).toEqual([]);
  expect(chart.visits.filter((v) => v.lamps.length > 0).length).toBeLessThanOrEqual(count);
  expect(count).toBeGreaterThan(1);
});

test('who comes by more often has no more to do, unless the plants of who comes seldom go without', () => {
  const of = (rhythm: VisitRhythm['rhythm']) => chartOf(rack({ crops: ['celery', 'celery'], age: 10, visits: { rhythm } }));
  const [daily, weekly] = [of('daily'), of('weekly')];
  const without = (c: HangChart) => c.limits.filter((l) => l.bound === 'rhythm').reduce((sum, l) => sum + 1 + l.to - l.from, 0);
  expect(without(daily)).toBe(0);
  expect(daily.visits.length > weekly.visits.length ? without(weekly) : 1).toBeGreaterThan(0);
  expect(weekly.rounds).toBeLessThan(daily.rounds / 6);
});

test('in the open lamps that are far too near are hung as much higher as it takes, at once', () => {
  const site = rack({ kind: 'other', crops: ['cape-primrose'], face: 0.16 });
  const [first] = chartOf(site).visits;
  expect(first!.day).toBe(FROM);
  expect(first!.after.map((t) => t.says)).toEqual(['suits']);
  // More than twice as high above the floor as before.
  expect(first!.lamps.map((l) => l.face > 0.32)).toEqual([true, true]);
  const [then] = resultsOf(
    standIn(siteOn(site, [first!], FROM, tables)),
    answerBench(questionOfStand(standIn(siteOn(site, [first!], FROM, tables)), null)),
  );
  expect(then!.breaches).toEqual([]);
  expect(then!.strongest).toBeWithin(first!.after[0]!.strongest, { relative: 0.03 });
});

test('no lamp goes up through the tier above, though that lets light through', () => {
  const site = rack({ kind: 'other', crops: ['cape-primrose'], face: 0.16, tiers: 2 });
  const chart = chartOf(site);
  const whysOn = (later: Site) => faultsOf(standIn(later)).map((f) => f.why);
  const [above, below] = site.stands[0]!.tiers;
  const highest = (id: string) => Math.max(...chart.visits.flatMap((v) => v.lamps.filter((l) => l.tierId === id).map((l) => l.face)));
  expect(highest(below!.id)).toBeLessThan(0.47);
  expect(highest(above!.id)).toBeGreaterThan(0.47);
  for (const { day } of chart.visits) expect(whysOn(siteOn(site, chart.visits, day, tables))).not.toContain('lamp-in-shelf');
  // Who hangs one there is told.
  const raised = changeFittings(below!.id, below!.fittings.map((f) => f.id), () => ({ face: 0.6 }))(site); // prettier-ignore
  expect(whysOn(raised)).toContain('lamp-in-shelf');
});

test('lamps that are screwed on stay; the risers under the tray come out one by one', () => {
  const chart = chartOf(rack({ crops: ['celery'], age: 12, by: 'fixed', face: 0.3, risers: 3 }));
  expect(chart.visits.flatMap((v) => v.lamps)).toEqual([]);
  const risers = chart.visits.flatMap((v) => v.risers);
  expect(risers.length).toBeGreaterThan(0);
  for (const [i, job] of risers.entries()) expect(job.to).toBeLessThan(i === 0 ? 3 + 1e-9 : risers[i - 1]!.to);
});

test('away a week at emergence: the lamp is on before they come up, and the list says which day that will be', () => {
  // Celery: 12 to 22 days, and its seed wants light.
  const away = { from: FROM + 3, to: FROM + 9 };
  const site = rack({ crops: ['celery', 'leek'], age: -1, plan: plan('dose'), visits: { rhythm: 'weekly', away: [away] } });
  const chart = chartOf(setTimes(site.timers[0]!.id, 480, 0)(site));
  // The timer was off: before the trip it is set.
  const set = chart.visits.filter((v) => v.day < away.from).flatMap((v) => v.hours);
  expect(set.length).toBeGreaterThan(0);
  expect(set.at(-1)!.lit_min).toBeGreaterThanOrEqual(10 * 60);
  const [trip] = chart.trips;
  const leek = site.stands[0]!.tiers[0]!.trays[1]!;
  // Leek, sown ten days ago less one: 12 days after sowing.
  expect(trip!.drift.find((d) => d.trayId === leek.id)!.emerges).toBe(FROM + 1 - 10 + 12);
  expect(trip!.drift.every((d) => d.back.distance <= d.leave.distance)).toBe(true);
  expect(chart.visits.every((v) => v.day < away.from || v.day > away.to)).toBe(true);
});

test('emergence that is late moves what follows, and the change is shown day by day', () => {
  const site = rack({ crops: ['leek', 'leek'], age: -1, plan: plan('dose') });
  const before = chartOf(site);
  const late = site.batches.reduce(
    (s, b) => logIt(b.id, { id: ids(), what: 'not-yet', day: FROM + 8, height: null, stage: null })(s),
    site,
  );
  const after = chartOf(late);
  const changes = diffCharts(before.visits, after.visits, FROM);
  expect(changes.length).toBeGreaterThan(0);
  expect(after.until).toBeGreaterThan(before.until);
  expect(diffCharts(after.visits, after.visits, FROM)).toEqual([]);
  expect(changes.every((c) => c.was !== null || c.now !== null)).toBe(true);
});

test('plants measured taller want their lamp up sooner, and those too tall for the tier are named with the day', () => {
  const site = rack({ crops: ['tomatillo'], age: 10, face: 0.3 });
  const tall = grownTo(measureBatch(site.batches[0]!.id, 0.12, { day: FROM, id: 'm' })(site), FROM, tables);
  const [plain, taller] = [chartOf(site), chartOf(tall)];
  expect(stretchesOf(taller)).not.toEqual(stretchesOf(plain));
  const hot = (c: HangChart) => c.limits.find((l) => l.says === 'hot' && l.bound === 'ceiling');
  expect(hot(taller)!.from).toBeLessThan(hot(plain)?.from ?? Infinity);
  expect(isoOf(hot(taller)!.from) > isoOf(FROM)).toBe(true);
});

test('plants that grow into the heat of a lamp during a trip are told before it, with the day', () => {
  const site = rack({ crops: ['tomatillo'], age: 10, face: 0.3 });
  const { from } = chartOf(site).limits.find((l) => l.says === 'hot')!;
  const hotFrom = (first: number) => chartOf({ ...site, visits: { ...site.visits, away: [{ from: first, to: first + 6 }] } }).trips[0]!.drift[0]!.hotFrom; // prettier-ignore
  expect(hotFrom(from - 3)).toBeWithin(from, { absolute: 1 });
  expect(hotFrom(from - 12)).toBeNull();
});

/** A rack whose lamps are things of their own with a dimmer. */
function withDimmers(plain: Site, steps: readonly number[] = []): Site {
  const fittings = plain.stands[0]!.tiers.flatMap((t) => t.fittings);
  const ownLamps = fittings.map((f) => ({ ...plainOwnLamp(`${f.id} it`, f.lampId, f.id), fittingId: f.id, dimmer: { steps, points: [] } }));
  return knowOwnLamps({ ...plain, ownLamps }, FROM);
}

test('fixed lamps that are too strong are dimmed on the first visit, and then nothing is too much; without dimmers it is told', () => {
  const plain = rack({ crops: ['fern', 'fern'], age: 20, by: 'fixed', face: 0.3 });
  expect(chartOf(plain).limits.some((l) => l.says === 'much')).toBe(true);
  expect(chartOf(plain).visits.every((v) => v.dims.length === 0)).toBe(true);
  const site = withDimmers(plain);
  const chart = chartOf(site);
  expect(chart.limits).toEqual([]);
  const ids = site.stands[0]!.tiers[0]!.fittings.map((f) => f.id);
  expect(chart.visits[0]!.dims.map((d) => d.fittingId)).toEqual(ids);
  expect(chart.visits[0]!.dims.every((d) => d.from === 1 && d.to < 1 && d.to >= 0.1)).toBe(true);
  expect(chart.visits.flatMap((v) => v.after).every((d) => d.says === 'suits' || d.says === 'rest')).toBe(true);
});

test('dimmers only ever stand at a setting that they have, and every visit takes up where the one before has left them', () => {
  const steps = [0.25, 0.5, 0.75];
  const site = withDimmers(rack({ crops: ['leek', 'celery'], age: 3, by: 'fixed', face: 0.3, plan: plan('stepping') }), steps);
  const chart = chartOf(site);
  const set = new Map<string, number>();
  for (const d of chart.visits.flatMap((v) => v.dims)) {
    expect([d.from, [...steps, 1].includes(d.to), d.to !== d.from]).toEqual([set.get(d.fittingId) ?? 1, true, true]);
    set.set(d.fittingId, d.to);
  }
  // With dimmers a chart never has more days out of range than without.
  const days = (c: HangChart) => c.limits.reduce((sum, l) => sum + l.to - l.from + 1, 0);
  expect(days(chart)).toBeLessThanOrEqual(days(chartOf(rack({ crops: ['leek', 'celery'], age: 3, by: 'fixed', face: 0.3, plan: plan('stepping') })))); // prettier-ignore
});

test('what is done on a visit is what its jobs say, and what has gone meanwhile is left out', () => {
  const site = rack({ crops: ['leek'], age: 4, risers: 1 });
  const [tier] = site.stands[0]!.tiers;
  const [a] = tier!.fittings;
  const jobs = {
    day: FROM,
    lamps: [{ tierId: tier!.id, fittingId: a!.id, steps: 3, face: 0.28 }, { tierId: tier!.id, fittingId: 'gone', steps: 3, face: 0.3 }], // prettier-ignore
    dims: [{ tierId: tier!.id, fittingId: a!.id, from: 1, to: 0.4 }, { tierId: 'gone', fittingId: 'gone', from: 1, to: 0.4 }], // prettier-ignore
    risers: [{ tierId: tier!.id, trayId: tier!.trays[0]!.id, from: 1, to: 0 }],
    hours: [{ timerId: site.timers[0]!.id, on_min: 300, lit_min: 720 }],
  };
  const done = doVisit(site, jobs);
  const [t] = done.stands[0]!.tiers;
  expect(t!.fittings.map((f) => f.face)).toEqual([0.28, 0.22]);
  expect(t!.fittings.map((f) => f.dim)).toEqual([0.4, undefined]);
  const back = doVisit(done, { ...jobs, dims: [{ tierId: tier!.id, fittingId: a!.id, from: 0.4, to: 1 }] });
  expect(back.stands[0]!.tiers[0]!.fittings[0]).not.toHaveProperty('dim');
  expect(t!.trays[0]!.risers).toBe(0);
  expect(done.timers[0]).toMatchObject({ on_min: 300, lit_min: 720 });
  expect(diffCharts([jobs], [{ ...jobs, lamps: [...jobs.lamps].reverse() }], FROM)).toEqual([]);
});

test('one timer for five tiers: their hours are set together, on days on which somebody comes by', () => {
  const site = rack({ crops: ['leek'], age: 3, tiers: 5, plan: plan('stepping') });
  const chart = chartOf(site);
  const rounds = new Set(visitDays(site.visits, FROM, chart.until));
  expect(chart.visits.every((v) => rounds.has(v.day))).toBe(true);
  const hours = chart.visits.flatMap((v) => v.hours);
  expect(new Set(hours.map((h) => h.timerId)).size).toBe(1);
  // Leek: from 14 hours, an hour less each week; worth setting when more than an hour off.
  expect(hours.map((h) => h.lit_min)).toEqual([...hours.map((h) => h.lit_min)].sort((x, y) => y - x));
});

test('visits are told as they are found, each once and for good, before anything is known of their trays', () => {
  const site = rack({ crops: ['leek', 'celery'], age: 3, tiers: 2, plan: plan('stepping') });
  const told: { done: number; days: number[] }[] = [];
  const chart = chartOf(site, (done, soFar) => told.push({ done, days: soFar.map((v) => v.day) }));
  expect(chart.visits.length).toBeGreaterThan(2);
  expect(told.find((t) => t.days.length > 0)).toEqual({ done: 0.6, days: [chart.visits[0]!.day] });
  for (const [i, { done, days }] of told.slice(1).entries()) {
    expect(done).toBeGreaterThanOrEqual(told[i]!.done);
    expect(days.slice(0, told[i]!.days.length)).toEqual(told[i]!.days);
  }
  expect(told.at(-1)).toEqual({ done: 1, days: chart.visits.map((v) => v.day) });
});

test('what is worked out before the light is known leaves less to do, and changes nothing', () => {
  const site = rack({ crops: ['leek', 'celery'], age: 3, tiers: 2 });
  const question = { ...askedOf(site), answer: answerBench(questionOfStand(standIn(site), null)) };
  const rows = new Map<string, Map<number, Float64Array>>();
  const get = <T>(key: string, make: () => T): T => {
    if (!rows.has(key)) rows.set(key, make() as Map<number, Float64Array>);
    return rows.get(key) as T;
  };
  const memory = { ...createChartMemory(), rows: { ...createCache(), get } };
  const known = () => [...rows.values()].reduce((sum, row) => sum + row.size, 0);
  workAhead(askedOf(site), tables, memory);
  const ahead = known();
  expect(ahead).toBeGreaterThan(50);
  expect(hangChartOf(question, tables, () => {}, memory)).toEqual(chartOf(site));
  expect(known()).toBe(ahead);
  expect(() => workAhead({ ...askedOf(site), standId: 'gone' }, tables, memory)).toThrow(/no stand gone/);
});

test('a tier of its own timer is set by itself', () => {
  const site = rack({ crops: ['leek'], age: 3, tiers: 2, plan: plan('steady', 12) });
  const own = plugInto(site.stands[0]!.tiers[1]!.id, 'second')(site);
  const hours = chartOf(own).visits[0]!.hours;
  expect(hours.map((h) => [h.timerId === 'second', h.lit_min]).sort()).toEqual([[false, 720], [true, 720]]); // prettier-ignore
});

test('where the engine finds a tray stronger than the table, the table is that much stronger from then on, and for this tray alone', () => {
  const site = rack({ crops: ['leek', 'celery'], age: 3 });
  const stand = standIn(site);
  const course = new TierCourse(stand.tiers[0]!, answerBench(questionOfStand(stand, null)), FROM, 20, createCache(), createChartMemory());
  const lights = () => [0, 1].map((tray) => course.light(tray, course.now.lamps, 0, FROM + 10));
  const [leek, celery] = lights();
  course.correct(0, 1.25);
  course.correct(0, 0.8);
  course.correct(0, 1.1);
  const [more, same] = lights();
  expect(same).toEqual(celery);
  for (const spot of ['weakest', 'mean', 'strongest'] as const) expect(more![spot]).toBeWithin(1.1 * leek![spot], { relative: 1e-9 });
});

test('seed in the dark wants no lamp until the day before it may come up; seed that germinates in light wants it from the start', () => {
  const site = rack({ crops: ['leek', 'celery'], age: -8 });
  const stand = standIn(site);
  const [tier] = stand.tiers;
  const course = new TierCourse(tier!, answerBench(questionOfStand(stand, null)), FROM, 40, createCache(), createChartMemory());
  const [leek, celery] = tier!.trays.map(({ crop }) => crop.germination!);
  expect([leek!.light === 'needs', celery!.light]).toEqual([false, 'needs']);
  const days = Array.from({ length: 40 }, (_, i) => FROM + i);
  const mayComeUp = growthOf(tier!.trays[0]!.batch, tier!.trays[0]!.crop, FROM)!.expected!.from;
  expect(mayComeUp - FROM).toBeGreaterThan(1);
  expect(days.filter((d) => !course.state(0, d).needed)).toEqual(days.filter((d) => d < mayComeUp - 1));
  expect(days.every((d) => course.state(1, d).needed)).toBe(true);
});

test('a longer photoperiod is named as a help only where a tray may have one, and its own timer where the others may not', () => {
  const oneLamp = (site: Site): Site => {
    const [tier] = site.stands[0]!.tiers;
    const dim = { ...tier!, fittings: tier!.fittings.slice(0, 1) };
    return { ...site, stands: [{ ...site.stands[0]!, tiers: [dim] }] };
  };
  const helps = (crops: readonly string[], hours: number, quiet: Site['quiet'] = null) => {
    const site = oneLamp(rack({ crops, age: 12 }));
    const { limits } = chartOf({ ...setTimes(site.timers[0]!.id, 300, hours * 60)(site), quiet });
    const tray = site.stands[0]!.tiers[0]!.trays[0]!;
    return limits.filter((l) => l.trayId === tray.id && l.says === 'short').map((l) => l.otherHours);
  };
  // Celery bears 16 h, tomatillo 18.
  expect(new Set(helps(['celery', 'celery'], 12))).toEqual(new Set(['timer']));
  expect(new Set(helps(['celery', 'celery'], 16))).toEqual(new Set([null]));
  expect(new Set(helps(['tomatillo', 'celery'], 16))).toEqual(new Set(['own']));
  expect(new Set(helps(['celery', 'celery'], 12, { from_min: 17 * 60, to_min: 5 * 60 }))).toEqual(new Set([null]));
});
