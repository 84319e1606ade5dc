import fc from 'fast-check';
import { evenly } from '../../../../test/evenly';
import { limitsOfStage } from '../../../../test/limitsOfStage';
import { monthSays } from '../../answer/daylight/suits';
import { solve } from '../../answer/solve/solve';
import type { Daylight } from '../../site/stand/Daylight';
import type { Stage } from '../../things/crop/Crop';
import { evenSpread } from '../dli/LightSpread';
import { clearDayOf, receivedOf } from '../dli/LightDay';
import { breachesOf } from './hardLimits';
import { judge } from './judge';
import { shareInBand, wrongIn } from './loss';
import { saysOf } from './standing';

// A made-up shade plant: 3–10 mol, at most 130 µmol.
const stage: Stage = { stage: 'maintenance', label: null, fromDay: 0, dliMin: 3, dliTarget: 6, dliMax: 10, ppfdMax: 130, hoursMin: 8, hoursMax: 14, basis: 'consensus' }; // prettier-ignore
const limits = limitsOfStage(stage);

/** Daylight from eight to four, as strong all day: as it usually is, and under a clear sky. */
const window = (usual: number, clear: number, off = 0.5): Daylight => {
  const course = (ppfd: number) => Array.from({ length: 24 }, (_, h) => (h >= 8 && h < 16 ? ppfd : 0));
  const dli = usual * 8 * 0.0036;
  return {
    dli,
    from_min: 480,
    to_min: 960,
    course: { mean: course(usual), clear: course(clear), peak: clear, off: { low: 0.5, high: off } },
  };
};
const day = (daylight: Daylight | null, hours = 12) => ({ on_min: 720 - hours * 30, lit_min: hours * 60, pause: null, daylight });

test('minute by minute at nine spots: the strongest beside the usual sky, beside a clear one, and of a clear one alone', () => {
  const nine = (from: number, to: number) => fc.array(evenly(from, to), { minLength: 9, maxLength: 9 });
  const hours = fc.array(fc.tuple(evenly(0, 200), evenly(0, 400)), { minLength: 24, maxLength: 24 });
  const asked = fc.tuple(hours, nine(0, 150), nine(0, 2), nine(0, 1), fc.integer({ min: 0, max: 1439 }), fc.integer({ min: 1, max: 1440 }));
  fc.assert(
    fc.property(asked, ([course, lamps, shares, clearly, on_min, lit_min]) => {
      const mean = course.map(([usual]) => usual);
      const clear = course.map(([usual, more]) => usual + more);
      const nineClear = clearly.map((v, i) => (i === 4 ? 1 : v));
      const peak = Math.max(...clear);
      const daylight = {
        dli: 5,
        from_min: 0,
        to_min: 1440,
        course: { mean, clear, peak, off: { low: 0, high: 0 }, nine: shares, nineClear },
      };
      const light = { weakest: Math.min(...lamps), mean: 0, strongest: Math.max(...lamps), nine: lamps };
      let most = 0, usually = 0, alone = 0; // prettier-ignore
      for (let m = 0; m < 1440; m++) {
        const isLit = (m - on_min + 1440) % 1440 < lit_min;
        const h = Math.floor(m / 60);
        for (let i = 0; i < 9; i++) {
          alone = Math.max(alone, clear[h]! * nineClear[i]!);
          most = Math.max(most, clear[h]! * nineClear[i]! + (isLit ? lamps[i]! : 0));
          if (isLit) usually = Math.max(usually, mean[h]! * shares[i]! + lamps[i]!);
        }
      }
      const got = receivedOf(light, { on_min, lit_min, pause: null, daylight });
      expect(got.strongestPpfd).toBeWithin(most, { absolute: 1e-9 });
      expect(got.noonPpfd).toBeWithin(alone, { absolute: 1e-9 });
      expect(got.litPpfd).toBeWithin(Math.min(most, usually), { absolute: 1e-9 });
    }),
    { numRuns: 300 },
  );
});

