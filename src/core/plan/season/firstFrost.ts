import type { PlannedBatch, SeasonPlan } from '../../site/season/SeasonPlan';
import type { Crop } from '../../things/crop/Crop';
import type { Day } from '../../units/day';
import { inYear, lastFrostOf } from './lastFrost';

/** What bears such nights stands the first frosts of an autumn as well; what is more tender is ended by one: growers' consensus. */
const STANDS_FROST_C = 2;

/** Where no last frost says where spring is: a first frost before this month belongs to the year after, as south of the equator. */
const JULY = 7;

/** The first frost of the autumn after the spring of a season; null: not known. */
export function autumnFrostOf({ firstFrost, lastFrost, year }: Pick<SeasonPlan, 'firstFrost' | 'lastFrost' | 'year'>): Day | null {
  if (!firstFrost) return null;
  const spring = lastFrostOf(lastFrost, year);
  const isNextYear = spring === null ? firstFrost.month < JULY : inYear(firstFrost, year) <= spring;
  return inYear(firstFrost, isNextYear ? year + 1 : year);
}

/** The frost that ends what stands outdoors of a crop; null where it is not known, or the crop stands it. */
export const frostThatEnds = ({ sowing }: Pick<Crop, 'sowing'>, season: SeasonPlan): Day | null =>
  sowing && sowing.nightLeast > STANDS_FROST_C ? autumnFrostOf(season) : null;

/** The same for a batch: what stays indoors meets none. */
export const frostAhead = (
  { batch, crop }: { readonly batch: Pick<PlannedBatch, 'goal'>; readonly crop: Pick<Crop, 'sowing'> },
  season: SeasonPlan,
): Day | null => (batch.goal === 'outdoors' ? frostThatEnds(crop, season) : null);
