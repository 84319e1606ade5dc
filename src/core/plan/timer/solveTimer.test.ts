import fc from 'fast-check';
import { evenly } from '../../../../test/evenly';
import { cropLibrary } from '../../things/crop/cropLibrary';
import { limitsOfStage } from '../../../../test/limitsOfStage';
import { daylightBy } from '../../site/stand/Daylight';
import { photoperiodOf, receivedOf } from '../../judge/dli/LightDay';
import { spreadOf } from '../../judge/dli/LightSpread';
import { lossOf } from '../../judge/verdict/loss';
import { saysOf, standingOf } from '../../judge/verdict/standing';
import { MOL_SECONDS } from '../../judge/dli/dli';
import { mostLit } from '../../units/LitTimes';
import { lengthOf, overlapOf } from '../../units/Span';
import { resultsOn, solveTimer, type Served, type TimerRules } from './solveTimer';

const stageOf = (id: string, name = 'seedling') => {
  const crop = cropLibrary.find((c) => c.id === id)!;
  return crop.stages.find((s) => s.stage === name) ?? crop.stages[0]!;
};
const tray = (id: string, mean: number, spread = 0.1, stage = stageOf(id)): Served => ({
  trayId: id,
  stage,
  limits: limitsOfStage(stage),
  light: spreadOf([mean * (1 - spread), mean, mean * (1 + spread)]),
  daylight: null,
});
const rules = (change: Partial<TimerRules> = {}): TimerRules => ({
  step_min: 15,
  quiet: null,
  cheap: null,
  price_per_kWh: 0.3,
  power: 80,
  ...change,
});
const six = { on_min: 360, lit_min: 960, pause: null };
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
  expect(answer.results.every((f) => f.says === 'suits')).toBe(true);
  expect(answer.limits).toEqual([]);
});

test('2: quiet from 21:00 to 6:00 moves the day, and where it is long enough nothing is lost', () => {
  const quiet = { from_min: at(21), to_min: at(6) };
  const answer = solveTimer([tray('celery', strong('celery', 14))], rules({ quiet }), { on_min: at(8), lit_min: 900, pause: null });
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
  expect(answer.results[0]).toMatchObject({ says: 'short' });
  expect(answer.results[0]!.light).toBeGreaterThan(1.1);
});

test('6: bulb onions are kept from bulbing beside tomatoes that want long days: the shorter day binds, and the other is told', () => {
  const onion = stageOf('bulb-onion');
  const tomato = stageOf('tomato');
  expect(onion.hoursMax).toBeLessThanOrEqual(tomato.hoursMin);
  const answer = solveTimer([tray('bulb-onion', strong('bulb-onion', onion.hoursMax)), tray('tomato', strong('tomato', 16))], rules(), six);
  // No hour more than the onion may have, whatever the tomato would gain.
  expect(answer.lit_min / 60).toBeLessThanOrEqual(onion.hoursMax);
  const tomatoes = answer.results.find((f) => f.trayId === 'tomato')!;
  expect(tomatoes.alone).toBeWithin(16, { absolute: 1.3 });
});

test('7: a short-day plant that sets buds keeps its dark half of the day', () => {
  const bud = { ...stageOf('holiday-cactus', 'flowering-fruiting') };
  const answer = solveTimer([tray('holiday-cactus', 90, 0.1, bud)], rules(), six);
  expect(answer.lit_min / 60).toBeLessThanOrEqual(bud.hoursMax);
});

test('8: pins of a quarter of an hour are kept to, and of a minute where the timer has them', () => {
  const pins = solveTimer([tray('leek', 173)], rules(), { on_min: 371, lit_min: 847, pause: null });
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
  expect(answer.results[0]).toMatchObject({ says: 'much', alone: null });
  expect(answer.results[0]!.light).toBeLessThan(0.6);
});

test('a summer sun that is more than a fern can use: the lamps stay off, and nothing that they would have to do is offered', () => {
  const fern = stageOf('fern', 'growing-on');
  const sun = (dli: number) => ({ dli, from_min: at(5), to_min: at(20) });
  const served = { ...tray('fern', 100, 0.1, fern), daylight: sun(1.2 * fern.dliMax) };
  const answer = solveTimer([served], rules(), six);
  expect(answer.lit_min).toBe(0);
  expect(answer.results[0]).toMatchObject({ says: 'much', tooMuchSun: true, light: null });
  // With the lamps on it is still the sun's doing.
  const noon = { ...six, on_min: at(8), lit_min: 600 };
  expect(resultsOn([served], rules(), noon).results[0]).toMatchObject({ says: 'much', tooMuchSun: true, light: null });
  // Where they add the rest to half of it, they can be taken back.
  const half = resultsOn([{ ...served, daylight: sun(0.8 * fern.dliMax) }], rules(), noon).results[0]!;
  expect(half).toMatchObject({ says: 'much', tooMuchSun: false });
  expect(half.light).toBeLessThan(1);
  // One that it leaves short beside one that it suits: lamps that are off cannot be made brighter.
  const tomato = { ...tray('tomato', 0, 0, stageOf('tomato')), daylight: sun(0.5) };
  expect(resultsOn([tomato], rules(), { ...six, lit_min: 0 }).results[0]).toMatchObject({ says: 'short', tooMuchSun: false, light: null });
});

