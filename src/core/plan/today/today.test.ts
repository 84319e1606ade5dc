import fc from 'fast-check';
import { demoSite } from '../../../store/site/demoSite';
import { readSite } from '../../../store/form/readSite';
import { writeSite } from '../../../store/form/writeSite';
import { RANDOM_DAY, randomSite } from '../../../../test/randomSite';
import { letLeave, logIt } from '../../site/growth/changeGrowth';
import { changeTrays, withTier } from '../../site/stand/change';
import { markJobs } from '../../site/stand/changeToday';
import { knowOwnLamps } from '../../site/ownLamps/hangingOf';
import type { Site } from '../../site/stand/Site';
import { MOST_MARKS, jobStateOf, withMark, type JobMark } from '../../site/today/JobMark';
import { tables } from '../../things/tables/libraryTables';
import { dayFrom } from '../../units/day';
import type { HangChart } from '../hang/HangChart';
import { doJob } from './doJob';
import { leaveShelves } from './leaveShelves';
import { dryingRhythm, jobsOn } from './jobsOf';
import { jobsWhileAway } from './whileAway';

const TODAY = dayFrom(2027, 2, 20);
const demo = knowOwnLamps(demoSite('en-GB', TODAY), TODAY);
const rack = demo.stands.find((s) => s.id === 'demo-rack')!;
const batchOf = (site: Site, cropId: string) => site.batches.find((b) => b.cropId === cropId && b.sown !== null)!;
const jobs = (site: Site, day = TODAY, charts: readonly HangChart[] = []) => jobsOn(site, charts, day, tables);
const kinds = (site: Site, cropId: string, day = TODAY) => {
  const { id } = batchOf(site, cropId);
  return jobs(site, day)
    .filter((j) => 'batchId' in j.what && j.what.batchId === id)
    .map((j) => j.what.kind);
};
let n = 0;
const ids = () => `t${n++}`;

test('the demo has a day’s work: in the order of the stands, from the highest tier down, each once', () => {
  const all = jobs(demo);
  expect(all.length).toBeGreaterThan(3);
  expect(new Set(all.map((j) => j.key)).size).toBe(all.length);
  const order = all.map((j) => demo.stands.findIndex((s) => s.id === j.standId) * 100 + (j.what.kind === 'safety' ? 0 : (j.tier ?? 99)));
  expect(order.filter((_, i) => all[i]!.standId !== null)).toEqual(
    [...order.filter((_, i) => all[i]!.standId !== null)].sort((a, b) => a - b),
  );
  expect(kinds(demo, 'parsley')).toEqual(expect.arrayContaining(['thin', 'feed']));
  expect(kinds(demo, 'leek')).toContain('water');
});

test('seed is looked for from the first day it may show; up, it wants no cover', () => {
  const covered = (site: Site) => {
    const { id } = batchOf(site, 'basil');
    const tier = site.stands.flatMap((s) => s.tiers).find((t) => t.trays.some((y) => y.batchId === id))!;
    return changeTrays(tier.id, [tier.trays[0]!.id], () => ({ coverId: 'dome-low' }))(site);
  };
  const site = covered(demo);
  const { id, sown } = batchOf(site, 'basil');
  const { first, last } = tables.crop('basil')!.germination!.days;
  expect(kinds(site, 'basil', sown! + first - 1)).toEqual([]);
  const [look] = jobs(site, sown! + first).filter((j) => j.what.kind === 'look-for-seedlings');
  expect(look!.what).toMatchObject({ batchId: id, overdue: false });
  const [late] = jobs(site, sown! + last + 1).filter((j) => j.what.kind === 'look-for-seedlings');
  expect(late!.what).toMatchObject({ overdue: true });
  // Nothing yet: asked again the next day, not twice the same.
  const looked = doJob(late!, sown! + last + 1, ids)(site);
  expect(kinds(looked, 'basil', sown! + last + 1)).toEqual([]);
  expect(kinds(looked, 'basil', sown! + last + 2)).toEqual(['look-for-seedlings']);
  const up = logIt(id, { id: 'up', day: sown! + first, what: 'emerged', height: null, stage: null })(site);
  const off = jobs(up, sown! + first).find((j) => j.what.kind === 'cover-off')!;
  const bare = doJob(off, sown! + first, ids)(up);
  expect(bare.stands.flatMap((s) => s.tiers.flatMap((t) => t.trays)).filter((y) => y.coverId !== null)).toEqual([]);
  expect(kinds(bare, 'basil', sown! + first)).toEqual([]);
});

