import type { BenchAnswer, TrayLight } from '../../answer/bench/BenchQuestion';
import type { BenchStand, BenchTier, BenchTray } from '../../answer/stand/benchStand';

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
