import { setPause, setTimes, withTier } from '../../core/site/stand/change';
import { offAt } from '../../core/units/LitTimes';
import { BARE_SITE, BARE_STAND } from '../../core/site/stand/bare';
import 'reflect-metadata';
import { AS_NEW } from '../../core/things/lamp/ageing';
import { IN_THE_OPEN } from '../../core/site/stand/Enclosure';
import { readFileSync } from 'node:fs';
import { answerLight } from '../../core/answer/check/answerLight';
import { mapCsv } from '../../core/exchange/formats/mapCsv';
import { lampLibrary } from '../../core/things/lamp/lampLibrary';
import { setUpOf } from '../../core/answer/stand/setUp';
import { questionOf } from '../light/followSetUp';
import { beginTest, endTest, openCase, tell, toggleDenied, togglePlace, toggleSign } from '../../core/site/stand/changeClinic';
import { correctLogged, logIt } from '../../core/site/growth/changeGrowth';
import { addTrial } from '../../core/site/stand/changeTrials';
import type { Trial } from '../../core/site/trial/Trial';
import { plainOwnLamp } from '../../core/site/ownLamps/changeOwnLamps';
import type { OwnLamp } from '../../core/site/lamp/OwnLamp';
import type { Site, Tier } from '../../core/site/stand/Site';
import { passedBy } from '../../core/site/window/Window';
import { demoSite } from '../site/demoSite';
import { keepLamp } from '../site/setUpVerbs';
import { tables } from '../../core/things/tables/libraryTables';
import { CORD } from '../../core/site/stand/Hanger';
import { ON_THE_FLOOR } from '../../core/site/stand/plain';
import { distanceOf } from '../../core/site/reading/Reading';
import { guessColumns, readTable } from '../../core/measure/reading/readingTable';
import { takeReading } from '../../core/measure/reading/takeReading';
import { keepReadings } from '../../core/site/stand/changeReadings';
import { dayFrom, type Day } from '../../core/units/day';
import { unsoundIn } from '../form/unsoundIn';
import { exportSite } from './exportSite';
import { mergeSite, mergeStands } from './mergeSite';
import { readSiteText } from './readSiteText';

const own = { ...lampLibrary.find((l) => l.id === 'led-bar-12-white-24')!, id: 'own-1', name: 'My bar', common: false };
const site = keepLamp('demo-leek', own)(demoSite('en-GB'));
const codes = (text: string) => {
  const result = readSiteText(text);
  return result.ok ? [] : result.problems.map((p) => `${p.code} ${p.at}`);
};
const read = (text: string) => {
  const result = readSiteText(text);
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return result.value;
};

test('one set-up takes along what it uses and nothing else', () => {
  const one = read(exportSite(site, ['demo-leek']));
  expect([one.stands.length, one.batches.length, one.timers.length, one.lamps.length]).toEqual([1, 1, 1, 1]);
});

test('one set-up tells nothing of the rest of the household', () => {
  const demo = demoSite('en-GB', dayFrom(2027, 1, 20));
  const sill = demo.stands.find((s) => s.id === 'demo-sill')!;
  const ofSill = JSON.stringify([sill, demo.batches.filter((b) => sill.tiers[0]!.trays.some((t) => t.batchId === b.id))]);
  const one = read(exportSite(demo, ['demo-sill']));
  for (const other of [...demo.clinic, ...demo.trials, ...demo.ownLamps, ...demo.batches].filter((o) => !ofSill.includes(o.id)))
    expect(JSON.stringify(one)).not.toContain(`"${other.id}"`);
  expect([one.windows.length, one.season, one.spares, one.jobMarks]).toEqual([1, null, [], []]);
  expect(demo.windows.length).toBeGreaterThan(1);
  // Of the rack there is more to tell.
  const rack = read(exportSite(demo, ['demo-rack']));
  expect(rack.clinic.length).toBeGreaterThan(0);
  expect(rack.season!.batches.length).toBeGreaterThan(0);
  expect([rack.windows, rack.place]).toEqual([[], null]);
  expect(one.place).not.toBeNull();
  for (const { id } of demo.stands) expect(read(exportSite(demo, [id])).stands.map((s) => s.id)).toEqual([id]);
});

