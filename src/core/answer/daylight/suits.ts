import type { Crop, Stage } from '../../things/crop/Crop';
import { bearingOf, scorches } from '../../judge/verdict/scorch';
import type { Dli } from '../../units/quantities';
import type { MonthAtPlace } from './yearOf';

/** What a month at a place is to a plant. */
export type MonthSays = 'dark' | 'dim' | 'suits' | 'strong' | 'scorch';

export type MonthLight = Pick<MonthAtPlace, 'mean' | 'high' | 'strongest'>;

/** How a place does for a plant through the year. */
export interface PlaceRank {
  readonly months: readonly MonthSays[];
  /** Months in its band. */
  readonly inBand: number;
  /** Months in which it is scorched or in the dark. */
  readonly bad: number;
  /** Mean doses of the months, the least and the most. */
  readonly least: Dli;
  readonly most: Dli;
}

/** Counts what the months of a place are to a stage of a plant. @param months  at least one */
export function rankOf(months: readonly MonthLight[], stage: Stage): PlaceRank {
  const says = months.map((m) => monthSays(m, stage));
  const doses = months.map((m) => m.mean);
  return {
    months: says,
    inBand: says.filter((m) => m === 'suits').length,
    bad: says.filter((m) => m === 'scorch' || m === 'dark').length,
    least: Math.min(...doses),
    most: Math.max(...doses),
  };
}

/** Better places first. */
export const byRank = (a: PlaceRank, b: PlaceRank): number => b.inBand - a.inBand || a.bad - b.bad;

/** Of what a plant needs this little is darkness to it: our convention. */
const DARK = 0.35;

/**
 * What a month of daylight means for a stage of a crop: by the month's mean dose, and by dose and strongest light of a clear day.
 */
export function monthSays({ mean, high, strongest }: MonthLight, stage: Stage): MonthSays {
  if (scorches({ noonPpfd: strongest.ppfd, clearDli: high }, bearingOf(stage))) return 'scorch';
  if (mean > stage.dliMax) return 'strong';
  if (mean >= stage.dliMin) return 'suits';
  return mean < DARK * stage.dliMin ? 'dark' : 'dim';
}

/** How a plant does at a place through the year. */
export interface SuitsHere extends PlaceRank {
  readonly cropId: string;
  readonly stage: Stage;
}

/** The stage in which a plant stays for years, else the one that it is grown on in. */
export const lastingStage = (crop: Crop): Stage =>
  crop.stages.find((s) => s.stage === 'maintenance') ?? crop.stages.find((s) => s.stage === 'growing-on') ?? crop.stages.at(-1)!;

/** Plants by how many months of the year a place suits them; of as many the ones that are never scorched or in the dark first. */
export const suitsHere = (crops: readonly Crop[], months: readonly MonthLight[]): SuitsHere[] =>
  crops.map((crop) => ({ cropId: crop.id, stage: lastingStage(crop), ...rankOf(months, lastingStage(crop)) })).sort(byRank);
