import type { Dli } from '../../units/quantities';
import { CELLS_OF_TRAY, overTray } from '../../site/stand/nineSpots';
import { MOL_SECONDS } from './dli';
import { daylightAtSpots, daylightDli, dliAtNine, type LightDay } from './LightDay';
import { SPREAD_PARTS, type LightSpread } from './LightSpread';

const together = new Float64Array(CELLS_OF_TRAY);
const apart = new Float64Array(CELLS_OF_TRAY);

/** Doses over a tray from lamps and daylight together, mol m⁻² d⁻¹; figures as of a spread of strengths. */
export function dliSpreadOf(light: LightSpread, day: LightDay): Omit<LightSpread, 'nine'> {
  const k = (day.lit_min / 60) * MOL_SECONDS;
  const more = daylightDli(day);
  const nine = dliAtNine(light.nine, day);
  const at = daylightAtSpots(light, day, nine);
  const weakest = light.weakest * k + at.weakest, strongest = light.strongest * k + at.strongest; // prettier-ignore
  const parts = new Array<Dli>(SPREAD_PARTS);
  if (!nine) {
    for (let p = 0; p < SPREAD_PARTS; p++) parts[p] = light.parts[p]! * k + more;
    return { weakest, mean: light.mean * k + more, strongest, parts };
  }
  // The parts have no places: they change as those between the nine spots do.
  overTray(nine, together);
  overTray(light.nine!, apart);
  for (let p = 0; p < SPREAD_PARTS; p++) {
    const cell = Math.floor(((p + 0.5) * CELLS_OF_TRAY) / SPREAD_PARTS);
    const dose = Math.min(strongest, Math.max(weakest, (light.parts[p]! - apart[cell]!) * k + together[cell]!));
    let i = p;
    for (; i > 0 && parts[i - 1]! > dose; i--) parts[i] = parts[i - 1]!;
    parts[i] = dose;
  }
  return { weakest, mean: light.mean * k + more, strongest, parts };
}