test('what is done shows in the batch, and feeds come no more often than they should', () => {
  const feed = jobs(demo).find((j) => j.what.kind === 'feed' && j.what.batchId === batchOf(demo, 'parsley').id)!;
  const fed = doJob(feed, TODAY, ids)(demo);
  expect(batchOf(fed, 'parsley').log.at(-1)).toMatchObject({ what: 'fed', day: TODAY });
  for (let day = TODAY; day < TODAY + 10; day++) expect(kinds(fed, 'parsley', day)).not.toContain('feed');
  expect(kinds(fed, 'parsley', TODAY + 14)).toContain('feed');
});

test('a tray’s own rhythm of drying is learnt from at least three waterings', () => {
  const log = (days: readonly number[]) => ({
    log: days.map((d, i) => ({ id: `${i}`, day: d, what: 'watered' as const, height: null, stage: null })),
  });
  expect(dryingRhythm(log([1, 4]), 9)).toBeNull();
  expect(dryingRhythm(log([1, 4, 7]), 9)).toEqual({ last: 7, everyDays: 3 });
  // Only the last ones count: it was slower in winter.
  expect(dryingRhythm(log([1, 11, 21, 23, 25, 27]), 30)).toEqual({ last: 27, everyDays: 2 });
});

test('jobs of a visit are done tier by tier, timers by themselves', () => {
  const tier = rack.tiers[0]!;
  const timer = tier.timerId;
  const visit = {
    day: TODAY,
    lamps: tier.fittings.map((f) => ({ tierId: tier.id, fittingId: f.id, steps: 2, face: f.face + 0.04 })),
    dims: [],
    risers: [],
    hours: [{ timerId: timer, on_min: 300, lit_min: 900 }],
    last: TODAY + 3,
    after: [],
    before: [],
  };
  const chart = {
    standId: rack.id,
    from: TODAY,
    until: TODAY + 9,
    visits: [visit],
    limits: [],
    trips: [],
    clockChanges: [],
    rounds: 1,
  } as HangChart;
  const [lamps, timers] = jobs(demo, TODAY, [chart]).filter((j) => j.what.kind === 'hang');
  expect([lamps!.tierId, timers!.tierId]).toEqual([tier.id, null]);
  const hung = doJob(lamps!, TODAY, ids)(demo);
  const after = hung.stands.find((s) => s.id === rack.id)!.tiers[0]!;
  after.fittings.forEach((f, i) => expect(f.face).toBeCloseTo(tier.fittings[i]!.face + 0.04, 9));
  expect(hung.timers.find((p) => p.id === timer)!.lit_min).toBe(demo.timers.find((p) => p.id === timer)!.lit_min);
  expect(doJob(timers!, TODAY, ids)(hung).timers.find((p) => p.id === timer)!.lit_min).toBe(900);
  // A visit of tomorrow is no job of today.
  expect(jobs(demo, TODAY - 1, [chart]).filter((j) => j.what.kind === 'hang')).toEqual([]);
});

test('marks say what became of a job, are put off until a day, and never grow without end', () => {
  const put: JobMark = { key: 'a', day: TODAY, state: 'later', until: TODAY + 1 };
  expect(jobStateOf([put], 'a', TODAY)).toBe('later');
  expect(jobStateOf([put], 'a', TODAY + 1)).toBeNull();
  expect(jobStateOf(withMark([put], { key: 'a', day: TODAY + 1, state: 'done', until: null }), 'a', TODAY + 1)).toBe('done');
  let marks: readonly JobMark[] = [];
  for (let i = 0; i < 2000; i++) marks = withMark(marks, { key: `k${i}`, day: TODAY + Math.floor(i / 50), state: 'done', until: null });
  expect(marks.length).toBeLessThanOrEqual(MOST_MARKS);
  expect(marks.at(-1)!.key).toBe('k1999');
});

