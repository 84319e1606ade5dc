import type { LitTimes } from '../../units/LitTimes';
import { sillFrom, type SillAsked } from '../../answer/daylight/sillsOf';
import { yearOf, type Year } from '../../answer/daylight/yearOf';
import type { Climate } from '../../sky/outdoors/climates';
import type { Place } from '../../sky/outdoors/outdoorsAt';
import type { TimerRules } from '../timer/solveTimer';
import { topUpOf, type ServedAtPlace, type TopUp } from './topUp';

/** What is asked of a year of daylight: plain data, for workers. */
export interface DaylightQuestion {
  readonly year: number;
  readonly place: Place;
  readonly climate: Climate;
  readonly timeZone: string | null;
  readonly parts: number;
  readonly sills: readonly SillAsked[];
  /** A timer whose lamps add to it; null: none. */
  readonly timer: {
    readonly served: readonly ServedAtPlace[];
    readonly rules: TimerRules;
    readonly now: LitTimes;
  } | null;
}

export interface DaylightAnswer {
  readonly year: Year;
  readonly topUps: readonly TopUp[];
}

/** The daylight of a year at some places, and what lamps have to add. */
export function daylightYear({ sills, timer, parts, ...asked }: DaylightQuestion): DaylightAnswer {
  const year = yearOf(
    asked,
    sills.map((s) => ({ sill: sillFrom(s), blind: s.window.blind })),
    parts,
  );
  const topUps = timer ? topUpOf(year, { ...asked, ...timer }) : [];
  return { year, topUps };
}
