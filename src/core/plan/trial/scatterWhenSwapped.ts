import { sd } from '../../judge/trial/moments';
import type { Trial, TrialTrayRow } from '../../site/trial/Trial';
import { dliInPlace, type TrayInPlace } from '../../answer/bench/traysInPlace';

const mean = (values: readonly number[]) => values.reduce((a, b) => a + b, 0) / values.length;

/**
 * How much of the scatter among trays of one arm comes from their places, if a per cent of light is a per cent of growth.
 * Source: the one per cent rule, Marcelis et al. 2006, Acta Horticulturae 711:97–104; for plants far below saturation.
 *
 * @param scatter  of tray means within arms, as measured
 * @param level    mean of all that was measured, in the same unit
 * @returns the scatter that would be left if trays changed places; null where the light of the places is not known
 */
export function scatterWhenSwapped(trial: Trial, places: ReadonlyMap<string, TrayInPlace>, scatter: number, level: number): number | null {
  const doseOf = ({ trayId }: TrialTrayRow) => {
    const place = trayId === null ? undefined : places.get(trayId);
    return place ? dliInPlace(place) : null;
  };
  if (trial.trays.some((t) => doseOf(t) === null)) return null;
  const spreads = trial.arms.flatMap((arm) => {
    const own = trial.trays.filter((t) => t.arm === arm.id).map((t) => doseOf(t)!);
    const s = sd(own);
    return s === null || own.length < 2 ? [] : [(s / mean(own)) ** 2];
  });
  if (spreads.length === 0) return null;
  const byPlace = Math.sqrt(mean(spreads)) * Math.abs(level);
  // Some scatter is the trays' own, whatever the places are.
  return Math.sqrt(Math.max(scatter ** 2 - byPlace ** 2, (LEAST_LEFT * scatter) ** 2));
}

/** Share of the scatter that no change of places takes away. */
const LEAST_LEFT = 0.5; // our estimate