test('cases, trials and prices come along, and speak of the trays that came with them', () => {
  const demo = demoSite('en-GB', dayFrom(2027, 1, 20));
  const bare: Site = { ...site, clinic: [], trials: [], lampPrices: [], spares: [] };
  const merged = mergeSite(bare, read(exportSite(demo)));
  expect([merged.clinic.length, merged.trials.length]).toEqual([demo.clinic.length, demo.trials.length]);
  const trays = merged.stands.slice(bare.stands.length).flatMap((s) => s.tiers.flatMap((t) => t.trays));
  for (const c of merged.clinic) expect(trays.find((t) => t.id === c.trayId)?.batchId).toBe(c.batchId);
  for (const [i, trial] of merged.trials.entries())
    for (const [k, row] of trial.trays.entries())
      expect(trays.some((t) => t.id === row.trayId)).toBe(demo.trials[i]!.trays[k]!.trayId !== null);
  const prices = (s: Site) => s.lampPrices.map((p) => p.price).sort();
  expect(prices(merged)).toEqual(prices(demo));
  // A second time nothing is there twice by one name, and prices and spares are not added up.
  const twice = mergeSite(merged, read(exportSite(demo)));
  const ids = [...twice.clinic, ...twice.trials].map((o) => o.id);
  expect(new Set(ids).size).toBe(2 * (demo.clinic.length + demo.trials.length));
  expect([twice.lampPrices, twice.spares]).toEqual([merged.lampPrices, merged.spares]);
  expect(unsoundIn(bare, twice)).toEqual([]);
});

test('opened beside what is there, nothing is overwritten and every name is new', () => {
  const file = read(exportSite(site));
  const twice = mergeSite(mergeSite(site, file), file);
  const ids = twice.stands.flatMap((s) => [
    s.id,
    ...s.tiers.flatMap((t) => [t.id, ...t.trays.map((y) => y.id), ...t.readings.map((r) => r.id)]),
  ]);
  expect(new Set(ids).size).toBe(ids.length);
  expect(twice.stands).toHaveLength(3 * site.stands.length);
  expect(new Set(twice.stands.map((s) => s.name)).size).toBe(twice.stands.length);
  expect(twice.stands.slice(0, site.stands.length)).toEqual(site.stands);
});

test('the set-ups of another day stand beside those of today; what there is only once does not come twice', () => {
  const now = demoSite('en-GB', dayFrom(2027, 1, 20));
  // A batch that stands nowhere any more.
  const then: Site = {
    ...now,
    batches: [...now.batches, { ...now.batches[0]!, id: 'gone' }],
    // A window has been measured since, one was taken out that no stand was at, and a meter has been held against another.
    windows: [...now.windows.map((w) => ({ ...w, name: `${w.name} of then`, readings: [] })), { ...now.windows[0]!, id: 'bricked-up' }],
    meters: now.meters.map((m) => ({ ...m, name: `${m.name} of then` })),
  };
  const both = mergeStands(now, then);
  expect(both.stands).toHaveLength(2 * now.stands.length);
  expect(both.stands.slice(0, now.stands.length)).toEqual(now.stands);
  for (const once of ['ownLamps', 'meters', 'spares', 'lampPrices', 'season', 'clinic', 'trials', 'cropNotes', 'windows', 'lamps'] as const)
    expect([once, both[once]]).toEqual([once, now[once]]);
  // Readings of the copies are still of the household's own meters.
  const meterIds = new Set(now.meters.map((m) => m.id));
  const readings = both.stands.flatMap((s) => s.tiers.flatMap((t) => t.readings));
  expect(readings.some((r) => r.meterId !== null)).toBe(true);
  for (const r of readings) expect(r.meterId === null || meterIds.has(r.meterId)).toBe(true);
  expect(both.batches.length).toBeLessThanOrEqual(2 * now.batches.length);
  const windowIds = new Set(now.windows.map((w) => w.id));
  for (const s of both.stands) expect(s.window === null || windowIds.has(s.window.windowId)).toBe(true);
  expect(unsoundIn(now, both)).toEqual([]);
});

test('an opened set-up gives the same light as the one that was saved', () => {
  const merged = mergeSite(site, read(exportSite(site, ['demo-celery'])));
  const light = (id: string) =>
    answerLight(
      questionOf(
        setUpOf(
          merged,
          merged.stands.find((s) => s.id === id)!,
          tables,
        ),
        0.5,
      ),
    ).stats.mean;
  expect(light(merged.stands[merged.stands.length - 1]!.id)).toBeWithin(light('demo-celery'), { relative: 1e-9 });
});

test('a file of version 1 is brought up to date', () => {
  const old = read(readFileSync('test/fixtures/site-version-1.json', 'utf8'));
  expect(old.stands.map((s) => s.name)).toEqual([
    'Map room · celery',
    'Map room · leek',
    'Map room · physalis',
    'Cupboard niche · peace lily',
  ]);
  expect(old.stands[0]!.tiers[0]!.readings).toEqual([]);
  expect(old.stands[0]!.tiers[0]!).toMatchObject({ enclosure: IN_THE_OPEN, ageing: AS_NEW });
});

test('a file of version 2, written before tiers had sides, is brought up to date and keeps its readings', () => {
  const old = read(readFileSync('test/fixtures/site-version-2.json', 'utf8'));
  expect(old.stands[0]!.tiers[0]!.readings).toHaveLength(5);
  expect(old.stands[0]!.tiers[0]!).toMatchObject({ enclosure: IN_THE_OPEN, ageing: AS_NEW });
});

