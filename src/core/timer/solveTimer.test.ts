import fc from 'fast-check';
import { evenly } from '../../../test/evenly';
import { cropLibrary } from '../library/cropLibrary';
import { daylightBy, lampShareOf } from '../dose/Daylight';
import { MOL_SECONDS } from '../dose/dli';
import { lengthOf, overlapOf } from './Span';
import { fareOn, solveTimer, type Served, type TimerRules } from './solveTimer';

const stageOf = (id: string, name = 'seedling') => {
  const crop = cropLibrary.find((c) => c.id === id)!;
  return crop.stages.find((s) => s.stage === name) ?? crop.stages[0]!;
};
const tray = (id: string, mean: number, spread = 0.1, stage = stageOf(id)): Served => ({
  trayId: id,
  stage,
  area: 0.15,
  weakest: mean * (1 - spread),
  mean,
  strongest: mean * (1 + spread),
});
const rules = (change: Partial<TimerRules> = {}): TimerRules => ({
  step_min: 15,
  quiet: null,
  cheap: null,
  price_per_kWh: 0.3,
  power: 80,
  ...change,
});
const six = { on_min: 360, lit_min: 960 };
const at = (h: number, m = 0) => 60 * h + m;
/** For the mean to get its best in so many hours. */
const strong = (id: string, hours: number) => stageOf(id).dliTarget / (hours * MOL_SECONDS);

test('a stretch past midnight, and how much of a lamp’s day lies in it', () => {
  expect(lengthOf({ from_min: at(22), to_min: at(5) })).toBe(420);
  expect(lengthOf({ from_min: 0, to_min: 0 })).toBe(1440);
  expect(overlapOf(at(20), 240, { from_min: at(22), to_min: at(5) })).toBe(120);
  expect(overlapOf(at(4), at(20), { from_min: at(22), to_min: at(5) })).toBe(60 + 120);
  expect(overlapOf(at(23), 120, { from_min: 0, to_min: at(2) })).toBe(60);
  expect(overlapOf(0, 1440, { from_min: at(22), to_min: at(5) })).toBe(420);
});

test('minute by minute, the overlap is what a clock would count', () => {
  const minute = fc.integer({ min: 0, max: 1439 });
  fc.assert(
    fc.property(minute, fc.integer({ min: 0, max: 1440 }), minute, minute, (on, lit, from_min, to_min) => {
      const length = lengthOf({ from_min, to_min });
      const inside = new Set(Array.from({ length }, (_, i) => (from_min + i) % 1440));
      let count = 0;
      for (let i = 0; i < lit; i++) if (inside.has((on + i) % 1440)) count++;
      expect(overlapOf(on, lit, { from_min, to_min })).toBe(count);
    }),
  );
});

// Ten situations of a household.

test('1: one timer for five tiers of one kind gives each the hours that its dose needs', () => {
  const five = Array.from({ length: 5 }, (_, i) => ({ ...tray('celery', strong('celery', 14)), trayId: `t${i}` }));
  const answer = solveTimer(five, rules(), six);
  expect(answer.lit_min / 60).toBeWithin(14, { absolute: 0.26 });
  expect(answer.fares.every((f) => f.says === 'suits')).toBe(true);
  expect(answer.limits).toEqual([]);
});

test('2: quiet from 21:00 to 6:00 moves the day, and where it is long enough nothing is lost', () => {
  const quiet = { from_min: at(21), to_min: at(6) };
  const answer = solveTimer([tray('celery', strong('celery', 14))], rules({ quiet }), { on_min: at(8), lit_min: 900 });
  expect(answer.inQuiet_min).toBe(0);
  expect(answer.on_min).toBeGreaterThanOrEqual(at(6));
  expect(answer.on_min + answer.lit_min).toBeLessThanOrEqual(at(21));
});

