import type { BenchAnswer, TrayLight } from '../../answer/bench/BenchQuestion';
import type { BenchStand, BenchTier, BenchTray } from '../../answer/stand/benchStand';
import { MOL_SECONDS } from '../../judge/dli/dli';
import { daylightDli } from '../../judge/dli/LightDay';
import type { TrayFacts, TrayHad } from '../../site/trial/Trial';

/** A tray of a trial where it stands; light null while it is not worked out. */
export interface TrialPlace {
  readonly stand: BenchStand;
  readonly tier: BenchTier;
  readonly tray: BenchTray;
  readonly light: TrayLight | null;
}

/** All trays of some stands where they stand, by their ids. @param lit  answer null while it is not worked out */
export const trialPlacesOf = (
  lit: readonly { readonly stand: BenchStand; readonly answer: Pick<BenchAnswer, 'tiers'> | null }[],
): ReadonlyMap<string, TrialPlace> =>
  new Map(
    lit.flatMap(({ stand, answer }) =>
      stand.tiers.flatMap((tier) =>
        tier.trays.map((tray): [string, TrialPlace] => [
          tray.tray.id,
          { stand, tier, tray, light: answer?.tiers[tier.tier.id]?.trays[tray.tray.id] ?? null },
        ]),
      ),
    ),
  );

/** The mean dose of a tray, lamps and daylight. */
export const dliOfPlace = ({ tier, tray, light }: TrialPlace): number | null =>
  light ? light.stats.mean * tier.hours * MOL_SECONDS + daylightDli(tray.day) : null;

/** How a tray stands where it is drawn. */
export function trayFactsOf({ tier, tray }: TrialPlace): TrayFacts {
  const faces = tier.lamps.map((l) => l.fitting.face);
  return {
    cropId: tray.crop.id,
    sown: tray.batch.sown,
    tierId: tier.tier.id,
    lamps: [...new Set(tier.lamps.map((l) => l.lamp.id))],
    distance: faces.length > 0 ? Math.min(...faces) - tray.canopy : null,
    hours: tier.hours,
    coverId: tray.tray.coverId,
    containerId: tray.tray.containerId,
  };
}

/** The mean dose of a tray that is gone, or whose trial is over; null where it was there for no day. */
export const dliOfHad = ({ mol_per_m2, days }: TrayHad): number | null => (days > 0 ? mol_per_m2 / days : null);