test('10: crops whose days do not meet are told apart: who needs so long, who bears so little', () => {
  const long = { ...stageOf('tomato'), hoursMin: 16, hoursMax: 18 };
  const short = { ...stageOf('holiday-cactus'), hoursMin: 8, hoursMax: 11 };
  const answer = solveTimer([tray('tomato', 240, 0.1, long), tray('holiday-cactus', 120, 0.1, short)], rules(), six);
  expect(answer.limits[0]).toEqual({ why: 'crops-disagree', longId: 'tomato', atLeast: 16, shortId: 'holiday-cactus', atMost: 11 });
  expect(answer.results.find((f) => f.trayId === 'tomato')!.alone).not.toBeNull();
});

test('against every on and off time: no limit that could be kept is broken, and no allowed times serve better', () => {
  const daylights = [null, { dli: 3, from_min: at(8), to_min: at(17) }];
  const any = fc.tuple(fc.constantFrom(...cropLibrary), evenly(40, 420), evenly(0.03, 0.3), fc.constantFrom(...daylights), fc.nat(3));
  const pauses = fc.constantFrom(null, null, { from_min: at(12), to_min: at(15) }, { from_min: at(19), to_min: at(1) });
  fc.assert(
    fc.property(fc.array(any, { minLength: 1, maxLength: 4 }), pauses, (trays, pause) => {
      const served = trays.map(([crop, mean, spread, daylight, at1], i): Served => ({
        ...tray('x', mean, spread, crop.stages[at1 % crop.stages.length]!),
        trayId: `t${i}`,
        daylight,
      }));
      const answer = solveTimer(served, rules(), { ...six, lit_min: Math.min(960, mostLit(pause)), pause });
      const worth = (on_min: number, lit_min: number) => {
        const days = served.map((s) => ({ on_min, lit_min, pause, daylight: s.daylight }));
        const long = Math.max(...served.map((s, i) => photoperiodOf(days[i]!) - s.limits.longestDay));
        const losses = served.map((s, i) => lossOf(s.light, s.stage, s.limits, days[i]!));
        return { long, loss: losses.reduce((a, b) => a + b, 0) / losses.length + Math.max(...losses) };
      };
      const found = worth(answer.on_min, answer.lit_min);
      const canBeKept = served.every((s) => !s.daylight || (s.daylight.to_min - s.daylight.from_min) / 60 <= s.limits.longestDay);
      if (canBeKept) expect(found.long).toBeLessThanOrEqual(1 / 60 + 1e-9);
      let best = Infinity;
      for (let lit = 30; lit <= mostLit(pause); lit += 30)
        for (let on = 0; on < 1440; on += 30) {
          const w = worth(on, lit);
          if (w.long <= Math.max(0, found.long) + 1e-9) best = Math.min(best, w.loss);
        }
      expect(found.loss).toBeLessThanOrEqual(best + 1e-6);
    }),
    { numRuns: 40 },
  );
});

test('what suits on a timer is what the verdict says: 20 000 timers', () => {
  const any = fc.tuple(fc.constantFrom(...cropLibrary), evenly(20, 700), evenly(0, 0.5), fc.integer({ min: 0, max: 96 }));
  fc.assert(
    fc.property(any, ([crop, mean, spread, quarters]) => {
      const s = tray('x', mean, spread, crop.stages.at(-1)!);
      const [fare] = resultsOn([s], rules(), { on_min: 0, lit_min: quarters * 15, pause: null }).results;
      const received = receivedOf(s.light, { on_min: 0, lit_min: quarters * 15, pause: null, daylight: null });
      expect(fare!.says).toBe(standingOf(saysOf(received, s.stage, s.limits)));
      if (fare!.says === 'suits') expect(received.strongestPpfd).toBeLessThanOrEqual(s.stage.ppfdMax * (1 + 1e-6));
    }),
    { numRuns: 20_000 },
  );
});

test('a tomato beside a lettuce that is planned day and night gets no more than its 18 hours, and both are told what would help', () => {
  const lettuce = { ...tray('lettuce', 170), limits: { longestDay: 24, strongest: 400, dliMax: 17 }, wish: 24 };
  const answer = solveTimer([tray('tomato', 220), lettuce], rules(), six);
  expect(answer.lit_min / 60).toBeLessThanOrEqual(18);
});

test('a tray that nobody has planned has a voice: its limits hold, however small it is', () => {
  const onion = tray('bulb-onion', 300, 0.05);
  const many = Array.from({ length: 6 }, (_, i) => ({ ...tray('tomato', 150), trayId: `t${i}`, wish: 18 }));
  expect(solveTimer([...many, onion], rules(), six).lit_min / 60).toBeLessThanOrEqual(stageOf('bulb-onion').hoursMax);
});

