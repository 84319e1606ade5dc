import { overTray } from '../../site/stand/nineSpots';
import { MOL_SECONDS } from './dli';
import { daylightAtSpots, daylightDose, dosesAtNine, type LightDay } from './LightDay';
import { PARTS, type LightSpread } from './LightSpread';

/** Doses over a tray from lamps and daylight together, mol m⁻² d⁻¹; figures as of a spread of strengths. */
export function dosesOf(light: LightSpread, day: LightDay): Omit<LightSpread, 'nine'> {
  const k = (day.lit_min / 60) * MOL_SECONDS;
  const more = daylightDose(day);
  const at = daylightAtSpots(light, day);
  const [weakest, strongest] = [light.weakest * k + at.weakest, light.strongest * k + at.strongest];
  const doses = { weakest, mean: light.mean * k + more, strongest, parts: light.parts.map((v) => v * k + more) };
  const nine = dosesAtNine(light.nine, day);
  if (!nine) return doses;
  // The parts have no places: they change as those between the nine spots do.
  const together = overTray(nine);
  const apart = overTray(light.nine!);
  const parts = light.parts.map((v, p) => {
    const cell = Math.floor(((p + 0.5) * together.length) / PARTS);
    return Math.min(strongest, Math.max(weakest, (v - apart[cell]!) * k + together[cell]!));
  });
  return { ...doses, parts: parts.sort((a, b) => a - b) };
}
