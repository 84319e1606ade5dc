import type { ArmId, Trial } from '../../site/trial/Trial';
import type { Share } from '../../units/quantities';
import type { TrayInPlace } from '../../answer/bench/traysInPlace';

/** A tray of one arm that gets light from the lamps of another. */
export interface Leak {
  readonly code: string;
  readonly arm: ArmId;
  /** Of all its light. */
  readonly share: Share;
  /** It stands on one tier with another arm, so that both share their lamps. */
  readonly isSameTier: boolean;
}

/** Less is lost in how the trays stand. */
const WORTH_SAYING: Share = 0.03;

/**
 * Light that leaks between the arms, as computed: what comes from other tiers of a stand on which another arm stands, and tiers that two
 * arms share although their lamps or hours are what is compared.
 */
export function leaksOf(trial: Trial, places: ReadonlyMap<string, TrayInPlace>): Leak[] {
  const at = trial.trays.flatMap((row) => {
    const place = row.trayId === null ? undefined : places.get(row.trayId);
    return place ? [{ row, place }] : [];
  });
  const isOfLight = trial.factor === 'lamp' || trial.factor === 'distance' || trial.factor === 'hours' || trial.factor === 'dose';
  if (!isOfLight) return [];
  return at.flatMap(({ row, place }): Leak[] => {
    const others = at.filter((o) => o.row.arm !== row.arm && o.place.stand.stand.id === place.stand.stand.id);
    if (others.some((o) => o.place.tier.tier.id === place.tier.tier.id))
      return [{ code: row.code, arm: row.arm, share: 1, isSameTier: true }];
    const share = place.light?.spillShare ?? 0;
    return others.length > 0 && share >= WORTH_SAYING ? [{ code: row.code, arm: row.arm, share, isSameTier: false }] : [];
  });
}
