import type { PlannedBatch, PlannedContainer, SeasonPlan } from '../../site/season/SeasonPlan';
import type { Crop } from '../../things/crop/Crop';
import type { Day } from '../../units/day';
import { frostThatEnds } from './firstFrost';
import { lastFrostOf, nightsOfMonths, warmNightsFrom } from './lastFrost';
import { chosenDay, courseOf, latenessOf, plantOutOf, windowFor, type Lateness, type SowingRules, type SowingWindow } from './sowingWindow';

/** Growers' consensus: what is expected of seed and of potting on where the person says nothing. */
const USUAL = { filledPercent: 85, lossPercent: 5 } as const;
/** In which a crop without a container path of its own is sown. */
const PLAIN: readonly PlannedContainer[] = [{ containerId: 'flat-1020', fromDay: 0 }];
/** Plants without germination days, such as cuttings, are raised for as long as their curve goes, days. */
const USUAL_RAISING = 42;

/** Containers a crop goes through; the first from sowing. */
export const containersFor = ({ containerPath }: Pick<Crop, 'containerPath'>): readonly PlannedContainer[] =>
  containerPath.length > 0 ? containerPath.map((c, i) => ({ containerId: c.containerId, fromDay: i === 0 ? 0 : c.fromDay })) : PLAIN;

/** What a crop asks of its dates. Weeks before the last frost and after it together are its age at planting out. */
export function rulesFor(crop: Crop, { hardeningDays }: Pick<SeasonPlan, 'hardeningDays'>): SowingRules {
  const { germination, sowing } = crop;
  const emerges = germination?.days ?? { first: 0, last: 0 };
  const grown = Math.round((emerges.first + emerges.last) / 2) + (crop.heightByDay.at(-1)?.day ?? USUAL_RAISING);
  return {
    age: sowing
      ? {
          youngest: 7 * (sowing.weeksBefore.least + sowing.plantOutWeeksAfter),
          oldest: 7 * (sowing.weeksBefore.most + sowing.plantOutWeeksAfter),
        }
      : { youngest: Math.round(grown * 0.75), oldest: grown },
    emerges,
    needsLight: germination?.light === 'needs',
    containers: containersFor(crop),
    hardeningDays,
  };
}

/** When a crop is to be sown in a season, and what its date rests on. */
export interface CropDates {
  readonly rules: SowingRules;
  readonly window: SowingWindow;
  /** What keeps it in: the last frost, cold nights, or only the day that the person names. */
  readonly binding: 'frost' | 'night' | 'day';
  readonly late: Lateness;
  /** It goes out so young, into nights that hardly hurt it, that little is gained by raising it indoors. */
  readonly betterSownOutdoors: boolean;
  /** The first frost of autumn, where it ends the crop outdoors; null: it stands it, none is known, or the day is named. */
  readonly ends: Day | null;
}

/** Raised for no longer than this and hardy down to such nights, a crop sown where it is to stand catches up: growers' consensus. */
const SOWN_OUTDOORS = { days: 28, night_C: 2 } as const;

/**
 * Counts a crop back from the weather of a season.
 *
 * @param ready  the day on which it is to be ready, whatever the weather; null: as early as frost and nights allow
 * @returns null where neither a frost nor a day is known, or where nights never get warm enough
 */
export function datesFor(crop: Crop, season: SeasonPlan, ready: Day | null, today: Day): CropDates | null {
  const rules = rulesFor(crop, season);
  const byWeather = (): { day: Day; binding: 'frost' | 'night' } | null => {
    if (!crop.sowing) return null;
    const nights = season.nights ? warmNightsFrom(nightsOfMonths(season.nights), crop.sowing.nightLeast, season.year) : null;
    if (season.nights && nights === null) return null;
    return plantOutOf(lastFrostOf(season.lastFrost, season.year), crop.sowing.plantOutWeeksAfter, nights);
  };
  const out = ready === null ? byWeather() : { day: ready, binding: 'day' as const };
  if (!out) return null;
  const window = windowFor(rules, out.day);
  return {
    rules,
    window,
    binding: out.binding,
    late: latenessOf(rules, window, today),
    betterSownOutdoors: crop.sowing !== null && rules.age.oldest <= SOWN_OUTDOORS.days && crop.sowing.nightLeast <= SOWN_OUTDOORS.night_C,
    ends: out.binding === 'day' ? null : frostThatEnds(crop, season),
  };
}

/** A batch of a crop with everything usual; dates are those of a window, or of today where the window has gone by. */
export function plannedFor(crop: Crop, season: SeasonPlan, dates: CropDates | null, cells: number, today: Day, id: string): PlannedBatch {
  const rules = rulesFor(crop, season);
  const sown = !dates ? today : dates.late.status === 'late' ? today : Math.max(today, chosenDay(dates.window, 'middle'));
  // Too young on the day it should go out, it goes out when it is old enough.
  const out = dates ? Math.max(dates.window.plantOut, sown + rules.age.youngest) : sown + rules.age.oldest;
  const course = courseOf(rules, sown, out);
  const kept = new Set(course.pottings.map((p) => p.containerId));
  return {
    id,
    cropId: crop.id,
    label: '',
    sown,
    out: Math.max(out, sown + 1),
    goal: crop.sowing && dates?.binding !== 'day' ? 'outdoors' : 'ready',
    cells,
    ...USUAL,
    keepAtMost: null,
    containers: rules.containers.filter((c, i) => i === 0 || kept.has(c.containerId)),
    tierId: null,
    batchId: null,
    lost: null,
  };
}
