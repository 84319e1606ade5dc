import { readyClimate, sunshineOf } from '../../sky/outdoors/climates';
import { outdoorsAt, outdoorsOver } from '../../sky/outdoors/outdoorsAt';
import { sillLight } from '../../sky/window/sillLight';
import { BARE_SITE } from '../../site/stand/bare';
import { addTray } from '../../site/stand/change';
import { addWindow, setPlace, standAtWindow } from '../../site/stand/changeWindows';
import { daylightBy } from '../../site/stand/Daylight';
import { daylightOf, type Site } from '../../site/stand/Site';
import { standFrom, TEMPLATES } from '../../site/stand/templates';
import { houseOpposite, passedBy, USUAL_WINDOW, type SillReading, type Window } from '../../site/window/Window';
import { containerLibrary } from '../../things/container/containerLibrary';
import { tables } from '../../things/tables/libraryTables';
import { minutesAhead } from '../../units/clockChanges';
import { dayFrom } from '../../units/day';
import { correctionOf, unusable } from './correctionOf';
import { daylightAt, skyOfDay } from './daylightAt';
import { sunComesIn } from '../../sky/window/Aperture';
import { leanOf } from './leanOf';
import { sillAsBuilt } from './sillAsBuilt';
import { litByWindow } from './litByWindow';
import { beforeWindow, sillAt } from './sillsOf';
import { monthSays, suitsHere } from './suits';
import { yearOf } from './yearOf';

const RAD = Math.PI / 180;
const PLACE = { latitude: 52 * RAD, longitude: 0 };
const SOUTH: Window = { ...USUAL_WINDOW, id: 'w', name: 'South', facing: Math.PI };
const AT = { depth: 0.3, along: 0, over: 0.1 };
const CLIMATE = readyClimate('cloudy-coast');
const yearAt = (window: Window, year = 2027, place = PLACE, timeZone = 'UTC') =>
  yearOf({ year, place, climate: CLIMATE, timeZone }, [{ sill: sillAt(window, AT), blind: window.blind }]);

function sillSite(window: Window): Site {
  let n = 0;
  const ids = () => `s${n++}`;
  const { stand, timer } = standFrom(
    TEMPLATES.find((t) => t.kind === 'sill')!,
    1,
    'Sill',
    ids,
  );
  const site: Site = {
    ...BARE_SITE,
    currency: 'EUR',
    price_per_kWh: 0.3,
    stands: [stand],
    timers: [timer],
    timeZone: 'Europe/Berlin',
  };
  const pot = containerLibrary.find((c) => c.id === 'pot-13')!;
  return [
    setPlace(PLACE),
    addWindow(window),
    standAtWindow(stand.id, { windowId: window.id, side: 'back', gap: 0.05, along: 0, above: 0 }),
    addTray(stand.tiers[0]!.id, pot, { cropId: 'fern', stage: 'growing-on' }, { x: 0.5, y: 0.1 }, ids),
  ].reduce((s, change) => change(s), site);
}

test('a day’s sum is what its course adds up to, and lies between a grey and a clear day', () => {
  for (const [month, day] of [
    [1, 5],
    [3, 21],
    [6, 21],
    [10, 9],
  ] as const) {
    const sky = skyOfDay(PLACE, CLIMATE, dayFrom(2027, month, day), 0);
    const light = daylightAt([sillAt(SOUTH, AT)], sky, null)!;
    expect(daylightBy(light, 1440)).toBeCloseTo(light.dli, 9);
    expect(daylightBy(light, 0)).toBe(0);
    const { off } = light.course!;
    expect(off.low).toBeGreaterThanOrEqual(0);
    expect(off.low).toBeLessThan(1);
    expect(off.high).toBeGreaterThan(0);
    // By hand: the mixture of the two by the month's sunshine.
    const [clear, grey] = [light.dli * (1 + off.high), light.dli * (1 - off.low)];
    const share = sunshineOf(CLIMATE, month - 1, PLACE.latitude);
    expect(share * clear + (1 - share) * grey).toBeCloseTo(light.dli, 6);
  }
});

test('a blind takes exactly the parts in which it is shut', () => {
  const sky = skyOfDay(PLACE, CLIMATE, dayFrom(2027, 6, 21), 0);
  const open = daylightAt([sillAt(SOUTH, AT)], sky, null)!;
  const shut = daylightAt([sillAt(SOUTH, AT)], sky, { from_min: 12 * 60, to_min: 0 })!;
  expect(shut.dli).toBeCloseTo(daylightBy(open, 12 * 60), 9);
});

