import { compareEfficiency } from '../../judge/trial/efficiency';
import { plantAreaOf } from '../../site/stand/footprint';
import type { Trial } from '../../site/trial/Trial';
import type { Day } from '../../units/day';
import { dliOfPlace, type TrialPlace } from './designOf';

/** Units of a weight, in grams. */
const GRAMS: Readonly<Record<string, number>> = { g: 1, kg: 1000, mg: 0.001 };

/** The power of a tier is shared by its trays as their areas are. */
function shareOf({ tier, tray }: TrialPlace): number {
  const area = (y: TrialPlace['tray']) => {
    const { x0, x1, y0, y1 } = plantAreaOf(y.tray);
    return (x1 - x0) * (y1 - y0);
  };
  return area(tray) / tier.trays.reduce((sum, y) => sum + area(y), 0);
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
    const mean = (of: (p: TrialPlace) => number) => at.reduce((sum, p) => sum + of(p!), 0) / at.length;
    return {
      watts: mean((p) => p.tier.lamps.reduce((sum, l) => sum + l.real.power, 0)),
      share: mean(shareOf),
      hours: mean((p) => p.tier.hours),
      days,
      dli: doses.reduce<number>((sum, d) => sum + d!, 0) / doses.length,
      area_m2: mean(({ tray }) => {
        const { x0, x1, y0, y1 } = plantAreaOf(tray.tray);
        return (x1 - x0) * (y1 - y0);
      }),
      grams: rows.map((t) => {
        const values = t.values.filter((v) => v !== null);
        return values.length > 0 ? grams * values.reduce((a, b) => a + b, 0) : null;
      }),
    };
  });
  const [a, b] = arms;
  return a && b && a.watts > 0 && b.watts > 0 ? compareEfficiency([a, b]) : null;
}
