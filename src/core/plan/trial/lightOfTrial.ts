import { sd } from '../../judge/trial/moments';
import type { Trial } from '../../site/trial/Trial';
import type { Day } from '../../units/day';
import { dliOfPlace, type TrialPlace } from './designOf';

/** What a tray of a trial has received since its start. */
export interface TrialLight {
  readonly days: number;
  /** Over its plants, mean of its places, mol/m². */
  readonly mol_per_m2: number;
}

const mean = (values: readonly number[]) => values.reduce((a, b) => a + b, 0) / values.length;

/** Doses of all places of a trial, by the tray that stands there now; null while some are not known. */
function dosesOf(trial: Trial, places: ReadonlyMap<string, TrialPlace>): Map<string, number> | null {
  const found = new Map<string, number>();
  for (const { code, trayId } of trial.trays) {
    const place = trayId === null ? undefined : places.get(trayId);
    const dose = place ? dliOfPlace(place) : null;
    if (dose === null) return null;
    found.set(code, dose);
  }
  return found;
}

/**
 * Light that each tray has received since the trial began, by the plan and the readings as they are now. Trays that change places on named
 * days have had the mean of the places that they went through.
 *
 * @returns by code; null while the light of some tray is not known, or before the start
 */
export function lightSoFar(trial: Trial, places: ReadonlyMap<string, TrialPlace>, today: Day): ReadonlyMap<string, TrialLight> | null {
  const days = Math.min(today, trial.ended ?? today) - trial.starts;
  const doses = dosesOf(trial, places);
  if (days <= 0 || !doses || doses.size === 0) return null;
  const around = [...doses.values()];
  const every = trial.rotate_days;
  return new Map(
    [...doses].map(([code, dose], at) => {
      if (every === null) return [code, { days, mol_per_m2: days * dose }];
      // One place on every time: counted back from where it stands now.
      let mol = 0;
      const moves = Math.floor((days - 1) / every);
      for (let day = 0; day < days; day++) {
        const before = moves - Math.floor(day / every);
        mol += around[(((at - before) % around.length) + around.length) % around.length]!;
      }
      return [code, { days, mol_per_m2: mol }];
    }),
  );
}

/**
 * How much of the scatter among trays of one arm comes from their places, if a per cent of light is a per cent of growth.
 * Source: the one per cent rule, Marcelis et al. 2006, Acta Horticulturae 711:97–104; for plants far below saturation.
 *
 * @param scatter  of tray means within arms, as measured
 * @param level    mean of all that was measured, in the same unit
 * @returns the scatter that would be left if trays changed places; null where the light of the places is not known
 */
export function scatterWhenSwapped(trial: Trial, places: ReadonlyMap<string, TrialPlace>, scatter: number, level: number): number | null {
  const doses = dosesOf(trial, places);
  if (!doses) return null;
  const spreads = trial.arms.flatMap((arm) => {
    const own = trial.trays.filter((t) => t.arm === arm.id).map((t) => doses.get(t.code)!);
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