test('a year has the days of its calendar, months that add up, and nothing at night', () => {
  for (const [year, days] of [
    [2027, 365],
    [2028, 366],
  ] as const) {
    const { places, from, parts, ...rest } = yearAt(SOUTH, year);
    const [at] = places;
    expect([rest.days, at!.mean.length]).toEqual([days, days]);
    const june = Array.from({ length: 30 }, (_, i) => at!.mean[dayFrom(year, 6, 1) - from + i]!);
    expect(june.reduce((a, b) => a + b) / 30).toBeCloseTo(at!.months[5]!.mean, 4);
    for (const m of at!.months) expect(m.low <= m.mean && m.mean <= m.high).toBe(true);
    expect(Math.max(...at!.clearCourse.slice(0, Math.floor(parts / 6)))).toBe(0); // a night in January
  }
});

test('the polar night is dark and the southern winter is in July', () => {
  const north = yearAt(SOUTH, 2027, { latitude: 70 * RAD, longitude: 0 }).places[0]!;
  expect(north.months[11]!.mean).toBeLessThan(0.05);
  expect(north.months[5]!.mean).toBeGreaterThan(1);
  const down = yearAt({ ...SOUTH, facing: 0 }, 2027, { latitude: -34 * RAD, longitude: 0 }).places[0]!;
  expect(down.months[6]!.sunHours).toBeGreaterThan(down.months[0]!.sunHours);
  expect(sunshineOf(CLIMATE, 6, -34 * RAD)).toBe(sunshineOf(CLIMATE, 0, 34 * RAD));
});

test('clocks that are put forward move the day by an hour and change nothing else', () => {
  const ahead = minutesAhead('Europe/London');
  const [before, after] = [dayFrom(2027, 3, 27), dayFrom(2027, 3, 28)];
  expect([ahead(before), ahead(after)]).toEqual([0, 60]);
  const of = (day: number) => daylightAt([sillAt(SOUTH, AT)], skyOfDay(PLACE, CLIMATE, day, ahead(day)), null)!;
  const [a, b] = [of(before), of(after)];
  expect(b.from_min - a.from_min).toBeGreaterThan(55);
  expect(b.dli / a.dli).toBeCloseTo(1, 1);
});

test('a day by straight lines is the day by the sun itself', () => {
  const start = Date.UTC(2027, 4, 3);
  outdoorsOver(start, 96, PLACE).forEach((m, i) => {
    const exact = outdoorsAt(start + ((i + 0.5) / 96) * 86_400_000, PLACE);
    expect(m.sun.elevation).toBeWithin(exact.sun.elevation, { absolute: 0.002 * RAD });
  });
});

test('a house opposite hides the low sun and gives a little back', () => {
  const house = { ...SOUTH, horizon: houseOpposite({ height: 8, distance: 10, width: 30, along: 0 }) };
  const [free, built] = [yearAt(SOUTH).places[0]!, yearAt(house).places[0]!];
  expect(built.months[11]!.sunHours).toBe(0);
  expect(free.months[11]!.sunHours).toBeGreaterThan(2);
  free.months.forEach((m, i) => expect(built.months[i]!.mean).toBeLessThan(m.mean));
});

test('where a point is before the window hangs on the side that is turned to it', () => {
  const tier = { width: 1, depth: 0.4 } as never;
  const at = { windowId: 'w', gap: 0.1, along: 0.2, above: 0.3 };
  const p = { x: 0.9, y: 0.1, z: 0.15 };
  const seen = (side: 'back' | 'front' | 'left' | 'right') => beforeWindow({ ...at, side }, tier, 0.5, p);
  expect(seen('back')).toEqual({ depth: expect.closeTo(0.4, 9), along: expect.closeTo(0.6, 9), over: expect.closeTo(0.95, 9) });
  expect(seen('front')).toMatchObject({ depth: expect.closeTo(0.2, 9), along: expect.closeTo(-0.2, 9) });
  expect(seen('left')).toMatchObject({ depth: expect.closeTo(1, 9), along: expect.closeTo(0.1, 9) });
  expect(seen('right')).toMatchObject({ depth: expect.closeTo(0.2, 9), along: expect.closeTo(0.3, 9) });
});

test('a stand at a window gets its light on the day; what is stated by hand counts instead', () => {
  const site = sillSite(SOUTH);
  const day = dayFrom(2027, 3, 21);
  const lit = litByWindow(site, day, tables);
  const tier = lit.stands[0]!.tiers[0]!;
  expect(daylightOf(tier)).toBe(tier.sun);
  expect(tier.sun!.dli).toBeGreaterThan(1);
  // The same day again changes nothing, so that nothing is written or drawn anew.
  expect(litByWindow(lit, day, tables)).toBe(lit);
  expect(litByWindow(lit, day + 60, tables).stands[0]!.tiers[0]!.sun!.dli).toBeGreaterThan(tier.sun!.dli);
  const stated = { dli: 2, from_min: 480, to_min: 960 };
  expect(daylightOf({ ...tier, daylight: stated })).toBe(stated);
  // Away from the window the light goes too.
  const away = litByWindow(standAtWindow(lit.stands[0]!.id, null)(lit), day, tables);
  expect(away.stands[0]!.tiers[0]!).not.toHaveProperty('sun');
  expect(away.stands[0]!.tiers[0]!).not.toHaveProperty('suns');
});