test('3: cheap from 00:30 to 05:30 is used in full where nobody minds the light', () => {
  const cheap = { from_min: at(0, 30), to_min: at(5, 30), price_per_kWh: 0.1 };
  const answer = solveTimer([tray('celery', strong('celery', 14))], rules({ cheap }), six);
  expect(answer.inCheap_min).toBe(300);
  const plain = solveTimer([tray('celery', strong('celery', 14))], rules(), six);
  expect(plain.costPerDay - answer.costPerDay).toBeWithin(5 * 0.08 * 0.2, { relative: 1e-6 });
});

test('4: cheap hours in the quiet of the night are left alone: sleep comes first', () => {
  const answer = solveTimer(
    [tray('celery', strong('celery', 14))],
    rules({ quiet: { from_min: at(22), to_min: at(6) }, cheap: { from_min: at(0, 30), to_min: at(5, 30), price_per_kWh: 0.1 } }),
    six,
  );
  expect([answer.inQuiet_min, answer.inCheap_min]).toEqual([0, 0]);
});

test('5: quiet hours that leave too short a day are named, with what they leave', () => {
  const weak = tray('tomato', 190);
  const answer = solveTimer([weak], rules({ quiet: { from_min: at(19), to_min: at(7) } }), six);
  expect(answer.lit_min).toBe(at(12));
  expect(answer.limits).toEqual([{ why: 'quiet', longest: 12 }]);
  expect(answer.fares[0]).toMatchObject({ says: 'short' });
  expect(answer.fares[0]!.light).toBeGreaterThan(1.1);
});

test('6: bulb onions are kept from bulbing beside tomatoes that want long days: the shorter day binds, and the other is told', () => {
  const onion = stageOf('bulb-onion');
  const tomato = stageOf('tomato');
  expect(onion.hoursMax).toBeLessThanOrEqual(tomato.hoursMin);
  const answer = solveTimer([tray('bulb-onion', strong('bulb-onion', onion.hoursMax)), tray('tomato', strong('tomato', 16))], rules(), six);
  expect(answer.lit_min / 60).toBeLessThanOrEqual(tomato.hoursMin + 1.01);
  const tomatoes = answer.fares.find((f) => f.trayId === 'tomato')!;
  expect(tomatoes.alone).toBeWithin(16, { absolute: 1.3 });
});

test('7: a short-day plant that sets buds keeps its dark half of the day', () => {
  const bud = { ...stageOf('holiday-cactus', 'flowering-fruiting') };
  const answer = solveTimer([{ ...tray('holiday-cactus', 90), stage: bud }], rules(), six);
  expect(answer.lit_min / 60).toBeLessThanOrEqual(bud.hoursMax);
});

test('8: pins of a quarter of an hour are kept to, and of a minute where the timer has them', () => {
  const pins = solveTimer([tray('leek', 173)], rules(), { on_min: 371, lit_min: 847 });
  expect([pins.on_min % 15, pins.lit_min % 15]).toEqual([0, 0]);
  const fine = solveTimer([tray('leek', 173)], rules({ step_min: 1 }), six);
  const dose = (lit: number) => Math.abs(Math.log((173 * (lit / 60) * MOL_SECONDS) / stageOf('leek').dliTarget));
  expect(dose(fine.lit_min)).toBeLessThanOrEqual(dose(pins.lit_min) + 1e-9);
  expect(() => solveTimer([], rules({ step_min: 7 }), six)).toThrow('divide the day');
});

test('9: a strong lamp over a tender tray: the shortest day that the crop bears, and how much less light would do', () => {
  const answer = solveTimer([tray('fern', 400, 0.1, stageOf('fern', 'growing-on'))], rules(), six);
  expect(answer.lit_min / 60).toBeWithin(stageOf('fern', 'growing-on').hoursMin, { absolute: 0.01 });
  expect(answer.limits).toMatchObject([{ why: 'shortest-day', trayId: 'fern' }]);
  expect(answer.fares[0]).toMatchObject({ says: 'much', alone: null });
  expect(answer.fares[0]!.light).toBeLessThan(0.6);
});

