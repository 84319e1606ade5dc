import ICAL from 'ical.js';
import fc from 'fast-check';
import { tzlib_get_ical_block } from 'timezones-ical-library';
import { zoneOf } from './zoneOf';
import { clockChanges } from '../../core/units/clockChanges';
import { dayFrom } from '../../core/units/day';
import { writeIcs, type CalendarEvent } from '../../core/exchange/formats/writeIcs';

const event = (day: number, at_min: number, more: Partial<CalendarEvent> = {}): CalendarEvent => ({
  uid: `v${day}@here`,
  day,
  at_min,
  long_min: 20,
  title: 'Lamps up',
  text: 'Tier 1',
  ...more,
});
const zone = (id: string) => ({ id, component: (tzlib_get_ical_block(id) as string[])[0]! });

/** Reads a calendar with a parser that knows nothing of this application, by the time zone rules that it carries. */
function read(text: string) {
  const root = new ICAL.Component(ICAL.parse(text) as unknown[]);
  for (const z of root.getAllSubcomponents('vtimezone')) ICAL.TimezoneService.register(z);
  return root.getAllSubcomponents('vevent').map((v) => new ICAL.Event(v));
}

/** What a clock on the wall shows, by the browser's own knowledge of time zones. */
const wall = (at: Date, timeZone: string) =>
  new Intl.DateTimeFormat('en-GB', { timeZone, dateStyle: 'short', timeStyle: 'short' }).format(at);

test.each([
  ['Europe/Lisbon', dayFrom(2027, 3, 28)], // clocks forward at 1:00 UTC
  ['Europe/Lisbon', dayFrom(2027, 10, 31)], // and back
  ['America/Halifax', dayFrom(2026, 11, 1)],
  ['Australia/Hobart', dayFrom(2027, 4, 4)],
] as const)('in %s six in the evening is six in the evening before, on and after the night of a clock change', (id, change) => {
  const days = [change - 1, change, change + 1];
  const events = read(writeIcs('Rack', days.map((d) => event(d, 18 * 60)), zone(id), Date.UTC(2026, 10, 25, 9))); // prettier-ignore
  expect(events.map((e) => wall(e.startDate.toJSDate(), id).slice(-5))).toEqual(['18:00', '18:00', '18:00']);
  // The world's clock moves by the hour that the change takes.
  const utc = events.map((e) => e.startDate.toJSDate().getTime());
  expect(new Set([utc[1]! - utc[0]!, utc[2]! - utc[1]!])).toContain(24 * 3600_000);
  expect(Math.abs(utc[2]! - utc[0]! - 48 * 3600_000)).toBe(3600_000);
});

test('without a time zone times float; all of an entry is read as it was written', () => {
  const text = 'Tier 1: both lamps 2 links up, face 24 cm; leek, celery\\late\nTier 2: 3 notches – “ours”';
  const [read1] = read(
    writeIcs('A; rack, of ours', [event(dayFrom(2027, 2, 13), 7 * 60 + 5, { title: 'Rack: two, things; to do', text })], null, 0),
  );
  expect(read1!.startDate.toString()).toBe('2027-02-13T07:05:00');
  expect(read1!.startDate.zone.tzid).toBe('floating');
  expect(read1!.summary).toBe('Rack: two, things; to do');
  expect(read1!.description).toBe(text);
  expect(read1!.duration.toSeconds()).toBe(1200);
});

test('any text comes back whole, in lines of no more than 75 octets', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'grapheme', maxLength: 300 }), (title) => {
      const clean = title.replace(/[\u0000-\u001f\u007f\u2028\u2029]/g, ' ');
      const text = writeIcs('Rack', [event(20_000, 600, { title: clean })], null, 0);
      for (const line of text.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
      expect(read(text)[0]!.summary).toBe(clean);
    }),
    { numRuns: 60 },
  );
});

test('every entry says when it was written, in the time of the world', () => {
  expect(writeIcs('Rack', [event(20_000, 600)], null, Date.UTC(2027, 1, 3, 4, 5, 6))).toContain('DTSTAMP:20270203T040506Z');
});

test('control characters, which no calendar may hold, are left out, and every kind of line break is one', () => {
  const [e] = read(writeIcs('Rack', [event(20_000, 600, { title: 'a\u0000b\u001bc\u007f', text: 'one\r\ntwo\rthree\nfour' })], null, 0));
  expect(e!.summary).toBe('a b c ');
  expect(e!.description).toBe('one\ntwo\nthree\nfour');

  expect(writeIcs('\u0007', [event(1, 1)], null, 0)).not.toMatch(/[\u0000-\u0009\u000b\u000c\u000e-\u001f]/);
});

test('a visit that falls away is cancelled under the name that it had, in a later version of the calendar', () => {
  const text = writeIcs('Rack', [event(20_000, 600), event(20_003, 600, { cancelled: true })], null, 0, 4);
  const statuses = new ICAL.Component(ICAL.parse(text) as unknown[]).getAllSubcomponents('vevent').map((v) => [v.getFirstPropertyValue('uid'), v.getFirstPropertyValue('status'), v.getFirstPropertyValue('sequence')]); // prettier-ignore
  expect(statuses).toEqual([
    ['v20000@here', 'CONFIRMED', 4],
    ['v20003@here', 'CANCELLED', 4],
  ]);
  expect(text).toContain('METHOD:PUBLISH');
});

test('the rules of every time zone come under the name that the entries use', async () => {
  const named = Intl.supportedValuesOf('timeZone');
  expect(named.length).toBeGreaterThan(400);
  for (const id of [...named, 'Asia/Calcutta', 'Europe/Kiev', 'America/Buenos_Aires', 'US/Eastern']) {
    const zone1 = await zoneOf(id);
    if (zone1) expect([id, zone1.component.includes(`TZID:${zone1.id}`)]).toEqual([id, true]);
  }
});

test.each([
  ['Europe/Lisbon', [[dayFrom(2027, 3, 28), 60], [dayFrom(2027, 10, 31), -60]]],
  ['Australia/Lord_Howe', [[dayFrom(2027, 4, 4), -30], [dayFrom(2027, 10, 3), 30]]],
  ['Asia/Kolkata', []],
] as const)('clocks in %s change when they do', (id, changes) =>
  expect(clockChanges(id, dayFrom(2027, 1, 1), dayFrom(2027, 12, 31)).map((c) => [c.day, c.by_min])).toEqual(changes),
); // prettier-ignore