test('copies of a stand at windows that are alike have one light, and none that differs takes it over', () => {
  const site = sillSite(SOUTH);
  const day = dayFrom(2027, 3, 21);
  const [stand, window] = [site.stands[0]!, site.windows[0]!];
  const at = (n: number, change: Partial<Window>, along = stand.window!.along) => ({
    window: { ...window, id: `w${n}`, name: `Window ${n}`, ...change },
    stand: {
      ...stand,
      id: `s${n}`,
      window: { ...stand.window!, windowId: `w${n}`, along },
      tiers: stand.tiers.map((t) => ({ ...t, id: `${t.id}${n}` })),
    },
  });
  const all = [at(1, {}), at(2, {}), at(3, { facing: window.facing + 1 }), at(4, {}, stand.window!.along + 0.2)];
  const lit = litByWindow({ ...site, windows: all.map((a) => a.window), stands: all.map((a) => a.stand) }, day, tables);
  const suns = lit.stands.map((s) => s.tiers[0]!.sun!);
  const alone = all.map((a) => litByWindow({ ...site, windows: [a.window], stands: [a.stand] }, day, tables).stands[0]!.tiers[0]!.sun!);
  expect(suns).toEqual(alone);
  const ofTray = (n: number) => Object.values(lit.stands[n]!.tiers[0]!.suns!)[0]!.daylight;
  expect(ofTray(1)).toBe(ofTray(0));
  expect(suns[2]!.dli).not.toBe(suns[0]!.dli);
  expect(suns[3]!.dli).not.toBe(suns[0]!.dli);
});

test('pairs under a grey sky move the window by what they say, as far as they are sure; others are told why not', () => {
  const reading = (change: Partial<SillReading>): SillReading => ({
    id: 'r', taken_ms: Date.UTC(2027, 2, 21, 12), sky: 'overcast', ...AT, inside: 0, outside: 10_000, unit: 'lx', passed: passedBy(SOUTH), horizonSince: false, ...change,
  }); // prettier-ignore
  const moment = outdoorsAt(Date.UTC(2027, 2, 21, 12), PLACE);
  const share = sillLight(moment, sillAt(SOUTH, AT)).overcast.up / (moment.overcast.global * 2.0565);
  const half = (n: number) => ({ ...SOUTH, readings: Array.from({ length: n }, (_, i) => reading({ id: `r${i}`, inside: 5000 * share })) });
  const [none, one, many] = [correctionOf(SOUTH), correctionOf(half(1)), correctionOf(half(12))];
  expect(none).toMatchObject({ factor: 1, of: 0 });
  // What comes in, against what was computed: one pair goes a good part of the way to the half that it says, twelve go all of it.
  const through = (window: Window) => sillLight(moment, sillAt(window, AT, PLACE)).overcast.up / sillLight(moment, sillAt(SOUTH, AT)).overcast.up; // prettier-ignore
  expect(through(half(1))).toBeWithin(Math.exp(Math.log(0.5) / (1 + 0.15 ** 2 / 0.2 ** 2)), { relative: 0.03 });
  expect(through(half(12))).toBeWithin(0.5, { relative: 0.04 });
  expect([none.uncertainty > one.uncertainty, one.uncertainty > many.uncertainty]).toEqual([true, true]);
  // An old pair counts for less.
  const mixed = {
    ...SOUTH,
    readings: [
      reading({ id: 'a', inside: 10_000 * share }),
      reading({ id: 'b', inside: 5000 * share, taken_ms: Date.UTC(2028, 2, 21, 12) }),
    ],
  };
  expect(through(mixed)).toBeLessThan(Math.SQRT1_2 + 0.05);
  const inside = 10_000 * share;
  expect(unusable(SOUTH, reading({ inside, outside: null }), null)).toBe('alone');
  expect(unusable(SOUTH, reading({ inside, outside: null, sky: 'changing' }), PLACE)).toBe('alone');
  // In the sun's own rays a hand's width decides.
  expect(unusable(SOUTH, reading({ inside, outside: null, sky: 'clear' }), PLACE)).toBe('alone');
  expect(unusable(SOUTH, reading({ inside, sky: 'clear' }), PLACE)).toBe('not-overcast');
  expect(unusable(SOUTH, reading({ inside: inside * 8, outside: 80_000 }), PLACE)).toBe('too-bright');
  expect(unusable(SOUTH, reading({ inside: inside * 10 }), PLACE)).toBe('far-off');
  expect(unusable(SOUTH, reading({ inside }), PLACE)).toBe(null);
});