test('a file of version 3, written before there was a bench, is brought up to date', () => {
  const old = read(readFileSync('test/fixtures/site-version-3.json', 'utf8'));
  expect(old.stands.map((s) => [s.autoArranged, s.kind, s.strip])).toEqual(Array(2).fill([true, 'shelf', null]));
  expect(old.stands[0]!.tiers[0]!).toMatchObject({ notch: null, load: null });
  expect(old.stands[0]!.tiers[0]!.fittings[0]!.hanger).toEqual(CORD);
  expect(old.stands[0]!.tiers[0]!.trays[0]!).toMatchObject(ON_THE_FLOOR);
  expect([old.quiet, old.spares]).toEqual([null, []]);
  expect(read(exportSite(old))).toEqual(old);
});

test('a file of version 4 is brought up to date: its readings know each lamp that was lit, and say the same as before', () => {
  const old = read(readFileSync('test/fixtures/site-version-4.json', 'utf8'));
  const tier = old.stands.find((s) => s.id === 'demo-celery')!.tiers[0]!;
  expect(tier.readings).toHaveLength(5);
  expect(tier.readings[0]!.lit.map(({ dx, dy, face }) => [dx, dy, face])).toEqual(
    tier.fittings.map((f) => [0, expect.closeTo(f.y - tier.depth / 2, 9), expect.closeTo(f.face, 9)]),
  );
  expect(distanceOf(tier.readings[0]!)).toBeWithin(0.14, { absolute: 1e-9 });
  // Two inserts of 54.5 × 28 cm on 126 × 40 cm of floor.
  expect(tier.readings[0]!.around.covered).toBeWithin((2 * 0.545 * 0.28) / (1.26 * 0.4), { relative: 1e-9 });
  expect(old.meters).toEqual([]);
  // The rack had no readings, and has none now.
  expect(old.stands.find((s) => s.id === 'demo-rack')!.tiers.flatMap((t) => t.readings)).toEqual([]);
});

test('a file of version 5 is brought up to date: nothing covers its trays, nothing is stated, no calendar has gone out', () => {
  const old = read(readFileSync('test/fixtures/site-version-5.json', 'utf8'));
  expect(old.stands.flatMap((s) => s.tiers.flatMap((t) => t.trays.map((y) => y.coverId))).filter((c) => c !== null)).toEqual([]);
  expect(old.stands.map((s) => s.calendar)).toEqual(Array(9).fill(BARE_STAND.calendar));
  expect(old.stated).toEqual(BARE_SITE.stated);
  // What it said before, it says still.
  expect(old.stands.find((s) => s.id === 'demo-rack')).toMatchObject({ strip: 460, plugged: [{ id: 'demo-fan' }, { id: 'demo-mat' }] });
  expect(read(exportSite(old))).toEqual(old);
});

test('a file of version 6, written before there were windows, is brought up to date', () => {
  const old = read(readFileSync('test/fixtures/site-version-6.json', 'utf8'));
  expect([old.place, old.windows]).toEqual([null, []]);
  expect(old.stands.map((s) => [s.id, s.window])).toEqual([
    ['demo-sill', null],
    ['demo-celery', null],
  ]);
  expect(old.stated).toEqual(['children']);
  expect(read(exportSite(old))).toEqual(old);
});

test('a file of version 7, written before a season could be planned, is brought up to date', () => {
  const old = read(readFileSync('test/fixtures/site-version-7.json', 'utf8'));
  expect(old.season).toBeNull();
  expect(old.windows.length).toBeGreaterThan(0);
  expect(read(exportSite(old))).toEqual(old);
});

test('a file of version 8, written before there were clinic and trials, is brought up to date', () => {
  const old = read(readFileSync('test/fixtures/site-version-8.json', 'utf8'));
  expect([old.clinic, old.trials]).toEqual([[], []]);
  expect(old.season).not.toBeNull();
  expect(read(exportSite(old))).toEqual(old);
});

test('a file of version 9, written before entries had photos, is brought up to date', () => {
  const old = read(readFileSync('test/fixtures/site-version-9.json', 'utf8'));
  expect(old.trials.length).toBeGreaterThan(0);
  expect(old.batches.flatMap((b) => b.log).every((l) => l.photoId === undefined && l.was === undefined)).toBe(true);
  expect(read(exportSite(old))).toEqual(old);
});

test('a file of version 10, written before air and EC were kept, is brought up to date', () => {
  const old = read(readFileSync('test/fixtures/site-version-10.json', 'utf8'));
  expect(old.batches.flatMap((b) => b.log).every((l) => l.air === undefined && l.solution === undefined)).toBe(true);
  expect(read(exportSite(old))).toEqual(old);
});

