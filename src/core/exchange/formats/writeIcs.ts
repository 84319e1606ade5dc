import { isoOf, type Day } from '../../units/day';

/** One entry of a calendar, at a time of the day where the household is. */
export interface CalendarEvent {
  /** The same for the same thing: read in again, it replaces what was there. */
  readonly uid: string;
  readonly day: Day;
  readonly at_min: number;
  readonly long_min: number;
  readonly title: string;
  readonly text: string;
  /** It was in a calendar that was written before, and falls away. */
  readonly cancelled?: boolean;
}

/** A time zone by its name, and its rules as a VTIMEZONE component. */
export interface CalendarZone {
  readonly id: string;
  readonly component: string;
}

/** Octets of a line before it is folded. */
const LINE = 75; // RFC 5545, 3.1

/**
 * Writes a calendar as iCalendar text. Times are local: whatever the clocks do, an entry at 18:00 is at 18:00.
 *
 * @param zone       null: the times float, and are local wherever the calendar is read
 * @param stamp_ms   when it was written
 * @param sequence   how often it was written before: a later one replaces an earlier one
 * Source: RFC 5545
 */
export function writeIcs(
  name: string,
  events: readonly CalendarEvent[],
  zone: CalendarZone | null,
  stamp_ms: number,
  sequence = 0,
): string {
  const stamp = `${new Date(stamp_ms).toISOString().replace(/[-:]/g, '').slice(0, 15)}Z`;
  const lines = [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:-//Copper Noon//Hang chart//EN',
    'CALSCALE:GREGORIAN',
    'METHOD:PUBLISH',
    `X-WR-CALNAME:${escaped(name)}`,
    ...(zone ? zone.component.trim().split(/\r?\n/) : []),
    ...events.flatMap((e) => [
      'BEGIN:VEVENT',
      `UID:${escaped(e.uid)}`,
      `DTSTAMP:${stamp}`,
      `DTSTART${zone ? `;TZID=${zone.id}` : ''}:${localTime(e.day, e.at_min)}`,
      `DURATION:PT${Math.max(1, Math.round(e.long_min))}M`,
      `SEQUENCE:${sequence}`,
      `STATUS:${e.cancelled ? 'CANCELLED' : 'CONFIRMED'}`,
      `SUMMARY:${escaped(e.title)}`,
      `DESCRIPTION:${escaped(e.text)}`,
      'END:VEVENT',
    ]),
    'END:VCALENDAR',
  ];
  return `${lines.map(folded).join('\r\n')}\r\n`;
}

const two = (n: number) => String(n).padStart(2, '0');
const localTime = (day: Day, at_min: number) => `${isoOf(day).replace(/-/g, '')}T${two(Math.floor(at_min / 60))}${two(at_min % 60)}00`;

/** Text values hold no control characters but a line break, which is written as two letters (RFC 5545, 3.3.11). */
const escaped = (text: string) =>
  text
    .replace(/\\/g, '\\\\')
    .replace(/;/g, '\\;')
    .replace(/,/g, '\\,')
    .replace(/\r\n?|\n/g, '\\n')

    .replace(/[\u0000-\u001f\u007f-\u009f\u2028\u2029]/g, ' ');

/** Octets of a character in UTF-8. */
const octetsOf = (point: number) => (point < 0x80 ? 1 : point < 0x800 ? 2 : point < 0x10000 ? 3 : 4);

/** Folds a line by octets, never within a character. */
function folded(line: string): string {
  let out = '', octets = 0; // prettier-ignore
  for (const character of line) {
    const size = octetsOf(character.codePointAt(0)!);
    if (octets + size > LINE) {
      out += '\r\n ';
      octets = 1;
    }
    out += character;
    octets += size;
  }
  return out;
}