test('whatever is done, on whatever stands, what comes out reads back', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 400 }), fc.integer({ min: 0, max: 60 }), (seed, later) => {
      let site = randomSite(seed);
      const day = RANDOM_DAY + later;
      for (const j of jobs(site, day)) site = doJob(j, day, ids)(site);
      site = markJobs({ key: 'x', day, state: 'later', until: day + 1 })(site);
      const read = readSite(JSON.parse(JSON.stringify(writeSite(site))));
      expect(read.ok ? [] : read.problems).toEqual([]);
      // All that was done is done: only what is asked daily comes again.
      const again = jobs(site, day).filter((j) => jobStateOf(site.jobMarks, j.key, day) === null);
      expect(again.map((j) => j.what.kind)).toEqual([]);
    }),
    { numRuns: 60 },
  );
});

test('before lamps are lit, and when something has changed, the checks of a stand come first there', () => {
  const first = jobs(demo).filter((j) => j.standId === 'demo-rack')[0]!;
  expect(first.what).toEqual({ kind: 'safety', open: 3, changed: false });
  const of = (s: Site) => jobs(s).flatMap((j) => (j.what.kind === 'safety' ? [[j.standId, j.what.open, j.what.changed]] : []));
  expect(of(demo)).toEqual([['demo-rack', 3, false]]);
  const plugged = { ...demo, stands: demo.stands.map((s) => (s.id === 'demo-sill' ? { ...s, strip: 300 } : s)) };
  const changed = of(plugged).find(([id]) => id === 'demo-sill')!;
  expect(changed[1]).toBeGreaterThan(0);
  expect(changed[2]).toBe(true);
});

test('trays turn and change places on their days; done, they stand elsewhere and the journal knows', () => {
  const { id, trays } = rack.tiers[1]!;
  const planned = withTier(id, (t) => ({ ...t, rotation: { kind: 'both', every: 3, from: TODAY } }))(demo);
  const due = (day: number) => jobs(planned, day).filter((j) => j.what.kind === 'rotate');
  expect([0, 1, 2].map((d) => due(TODAY + d).length)).toEqual([0, 0, 0]);
  const [job] = due(TODAY + 4);
  expect(job).toMatchObject({ due: TODAY + 3, tierId: id, tier: 2 });
  const after = doJob(job!, TODAY + 4, ids)(planned);
  expect(after.stands.find((s) => s.id === 'demo-rack')!.tiers[1]!.trays.map((y) => y.x)).toEqual(trays.map((y) => y.x).reverse());
  for (const y of trays) expect(after.batches.find((b) => b.id === y.batchId)!.log.at(-1)).toMatchObject({ what: 'moved', day: TODAY + 4 });
});

test('while somebody is away each job comes once, on its first day; watering as often as the tray dries', () => {
  const [from, to] = [TODAY + 5, TODAY + 11] as const;
  const leek = batchOf(demo, 'leek');
  const days = jobsWhileAway(demo, [], [from, to], TODAY, tables);
  expect(days.every((d) => d.day >= from && d.day <= to)).toBe(true);
  const keys = days.flatMap((d) => d.jobs.filter((j) => j.what.kind !== 'water' && j.what.kind !== 'look-for-seedlings').map((j) => j.key));
  expect(new Set(keys).size).toBe(keys.length);
  const { last, everyDays } = dryingRhythm(leek, TODAY)!;
  const watered = days.filter((d) => d.jobs.some((j) => j.what.kind === 'water' && j.what.batchId === leek.id)).map((d) => d.day);
  const expected = Array.from({ length: to - from + 1 }, (_, i) => from + i).filter((d) => (d - last) % everyDays === 0);
  expect(watered).toEqual(expected);
  // What is due before leaving is not left to somebody else.
  const before = new Set(jobs(demo, from - 1).map((j) => j.key));
  expect(keys.filter((k) => before.has(k))).toEqual([]);
});

test('after weeks without a look what was left undone is overtaken: by the next pot, and by planting out', () => {
  const { id } = batchOf(demo, 'physalis');
  const potted = (day: number) =>
    jobs(demo, day).flatMap(({ what }) => (what.kind === 'pot-on' && what.batchId === id ? [what.containerId] : []));
  expect(potted(TODAY)).toEqual(['cell-50']);
  expect(potted(TODAY + 25)).toEqual(['pot-9']);
  const plan = demo.season!.batches.find((b) => b.batchId === id)!;
  expect(potted(plan.out + 10)).toEqual([]);
  const unsown = demo.season!.batches.find((b) => b.batchId === null)!;
  const sow = (day: number) => jobs(demo, day).filter(({ what }) => what.kind === 'sow' && what.planId === unsown.id).length;
  expect([sow(unsown.sown), sow(unsown.out - 1), sow(unsown.out)]).toEqual([1, 1, 0]);
});

