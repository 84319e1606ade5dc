import { sunshineOf, type Climate } from '../../sky/outdoors/climates';
import type { Place } from '../../sky/outdoors/outdoorsAt';
import { sillLight, type Sill } from '../../sky/window/sillLight';
import { minutesAhead } from '../../units/clockChanges';
import { dayFrom, type Day } from '../../units/day';
import type { Dli, Hours, Ppfd } from '../../units/quantities';
import type { Span } from '../../units/Span';
import { momentsOf, monthOf, openParts } from './daylightAt';

/** Daylight at one place over a year; arrays by day, or by day and part of the day. */
export interface YearAtPlace {
  /** Of leaves that face up, mol m⁻² d⁻¹. */
  readonly clear: Float32Array;
  readonly overcast: Float32Array;
  readonly mean: Float32Array;
  /** PPFD of the mean of a month's days, and of a clear one: `days` × `parts`. */
  readonly course: Float32Array;
  readonly clearCourse: Float32Array;
  readonly months: readonly MonthAtPlace[];
}

export interface MonthAtPlace {
  /** Mean of the month's days. */
  readonly mean: Dli;
  /** A day without sun and one without a cloud, the lower and the higher. */
  readonly low: Dli;
  readonly high: Dli;
  /** On a clear day. */
  readonly sunHours: Hours;
  /** Mean of the month's days on leaves that face the pane, and on those that face the room. */
  readonly facing: Dli;
  readonly away: Dli;
  readonly strongest: { readonly ppfd: Ppfd; readonly day: Day; readonly minute: number };
}

export interface Year {
  readonly from: Day;
  readonly days: number;
  readonly parts: number;
  readonly places: readonly YearAtPlace[];
}

interface YearAsked {
  readonly year: number;
  readonly place: Place;
  readonly climate: Climate;
  readonly timeZone: string | null;
}

/** A place with its window's blind. */
export interface PlaceAsked {
  readonly sill: Sill;
  readonly blind: Span | null;
}

/**
 * The daylight of a year at some places, by the clocks of the household.
 *
 * @param parts  of a day: 144 are ten minutes
 */
export function yearOf({ year, place, climate, timeZone }: YearAsked, asked: readonly PlaceAsked[], parts = 144): Year {
  const part_mol = 86_400 / parts / 1e6;
  const from = dayFrom(year, 1, 1);
  const days = dayFrom(year + 1, 1, 1) - from;
  const ahead = minutesAhead(timeZone);
  const shares = Array.from({ length: 12 }, (_, month) => sunshineOf(climate, month, place.latitude));
  const all = asked.map(({ blind }) => ({ ...emptyPlace(days, parts), open: openParts(blind, parts), months: emptyMonths() }));
  for (let d = 0; d < days; d++) {
    const day = from + d;
    const month = monthOf(day);
    const share = shares[month]!;
    const moments = momentsOf(day, place, ahead(day), parts);
    asked.forEach(({ sill }, p) => {
      const at = all[p]!;
      const m = at.months[month]!;
      let [clear, overcast] = [0, 0];
      moments.forEach((moment, i) => {
        if (!(moment.sun.elevation > 0)) return;
        const open = at.open[i]!;
        if (open === 0) return;
        const light = sillLight(moment, sill);
        const up = light.clear.up * open;
        const grey = light.overcast.up * open;
        const mean = share * up + (1 - share) * grey;
        at.course[d * parts + i] = mean;
        at.clearCourse[d * parts + i] = up;
        clear += up;
        overcast += grey;
        if (light.clear.beam > 0) m.sun++;
        m.facing += open * (share * light.clear.facing + (1 - share) * light.overcast.facing);
        m.away += open * (share * light.clear.away + (1 - share) * light.overcast.away);
        if (up > m.strongest.ppfd) m.strongest = { ppfd: up, day, minute: Math.round(((i + 0.5) * 1440) / parts) };
      });
      const [bright, grey] = [clear * part_mol, overcast * part_mol];
      const mean = share * bright + (1 - share) * grey;
      at.clear[d] = bright;
      at.overcast[d] = grey;
      at.mean[d] = mean;
      m.days++;
      m.mean += mean;
      m.clear += bright;
      m.overcast += grey;
    });
  }
  return {
    from,
    days,
    parts,
    places: all.map(({ clear, overcast, mean, course, clearCourse, months }) => ({
      ...{ clear, overcast, mean, course, clearCourse },
      months: months.map((m) => ({
        mean: m.mean / m.days,
        low: Math.min(m.clear, m.overcast) / m.days,
        high: Math.max(m.clear, m.overcast) / m.days,
        sunHours: (m.sun * 24) / parts / m.days,
        facing: (m.facing * part_mol) / m.days,
        away: (m.away * part_mol) / m.days,
        strongest: m.strongest,
      })),
    })),
  };
}

const emptyPlace = (days: number, parts: number) => ({
  clear: new Float32Array(days),
  overcast: new Float32Array(days),
  mean: new Float32Array(days),
  course: new Float32Array(days * parts),
  clearCourse: new Float32Array(days * parts),
});

const emptyMonths = () =>
  Array.from({ length: 12 }, () => ({
    days: 0,
    mean: 0,
    clear: 0,
    overcast: 0,
    sun: 0,
    facing: 0,
    away: 0,
    strongest: { ppfd: 0, day: 0, minute: 0 },
  }));
