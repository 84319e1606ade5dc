import type { BenchStand, BenchTier, BenchTray } from '../stand/benchStand';
import { MOL_SECONDS } from '../../judge/dli/dli';
import { daylightDli } from '../../judge/dli/LightDay';
import type { Dli } from '../../units/quantities';
import type { BenchAnswer, TrayLight } from './BenchQuestion';

/** A tray where it stands; light null while it is not worked out. */
export interface TrayInPlace {
  readonly stand: BenchStand;
  readonly tier: BenchTier;
  readonly tray: BenchTray;
  readonly light: TrayLight | null;
}

/** All trays of some stands where they stand, by their ids. @param lit  answer null while it is not worked out */
export const traysInPlace = (
  lit: readonly { readonly stand: BenchStand; readonly answer: Pick<BenchAnswer, 'tiers'> | null }[],
): ReadonlyMap<string, TrayInPlace> =>
  new Map(
    lit.flatMap(({ stand, answer }) =>
      stand.tiers.flatMap((tier) =>
        tier.trays.map((tray): [string, TrayInPlace] => [
          tray.tray.id,
          { stand, tier, tray, light: answer?.tiers[tier.tier.id]?.trays[tray.tray.id] ?? null },
        ]),
      ),
    ),
  );

/** The mean dose of a tray, lamps and daylight. */
export const dliInPlace = ({ tier, tray, light }: TrayInPlace): Dli | null =>
  light ? light.stats.mean * tier.hours * MOL_SECONDS + daylightDli(tray.day) : null;
