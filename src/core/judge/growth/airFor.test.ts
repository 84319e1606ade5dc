import { airLately } from '../../site/growth/airLately';
import type { Logged } from '../../site/stand/Logged';
import { warmerBy } from './airFor';

const seen = (day: number, low: number | null, high: number | null, humidity: number | null): Logged => ({
  id: `a${day}`,
  day,
  what: 'air',
  height: null,
  stage: null,
  air: { low, high, humidity },
});

test('each figure of the air counts by its own latest entry, and not for ever', () => {
  const log = [seen(100, 21, 27, 40), seen(104, 17, null, null), seen(112, null, 24, null)];
  expect(airLately({ log }, 104)).toEqual({ low: 17, high: 27, humidity: 40 });
  expect(airLately({ log }, 112)).toEqual({ low: 17, high: 24, humidity: null });
  expect(airLately({ log }, 130)).toEqual({ low: null, high: null, humidity: null });
  // What is dated ahead is not known yet.
  expect(airLately({ log }, 99)).toEqual({ low: null, high: null, humidity: null });
});

test('how much too warm is told by day or by night, whichever is more; of nothing known nothing is said', () => {
  const likes = { day: 21, night: 17 };
  expect(warmerBy({ day: 22, night: 22 }, likes)).toBe(5);
  expect(warmerBy({ day: 27, night: null }, likes)).toBe(6);
  expect(warmerBy({ day: 15, night: 12 }, likes)).toBe(0);
  expect(warmerBy({ day: null, night: null }, likes)).toBeNull();
});
