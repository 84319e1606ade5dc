import type { Day } from '../../units/day';
import type { AirSeen } from '../stand/Logged';
import type { Batch } from '../stand/Site';
import { latestLogged } from './latestLogged';

/** What was written down of the air counts for so many days: our choice. */
const LATELY = 10;

/** The air about a batch as it was written down last, each figure by its own latest entry. */
export function airLately({ log }: Pick<Batch, 'log'>, day: Day): AirSeen {
  const latest = (of: 'low' | 'high' | 'humidity'): number | null =>
    latestLogged(log, day, (l) => l.day > day - LATELY && l.air?.[of] != null)?.air![of] ?? null;
  return { low: latest('low'), high: latest('high'), humidity: latest('humidity') };
}