test('a file of version 11, written before lamps were things of their own, is brought up to date', () => {
  const old = read(readFileSync('test/fixtures/site-version-11.json', 'utf8'));
  expect(old.batches[0]!.log.at(-1)!.solution).toEqual({ ec: 1.2, ph: 6 });
  expect([old.ownLamps, old.bands]).toEqual([[], []]);
  expect(old.stands.flatMap((s) => s.tiers).every((t) => t.rotation === null)).toBe(true);
  expect(read(exportSite(old))).toEqual(old);
});

test('a file of version 12, written before a chart turned dimmers, is brought up to date', () => {
  const old = read(readFileSync('test/fixtures/site-version-12.json', 'utf8'));
  const visits = old.stands.flatMap((s) => s.chart?.visits ?? []);
  expect(visits.map((v) => [v.lamps.length, v.dims, v.risers.length, v.hours.length])).toEqual([[1, [], 1, 1]]);
  expect(old.ownLamps.length).toBeGreaterThan(0);
  expect(read(exportSite(old))).toEqual(old);
});

test('a file of version 13, written before readings at a window knew its curtain, is brought up to date', () => {
  const old = read(readFileSync('test/fixtures/site-version-13.json', 'utf8'));
  const [window] = old.windows;
  expect(window!.readings.map((r) => [r.passed, r.horizonSince])).toEqual([[passedBy(window!), false], [passedBy(window!), false]]); // prettier-ignore
  expect(old.timers[0]!.pause).toEqual({ from_min: 720, to_min: 840 });
  expect(read(exportSite(old))).toEqual(old);
});

test('a pause goes out and comes in as it was; one that leaves too little of the day, or none at all, is refused by name', () => {
  const base = demoSite('en-GB', null);
  const { id } = base.timers[0]!;
  const paused = setPause(id, { from_min: 720, to_min: 900 })(base);
  const { on_min, lit_min } = base.timers[0]!;
  expect(paused.timers[0]).toMatchObject({ on_min, lit_min: lit_min - 180, pause: { from_min: 720, to_min: 900 } });
  expect(read(exportSite(paused))).toEqual(paused);
  // Off for the day as before, and without it again as long.
  expect(offAt(paused.timers[0]!)).toBe(offAt(base.timers[0]!));
  expect(setPause(id, null)(paused)).toEqual(base);
  expect(setTimes(id, on_min, 1440)(paused).timers[0]!.lit_min).toBe(1260);
  const bad = (change: object) =>
    codes(JSON.stringify({ ...JSON.parse(exportSite(paused)), programmes: JSON.parse(exportSite(paused)).programmes.map((p: object, i: number) => (i === 0 ? { ...p, ...change } : p)) })); // prettier-ignore
  expect(bad({ lit_min: 1300 })).toEqual(['site/pause-too-long programmes[0].pause']);
  expect(bad({ pause: { from_min: 720, to_min: 720 } })).toEqual(['site/pause-too-long programmes[0].pause']);
  expect(bad({ pause: { from_min: 720, to_min: 1440 } })).toEqual(['site/max programmes[0].pause.to_min']);
});

test('a file of version 14, written before lamps could be tilted, is brought up to date: all hang level', () => {
  const old = read(readFileSync('test/fixtures/site-version-14.json', 'utf8'));
  expect(old.stands.map((s) => s.id)).toEqual(['demo-rack', 'demo-landing']);
  const tiers = old.stands.flatMap((s) => s.tiers);
  const lamps = tiers.flatMap((t) => [...t.fittings, ...t.readings.flatMap((r) => r.lit)]);
  expect(lamps.length).toBeGreaterThan(20);
  expect(lamps.every((f) => f.tilt === undefined)).toBe(true);
  expect(read(exportSite(old))).toEqual(old);
});

test('tilted lamps go out and come in as they are, with the readings that were taken under them', () => {
  const base = demoSite('en-GB', null);
  const rack = base.stands.find((s) => s.id === 'demo-rack')!;
  const tier = rack.tiers.find((t) => t.readings.length > 0)!;
  const tilted: Site = withTier(tier.id, (t) => ({
    ...t,
    fittings: t.fittings.map((f, i) => (i === 0 ? { ...f, tilt: 0.4 } : f)),
    readings: t.readings.map((r) => ({ ...r, lit: r.lit.map((l) => ({ ...l, tilt: -0.3 })) })),
  }))(base);
  expect(read(exportSite(tilted))).toEqual(tilted);
  const bad = exportSite(tilted).replace('"tilt_rad": 0.4', '"tilt_rad": 1.6');
  expect(codes(bad)).toEqual([expect.stringMatching(/^site\/max stands\[\d\]\.tiers\[\d\]\.fittings\[0\]\.tilt_rad$/)]);
});

test('a file of version 15, written before lamps could travel, is brought up to date: all hang still, and tilted as they were', () => {
  const old = read(readFileSync('test/fixtures/site-version-15.json', 'utf8'));
  const lamps = old.stands.flatMap((s) => s.tiers).flatMap((t) => [...t.fittings, ...t.readings.flatMap((r) => r.lit)]);
  expect(lamps.length).toBeGreaterThan(20);
  expect(lamps.every((f) => f.travel === undefined)).toBe(true);
  expect(lamps.map((f) => f.tilt).filter(Boolean)).toEqual([0.25]);
  expect(read(exportSite(old))).toEqual(old);
});

