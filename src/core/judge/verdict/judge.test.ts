import type { Stage } from '../../things/crop/Crop';
import fc from 'fast-check';
import { evenly } from '../../../../test/evenly';
import { limitsOfStage } from '../../../../test/limitsOfStage';
import type { Daylight } from '../../site/stand/Daylight';
import { spreadOf } from '../dli/LightSpread';
import { cropLibrary } from '../../things/crop/cropLibrary';
import { AS_SET } from '../../site/timer/HoursPlan';
import { combine, type Uncertainty } from '../uncertainty/Band';
import { breachesOf, depthOf, hardLimitsOf, isWorse, limitsOfBatch } from './hardLimits';
import { judge, type JudgeQuestion } from './judge';
import { BREACH, lossOf, shareInBand } from './loss';
import { saysOf } from './standing';

// A made-up stage with round numbers: 10–20 mol in 10 h is 278–556 µmol, but no more than 500.
const stage: Stage = {
  stage: 'seedling',
  label: null,
  fromDay: 0,
  dliMin: 10,
  dliTarget: 15,
  dliMax: 20,
  ppfdMax: 500,
  hoursMin: 8,
  hoursMax: 16,
  basis: 'consensus',
};
const still = { nearer: 0, farther: 0 };
const question = (weakest: number, mean: number, strongest: number, hours = 10, change: Partial<JudgeQuestion> = {}): JudgeQuestion => ({
  light: { ...spreadOf([weakest, mean, strongest]), mean },
  perCm: { weakest: still, mean: still, strongest: still },
  shareInBand: 1,
  stage,
  limits: limitsOfStage(stage),
  day: { on_min: 360, lit_min: hours * 60, pause: null, daylight: null },
  uncertainties: [],
  ...change,
});
const uncertain = (low: number, high = low): Uncertainty => ({ why: 'box-label', low, high, source: 'test' });

test.each([
  [300, 400, 490, 'in-range'],
  [100, 300, 450, 'edge-dim'],
  [100, 200, 300, 'all-dim'],
  [100, 150, 200, 'all-dim'],
  [300, 400, 600, 'spot-strong'],
  [600, 700, 800, 'all-strong'],
  [100, 400, 800, 'dim-and-strong'],
  [0, 0, 0, 'dark'],
] as const)('weakest %d, mean %d, strongest %d µmol in 10 h says %s', (weakest, mean, strongest, says) => {
  expect(judge(question(weakest, mean, strongest)).says).toBe(says);
});

test('over the leaf’s ceiling though the dose is right: the strength binds', () => {
  expect(judge(question(300, 400, 520)).strengthBinds).toBe(true);
  expect(judge(question(150, 200, 400, 16)).strengthBinds).toBe(false);
});

test('certain only if ninety-nine of a hundred such lamps would earn the word, likely if ninety would', () => {
  // 320 to 480 within 278 to 500: a factor of 1.15 down and 1.04 up are in hand.
  const with1 = (d: Uncertainty) => judge(question(320, 400, 480, 10, { uncertainties: [d] }));
  expect(with1(uncertain(0.02)).certainty).toBe('sure');
  expect(with1(uncertain(0.14, 0.03)).certainty).toBe('likely');
  expect(with1(uncertain(0.3)).certainty).toBe('open');
  // One end of a band alone is not enough for "likely".
  expect(with1(uncertain(0.3, 0.02)).certainty).toBe('open');
  expect(with1(uncertain(0.3)).probability).toBeLessThan(0.9);
});

test('the band of a spot holds nine in ten: its own sensitivity to a centimetre counts', () => {
  const near = { nearer: 0.21, farther: 0.15 };
  const { weakest, strongest } = judge(question(300, 400, 480, 10, { perCm: { weakest: still, mean: still, strongest: near } }));
  expect([weakest.low, weakest.high]).toEqual([weakest.value, weakest.value]);
  // An error of one centimetre is at the ends of the band.
  expect(strongest.high / strongest.value).toBeWithin(1.21, { relative: 0.02 });
  expect(strongest.low / strongest.value).toBeWithin(0.85, { relative: 0.02 });
});

test('days beyond what the crop bears, or too short for it, are said; too long a day does not suit', () => {
  expect(judge(question(200, 230, 300, 17))).toMatchObject({ hoursTooLong: true, says: 'day-too-long', standing: 'long' });
  expect(judge(question(400, 420, 490, 7)).hoursTooShort).toBe(true);
});

test('doubts add as the root of the sum of squares of their logarithms, each side for itself', () => {
  const both = combine([uncertain(0.3, 0.1), uncertain(0.4, 0)]);
  expect(both.low).toBeWithin(1 - Math.exp(-Math.hypot(Math.log(0.7), Math.log(0.6))), { relative: 1e-12 });
  expect(both.high).toBeWithin(0.1, { relative: 1e-12 });
  expect(combine([uncertain(0.9), uncertain(0.9)]).low).toBeLessThan(1);
});

