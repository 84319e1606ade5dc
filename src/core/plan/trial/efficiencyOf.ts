import { compareEfficiency } from '../../judge/trial/efficiency';
import type { TrayHad, Trial } from '../../site/trial/Trial';

/** Units of a weight, in grams. */
const GRAMS: Readonly<Record<string, number>> = { g: 1, kg: 1000, mg: 0.001 };

/**
 * Grams for each kilowatt-hour and each mol of a trial of weights with two arms, by what their trays have been given; null where it is no
 * weight, or where the light of a tray is not known.
 */
export function efficiencyOf(trial: Trial, given: ReadonlyMap<string, TrayHad>): ReturnType<typeof compareEfficiency> | null {
  const grams = GRAMS[trial.outcome.unit.trim().toLowerCase()];
  if (grams === undefined || trial.arms.length !== 2) return null;
  const arms = trial.arms.map((arm) => {
    const rows = trial.trays.filter((t) => t.arm === arm.id);
    const had = rows.flatMap((t) => given.get(t.code) ?? []);
    if (had.length < rows.length || had.length === 0) return null;
    const mean = (values: readonly number[]) => values.reduce((a, b) => a + b, 0) / values.length;
    return {
      kwh: mean(had.map((h) => h.kWh)),
      mol: mean(had.map((h) => h.mol_per_m2 * h.area_m2)),
      grams: rows.map((t) => {
        const values = t.values.filter((v) => v !== null);
        return values.length > 0 ? grams * values.reduce((a, b) => a + b, 0) : null;
      }),
    };
  });
  const [a, b] = arms;
  return a && b && a.kwh > 0 && b.kwh > 0 ? compareEfficiency([a, b]) : null;
}