test('plants that are hardened off during a trip are out for longer every day; seed that nobody has seen up is not potted on', () => {
  const pea = demo.season!.batches.find((b) => b.batchId === batchOf(demo, 'sweet-pea').id)!;
  // Planned out five days into the trip: the last days of hardening are somebody else's.
  const from = pea.out - 5;
  const days = jobsWhileAway(demo, [], [from, from + 6], TODAY, tables);
  const outdoors = days.flatMap((d) =>
    d.jobs.flatMap(({ what }) => (what.kind === 'harden' && what.planId === pea.id ? [what.outdoors] : [])),
  );
  expect(outdoors.length).toBeGreaterThan(2);
  for (const [i, day] of outdoors.entries()) {
    expect(day.nth).toBe(outdoors[0]!.nth + i);
    if (i > 0) expect(day.hours).toBeGreaterThan(Math.min(7.9, outdoors[i - 1]!.hours));
  }
  const basil = batchOf(demo, 'basil');
  const plan = demo.season!.batches.find((b) => b.batchId === basil.id)!;
  const potOn = jobs(demo, plan.out - 1).find((j) => j.what.kind === 'pot-on' && j.what.batchId === basil.id)!;
  const then = jobsWhileAway(demo, [], [potOn.due - 2, potOn.due + 4], TODAY, tables).flatMap((d) => d.jobs.map((j) => j.what));
  expect(then.some((w) => w.kind === 'look-for-seedlings' && w.batchId === basil.id)).toBe(true);
  expect(then.some((w) => w.kind === 'pot-on' && w.batchId === basil.id)).toBe(false);
});

test('a lamp that has lived its rated life comes up once, where it hangs; a younger one does not', () => {
  const lamps = (s: Site, day = TODAY) => jobs(s, day).flatMap((j) => (j.what.kind === 'lamp' ? [j] : []));
  expect(lamps(demo)).toEqual([]);
  // The landing lamp has burned 29 400 of 50 000 hours, and burns 13 a day.
  const later = TODAY + Math.ceil((50_000 - 29_400) / 13);
  expect(lamps(demo, later - 1)).toEqual([]);
  const [job] = lamps(demo, later);
  expect(job).toMatchObject({ standId: 'demo-landing', tier: 1, what: { name: 'Landing lamp' } });
  expect(job!.what.kind === 'lamp' && job!.what.output).toBeCloseTo(0.7, 2);
});

test('of two crops on a mat the one that is up comes off it, and the mat stays for the other; both up, it is unplugged', () => {
  const [up, waits] = [batchOf(demo, 'tomatillo'), batchOf(demo, 'physalis')];
  const sown = (isSecondUp: boolean): Site => ({
    ...demo,
    stands: demo.stands.map((s) =>
      s.id === rack.id ? { ...s, plugged: [...s.plugged, { id: 'mat', kind: 'mat', name: 'the mat', power: 18, timerId: null }] } : s,
    ),
    batches: demo.batches.map((b) => {
      if (b.id !== up.id && b.id !== waits.id)
        return b.log.length > 0 || b.sown !== null ? { ...b, log: [...b.log, emerged(b.id, Math.max(b.sown ?? 0, TODAY - 30))] } : b;
      const isUp = b.id === up.id || isSecondUp;
      return { ...b, sown: TODAY - 9, leaves: null, log: isUp ? [emerged(b.id, TODAY - 2)] : [] };
    }),
  });
  const emerged = (id: string, day: number) => ({ id: `e ${id}`, day, what: 'emerged' as const, height: null, stage: null });
  const [part, ...more] = jobs(sown(false)).filter((j) => j.what.kind === 'mat-part');
  expect(more).toEqual([]);
  expect(part).toMatchObject({ tier: 3, what: { up: [up.id], waiting: [waits.id] } });
  expect(jobs(sown(false)).some((j) => j.what.kind === 'mat-off')).toBe(false);
  expect(jobs(sown(true)).some((j) => j.what.kind === 'mat-part')).toBe(false);
  expect(jobs(sown(true)).filter((j) => j.what.kind === 'mat-off' && j.standId === rack.id)).not.toEqual([]);
});

