import { maintenance } from '../../things/lamp/ageing';
import type { Lamp } from '../../things/lamp/Lamp';
import type { Hours, Share } from '../../units/quantities';

/** Once the lamps have lost this much, their readings no longer say what they give. */
const FADES_BY: Share = 0.05; // half of the scatter that a hand's readings have; our estimate
/** At the latest after a year, whatever the curve says: dust settles too. */
const LATEST_DAYS = 365; // growers' consensus
/** At the earliest after a month: sooner a hand can't tell. */
const EARLIEST_DAYS = 30;

/**
 * When readings of a tier should be taken again: when its lamps will have faded by a twentieth.
 *
 * @param last_ms     when they were read last, milliseconds since 1970
 * @param hoursADay   that they are lit
 * @param used_h      hours burned then; null: not known, taken as half of their life
 */
export function measureAgain(
  last_ms: number,
  lamps: readonly Pick<Lamp, 'family' | 'life_h' | 'maintenanceAtEnd'>[],
  hoursADay: Hours,
  used_h: Hours | null,
): number {
  const days = lamps.map((lamp) => {
    const then = used_h ?? lamp.life_h / 2;
    const fades = (d: number) => 1 - maintenance(lamp, then + d * hoursADay) / maintenance(lamp, then);
    let [low, high] = [0, LATEST_DAYS];
    if (fades(high) < FADES_BY) return LATEST_DAYS;
    for (let i = 0; i < 20; i++) {
      const middle = (low + high) / 2;
      if (fades(middle) < FADES_BY) low = middle;
      else high = middle;
    }
    return high;
  });
  return last_ms + Math.max(EARLIEST_DAYS, Math.round(Math.min(LATEST_DAYS, ...days))) * 86_400_000;
}