test('10: crops whose days do not meet are told apart: who needs so long, who bears so little', () => {
  const long = { ...stageOf('tomato'), hoursMin: 16, hoursMax: 18 };
  const short = { ...stageOf('holiday-cactus'), hoursMin: 8, hoursMax: 11 };
  const answer = solveTimer(
    [
      { ...tray('tomato', 240), stage: long },
      { ...tray('holiday-cactus', 120), stage: short },
    ],
    rules(),
    six,
  );
  expect(answer.limits[0]).toEqual({ why: 'crops-disagree', longId: 'tomato', atLeast: 16, shortId: 'holiday-cactus', atMost: 11 });
  expect(answer.fares.find((f) => f.trayId === 'tomato')!.alone).not.toBeNull();
});

test('no length of its steps serves better than the one found, and a larger tray weighs more', () => {
  const any = fc.tuple(fc.constantFrom(...cropLibrary.slice(0, 40)), evenly(40, 420), evenly(0.03, 0.3), evenly(0.02, 0.4));
  fc.assert(
    fc.property(fc.array(any, { minLength: 1, maxLength: 4 }), (trays) => {
      const served = trays.map(([crop, mean, spread, area], i): Served => ({
        ...tray('x', mean, spread, crop.stages[0]!),
        trayId: `t${i}`,
        area,
      }));
      const answer = solveTimer(served, rules(), six);
      // Where one length suits all within all limits, what is found suits all too.
      const all = Array.from({ length: 97 }, (_, i) => i * 15).some(
        (lit) =>
          fareOn(served, rules(), 0, lit).fares.every((f) => f.says === 'suits') &&
          served.every((s) => lit / 60 >= s.stage.hoursMin && lit / 60 <= s.stage.hoursMax),
      );
      if (all) expect(answer.fares.map((f) => f.says)).toEqual(served.map(() => 'suits'));
      for (const [i, f] of answer.fares.entries())
        expect(f.mean).toBeWithin((served[i]!.mean * answer.lit_min * MOL_SECONDS) / 60, { relative: 1e-9 });
    }),
    { numRuns: 60 },
  );
});

test('daylight does part of the dose: the lamps burn for less, along with the day, and the night stays in one piece', () => {
  const stage = stageOf('leek');
  const daylight = { dli: 4, from_min: at(8), to_min: at(17) };
  const left = lampShareOf(stage, daylight);
  expect([left.dliMin, left.dliTarget, left.dliMax]).toEqual([stage.dliMin - 4, stage.dliTarget - 4, stage.dliMax - 4]);
  const strength = stage.dliTarget / (12 * MOL_SECONDS);
  const lampsAlone = solveTimer([tray('leek', strength, 0.02)], rules(), { on_min: at(20), lit_min: 600 });
  const withDay = solveTimer([tray('leek', strength, 0.02, { ...left, hoursMin: 4 })], rules({ daylight }), {
    on_min: at(20),
    lit_min: 600,
  });
  expect(withDay.lit_min / lampsAlone.lit_min).toBeWithin((stage.dliTarget - 4) / stage.dliTarget, { absolute: 0.03 });
  expect(overlapOf(withDay.on_min, withDay.lit_min, daylight)).toBe(withDay.lit_min);
  expect(lampShareOf(stage, null)).toBe(stage);
  expect(lampShareOf(stage, { ...daylight, dli: 50 })).toMatchObject({ dliMin: 0, dliMax: 0.01 });
});

test('daylight adds up to its whole by the evening, half of it by the middle of its day, and never less than before', () => {
  const day = { dli: 6, from_min: at(7), to_min: at(19) };
  expect([daylightBy(day, 0), daylightBy(day, at(7)), daylightBy(day, at(19)), daylightBy(day, 1440)]).toEqual([0, 0, 6, 6]);
  expect(daylightBy(day, at(13))).toBeWithin(3, { absolute: 1e-9 });
  for (let m = 1; m < 1440; m++) expect(daylightBy(day, m)).toBeGreaterThanOrEqual(daylightBy(day, m - 1));
});

test('without a tray the timer stays as it is, in its steps', () => {
  expect(solveTimer([], rules(), six)).toMatchObject({ on_min: 360, lit_min: 960, fares: [] });
});
