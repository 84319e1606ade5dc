import { compareEfficiency } from '../../judge/trial/efficiency';
import { plantedAreaOf } from '../../site/stand/footprint';
import { drawOf } from '../buying/bill';
import type { Trial } from '../../site/trial/Trial';
import type { Day } from '../../units/day';
import { dliOfPlace, type TrialPlace } from './designOf';

/** Units of a weight, in grams. */
const GRAMS: Readonly<Record<string, number>> = { g: 1, kg: 1000, mg: 0.001 };

/** What a tray is given of its tier's energy in a day, kWh: as its area is of that of all trays there. */
function energyOf({ tier, tray }: TrialPlace): number {
  const share = plantedAreaOf(tray.tray) / tier.trays.reduce((sum, y) => sum + plantedAreaOf(y.tray), 0);
  return (drawOf(tier) / 1000) * tier.hours * share;
}

/**
 * Grams for each kilowatt-hour and each mol of a trial of weights with two arms, from its days and the plan as it is now; null where it is
 * no weight, where trays stand nowhere or their light is not known yet.
 */
export function efficiencyOf(
  trial: Trial,
  places: ReadonlyMap<string, TrialPlace>,
  today: Day,
): ReturnType<typeof compareEfficiency> | null {
  const grams = GRAMS[trial.outcome.unit.trim().toLowerCase()];
  const days = Math.min(today, trial.ended ?? today) - trial.starts;
  if (grams === undefined || trial.arms.length !== 2 || days <= 0) return null;
  const arms = trial.arms.map((arm) => {
    const rows = trial.trays.filter((t) => t.arm === arm.id);
    const at = rows.map((t) => (t.trayId === null ? undefined : places.get(t.trayId)));
    const doses = at.map((p) => (p ? dliOfPlace(p) : null));
    if (at.some((p) => !p) || doses.some((d) => d === null)) return null;
    const mean = (of: (p: TrialPlace, i: number) => number) => at.reduce((sum, p, i) => sum + of(p!, i), 0) / at.length;
    return {
      kwh: days * mean(energyOf),
      mol: days * mean(({ tray }, i) => doses[i]! * plantedAreaOf(tray.tray)),
      grams: rows.map((t) => {
        const values = t.values.filter((v) => v !== null);
        return values.length > 0 ? grams * values.reduce((a, b) => a + b, 0) : null;
      }),
    };
  });
  const [a, b] = arms;
  return a && b && a.kwh > 0 && b.kwh > 0 ? compareEfficiency([a, b]) : null;
}