test('a mat that was unplugged is asked for again once something else has come up on it', () => {
  const emerged = (id: string, day: number) => ({ id: `e ${id}`, day, what: 'emerged' as const, height: null, stage: null });
  const later = batchOf(demo, 'physalis');
  const upOn = (day: number): Site => ({
    ...demo,
    stands: demo.stands.map((s) => (s.id === rack.id ? { ...s, plugged: [{ id: 'mat', kind: 'mat', name: 'the mat', power: 18, timerId: null }] } : s)),
    batches: demo.batches.map((b) => (b.sown === null ? b : { ...b, log: [emerged(b.id, b.id === later.id ? day : Math.max(b.sown, TODAY - 30))] })),
  }); // prettier-ignore
  const asked = (site: Site, day: number) =>
    jobs(site, day).filter((j) => j.what.kind === 'mat-off' && j.standId === rack.id && jobStateOf(site.jobMarks, j.key, day) === null);
  const [off] = asked(upOn(TODAY - 1), TODAY);
  const done = doJob(off!, TODAY, ids)(upOn(TODAY - 1));
  expect([0, 1, 7].map((days) => asked(done, TODAY + days).length)).toEqual([0, 0, 0]);
  const again = { ...upOn(TODAY + 4), jobMarks: done.jobMarks };
  expect(asked(again, TODAY + 4)).toHaveLength(1);
});

test('plants are taken outdoors anew on every day of hardening: done today, it is asked tomorrow, and never late', () => {
  const plan = demo.season!.batches.find((b) => b.batchId !== null && b.goal === 'outdoors' && batchIsUp(b.batchId))!;
  const site: Site = {
    ...demo,
    season: { ...demo.season!, batches: demo.season!.batches.map((b) => (b === plan ? { ...b, out: TODAY + 4 } : b)) },
  };
  const asked = (s: Site, day: number) =>
    jobs(s, day).filter((j) => j.what.kind === 'harden' && j.what.planId === plan.id && jobStateOf(s.jobMarks, j.key, day) === null);
  const [today] = asked(site, TODAY);
  const done = doJob(today!, TODAY, ids)(site);
  expect([0, 1, 2, 3, 5].map((days) => asked(done, TODAY + days).map((j) => j.due - TODAY - days))).toEqual([[], [0], [0], [0], []]);
  // Longer after each day that was ticked; a day that was not is a day indoors.
  const hours = (s: Site, day: number) => asked(s, day).map((j) => j.what.kind === 'harden' && [j.what.outdoors.nth, j.what.outdoors.hours, j.what.outdoors.place]); // prettier-ignore
  expect(hours(site, TODAY)).toEqual([[1, 1, 'shade']]);
  expect(hours(done, TODAY + 1)).toEqual([[2, 2, 'shade']]);
  expect(hours(done, TODAY + 2)).toEqual([[2, 1, 'shade']]);
  // On its day to go out it is known how many there were.
  const out = (s: Site) =>
    jobs(s, TODAY + 4).flatMap((j) => (j.what.kind === 'out' && j.what.planId === plan.id ? j.what.daysOutdoors : []));
  expect([out(site), out(done)]).toEqual([[0], [1]]);
});

test('seedlings without a fan are moved by hand once a week, and never where a fan is plugged in', () => {
  const still: Site = { ...demo, stands: demo.stands.map((s) => ({ ...s, plugged: s.plugged.filter((p) => p.kind !== 'fan') })) };
  const asked = (site: Site) =>
    Array.from({ length: 8 }, (_, i) => jobs(site, TODAY + i).filter((j) => j.what.kind === 'brush' && j.standId === rack.id).length);
  expect(asked(still)).toEqual([1, 0, 0, 0, 0, 0, 0, 1]);
  expect(rack.plugged.some((p) => p.kind === 'fan')).toBe(true);
  expect(asked(demo).every((n) => n === 0)).toBe(true);
  // Nor leeks, whose leaves gain nothing by it.
  expect(asked({ ...still, batches: still.batches.map((b) => ({ ...b, cropId: 'leek' })) }).every((n) => n === 0)).toBe(true);
});

