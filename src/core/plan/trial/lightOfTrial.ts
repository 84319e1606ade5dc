import { sd } from '../../judge/trial/moments';
import { drawOf } from '../buying/bill';
import { plantedAreaOf } from '../../site/stand/footprint';
import type { TrayHad, Trial, TrialTrayRow } from '../../site/trial/Trial';
import type { Day } from '../../units/day';
import { dliOfPlace, trayFactsOf, type TrialPlace } from './trialPlaces';
import { roundsOf } from './trialRounds';

const mean = (values: readonly number[]) => values.reduce((a, b) => a + b, 0) / values.length;

/** What a tray is given of its tier's energy in a day, kWh: as its area is of that of all trays there. */
function energyOf({ tier, tray }: TrialPlace): number {
  const share = plantedAreaOf(tray.tray) / tier.trays.reduce((sum, y) => sum + plantedAreaOf(y.tray), 0);
  return (drawOf(tier) / 1000) * tier.hours * share;
}

/** What a place gives in a day; null while its light is not known. */
function dailyOf(place: TrialPlace | undefined): { readonly mol: number; readonly kWh: number } | null {
  const mol = place ? dliOfPlace(place) : null;
  return mol === null ? null : { mol, kWh: energyOf(place!) };
}

/**
 * What each tray has been given since the trial began, until today or its end: by the plan and the readings as they are now, at the places
 * that it has gone through on the days on which they were changed. Of a tray that was taken away, and of a trial that is over, as it was then.
 *
 * @returns by code; those whose light is not known are left out
 */
export function lightSoFar(trial: Trial, places: ReadonlyMap<string, TrialPlace>, today: Day): ReadonlyMap<string, TrayHad> {
  const found = new Map<string, TrayHad>();
  const until = Math.min(today, trial.ended ?? today);
  const days = until - trial.starts;
  const trays = new Map([...places].map(([id, p]) => [id, p.tray.tray]));
  const rounds = roundsOf(trial, trays);
  for (const row of trial.trays) {
    const place = row.trayId === null ? undefined : places.get(row.trayId);
    const had = row.had ?? (place && days > 0 ? hadBy(row, place) : null);
    if (had) found.set(row.code, had);
  }
  return found;

  function hadBy(row: TrialTrayRow, place: TrialPlace): TrayHad | null {
    const round = rounds.find((r) => r.includes(row)) ?? [row];
    const at = round.indexOf(row);
    const daily = round.map((r) => dailyOf(places.get(r.trayId!)));
    // One place on every time: counted back from where it stands now.
    const moves = trial.moves.filter((m) => m > trial.starts && m <= today);
    let [mol_per_m2, kWh] = [0, 0];
    for (let day = trial.starts; day < until; day++) {
      const since = moves.filter((m) => m > day).length % round.length;
      const then = daily[(at - since + round.length) % round.length];
      if (!then) return null;
      mol_per_m2 += then.mol;
      kWh += then.kWh;
    }
    const { tray } = place;
    return { ...trayFactsOf(place), days, mol_per_m2, kWh, area_m2: plantedAreaOf(tray.tray), batchId: tray.batch.id };
  }
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
  const doseOf = ({ trayId }: TrialTrayRow) => dailyOf(trayId === null ? undefined : places.get(trayId))?.mol ?? null;
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
