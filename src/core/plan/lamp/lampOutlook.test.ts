import { hoursUntilFaded, maintenance } from '../../things/lamp/ageing';
import { lampLibrary } from '../../things/lamp/lampLibrary';
import { dayFrom } from '../../units/day';
import { fadingOf, MARKS } from './lampOutlook';

const TODAY = dayFrom(2027, 2, 20);

test('turned round and back: at the hours that are said a lamp gives just that share', () => {
  for (const lamp of lampLibrary)
    for (const share of [0.99, 0.9, 0.8, 0.7, 0.55]) {
      const hours = hoursUntilFaded(lamp, share);
      if (Number.isFinite(hours)) expect(maintenance(lamp, hours)).toBeWithin(share, { relative: 1e-9 });
      else expect(lamp.maintenanceAtEnd).toBe(1);
    }
  expect(hoursUntilFaded({ family: 'LED', life_h: 1000, maintenanceAtEnd: 1 }, 0.9)).toBe(Infinity);
  expect(hoursUntilFaded(lampLibrary[0]!, 1)).toBe(0);
  expect(() => hoursUntilFaded(lampLibrary[0]!, 0)).toThrow(RangeError);
});

test('days to a mark are those of a count day by day', () => {
  const lamp = { family: 'LED-bar', life_h: 20_000, maintenanceAtEnd: 0.7 };
  for (const { share, day } of fadingOf(lamp, 3000, 15.5, TODAY)) {
    let [hours, days] = [3000, 0];
    while (maintenance(lamp, hours) > share) {
      hours += 15.5;
      days++;
    }
    expect(day).toBe(TODAY + days);
  }
});

test('faded already is today; a lamp that burns nowhere has no day', () => {
  const lamp = { family: 'T8', life_h: 20_000, maintenanceAtEnd: 0.7 };
  expect(fadingOf(lamp, 19_999, 14, TODAY).map((f) => f.day)).toEqual([TODAY, TODAY, TODAY + 1]);
  expect(fadingOf(lamp, 0, 0, TODAY).map((f) => f.day)).toEqual(MARKS.map(() => null));
});