test('a file of version 16, written before batches knew the light they were grown in, is brought up to date: none does, and lamps travel as they did', () => {
  const old = read(readFileSync('test/fixtures/site-version-16.json', 'utf8'));
  expect(old.batches.length).toBeGreaterThan(10);
  expect(old.batches.every((b) => b.grownIn === undefined)).toBe(true);
  expect(old.stands.flatMap((s) => s.tiers).flatMap((t) => t.fittings.flatMap((f) => f.travel ?? []))).toEqual([{ along: 'depth', length: 0.1 }]); // prettier-ignore
  expect(read(exportSite(old))).toEqual(old);
});

test('a file of version 17, written before trials knew when their trays changed places, is brought up to date: on no day, and batches know their light', () => {
  const old = read(readFileSync('test/fixtures/site-version-17.json', 'utf8'));
  expect(old.trials.length).toBeGreaterThan(1);
  expect(old.trials.every((t) => t.moves.length === 0 && t.trays.every((row) => row.had === undefined))).toBe(true);
  expect(old.batches.flatMap((b) => b.grownIn ?? [])).toEqual([{ dli: 12.5, area_m2: 0.28 }]);
  expect(read(exportSite(old))).toEqual(old);
});

test('a file of version 18, written before settings of tiers were written down, is brought up to date: none was, and trials are as they were', () => {
  const old = read(readFileSync('test/fixtures/site-version-18.json', 'utf8'));
  expect(old.earlier).toEqual([]);
  const running = old.trials.find((t) => t.ended === null)!;
  expect(running.moves).toHaveLength(2);
  expect(running.trays.map((row) => row.had?.mol_per_m2)).toEqual([101.5, undefined]);
  expect(read(exportSite(old))).toEqual(old);
});

test('how tiers were set earlier goes out and comes in as it is, with the tiers that it is of, and under their new names', () => {
  const old = read(readFileSync('test/fixtures/site-version-18.json', 'utf8'));
  const [first, second] = old.stands.flatMap((s) => s.tiers).filter((t) => t.trays.length > 0 && t.fittings.length > 0);
  const of = (t: Tier, until: Day) => ({
    tierId: t.id,
    until,
    lit_min: 840,
    fittings: t.fittings,
    trays: t.trays,
  });
  const written: Site = { ...old, earlier: [of(first!, 20_000), { tierId: first!.id, until: 20_002, lit_min: 900 }, of(second!, 20_002)] };
  const text = exportSite(written);
  expect(read(text)).toEqual(written);
  expect(codes(text.replace('"until": "2024-10-04"', '"until": "soon"'))).toEqual(['site/isDay earlier[0].until']);
  const merged = mergeSite(written, written);
  const came = merged.earlier.slice(3);
  expect(came.map((e) => e.until)).toEqual([20_000, 20_002, 20_002]);
  const tiers = merged.stands.slice(old.stands.length).flatMap((s) => s.tiers);
  for (const e of came) {
    const tier = tiers.find((t) => t.id === e.tierId)!;
    if (e.fittings) expect([e.trays, e.fittings.map((f) => f.id)]).toEqual([tier.trays, tier.fittings.map((f) => f.id)]);
    else expect(e).toEqual({ tierId: tier.id, until: 20_002, lit_min: 900 });
  }
  const { id } = old.stands.find((s) => !s.tiers.some((t) => t.id === first!.id || t.id === second!.id))!;
  expect(read(exportSite(written, [id])).earlier).toEqual([]);
});

test('the light that a batch was grown in goes out and comes in as it is', () => {
  const base = demoSite('en-GB', null);
  const grown: Site = { ...base, batches: base.batches.map((b, i) => (i === 0 ? { ...b, grownIn: { dli: 12.5, area_m2: 0.28 } } : b)) };
  expect(read(exportSite(grown))).toEqual(grown);
  const bad = exportSite(grown).replace('"dli_mol_per_m2_d": 12.5', '"dli_mol_per_m2_d": -1');
  expect(codes(bad)).toEqual(['site/min batches[0].grownIn.dli_mol_per_m2_d']);
});