test('planted out, a batch leaves the shelves: its trays make room, and the journal keeps it', () => {
  const plan = demo.season!.batches.find((b) => b.batchId !== null && batchIsUp(b.batchId))!;
  const site: Site = {
    ...demo,
    season: { ...demo.season!, batches: demo.season!.batches.map((b) => (b === plan ? { ...b, out: TODAY } : b)) },
  };
  const out = jobs(site).find((j) => j.what.kind === 'out')!;
  // One of its leaves is still looked into by the clinic.
  const { id, batchId } = { id: 'case', batchId: plan.batchId! };
  const test = { test: 'turn-tray', cause: 'crowding', next: null, began: TODAY - 4, look: TODAY, outcome: null };
  const kase = { id, batchId, trayId: null, opened: TODAY - 4, since: null, places: [], signs: [], told: {}, denied: [], tests: [test], closed: null }; // prettier-ignore
  const ill = { ...site, clinic: [kase] } as unknown as Site;
  expect(jobs(ill).some((j) => j.what.kind === 'look-again')).toBe(true);
  expect(jobs(doJob(out, TODAY, ids)(ill)).some((j) => j.what.kind === 'look-again')).toBe(false);
  const after = doJob(out, TODAY, ids)(site);
  const trays = (s: Site) => s.stands.flatMap((x) => x.tiers.flatMap((t) => t.trays.filter((y) => y.batchId === plan.batchId)));
  expect([trays(site).length > 0, trays(after).length]).toEqual([true, 0]);
  const batch = after.batches.find((b) => b.id === plan.batchId)!;
  expect([batch.leaves, batch.log.at(-1)]).toEqual([TODAY - 1, expect.objectContaining({ what: 'moved', text: 'off the shelves', day: TODAY })]); // prettier-ignore
  expect(jobs(after).filter((j) => 'batchId' in j.what && j.what.batchId === plan.batchId)).toEqual([]);
  expect(readSite(writeSite(after)).ok).toBe(true);
  // Lost on the day on which it was sown, it still left no sooner.
  const fresh = { ...site, batches: site.batches.map((b) => (b.id === plan.batchId ? { ...b, sown: TODAY, leaves: null, log: [] } : b)) };
  const lost = leaveShelves(plan.batchId!, TODAY, ids, 'lost')(fresh);
  expect(lost.batches.find((b) => b.id === plan.batchId)).toMatchObject({ leaves: TODAY, log: [{ what: 'moved', text: 'lost' }] });
  expect([trays(lost).length, readSite(writeSite(lost)).ok]).toEqual([0, true]);
});

test('what should have gone by its end date is asked to go, but where the season plans that day; gone, it is asked no more', () => {
  const free = demo.batches.find((b) => b.sown !== null && demo.season!.batches.every((p) => p.batchId !== b.id) && trayIdsOf(demo, b.id).length > 0)!; // prettier-ignore
  const planned = demo.season!.batches.find((b) => b.batchId !== null && batchIsUp(b.batchId) && b.out > TODAY)!;
  const ended = [free.id, planned.batchId!].reduce((s, id) => letLeave(id, TODAY - 3)(s), demo);
  const clear = (s: Site, day = TODAY) => jobs(s, day).filter((j) => j.what.kind === 'clear');
  expect(clear(ended, TODAY - 3)).toEqual([]);
  expect(clear(ended).map((j) => [j.due, 'batchId' in j.what && j.what.batchId])).toEqual([[TODAY - 2, free.id]]);
  const gone = doJob(clear(ended)[0]!, TODAY, ids)(ended);
  expect([clear(gone), trayIdsOf(gone, free.id)]).toEqual([[], []]);
  expect(gone.batches.find((b) => b.id === free.id)).toMatchObject({ leaves: TODAY - 3 });
});

const trayIdsOf = (s: Site, batchId: string): string[] => s.stands.filter((x) => !x.autoArranged).flatMap((x) => x.tiers.flatMap((t) => t.trays.flatMap((y) => (y.batchId === batchId ? y.id : [])))); // prettier-ignore
const batchIsUp = (id: string): boolean => demo.batches.find((b) => b.id === id)!.log.some((l) => l.what === 'emerged');
