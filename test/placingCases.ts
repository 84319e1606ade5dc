import season from './cases/season.json';
import type { PlacingAsked } from '../src/core/plan/placing/Placing';

/** A reference placing, whose best is proven by other means: test/cases/season.md. */
export interface PlacingCase {
  readonly id: string;
  readonly family: string;
  readonly input: {
    readonly tiers: readonly {
      readonly trayPlaces: number;
      readonly clearCm: number;
      readonly levels: number[];
      readonly whPerMolDay: number;
    }[];
    readonly batches: readonly {
      readonly trays: number[];
      readonly doseMin: number[];
      readonly doseMax: number[];
      readonly heightCm: number[];
    }[];
  };
  readonly expected: { readonly inBandTrayWeeks: number; readonly moves: number; readonly energyWh: number };
}

export const placingCases = (season as unknown as { cases: PlacingCase[] }).cases.filter((c) => c.family === 'space-opt');

export const askedOfCase = ({ input }: PlacingCase): PlacingAsked => ({
  tiers: input.tiers.map((t) => ({
    places: t.trayPlaces,
    clear_cm: t.clearCm,
    levels: t.levels.map((dli) => ({ dli, wh_per_day: dli * t.whPerMolDay })),
  })),
  needs: input.batches.map((b) =>
    b.trays.map((trays, t) => ({ trays, dliMin: b.doseMin[t]!, dliMax: b.doseMax[t]!, height_cm: b.heightCm[t]! })),
  ),
});
