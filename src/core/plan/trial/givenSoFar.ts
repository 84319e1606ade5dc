import { benchStandOf } from '../../answer/stand/benchStand';
import { createCache, type Cache } from '../../light/scene/Cache';
import { plantedAreaOf } from '../../site/stand/footprint';
import type { Site } from '../../site/stand/Site';
import type { TrayHad, Trial, TrialTrayRow } from '../../site/trial/Trial';
import type { Tables } from '../../things/tables/Tables';
import type { Day } from '../../units/day';
import { dosesOnDays, sumOverDays, type DosesOnDay } from '../past/dosesOnDays';
import { drawnTrays } from './moveTrialOn';
import { traysInPlace } from '../../answer/bench/traysInPlace';
import { trayFactsOf } from './trayFacts';
import { roundsOf } from './trialRounds';

/** What of a trial decides which tray has been given what. */
export type TrialAsked = Pick<Trial, 'factor' | 'starts' | 'ended' | 'moves' | 'trays'>;

/**
 * What each tray has been given since the trial began, until today or its end, day by day, at the places that it has gone through. Of a
 * tray that was taken away, and of a trial that is over, as it was written down. A tray that was drawn later on is taken to have stood
 * there from the start.
 *
 * @param site   as of today
 * @param cache  of whoever asks again and again
 * @returns by code; those whose light is not known are left out
 */
export function givenSoFar(
  site: Site,
  trial: TrialAsked,
  today: Day,
  tables: Tables,
  cache: Cache = createCache(),
): ReadonlyMap<string, TrayHad> {
  const given = new Map(trial.trays.flatMap((row) => (row.had ? [[row.code, row.had] as const] : [])));
  const until = Math.min(today, trial.ended ?? today);
  const days = until - trial.starts;
  const trays = drawnTrays(site);
  const open = trial.trays.filter((row) => !row.had && row.trayId !== null && trays.has(row.trayId));
  if (days <= 0 || open.length === 0) return given;

  const ids = new Set(open.map((row) => row.trayId!));
  const rounds = roundsOf(trial, trays);
  // Other moves are in what was written down of the tiers.
  const written = new Set(site.earlier.flatMap((e) => (e.trays?.some((y) => ids.has(y.id)) ? [e.until] : [])));
  const moves = trial.moves.filter((m) => m <= today && !written.has(m));
  const worked = dosesOnDays(site, trial.starts, until, (y) => ids.has(y.id), moves, tables, cache);

  const givenOn = (row: TrialTrayRow, on: DosesOnDay) => {
    const round = rounds.find((r) => r.includes(row)) ?? [row];
    // One place on every time: counted back from where it stood after the last of them.
    const since = moves.filter((m) => m > on.day).length % round.length;
    const at = (round.indexOf(row) - since + round.length) % round.length;
    return on.given.get(round[at]!.trayId!) ?? null;
  };
  const stands = site.stands.filter((s) => s.tiers.some((t) => t.trays.some((y) => ids.has(y.id))));
  const places = traysInPlace(stands.map((s) => ({ stand: benchStandOf(site, s, tables), answer: null })));
  for (const row of open) {
    const sum = sumOverDays(worked, (on) => givenOn(row, on));
    const place = places.get(row.trayId!);
    if (!sum || !place) continue;
    const { tray, batch } = place.tray;
    given.set(row.code, {
      ...trayFactsOf(place),
      days,
      mol_per_m2: sum.mol,
      kWh: sum.kWh,
      area_m2: plantedAreaOf(tray),
      batchId: batch.id,
    });
  }
  return given;
}
