import { tables } from '@/core/things/tables/libraryTables';
import { benchStandOf } from '@/core/answer/stand/benchStand';
import { powerOf, timersOf } from '@/core/plan/timer/servedBy';
import type { TimerResult } from '@/core/plan/timer/solveTimer';
import { demoSite } from '@/store/site/demoSite';
import type { ClockForm } from '@/core/units/clock';
import type { Span } from '@/core/units/Span';
import { cureWords, inRangeWords, timerLimitWords, timerName, timesWords, turnTiersWords } from './timerWords';

const site = demoSite('en-GB');
const rack = benchStandOf(
  site,
  site.stands.find((s) => s.id === 'demo-rack')!,
  tables,
);
const timers = timersOf(rack);
const results = (change: Partial<TimerResult>): TimerResult => ({
  trayId: 't',
  weakest: 5,
  mean: 6,
  strongest: 7,
  photoperiod: 16,
  says: 'short',
  alone: null,
  tooMuchSun: false,
  light: 1.3,
  ...change,
});

test('tiers on one timer are one timer, named by their numbers, with the watts of all their lamps', () => {
  expect(timers.map((t) => timerName(t, false))).toEqual([
    'Timer of tier 1',
    'Timer of tier 2',
    'Timer of tier 3',
    'Timer of tiers 4 and 5',
  ]);
  expect(timerName(timers[0]!, true)).toBe('The timer');
  const watts = rack.tiers.slice(3).flatMap((t) => t.lamps.map((l) => l.lamp.power)).reduce((a, b) => a + b, 0); // prettier-ignore
  expect(powerOf(timers[3]!)).toBe(watts);
});

test('times past midnight, never and always, and with a pause', () => {
  const at = (on_min: number, lit_min: number, pause: Span | null = null, clock: ClockForm = '24') =>
    timesWords({ on_min, lit_min, pause }, clock);
  expect(at(360, 600, { from_min: 720, to_min: 900 })).toBe('06:00 to 12:00 and 15:00 to 19:00');
  expect([at(1320, 240), at(0, 0), at(300, 1440)]).toEqual(['22:00 to 02:00', 'off all day', 'day and night']);
  expect(at(390, 750, null, '12')).toBe('6:30\u00a0am to 7:00\u00a0pm');
});

test('a cure is a timer of its own where that would do, else more or less light; an uneven tray needs another lamp', () => {
  expect(cureWords(results({ says: 'suits' }), true, false)).toBeNull();
  expect(cureWords(results({ alone: 16 }), true, false)).toBe(
    'On a timer of its own 16 h would do; on this one, 30 % more light would do.',
  );
  expect(cureWords(results({ alone: 16 }), false, false)).toBe('With these hours 30 % more light would do: nearer or stronger lamps.');
  expect(cureWords(results({ says: 'much', light: 0.75 }), true, false)).toBe(
    'With these hours 25 % less light would do: raise the lamps.',
  );
  expect(cureWords(results({ light: 8.2 }), true, false)).toMatch(/8 times the light would do/);
  expect(cureWords(results({ says: 'uneven' }), true, false)).toMatch(/too uneven for any hours/);
  expect(cureWords(results({ light: 4904 }), true, false)).toMatch(/less than a tenth of what it needs: move it under them/);
  // Nothing is offered that lamps would have to do where they are off, or where the sun alone is too much.
  expect(cureWords(results({ says: 'much', tooMuchSun: true, light: null }), true, false)).toMatch(
    /^Daylight alone is too much for it. A net curtain, or/,
  );
  // Where one hangs, another of the kind is no help.
  expect(cureWords(results({ says: 'much', tooMuchSun: true, light: null }), true, true)).toMatch(/ A denser curtain, or/);
  expect(cureWords(results({ light: null }), true, false)).toBe(
    'Its lamps stay off for the others: it needs lamps and a timer of its own.',
  );
  expect(cureWords(results({ light: null }), false, false)).toBe('Its lamps are off.');
  expect(cureWords(results({ alone: 3, light: null }), true, false)).toBe(
    'On a timer of its own 3 h would do; on this one, the lamps stay off.',
  );
});

test('how many trays are in range', () => {
  const of = (...says: readonly ('suits' | 'short')[]) => inRangeWords(says.map((s) => ({ says: s })));
  expect([of('suits'), of('suits', 'suits'), of('suits', 'short')]).toEqual([
    'The tray is then in range.',
    'All trays are then in range.',
    '1 of 2 trays are then in range.',
  ]);
});

test('dimmers are told by their tiers, or by the lamps where there is but one', () => {
  const [first, second] = rack.tiers;
  const to = (share: number, by = share) => ({ to: share, by, draw: share });
  expect(turnTiersWords([{ tier: first!, dimming: to(0.6) }], false)).toBe('dim tier 1 to 60 %');
  expect(turnTiersWords([{ tier: first!, dimming: to(0.6) }], true)).toBe('dim the lamps to 60 %');
  expect(turnTiersWords([{ tier: first!, dimming: to(0.6) }, { tier: second!, dimming: to(0.8, 1.6) }], true)).toBe('dim tier 1 to 60 % and turn tier 2 up to 80 %'); // prettier-ignore
});

test('limits name the crop and its hours', () => {
  const nameOf = (id: string) => rack.tiers.flatMap((t) => t.trays).find((y) => y.tray.id === id)!.called;
  const [leek, pea] = rack.tiers[0]!.trays;
  expect(timerLimitWords({ why: 'longest-day', trayId: leek!.tray.id, hours: 14 }, nameOf)).toBe('Leek: at most 14 h a day.');
  expect(timerLimitWords({ why: 'quiet', longest: 12.5 }, nameOf)).toMatch(/leave no more than 12/);
  const apart = { why: 'crops-disagree', longId: pea!.tray.id, atLeast: 16, shortId: leek!.tray.id, atMost: 12 } as const;
  expect(timerLimitWords(apart, nameOf)).toBe('Sweet pea: at least 16 h a day. Leek: at most 12 h. They need timers of their own.');
  expect(timerLimitWords({ why: 'no-common-hours', trayIds: [leek!.tray.id, pea!.tray.id] }, nameOf)).toBe(
    'No hours suit all of them: Leek and Sweet pea would be in range on timers of their own or in another place.',
  );
  expect(cureWords(results({ says: 'long' }), true, false)).toMatch(/more darkness/);
});