test('a pair that is told not to count does not count in the light either, and an unmeasured window is less sure', () => {
  const bright: SillReading = {
    id: 'r',
    taken_ms: Date.UTC(2027, 2, 21, 12),
    sky: 'overcast',
    ...AT,
    inside: 20_000,
    outside: 80_000,
    unit: 'lx',
    passed: passedBy(SOUTH),
    horizonSince: false,
  };
  const day = dayFrom(2027, 3, 21);
  const sunOf = (window: Window) => litByWindow(sillSite(window), day, tables).stands[0]!.tiers[0]!.sun!;
  expect(unusable(SOUTH, bright, PLACE)).toBe('too-bright');
  expect(sunOf({ ...SOUTH, readings: [bright] }).dli).toBe(sunOf(SOUTH).dli);
  const sky = skyOfDay(PLACE, CLIMATE, day, 0);
  const off = (doubt: number) => daylightAt([sillAt(SOUTH, AT)], sky, null, doubt)!.course!.off;
  expect(off(0.25).low).toBeCloseTo(Math.hypot(off(0).low, 0.25), 9);
  expect(off(0.25).high).toBeGreaterThan(off(0.1).high);
});

test('lamps and a white card make the light less one-sided', () => {
  const month = { facing: 8, away: 0.4 };
  expect(leanOf(month)).toBe(20);
  expect(leanOf(month, 4)!).toBeLessThan(leanOf(month, 1)!);
  expect(leanOf(month, 0, true)!).toBeLessThan(3);
  expect(leanOf({ facing: 0, away: 0 })).toBeNull();
});

test('a month is judged by its dose, and by sun only where it brings too much', () => {
  const fern = tables.crop('fern')!.stages.find((s) => s.stage === 'growing-on')!; // 2–7 mol
  const says = (mean: number, high: number, ppfd: number) => monthSays({ mean, high, strongest: { ppfd, day: 0, minute: 0 } }, fern);
  expect(says(0.4, 0.5, 20)).toBe('dark');
  expect(says(1.2, 1.6, 40)).toBe('dim');
  expect(says(3, 6, 900)).toBe('suits');
  expect(says(3, 9, 900)).toBe('scorch');
  expect(says(8, 9, 100)).toBe('strong');
  const months = yearAt(SOUTH).places[0]!.months;
  const ranked = suitsHere([tables.crop('fern')!, tables.crop('tomato')!], months);
  expect(ranked[0]!.inBand).toBeGreaterThanOrEqual(ranked[1]!.inBand);
});

test('a year has its clear course beside the mean one, and a blind takes its share of every way of looking', () => {
  const asked = { year: 2027, place: PLACE, climate: CLIMATE, timeZone: 'UTC' };
  const of = (blind: Window['blind']) => yearOf(asked, [{ sill: sillAt(SOUTH, AT), blind }], 24).places[0]!;
  const open = of(null);
  for (const [m, month] of open.months.entries()) {
    const { ppfd, day, minute } = month.strongest;
    const at = (day - dayFrom(2027, 1, 1)) * 24 + Math.floor(minute / 60);
    expect(open.clearCourse[at]).toBeWithin(ppfd, { relative: 1e-6 });
    expect(open.course[at]).toBeLessThan(open.clearCourse[at]!);
    // Mean of the month out of both ends by its share of sunshine.
    const share = sunshineOf(CLIMATE, m, PLACE.latitude);
    expect(month.mean).toBeWithin(share * month.high + (1 - share) * month.low, { relative: 1e-6 });
  }
  // Shut for the second half of every hour that is light: half of everything.
  const hour = of({ from_min: 12 * 60 + 30, to_min: 13 * 60 });
  const [all, less] = [open.months[5]!, hour.months[5]!];
  const noon = yearOf(asked, [{ sill: sillAt(SOUTH, AT), blind: { from_min: 13 * 60, to_min: 12 * 60 } }], 24).places[0]!.months[5]!;
  for (const what of ['mean', 'facing', 'away'] as const) expect(all[what] - less[what]).toBeWithin(noon[what] / 2, { relative: 1e-6 });
});

test('a roof over the window hides what is steeper than its edge, and its edge is as far out as reveal and roof together', () => {
  const roofed = { ...SOUTH, reveal: 0.2, overhang: { out: 0.6, above: 0.1 } };
  const { aperture } = sillAsBuilt(roofed, { depth: 0.3, along: 0, over: 0.1 });
  // From the place: 0.3 m to the glass, 0.2 through the wall, 0.6 under the roof; 1.2 − 0.1 of glass and 0.1 over it.
  const edge = Math.atan2(roofed.height - 0.1 + 0.1, 0.3 + 0.2 + 0.6);
  expect(sunComesIn(aperture, 0, edge - 1e-6)).toBe(true);
  expect(sunComesIn(aperture, 0, edge + 1e-6)).toBe(false);
});
