import type { TierChange } from '@/core/plan/past/changesOnTheWay';
import { showHours } from '@/core/units/clock';
import { showLength, type LengthUnit } from '@/core/units/length';

/** What was set otherwise, in one line: `14 h a day instead of 16 h, lamps 8 cm lower`. */
export function changeWords({ lit_min, lift, otherLamps, otherTrays }: TierChange, unit: LengthUnit): string {
  const words = [
    ...(lit_min ? [`${showHours(lit_min[1])} a day instead of ${showHours(lit_min[0])}`] : []),
    ...(lift !== null ? [`lamps ${showLength(Math.abs(lift), unit)} ${lift > 0 ? 'higher' : 'lower'}`] : []),
    ...(otherLamps ? ['other lamps, or hung or dimmed otherwise'] : []),
    ...(otherTrays ? ['other trays, or trays moved'] : []),
  ];
  return words.join('; ');
}