test('lamps that travel go out and come in as they are, with the readings that were taken under them', () => {
  const base = demoSite('en-GB', null);
  const tier = base.stands.find((s) => s.id === 'demo-rack')!.tiers.find((t) => t.readings.length > 0)!;
  const moving: Site = withTier(tier.id, (t) => ({
    ...t,
    fittings: t.fittings.map((f, i) => (i === 0 ? { ...f, travel: { along: 'depth' as const, length: 0.4 } } : f)),
    readings: t.readings.map((r) => ({ ...r, lit: r.lit.map((l) => ({ ...l, travel: { along: 'width' as const, length: 0.7 } })) })),
  }))(base);
  expect(read(exportSite(moving))).toEqual(moving);
  const bad = (from: string, to: string) => codes(exportSite(moving).replace(from, to));
  expect(bad('"length_m": 0.4', '"length_m": 4.4')).toEqual([expect.stringMatching(/^site\/max .*\.fittings\[0\]\.travel\.length_m$/)]);
  expect(bad('"along": "depth"', '"along": "up"')).toEqual([expect.stringMatching(/^site\/isIn .*\.fittings\[0\]\.travel\.along$/)]);
});

test('lamps that are things, dimmers, prices of weekends, rhythms of trays and signs of leaves go out and come in as they were', () => {
  const base = demoSite('en-GB', null);
  const fitting = base.stands[0]!.tiers[0]!.fittings[0]!;
  const lamp: OwnLamp = {
    ...plainOwnLamp('mine', fitting.lampId, 'The bar with the dent'),
    fittingId: fitting.id,
    bought: dayFrom(2024, 2, 29),
    paid: 31.5,
    counted: { hours: 7310.5, on: dayFrom(2027, 2, 9) },
    drawn: { power: 22.4, load: 25 },
    dimmer: { steps: [0.25, 0.5], points: [{ setting: 0.5, light: 0.55, draw: 0.6 }] },
    channels: [fitting.lampId, 'led-tube-12'],
    rating: 'damp',
    weight_kg: 1.2,
    noise: 'hums',
    fault: 'flickers when cold',
  };
  const bare = { ...plainOwnLamp('old', fitting.lampId, 'Old'), retired: dayFrom(2026, 5, 1) };
  const day = dayFrom(2027, 2, 9);
  const changed: Site = {
    ...logIt(base.batches[0]!.id, { id: 's', day, what: 'trouble', height: null, stage: null, sign: 'pale', place: 8 })(base),
    ownLamps: [lamp, bare],
    bands: [{ from_min: 0, to_min: 0, price_per_kWh: 0.1, days: 'weekend' }],
    stands: base.stands.map((s, i) =>
      i > 0
        ? s
        : {
            ...s,
            tiers: s.tiers.map((t, k) =>
              k > 0 ? t : { ...t, rotation: { kind: 'both', every: 3, from: day }, fittings: t.fittings.map((f) => ({ ...f, dim: 0.5 })) },
            ),
          },
    ),
  };
  expect(read(exportSite(changed))).toEqual(changed);
  const merged = mergeSite(site, changed);
  const came = merged.ownLamps.find((o) => o.name === lamp.name)!;
  expect(merged.stands.flatMap((s) => s.tiers.flatMap((t) => t.fittings)).find((f) => f.id === came.fittingId)?.dim).toBe(0.5);
  expect(read(exportSite(changed, [base.stands[1]!.id])).ownLamps).toEqual([]);
  const unknown = { ...changed, ownLamps: [{ ...lamp, lampId: 'nobody-knows' }] };
  expect(codes(exportSite(unknown))).toEqual(['site/missing ownLamps[0].lampId']);
  const position = { ...changed, ownLamps: [{ ...lamp, channels: ['nobody-knows'] }] };
  expect(codes(exportSite(position))).toEqual(['site/missing ownLamps[0].channels[0]']);
});

test('photos, heights measured on them and corrections go out and come in as they were', () => {
  const base = demoSite('en-GB', null);
  const { id } = base.batches[0]!;
  const day = dayFrom(2027, 2, 9);
  const changed = [
    logIt(id, { id: 'p', day, what: 'photo', height: null, stage: null, photoId: 'ph1' }),
    logIt(id, { id: 'h', day, what: 'height', height: 0.051, stage: null, heightSd: 0.003, photoId: 'ph1' }),
    logIt(id, { id: 'w', day, what: 'harvest', height: null, stage: null, weight_g: 120, text: 'first cut' }),
    correctLogged(id, 'w', { day: day + 1, height: null, weight_g: 102, text: 'first cut' }),
    logIt(id, { id: 'a', day, what: 'air', height: null, stage: null, air: { low: 14.5, high: 21, humidity: null } }),
    logIt(id, { id: 's', day, what: 'solution', height: null, stage: null, solution: { ec: 12, ph: null } }),
    correctLogged(id, 's', { day, height: null, solution: { ec: 1.2, ph: 6.1 } }),
    logIt(id, { id: 'p', day, what: 'trouble', height: null, stage: null, sign: 'pale', place: 2 }),
    correctLogged(id, 'p', { day, height: null, sign: 'leaning', place: 0 }),
    correctLogged(id, 'a', { day, height: null, air: { low: 15.5, high: 21, humidity: null } }),
    logIt(id, { id: 'n', day, what: 'next-time', height: null, stage: null, text: 'sow a week later' }),
  ].reduce((site, change) => change(site), base);
  const log = read(exportSite(changed)).batches[0]!.log;
  expect(log).toEqual(changed.batches[0]!.log);
  expect(log.find((l) => l.id === 'w')!.was).toEqual([{ day, height: null, weight_g: 120, text: 'first cut' }]);
});

