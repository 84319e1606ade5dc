import type { Crop, Stage } from '../../things/crop/Crop';
import type { MonthAtPlace } from './yearOf';

/** What a month at a place is to a plant. */
export type MonthSays = 'dark' | 'dim' | 'suits' | 'strong' | 'scorch';

export type MonthLight = Pick<MonthAtPlace, 'mean' | 'high' | 'strongest'>;

/** Of what a plant needs this little is darkness to it: our convention. */
const DARK = 0.35;
/** Sun behind glass beyond this of a leaf's strongest PPFD scorches it on days that bring more than its dose: our convention. */
const SCORCH = 1.5;

/**
 * What a month of daylight means for a stage of a crop: by the month's mean dose, and by dose and strongest light of a clear day. An
 * hour of morning sun within its dose harms no leaf; the same strength on a day that brings too much does.
 */
export function monthSays({ mean, high, strongest }: MonthLight, stage: Stage): MonthSays {
  if (strongest.ppfd > SCORCH * stage.ppfdMax && high > stage.dliMax) return 'scorch';
  if (mean > stage.dliMax) return 'strong';
  if (mean >= stage.dliMin) return 'suits';
  return mean < DARK * stage.dliMin ? 'dark' : 'dim';
}

/** How a plant does at a place through the year. */
export interface SuitsHere {
  readonly cropId: string;
  readonly stage: Stage;
  readonly months: readonly MonthSays[];
  /** Months in its band. */
  readonly inBand: number;
}

/** The stage in which a plant stays for years, else the one that it is grown on in. */
export const lastingStage = (crop: Crop): Stage =>
  crop.stages.find((s) => s.stage === 'maintenance') ?? crop.stages.find((s) => s.stage === 'growing-on') ?? crop.stages.at(-1)!;

/** Plants by how many months of the year a place suits them; of as many the ones that are never scorched or in the dark first. */
export function suitsHere(crops: readonly Crop[], months: readonly MonthLight[]): SuitsHere[] {
  const bad = (s: SuitsHere) => s.months.filter((m) => m === 'scorch' || m === 'dark').length;
  return crops
    .map((crop): SuitsHere => {
      const stage = lastingStage(crop);
      const says = months.map((m) => monthSays(m, stage));
      return { cropId: crop.id, stage, months: says, inBand: says.filter((m) => m === 'suits').length };
    })
    .sort((a, b) => b.inBand - a.inBand || bad(a) - bad(b));
}
