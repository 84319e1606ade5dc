import { answerBench } from '../../answer/bench/answerBench';
import { questionOfStand } from '../../answer/bench/questionOfStand';
import { createSunCache } from '../../answer/daylight/litByWindow';
import { asOf } from '../../answer/stand/asOf';
import { benchStandOf } from '../../answer/stand/benchStand';
import { createCache, type Cache } from '../../light/scene/Cache';
import { drawnTrays } from './moveTrialOn';
import { plantedAreaOf } from '../../site/stand/footprint';
import type { Site } from '../../site/stand/Site';
import type { TrayHad, Trial, TrialTrayRow } from '../../site/trial/Trial';
import type { Tables } from '../../things/tables/Tables';
import type { Day } from '../../units/day';
import { drawOf } from '../buying/bill';
import { siteThen } from './siteThen';
import { dliOfPlace, trayFactsOf, trialPlacesOf, type TrialPlace } from './trialPlaces';
import { roundsOf } from './trialRounds';

/** The light of two days as far apart is worked out, and that of the days between goes evenly from one to the other. */
const APART_days = 4; // our choice: within 1 % of every day by itself, also around emergence

/** What of a trial decides which tray has been given what. */
export type TrialAsked = Pick<Trial, 'factor' | 'starts' | 'ended' | 'moves' | 'trays'>;

/** What a place gives in a day. */
interface Daily {
  readonly mol: number;
  readonly kWh: number;
}

/** Its power: a part of what its tier draws, as its area is of that of all trays there. Null while its light is not known. */
function dailyOf(place: TrialPlace): Daily | null {
  const mol = dliOfPlace(place);
  const { tier, tray } = place;
  const share = plantedAreaOf(tray.tray) / tier.trays.reduce((sum, y) => sum + plantedAreaOf(y.tray), 0);
  return mol === null ? null : { mol, kWh: (drawOf(tier) / 1000) * tier.hours * share };
}

/**
 * What each tray has been given since the trial began, until today or its end, day by day: with lamps and hours as they were set then (as far
 * as that was written down), plants as tall as then, the daylight of then; at the places that it has gone through on the days on which they
 * were changed. Lamps, sides and readings count as they are known today. Of a tray that was taken away, and of a trial that is over, as it was
 * written down. A tray that was drawn later on is taken to have stood there from the start.
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
  const tierIds = new Set(
    [...site.stands.flatMap((s) => s.tiers), ...site.earlier.map((e) => ({ id: e.tierId, trays: e.trays }))].flatMap((t) =>
      t.trays.some((y) => ids.has(y.id)) ? [t.id] : [],
    ),
  );
  const alone = { ...site, stands: site.stands.filter((s) => s.tiers.some((t) => tierIds.has(t.id))) };
  const rounds = roundsOf(trial, trays);
  const written = alone.earlier.filter((e) => tierIds.has(e.tierId)).map((e) => e.until);
  // Other moves are in what was written down of the tiers.
  const moves = trial.moves.filter((m) => m <= today && !written.includes(m));
  const suns = createSunCache();

  /** What the tray of each row was given on a day; null where it stood nowhere, or its light is not known. */
  function dailiesOn(day: Day): (row: TrialTrayRow) => Daily | null {
    const then = asOf(siteThen(alone, day, tables), day, tables, suns);
    const stands = then.stands.map((s) => benchStandOf(then, s, tables));
    const places = trialPlacesOf(stands.map((stand) => ({ stand, answer: answerBench(questionOfStand(stand, null), cache) })));
    const since = moves.filter((m) => m > day).length;
    return (row) => {
      const round = rounds.find((r) => r.includes(row)) ?? [row];
      // One place on every time: counted back from where it stood after the last of them.
      const at = (round.indexOf(row) - (since % round.length) + round.length) % round.length;
      const place = places.get(round[at]!.trayId!);
      return place ? dailyOf(place) : null;
    };
  }

  const worked = daysToWorkOut(trial.starts, until, [...written, ...moves]).map((day) => ({ day, of: dailiesOn(day) }));
  const stands = alone.stands.map((s) => benchStandOf(site, s, tables));
  const places = trialPlacesOf(stands.map((stand) => ({ stand, answer: null })));
  for (const row of open) {
    const sum = sumOf(worked.map(({ day, of }) => ({ day, daily: of(row) })));
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

/** Days of a stretch of time whose light is worked out: the first and last of each part between two changes, and some on the way. */
function daysToWorkOut(from: Day, until: Day, changes: readonly Day[]): readonly Day[] {
  const days = new Set<Day>();
  const bounds = [from, ...changes.filter((d) => d > from && d < until).sort((a, b) => a - b), until];
  bounds.slice(1).forEach((end, i) => {
    for (let day = bounds[i]!; day < end; day += APART_days) days.add(day);
    days.add(end - 1);
  });
  return [...days].sort((a, b) => a - b);
}

/** The sum over all days from the first to the last; of days before a tray is known to have stood somewhere, as on the first when it is. */
function sumOf(worked: readonly { readonly day: Day; readonly daily: Daily | null }[]): Daily | null {
  let [mol, kWh] = [0, 0];
  let next: { readonly day: Day; readonly daily: Daily } | undefined;
  for (const { day, daily: found } of [...worked].reverse()) {
    const daily = found ?? next?.daily;
    if (!daily) return null;
    // The day itself and those up to the next that was worked out.
    const gap = next ? next.day - day : 1;
    const rise = (a: number, b: number) => ((b - a) * (gap - 1)) / 2;
    mol += gap * daily.mol + rise(daily.mol, next?.daily.mol ?? 0);
    kWh += gap * daily.kWh + rise(daily.kWh, next?.daily.kWh ?? 0);
    next = { day, daily };
  }
  return { mol, kWh };
}