test('clinic and trials go out and come in as they were, and what contradicts itself in them is named', () => {
  const trial: Trial = {
    id: 't1',
    name: 'Far or near',
    factor: 'distance',
    equalDose: false,
    outcome: { name: 'stem height', unit: 'mm', kind: 'measured', isBlind: true },
    starts: dayFrom(2027, 2, 1),
    ends: null,
    selection: 'none',
    rotate_days: 3,
    moves: [dayFrom(2027, 2, 4), dayFrom(2027, 2, 7)],
    arms: [
      { id: 'A', name: 'near', medium: '', isMatOn: false, dli: null },
      { id: 'B', name: 'far', medium: 'fine mix', isMatOn: true, dli: 11.5 },
    ],
    trays: [
      { code: 'K7', arm: 'A', trayId: null, block: 'left', values: [12.5, null, 0], sown: null },
      { code: 'M2', arm: 'B', trayId: 'gone', block: '', values: [], sown: 24, had: { days: 28, mol_per_m2: 301.25, kWh: 4.5, area_m2: 0.12, batchId: 'b', cropId: 'leek', sown: dayFrom(2027, 1, 9), tierId: 'u', lamps: ['x', 'y'], distance: 0.125, hours: 15, coverId: null, containerId: 'cell-72' } }, // prettier-ignore
    ],
    deviations: [{ id: 'd', day: dayFrom(2027, 2, 9), text: 'a mat came off', arms: ['B'] }],
    seed: 7,
    ended: dayFrom(2027, 3, 1),
  };
  const base = demoSite('en-GB', null);
  const opened = openCase({ id: 'c1', batchId: base.batches[0]!.id, trayId: 'x', opened: dayFrom(2027, 2, 20) })(base);
  const changes = [
    toggleSign('c1', 'pale'),
    togglePlace('c1', 8),
    togglePlace('c1', 2),
    toggleDenied('c1', 'dose-short'),
    tell('c1', { night_C: 17.5, hasFan: false, happened: ['moved'] }),
    beginTest('c1', {
      test: 'measure-spot',
      cause: 'light-too-weak',
      next: 'too-warm',
      began: dayFrom(2027, 2, 21),
      look: dayFrom(2027, 2, 26),
      outcome: null,
    }),
    endTest('c1', 'helped'),
  ];
  const site = addTrial(trial)(changes.reduce((s, change) => change(s), opened));
  expect(read(exportSite(site))).toEqual(site);
  expect(site.clinic[0]).toMatchObject({ places: [2, 8], signs: ['pale'], tests: [{ outcome: 'helped' }] });
  const wrong = (
    change: (f: { clinic: Record<string, unknown>[]; trials: { arms: unknown[]; trays: Record<string, unknown>[] }[] }) => void,
  ): string[] => {
    const file = JSON.parse(exportSite(site)) as Parameters<typeof change>[0];
    change(file);
    const got = readSiteText(JSON.stringify(file));
    return got.ok ? [] : got.problems.map((p) => `${p.code} ${p.at}`);
  };
  expect(wrong((f) => (f.clinic[0]!.signs = ['levitating']))).toEqual(['site/isIn clinic[0].signs']);
  expect(wrong((f) => (f.clinic[0]!.places = [9]))).toEqual(['site/max clinic[0].places']);
  expect(wrong((f) => (f.trials[0]!.trays[1]!.code = 'K7'))).toEqual(['site/id-twice trials[0].trays[1]']);
  expect(wrong((f) => (f.trials[0]!.trays[1]!.arm = 'C'))).toEqual(['site/missing trials[0].trays[1].arm']);
  expect(wrong((f) => f.trials[0]!.arms.pop())).toEqual(
    ['site/arrayMinSize trials[0].arms', 'site/missing trials[0].trays[1].arm'].slice(0, 1),
  );
});