const daylight: Daylight = { dli: 6, from_min: 480, to_min: 960 };

test('lamp and daylight together make the dose, the photoperiod and the strength', () => {
  // 6 mol by day in 8 h: at noon 6 · π / (2 · 8 · 0.0036) = 327 µmol.
  const night = judge(question(100, 120, 150, 8, { day: { on_min: 960, lit_min: 480, pause: null, daylight } }));
  expect(night.received.mean).toBeWithin(6 + 120 * 8 * 0.0036, { relative: 1e-9 });
  expect(night.received.photoperiod).toBe(16);
  expect(night.received.strongestPpfd).toBeWithin(327.2, { relative: 0.001 });
  const along = judge(question(100, 120, 150, 8, { day: { on_min: 480, lit_min: 480, pause: null, daylight } }));
  expect(along.received.photoperiod).toBe(8);
  expect(along.received.strongestPpfd).toBeWithin(327.2 + 150, { relative: 0.001 });
});

test('enough daylight with the lamps off is not "no light"', () => {
  const off = (dli: number) =>
    judge(question(0, 0, 0, 0, { day: { on_min: 0, lit_min: 0, pause: null, daylight: { dli, from_min: 360, to_min: 1080 } } }));
  expect(off(13).says).toBe('in-range');
  expect(off(13).shareInBand).toBe(1);
  expect(off(4).says).toBe('all-dim');
  // Skies differ: what is stated for a month is not certain for a day.
  expect(off(13).certainty).not.toBe('sure');
});

test('a pause makes two days of one: plants count the longest night, lamps beside the sun only while they burn', () => {
  const pause = { from_min: 600, to_min: 960 };
  const lamps = { on_min: 360, lit_min: 480, pause, daylight: null }; // 06:00–10:00 and 16:00–20:00
  const { received } = judge(question(100, 100, 100, 0, { day: lamps }));
  expect([received.photoperiod, received.mean]).toEqual([14, expect.closeTo(100 * 8 * 0.0036, 9)]);
  const sun = { dli: 5, from_min: 540, to_min: 900 };
  const beside = judge(question(100, 100, 100, 0, { day: { ...lamps, daylight: sun } })).received;
  const peak = (5 * Math.PI) / (2 * 6 * 0.0036);
  // At ten o'clock lamps go off while the sun rises still: an hour of its six has gone. At noon it stands alone.
  expect(beside.strongestPpfd).toBeCloseTo(Math.max(peak, 100 + peak * Math.sin(Math.PI / 6)), 6);
  expect(beside.photoperiod).toBe(14);
  // A break of the night: eight hours of light, and a day of fifteen for a plant that must not have more than fourteen.
  // Two hours after dusk, in the dark between: the night is all that is left.
  const late = { on_min: 1200, lit_min: 120, pause: null, daylight: { dli: 5, from_min: 480, to_min: 960 } };
  expect(judge(question(100, 100, 100, 0, { day: late })).received.photoperiod).toBe(14);
  const broken = { on_min: 480, lit_min: 480, pause: { from_min: 900, to_min: 1380 }, daylight: null };
  expect(judge(question(100, 100, 100, 0, { day: broken })).received.photoperiod).toBe(16);
});

test('minute by minute: photoperiod and strength are what a clock and a meter would find', () => {
  const minute = fc.integer({ min: 0, max: 1439 });
  fc.assert(
    fc.property(
      minute,
      fc.integer({ min: 0, max: 1440 }),
      fc.integer({ min: 0, max: 700 }),
      fc.integer({ min: 5, max: 700 }),
      (on, lit, from, long) => {
        const day = { on_min: on, lit_min: lit, pause: null, daylight: { dli: 5, from_min: from, to_min: from + long } };
        let strongest = 0, dark = 0, night = 0; // prettier-ignore
        const peak = (5 * Math.PI) / (2 * (long / 60) * 0.0036);
        // Two days on end, so that a night is counted past midnight.
        for (let n = 0; n < 2880; n++) {
          const m = n % 1440;
          const lamp = (m - on + 1440) % 1440 < lit ? 200 : 0;
          const sun = m >= from && m <= from + long ? peak * Math.sin((Math.PI * (m - from)) / long) : 0;
          dark = lamp > 0 || (m >= from && m < from + long) ? 0 : dark + 1;
          night = Math.max(night, dark);
          strongest = Math.max(strongest, lamp + sun);
        }
        const { received } = judge(question(200, 200, 200, 0, { day }));
        expect(received.photoperiod * 60).toBeWithin(1440 - Math.min(1440, night), { absolute: 1e-6 });
        // Within a minute of the end of the lamps' hours.
        expect(received.strongestPpfd).toBeWithin(strongest, { absolute: 1e-6 + peak * Math.sin(Math.min(Math.PI / 2, Math.PI / long)) });
      },
    ),
    { numRuns: 60 },
  );
});

