import type { Day } from '../../units/day';
import type { AirSeen } from '../stand/Logged';
import type { Batch } from '../stand/Site';

/** What was written down of the air counts for so many days: our choice. */
const LATELY = 10;

/** The air about a batch as it was written down last, each figure by its own latest entry. */
export function airLately({ log }: Pick<Batch, 'log'>, day: Day): AirSeen {
  const seen = log.filter((l) => l.air && l.day <= day && l.day > day - LATELY).map((l) => l.air!);
  const latest = (of: (a: AirSeen) => number | null): number | null => seen.map(of).findLast((v) => v !== null) ?? null;
  return { low: latest((a) => a.low), high: latest((a) => a.high), humidity: latest((a) => a.humidity) };
}
