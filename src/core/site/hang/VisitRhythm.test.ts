import fc from 'fast-check';
import { dayFrom, isoOf } from '../../units/day';
import { RHYTHMS, visitDays } from './VisitRhythm';

const from = dayFrom(2027, 2, 20);
const plain = { weekday: 6, time_min: 1080, away: [] } as const;
const dates = (days: readonly number[]) => days.map((d) => isoOf(d).slice(5));

test('a week of each rhythm, by the calendar', () => {
  // 20 February 2027 is a Saturday.
  expect(dates(visitDays({ ...plain, rhythm: 'weekly' }, from, from + 14))).toEqual(['02-20', '02-27', '03-06']);
  expect(dates(visitDays({ ...plain, rhythm: 'twice-weekly' }, from, from + 10))).toEqual(['02-20', '02-23', '02-27', '03-02']);
  expect(visitDays({ ...plain, rhythm: 'daily' }, from, from + 10)).toHaveLength(11);
  expect(dates(visitDays({ ...plain, rhythm: 'weekly', weekday: 3 }, from, from + 8))).toEqual(['02-20', '02-24']);
});

test('somebody comes on the last day before a trip and the first one after it, and never in between', () => {
  const away = [{ from: from + 3, to: from + 12 }];
  expect(visitDays({ ...plain, rhythm: 'weekly', away }, from, from + 20).map((d) => d - from)).toEqual([0, 2, 13, 14]);
});

test('for any rhythm and trips: in order, no day twice, none away, the edges of each trip, and every due day by its weekday', () => {
  const trip = fc
    .tuple(fc.integer({ min: 0, max: 60 }), fc.integer({ min: 0, max: 12 }))
    .map(([a, n]) => ({ from: from + a, to: from + a + n }));
  fc.assert(
    fc.property(fc.constantFrom(...RHYTHMS), fc.integer({ min: 0, max: 6 }), fc.array(trip, { maxLength: 3 }), (rhythm, weekday, away) => {
      const until = from + 50;
      const days = visitDays({ rhythm, weekday, time_min: 0, away }, from, until);
      const gone = (d: number) => away.some((a) => a.from <= d && d <= a.to);
      expect(days).toEqual([...new Set(days)].sort((a, b) => a - b));
      for (let d = from; d <= until; d++) {
        const onDay = new Date(`${isoOf(d)}T12:00:00Z`).getUTCDay();
        const isDue = rhythm === 'daily' || onDay === weekday || (rhythm === 'twice-weekly' && onDay === (weekday + 3) % 7);
        const isEdge = away.some((a) => d === a.from - 1 || d === a.to + 1);
        expect([isoOf(d), days.includes(d)]).toEqual([isoOf(d), !gone(d) && (d === from || isDue || isEdge)]);
      }
    }),
    { numRuns: 60 },
  );
});