test('limits are facts: no crop, stage, plan or age allows a longer day or stronger light than its table, but day and night where it is borne', () => {
  for (const crop of cropLibrary)
    for (const s of crop.stages)
      for (const kind of ['as-set', 'steady', 'day-and-night', 'dose'] as const)
        for (const age of [null, 0, 2, 4, 5, 30]) {
          const limits = hardLimitsOf(s, crop, { ...AS_SET, kind, days: 60 }, age);
          expect(limits.strongest).toBe(s.ppfdMax);
          const injured = crop.continuousLightInjury === 'high' || crop.continuousLightInjury === 'some';
          if (limits.longestDay === s.hoursMax) continue;
          expect([limits.longestDay, kind, injured, (age ?? 0) < 5, s.fromDay === null]).toEqual([24, 'day-and-night', false, true, false]);
        }
});

test('day and night is over with its days; a batch without a date has no age, whatever it had before', () => {
  const lettuce = cropLibrary.find((c) => c.id === 'lettuce')!;
  const [first, second] = [lettuce.stages[0]!, lettuce.stages[1]!];
  const plan = { kind: 'day-and-night', hours: null, days: 3 } as const;
  const longest = (sown: number | null, age: number | undefined, stage = first) =>
    limitsOfBatch({ plan, sown, age }, lettuce, stage).longestDay;
  expect([longest(20_000, 2), longest(20_000, 3)]).toEqual([24, first.hoursMax]);
  expect([longest(null, 9), longest(null, 1, second)]).toEqual([24, second.hoursMax]);
  expect(longest(20_000, undefined, second)).toBe(second.hoursMax);
});

test('a breach has a depth, and deeper is worse', () => {
  const limits = limitsOfStage(stage);
  const of = (photoperiod: number, litPpfd: number) => breachesOf({ photoperiod, sunHours: 0, litPpfd, noonPpfd: 0, clearDli: 0 }, limits);
  expect(of(16, 500)).toEqual([]);
  expect(of(18, 500).map(depthOf)).toEqual([2]);
  expect(of(18, 1000).map((b) => b.why)).toEqual(['day-too-long', 'too-strong']);
  expect(isWorse(of(18, 500), of(17, 500))).toBe(false);
  expect(isWorse(of(18, 500), of(18.5, 500))).toBe(true);
  expect(isWorse(of(18, 500), of(16, 501))).toBe(true);
});

test('the loss is nothing at the best dose, grows with what is lacking and with what is too much, and a breach outweighs all', () => {
  const limits = limitsOfStage(stage);
  const day = { on_min: 0, lit_min: 600, pause: null, daylight: null };
  const loss = (...values: number[]) => lossOf(spreadOf(values), stage, limits, day);
  const target = 15 / (10 * 0.0036);
  expect(loss(target, target)).toBeWithin(0, { absolute: 1e-12 });
  expect(loss(target / 2, target)).toBeGreaterThan(loss(target / 1.8, target));
  expect(loss(50, 60)).toBeLessThan(loss(target, 510));
  expect(loss(target, 510)).toBeGreaterThan(0.2 * BREACH);
});

test('loss, word and share agree: nothing is wrong exactly when all of it is in range', () => {
  fc.assert(
    fc.property(fc.constantFrom(...cropLibrary), evenly(10, 700), evenly(1, 2), evenly(4, 24), (crop, low, times, hours) => {
      const s = crop.stages[0]!;
      const limits = limitsOfStage(s);
      const day = { on_min: 0, lit_min: Math.round(hours * 60), pause: null, daylight: null };
      const spread = spreadOf([low, low * Math.sqrt(times), low * times]);
      const verdict = judge(
        question(spread.weakest, spread.mean, spread.strongest, 0, {
          day,
          stage: s,
          limits,
          shareInBand: shareInBand(spread, s, day),
        }),
      );
      expect(verdict.says).toBe(saysOf(verdict.received, s, limits));
      if (verdict.says === 'in-range') expect([verdict.shareInBand, verdict.breaches.length]).toEqual([1, 0]);
      const most = 0.1 * Math.abs(Math.log(verdict.received.mean / s.dliTarget)) + 0.15 * Math.max(0, s.hoursMin - hours) + 0.003;
      if (verdict.says === 'in-range') expect(lossOf(spread, s, limits, day)).toBeLessThanOrEqual(most);
    }),
  );
});
