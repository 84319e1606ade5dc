import fc from 'fast-check';
import { cropLibrary } from '../../things/crop/cropLibrary';
import { heightAt } from '../../things/crop/heightAt';
import { plantAfter, sprout, stateOf, type Plant, type PlantDay } from './Plant';
import { stretchOf } from './stretchOf';

const crops = cropLibrary.filter((c) => c.stages[0]!.fromDay !== null);
const crop = fc.constantFrom(...crops);
const WIDE = { longestDay: 24, strongest: 1e6, dliMax: 1e6 };
const calm: Omit<PlantDay, 'dli'> = { litPpfd: 100, noonPpfd: 0, clearDli: 0, photoperiod: 14, sunHours: 0, heat: 0 };
const grow = (c: (typeof crops)[number], days: number, dli: number, limits = WIDE, day = calm): Plant => {
  let plant = sprout(c);
  for (let i = 0; i < days; i++) {
    const stage = c.stages.findLast((s) => (s.fromDay ?? 0) <= plant.age)!;
    plant = plantAfter(plant, { ...day, dli }, c, stage, limits);
  }
  return plant;
};

test('in enough light a plant follows the curve of its crop, and is sound', () => {
  fc.assert(
    fc.property(crop, fc.integer({ min: 1, max: 30 }), (c, days) => {
      const enough = Math.max(...c.stages.filter((s) => s.fromDay! < days).map((s) => s.dliMin));
      const plant = grow(c, days, enough);
      expect(plant.height).toBeWithin(heightAt(c, days), { relative: 1e-9 });
      expect(plant.grown).toBeCloseTo(days, 9);
      expect(plant.missed).toBeCloseTo(0, 9);
    }),
  );
});

test('less light never makes it shorter, never lets it grow more, and never misses less', () => {
  fc.assert(
    fc.property(
      crop,
      fc.integer({ min: 1, max: 30 }),
      fc.double({ min: 0, max: 30, noNaN: true }),
      fc.double({ min: 0, max: 1, noNaN: true }),
      (c, days, dli, share) => {
        // prettier-ignore
        const [more, less] = [grow(c, days, dli), grow(c, days, dli * share)];
        expect(less.height).toBeGreaterThanOrEqual(more.height - 1e-12);
        expect(less.grown).toBeLessThanOrEqual(more.grown + 1e-12);
        expect(less.missed).toBeGreaterThanOrEqual(more.missed - 1e-12);
      },
    ),
  );
});

test('a fortnight in the dark makes every seedling that stretches leggy, and a strong lamp burns it', () => {
  for (const c of crops.filter((x) => x.stretchProne >= 3 && heightAt(x, 14) > 1.2 * heightAt(x, 0)))
    expect([c.id, stateOf(grow(c, 14, 0), c)]).toEqual([c.id, 'leggy']);
  for (const c of crops) expect(stateOf(grow(c, 2, 10, { ...WIDE, strongest: 50 }), c)).toBe('burnt');
});

test('what stretches most grows four times as fast in the dark', () => {
  expect(stretchOf({ stretchProne: 5 }, { dliMin: 8 }, 0)).toBe(4);
  expect(stretchOf({ stretchProne: 5 }, { dliMin: 8 }, 8)).toBe(1);
  expect(stretchOf({ stretchProne: 1 }, { dliMin: 8 }, 4)).toBeCloseTo(1.3, 12);
});

test('tomatoes are injured by days that lettuce bears', () => {
  const [tomato, lettuce] = ['tomato', 'lettuce'].map((id) => crops.find((c) => c.id === id)!);
  const long = { ...calm, photoperiod: 24 };
  expect(grow(tomato!, 10, 12, { ...WIDE, longestDay: 18 }, long).harm).toBeGreaterThan(3 * grow(lettuce!, 10, 12, { ...WIDE, longestDay: 18 }, long).harm); // prettier-ignore
});
