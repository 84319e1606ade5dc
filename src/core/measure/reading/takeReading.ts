import type { Metres } from '../../units/quantities';
import { aroundOf } from '../../site/stand/roomOf';
import type { Tier } from '../../site/stand/Site';
import type { LightReading } from '../../units/light';
import { litOf, PLAIN_READING, type LitLamp, type Reading } from '../../site/reading/Reading';

/** Where the sensor is, from the left front corner of the tier and its floor. */
export interface SensorPlace {
  readonly x: Metres;
  readonly y: Metres;
  readonly z: Metres;
}

/**
 * A place of a tier as it hangs and stands now.
 *
 * @param tops  heights of the leaf tops of its trays, m; left out: those of their rims
 * @param lit   the lamps that are on; left out: all of them
 */
export function placeNow(
  tier: Tier,
  { x, y, z }: SensorPlace,
  tops?: readonly Metres[],
  lit: readonly LitLamp[] = litOf(tier),
): Pick<Reading, 'dx' | 'dy' | 'z' | 'lit' | 'around'> {
  return { dx: x - tier.width / 2, dy: y - tier.depth / 2, z, lit, around: aroundOf(tier, tops) };
}

/**
 * A reading taken in a tier now: it remembers what hung where and what was around.
 *
 * @param meter  its kind, and which of the person's own with what factor
 * @param shown  what it showed, the mean of `of` times; `dark` with the lamps off
 */
export const takeReading = (
  tier: Tier,
  at: SensorPlace,
  meter: { readonly kindId: string; readonly meterId: string | null; readonly factor: number },
  shown: LightReading & { readonly dark?: number; readonly of?: number },
  {
    id,
    now_ms,
    lit,
    tops,
  }: { readonly id: string; readonly now_ms: number; readonly lit?: readonly LitLamp[]; readonly tops?: readonly Metres[] },
): Reading => ({
  ...PLAIN_READING,
  ...placeNow(tier, at, tops, lit),
  ...meter,
  id,
  value: shown.value,
  unit: shown.unit,
  dark: shown.dark ?? 0,
  of: shown.of ?? 1,
  used_h: tier.ageing.used_h,
  taken_ms: now_ms,
});
