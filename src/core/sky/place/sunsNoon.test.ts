import { minutesAhead, winterAhead } from '../../units/clockChanges';
import { dayFrom } from '../../units/day';
import { radiansOf } from './readCoordinate';
import { isOtherZone, sunsNoon } from './sunsNoon';
import zones from './zoneTowns.json';

const DAY = dayFrom(2026, 11, 29);

test('the sun is highest at noon on its own meridian, and four minutes later for every degree west', () => {
  expect(sunsNoon(0, 0)).toBe(720);
  expect(sunsNoon(radiansOf(-10), 0)).toBeWithin(760, { absolute: 1e-9 });
  expect(sunsNoon(radiansOf(15), 60)).toBeWithin(720, { absolute: 1e-9 });
  expect(sunsNoon(radiansOf(-74), -300)).toBeWithin(716, { absolute: 1e-9 });
  // Nowhere but on the day’s circle, whatever the side of the date line.
  expect(sunsNoon(radiansOf(179), -720)).toBeWithin(720 - 720 - 716 + 1440, { absolute: 1e-9 });
});

test('a place fits the clocks of its own zone, wherever it is, and not those of the other side of the world', () => {
  const all = Object.entries(zones as unknown as Record<string, readonly [number, number]>);
  expect(all.length).toBeGreaterThan(50);
  for (const [zone, [, longitude]] of all) {
    if (zone.startsWith('Etc/')) continue;
    const ahead = minutesAhead(zone)(DAY);
    expect([zone, isOtherZone(radiansOf(longitude), ahead)]).toEqual([zone, false]);
    expect(isOtherZone(radiansOf(longitude), ahead + 8 * 60)).toBe(true);
  }
});

test('clocks in winter are not those that were put forward', () => {
  const here = minutesAhead(null);
  expect(winterAhead(DAY)).toBe(Math.min(here(DAY), here(DAY + 182)));
  expect(winterAhead(DAY + 182)).toBe(winterAhead(DAY));
});