test('a season goes out and comes in as it was, and what contradicts itself in it is named', () => {
  const planned = demoSite('en-GB', dayFrom(2027, 2, 20));
  expect(planned.season!.batches.length).toBeGreaterThan(8);
  expect(read(exportSite(planned)).season).toEqual(planned.season);
  type Loose = { season: { firstFrost: unknown; lastFrost: unknown; batches: Record<string, unknown>[] } };
  const wrong = (change: (f: Loose) => void): string[] => {
    const file = JSON.parse(exportSite(planned)) as Loose;
    change(file);
    const got = readSiteText(JSON.stringify(file));
    return got.ok ? [] : got.problems.map((p) => `${p.code} ${p.at}`);
  };
  expect(wrong((f) => (f.season.batches[0]!.cropId = 'gone'))).toEqual(['site/missing season.batches[0].cropId']);
  expect(wrong((f) => (f.season.batches[1]!.out = '2020-01-01'))).toEqual(['site/not-rising season.batches[1].out']);
  expect(wrong((f) => (f.season.batches[2]!.cells = 1e6))).toEqual(['site/max season.batches[2].cells']);
  expect(wrong((f) => (f.season.batches[2]!.containers = []))).toEqual(['site/arrayMinSize season.batches[2].containers']);
  expect(wrong((f) => (f.season.firstFrost = { month: 2, day: 30 }))).toEqual(['site/isDay season.firstFrost.day']);
  expect(wrong((f) => (f.season.lastFrost = { kind: 'table', day: null, rows: [], risk_percent: null }))).toEqual([
    'site/missing season.lastFrost.risk_percent',
  ]);
  expect(wrong((f) => (f.season.lastFrost = { kind: 'day', day: null, rows: [], risk_percent: null }))).toEqual([
    'site/missing season.lastFrost.day',
  ]);
  // A tier or a batch that has gone from the stands is no fault of the plan.
  expect(wrong((f) => (f.season.batches[0]!.tierId = 'gone'))).toEqual([]);
  expect(wrong((f) => (f.season.batches[0]!.batchId = 'gone'))).toEqual([]);
});

test('whatever a table of readings lets through can be kept and read again, and never more than a tier holds', () => {
  const tier = site.stands[0]!.tiers[0]!;
  const rows = [['x m', 'y m', 'z m', 'lux', 'time']];
  for (const [x, y, z, lux, time] of [['10', '-5', '3', '9999999', '1990-01-02'], ['-5', '10', '0', '0.001', '2099-12-30'], ['1', '1', '15', '5', ''], ['25', '0', '0', '5', ''], ['0', '0', '0', '5', '275000-01-01']]) rows.push([x!, y!, z!, lux!, time!]); // prettier-ignore
  const table = readTable(rows, guessColumns(rows));
  if (!table.ok) throw new Error();
  expect([table.value.readings.length, table.value.problems.length]).toEqual([2, 3]);
  const hand = { kindId: 'lux-basic', meterId: null, factor: 4 };
  const taken = table.value.readings.map((r, i) =>
    takeReading(tier, { x: r.x!, y: r.y!, z: r.z! }, hand, r, { id: `t${i}`, now_ms: r.taken_ms! }),
  );
  const kept = keepReadings(tier.id, taken)(site);
  expect(read(exportSite(kept)).stands[0]!.tiers[0]!.readings).toEqual(kept.stands[0]!.tiers[0]!.readings);
  const many = Array.from({ length: 2500 }, (_, i) => ({ ...taken[0]!, id: `m${i}` }));
  expect(keepReadings(tier.id, many)(site).stands[0]!.tiers[0]!.readings).toHaveLength(2000);
});

test('broken, deep, huge and foreign files are refused with the place', () => {
  const text = exportSite(site);
  expect(codes(text.slice(0, 500))[0]).toMatch(/^file\/not-json (line \d+|the end)/);
  expect(codes('{\n"format": nope}')[0]).toBe('file/not-json line 2');
  expect(codes('['.repeat(100_000))).toEqual(['file/too-deep ']);
  expect(codes(`"${'x'.repeat(50_000_001)}"`)).toEqual(['file/too-large ']);
  // A list where an object is due would be looked through, not looked at.
  expect(codes(text.replace('"stands": [', '"stands": [[], '))).toEqual(['file/list-in-list stands[0]']);
  expect(codes(text.replace('"tiers": [', '"tiers": [[{}], '))).toEqual(['file/list-in-list stands[0].tiers[0]']);
  expect(codes('{"shelves": []}')).toEqual(['site/foreign format']);
  expect(codes(text.replace('"version": 19', '"version": 20'))).toEqual(['site/newer version']);
  expect(codes(text.replace('"seedling"', '"<script>"'))).toEqual(['site/isIn batches[0].stage']);
  expect(codes(text.replace(/"price_per_kWh": [\d.]+/, '"price_per_kWh": 1e999'))[0]).toMatch('price_per_kWh');
});

test('the map as CSV holds each cell with its place, strength and dose', () => {
  const setUp = setUpOf(site, site.stands[0]!, tables);
  const { map } = answerLight(questionOf(setUp, 0.5));
  const lines = mapCsv(map, 10).trimEnd().split('\r\n');
  expect(lines).toHaveLength(map.columns * map.rows + 1);
  const [x, y, z, ppfd, dli] = lines[1]!.split(',').map(Number) as [number, number, number, number, number];
  expect(x).toBeGreaterThan(0);
  expect(y).toBeLessThan(0.02);
  expect(z).toBeWithin(setUp.canopy, { absolute: 1e-4 });
  expect(dli).toBeWithin(ppfd * 0.036, { relative: 1e-3 });
});
