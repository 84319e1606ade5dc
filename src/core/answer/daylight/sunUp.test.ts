import { dayFrom } from '../../units/day';
import { sunUp } from './daylightAt';

const RAD = Math.PI / 180;
const at = (latitude: number, day: number, longitude = 0, ahead_min = 0) =>
  sunUp({ place: { latitude: latitude * RAD, longitude: longitude * RAD }, day, ahead_min });
const JUNE = dayFrom(2027, 6, 21);
const DECEMBER = dayFrom(2027, 12, 21);

test('beyond the circle the sun is up all day in summer and not at all in winter', () => {
  expect(at(75, JUNE)).toEqual({ from_min: 0, to_min: 1440 });
  expect(at(75, DECEMBER)).toBeNull();
  expect(at(-75, DECEMBER)).toEqual({ from_min: 0, to_min: 1440 });
  expect(at(-75, JUNE)).toBeNull();
});

test('elsewhere it rises and sets by the clocks of the place', () => {
  // At the equator about twelve hours, its middle at noon of the meridian (equation of time: within a quarter of an hour).
  const { from_min, to_min } = at(0, JUNE)!;
  expect(to_min - from_min).toBeWithin(727, { absolute: 3 });
  expect((from_min + to_min) / 2).toBeWithin(720, { absolute: 16 });
  // London, midsummer: 03:43 to 20:22 UTC (almanac), an hour later by summer time.
  const summer = at(51.5, JUNE, -0.13, 60)!;
  expect(summer.from_min).toBeWithin(4 * 60 + 43, { absolute: 2 });
  expect(summer.to_min).toBeWithin(21 * 60 + 21, { absolute: 2 });
  const later = at(51.5, JUNE, -15.13, 60)!;
  expect(later.from_min - summer.from_min).toBeWithin(60, { absolute: 1 });
});
