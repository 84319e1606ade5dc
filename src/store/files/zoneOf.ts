import type { CalendarZone } from '../../core/exchange/formats/writeIcs';

/** The rules of a time zone, for calendars; null for one that nobody has rules of. */
export async function zoneOf(timeZone: string | null): Promise<CalendarZone | null> {
  const id = timeZone ?? Intl.DateTimeFormat().resolvedOptions().timeZone;
  const { tzlib_get_ical_block } = await import('timezones-ical-library');
  const [component] = tzlib_get_ical_block(id) as string[];
  if (!component?.startsWith('BEGIN:VTIMEZONE')) return null;
  // Rules come under the name of the zone that they are of, which is not always the one that was asked for.
  return { id: /^TZID:(.+)$/m.exec(component)?.[1]?.trim() ?? id, component };
}
