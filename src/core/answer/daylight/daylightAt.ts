import { sunshineOf, type Climate } from '../../sky/outdoors/climates';
import { outdoorsOver, type Moment, type Place } from '../../sky/outdoors/outdoorsAt';
import { sunDay } from '../../sky/sun/sunDay';
import { sillLight, type Sill } from '../../sky/window/sillLight';
import type { Daylight } from '../../site/stand/Daylight';
import { noonOf, type Day } from '../../units/day';
import type { Share } from '../../units/quantities';
import { overlapOf, type Span } from '../../units/Span';

/** Parts of a day for which daylight is computed. */
export const DAY_PARTS = 96;
const PART_min = 1440 / DAY_PARTS;
const DAY_ms = 86_400_000;
/** From one part to the sum of its photons, mol per µmol s⁻¹. */
export const PART_mol = (PART_min * 60) / 1e6;

/** The moments of a day by the clocks of a place, the middle of each part. */
export const momentsOf = (day: Day, place: Place, ahead_min: number, parts = DAY_PARTS): Moment[] =>
  outdoorsOver(day * DAY_ms - ahead_min * 60_000, parts, place);

/** What is left of each part of a day that a blind shuts; 1 where there is none. */
export const openParts = (blind: Span | null, parts = DAY_PARTS): number[] =>
  Array.from({ length: parts }, (_, i) => {
    if (!blind) return 1;
    const span = 1440 / parts;
    return 1 - overlapOf(i * span, span, blind) / span;
  });

/** A month of the calendar, 0 … 11. */
export const monthOf = (day: Day): number => noonOf(day).getUTCMonth();

/** What a day is computed with, besides the places themselves. */
export interface SkyOfDay {
  readonly place: Place;
  readonly climate: Climate;
  readonly day: Day;
  /** How far the clocks are ahead of UTC. */
  readonly ahead_min: number;
  readonly moments: readonly Moment[];
}

export const skyOfDay = (place: Place, climate: Climate, day: Day, ahead_min: number): SkyOfDay => ({
  place,
  climate,
  day,
  ahead_min,
  moments: momentsOf(day, place, ahead_min),
});

/** When the sun is up by the clocks of a place, within 0 … 1440. */
export function sunUp({ place, day, ahead_min }: Pick<SkyOfDay, 'place' | 'day' | 'ahead_min'>): Span | null {
  const sun = sunDay(day * DAY_ms, place.latitude, place.longitude);
  if (sun.state === 'always down') return null;
  if (sun.state === 'always up') return { from_min: 0, to_min: 1440 };
  const local = (minute: number | null, otherwise: number) => (minute === null ? otherwise : Math.round(minute + ahead_min));
  const from_min = Math.max(0, Math.min(1438, local(sun.rise_min, 0)));
  return { from_min, to_min: Math.max(from_min + 1, Math.min(1440, local(sun.set_min, 1440))) };
}

/**
 * The daylight of one day at some places together (the mean of them; under a clear sky the brightest): a mixture of clear and overcast
 * by the month's share of sunshine.
 *
 * @param doubt    of the window's own share, half-width of a nine-in-ten band
 * @param weights  of nine places that are the spots of a tray: then each is told apart; left out: all alike
 * @returns null where no light comes in
 */
export function daylightAt(
  sills: readonly Sill[],
  sky: SkyOfDay,
  blind: Span | null,
  uncertainty: Share = 0,
  weights?: readonly Share[],
): Daylight | null {
  const up = sunUp(sky);
  if (!up || sills.length === 0) return null;
  const doses = new Float64Array(sills.length);
  const shares = new Float64Array(sills.length);
  const clearly = new Float64Array(sills.length);
  const share = sunshineOf(sky.climate, monthOf(sky.day), sky.place.latitude);
  const open = openParts(blind);
  const clear: number[] = [];
  const mean: number[] = [];
  let [dli, brightest, darkest] = [0, 0, 0];
  sky.moments.forEach((moment, i) => {
    let [c, o, most] = [0, 0, 0];
    sills.forEach((sill, k) => {
      const light = sillLight(moment, sill);
      const weight = open[i]! * (weights ? weights[k]! : 1 / sills.length);
      c += light.clear.up * weight;
      o += light.overcast.up * weight;
      clearly[k] = light.clear.up * open[i]!;
      most = Math.max(most, clearly[k]!);
      doses[k]! += (share * light.clear.up + (1 - share) * light.overcast.up) * open[i]! * PART_mol;
    });
    if (most > 0) clearly.forEach((v, k) => (shares[k] = Math.max(shares[k]!, v / most)));
    const m = share * c + (1 - share) * o;
    clear.push(most);
    mean.push(m);
    dli += m * PART_mol;
    brightest += c * PART_mol;
    darkest += o * PART_mol;
  });
  if (!(dli > 0)) return null;
  // Away from the sun an overcast sky may be the brighter one.
  const [low, high] = [Math.min(brightest, darkest), Math.max(brightest, darkest)];
  return {
    dli,
    ...up,
    course: {
      mean,
      clear,
      peak: Math.max(...clear),
      off: offBy(low / dli, high / dli, uncertainty),
      ...(weights && { nine: Array.from(doses, (d) => d / dli), nineClear: Array.from(shares) }),
    },
  };
}

/** Daylight of which a lid or a dome lets a share through. */
export function dimmedDaylight(daylight: Daylight, through: Share): Daylight {
  const { dli, course } = daylight;
  if (through === 1 || !course) return daylight;
  const by = (v: number) => v * through;
  return {
    ...daylight,
    dli: by(dli),
    course: { ...course, mean: course.mean.map(by), clear: course.clear.map(by), peak: by(course.peak) },
  };
}

/** The daylight of several trays together: their mean, and under a clear sky the brightest of them. */
export function daylightOfAll(all: readonly (Daylight | null)[]): Daylight | null {
  const lit = all.flatMap((d) => (d?.course ? [{ ...d, course: d.course }] : []));
  const first = lit[0];
  if (!first) return null;
  const mean = (of: (d: (typeof lit)[number]) => number) => lit.reduce((sum, d) => sum + of(d), 0) / all.length;
  const most = (of: (d: (typeof lit)[number]) => number) => Math.max(...lit.map(of));
  const dli = mean((d) => d.dli);
  return {
    ...first,
    dli,
    course: {
      mean: first.course.mean.map((_, i) => mean((d) => d.course.mean[i]!)),
      clear: first.course.clear.map((_, i) => most((d) => d.course.clear[i]!)),
      peak: most((d) => d.course.peak),
      off: { low: mean((d) => d.dli * d.course.off.low) / dli, high: mean((d) => d.dli * d.course.off.high) / dli },
    },
  };
}

/** How far a day may lie below and above the mean: by its sky, and by what is not known of the window. */
const offBy = (low: Share, high: number, uncertainty: Share) => ({
  low: Math.min(1, Math.hypot(Math.max(0, 1 - low), uncertainty)),
  high: Math.hypot(Math.max(0, high - 1), uncertainty),
});