test('a clear noon that comes and goes does not send the lamp away: its limit goes by the usual sky', () => {
  // 40 µmol usually, 150 when it is clear: beside lamps of 80 the ceiling of 130 is kept on most days.
  const sun = window(40, 150);
  const says = (lamps: number) => saysOf(receivedOf(evenSpread(lamps), day(sun)), stage, limits);
  expect(says(80)).toBe('in-range');
  expect(says(95)).toBe('spot-strong');
  expect(breachesOf(receivedOf(evenSpread(95), day(sun)), limits)).toEqual([{ why: 'too-strong', ppfd: 135, most: 130 }]);
  expect(shareInBand(evenSpread(80), stage, day(sun))).toBe(1);
  // From where the ceiling is reached on, more light is worse; up to there it is none.
  const wrong = (lamps: number) => wrongIn(evenSpread(lamps), stage, limits, day(sun));
  expect([wrong(60), wrong(89)]).toEqual([0, 0]);
  expect(wrong(92)).toBeGreaterThan(1);
  expect(wrong(99)).toBeGreaterThan(wrong(92));
});

test('sun that scorches puts a tray out of range whatever its lamps do, and the solver says that no lamp mends it', () => {
  // Twice the ceiling, on clear days with more than the dose; within the dose it harms no leaf.
  const harsh = window(90, 260, 3);
  const morning = window(90, 260, 2);
  for (const [sun, isScorched] of [
    [harsh, true],
    [morning, false],
  ] as const) {
    expect(clearDayOf({ daylight: sun }).clearDli > 10).toBe(isScorched);
    for (const lamps of [0, 20, 35]) {
      const got = receivedOf(evenSpread(lamps), day(sun, lamps > 0 ? 12 : 0));
      const sunny = breachesOf(got, limits).filter((b) => b.why === 'sun-too-strong');
      expect(sunny).toEqual(isScorched ? [{ why: 'sun-too-strong', ppfd: 260, most: 130 }] : []);
      expect(saysOf(got, stage, limits) === 'in-range').toBe(lamps > 0 && !isScorched ? true : !isScorched && got.weakest >= 3);
      if (isScorched) expect(shareInBand(evenSpread(lamps), stage, day(sun))).toBe(0);
    }
    const profile = [0.1, 0.2, 0.3, 0.4, 0.5, 0.6].map((d) => ({ distance: d, centre: 8 / d ** 2, ...evenSpread(8 / d ** 2) }));
    const found = solve(profile, { stage, limits, daylight: sun, clearance: 0.05 }, { what: 'nothing' });
    expect(found.distances === null).toBe(isScorched);
    if (isScorched) expect(found.limits).toEqual([{ why: 'sun-too-strong', ppfd: 260 }]);
  }
});

test('the year at a place and the judgement of a tray there call the same sun scorching', () => {
  const month = fc.tuple(evenly(0, 200), evenly(0, 400), evenly(0, 3));
  fc.assert(
    fc.property(month, ([usual, more, off]) => {
      const daylight = window(usual, usual + more, off);
      const clearDay = clearDayOf({ daylight });
      const says = monthSays(
        { mean: daylight.dli, high: clearDay.clearDli, strongest: { ppfd: clearDay.noonPpfd, day: 0, minute: 0 } },
        stage,
      );
      const got = receivedOf(evenSpread(0), day(daylight, 0));
      expect(breachesOf(got, limits).some((b) => b.why === 'sun-too-strong')).toBe(says === 'scorch');
      if (says === 'suits') expect(saysOf(got, stage, limits)).toBe('in-range');
    }),
    { numRuns: 400 },
  );
});

test('the DLI that a tray may have at most is what lamps beside the usual sky bring in their hours, and the sky itself', () => {
  const most = (daylight: Daylight | null, hours = 12) => {
    const still = { nearer: 0, farther: 0 };
    const light = evenSpread(50);
    const perCm = { weakest: still, mean: still, strongest: still };
    return judge({ light, perCm, shareInBand: 1, stage, limits, day: day(daylight, hours), uncertainties: [] }).highDli;
  };
  // 130 µmol at most, 40 of them from the window: 90 for 12 h, and 40 for 8 h.
  expect(most(window(40, 60))).toBeCloseTo(0.0036 * (90 * 12 + 40 * 8), 9);
  expect(most(null)).toBeCloseTo(0.0036 * 130 * 12, 9);
  // A whole day of it would be more than the stage wants.
  expect(most(null, 24)).toBe(10);
  expect(most(window(40, 60), 0)).toBe(10);
  // Lamps can give nothing more beside such a window.
  expect(most(window(200, 300))).toBeCloseTo(0.0036 * 200 * 8, 9);
});