test('no common hours: it is said who would be in range on a timer of their own', () => {
  const fern = tray('fern', 70, 0.1, stageOf('fern', 'growing-on'));
  const tomato = tray('tomato', 300);
  const answer = solveTimer([fern, tomato], rules(), six);
  expect(answer.lit_min / 60).toBeLessThanOrEqual(fern.limits.longestDay);
  const told = answer.limits.map((l) => l.why);
  expect(told.includes('no-common-hours') || told.includes('crops-disagree') || answer.results.every((f) => f.says === 'suits')).toBe(true);
  for (const f of answer.results) if (f.says !== 'suits') expect(f.alone === null || f.alone > 0).toBe(true);
});

test('daylight does part of the dose: the lamps burn for less, along with the day, and the night stays in one piece', () => {
  const stage = { ...stageOf('leek'), hoursMin: 8 };
  const daylight = { dli: 2, from_min: at(8), to_min: at(17) };
  const strength = stage.dliTarget / (12 * MOL_SECONDS);
  const lampsAlone = solveTimer([tray('leek', strength, 0.02, stage)], rules(), { on_min: at(20), lit_min: 600, pause: null });
  const withDay = solveTimer([{ ...tray('leek', strength, 0.02, stage), daylight }], rules(), {
    on_min: at(20),
    lit_min: 600,
    pause: null,
  });
  expect(withDay.lit_min / lampsAlone.lit_min).toBeWithin((stage.dliTarget - 2) / stage.dliTarget, { absolute: 0.03 });
  expect(overlapOf(withDay.on_min, withDay.lit_min, daylight)).toBe(540);
  expect(withDay.results[0]!.mean).toBeWithin(stage.dliTarget, { relative: 0.03 });
});

test('where the day would be too short for the crop, lamps lengthen it; where it would be too long, they burn along with it', () => {
  const daylight = { dli: 6, from_min: at(9), to_min: at(16) };
  const tomato = { ...tray('tomato', 250), daylight };
  const long = solveTimer([tomato], rules(), six);
  expect(long.results[0]!.photoperiod).toBeGreaterThanOrEqual(14 - 0.02);
  expect(long.results[0]!.photoperiod).toBeLessThanOrEqual(18 + 0.02);
  const summer = { ...tray('bulb-onion', 120), daylight: { dli: 4, from_min: at(6), to_min: at(20) } };
  const along = solveTimer([summer], rules(), { on_min: at(18), lit_min: 600, pause: null });
  expect(along.results[0]!.photoperiod).toBeLessThanOrEqual(14 + 0.02);
});

test('daylight adds up to its whole by the evening, half of it by the middle of its day, and never less than before', () => {
  const day = { dli: 6, from_min: at(7), to_min: at(19) };
  expect([daylightBy(day, 0), daylightBy(day, at(7)), daylightBy(day, at(19)), daylightBy(day, 1440)]).toEqual([0, 0, 6, 6]);
  expect(daylightBy(day, at(13))).toBeWithin(3, { absolute: 1e-9 });
  for (let m = 1; m < 1440; m++) expect(daylightBy(day, m)).toBeGreaterThanOrEqual(daylightBy(day, m - 1));
});

test('without a tray the timer stays as it is, in its steps', () => {
  expect(solveTimer([], rules(), six)).toMatchObject({ on_min: 360, lit_min: 960, results: [] });
});

test('lamps stay off where daylight is enough, and are no way to keep a limit on strength that all hours break', () => {
  const sun = (usual: number) => ({
    dli: usual * 14 * 0.0036,
    from_min: 300,
    to_min: 1140,
    course: {
      mean: Array.from({ length: 24 }, (_, h) => (h >= 5 && h < 19 ? usual : 0)),
      clear: Array.from({ length: 24 }, (_, h) => (h >= 5 && h < 19 ? 1.2 * usual : 0)),
      peak: 1.2 * usual,
      off: { low: 0.2, high: 0.2 },
    },
  });
  const best = (usual: number, lamps: number) => {
    const daylight = usual > 0 ? sun(usual) : null;
    return solveTimer([{ ...tray('lettuce', lamps), daylight }], rules(), six).lit_min;
  };
  const stage = tray('lettuce', 100).stage;
  // Right by the sun alone: the crop's best dose in fourteen hours.
  expect(best(stage.dliTarget / (14 * 0.0036), 100)).toBe(0);
  // Half of it: lamps make up for the rest.
  expect(best(stage.dliTarget / 2 / (14 * 0.0036), 100)).toBeGreaterThan(60);
  // Stronger than leaves bear at whatever hour, without any sun: the least of hours, but not the dark.
  expect(best(0, 2 * stage.ppfdMax)).toBeGreaterThan(0);
});
