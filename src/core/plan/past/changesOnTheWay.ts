import type { TierState } from '../../site/past/noteSettings';
import type { Site, Tray } from '../../site/stand/Site';
import type { Tables } from '../../things/tables/Tables';
import type { Metres } from '../../units/quantities';
import type { Day } from '../../units/day';
import { pastOf, settingBefore } from './tierThen';

/** What was set otherwise on a tier on a day. */
export interface TierChange {
  readonly day: Day;
  readonly tierId: string;
  /** Minutes a day that its lamps burned before, and from then on; null: as long as before. */
  readonly lit_min: readonly [number, number] | null;
  /** By how much its lamps were hung higher, in the mean; null: other lamps or another number of them, or as high as before. */
  readonly lift: Metres | null;
  /** Its lamps are others, or were moved or dimmed. */
  readonly otherLamps: boolean;
  /** Trays came, went, were sown anew, moved or raised. */
  readonly otherTrays: boolean;
}

/** Less is no change that anybody made. */
const NOTICED: Metres = 0.001; // a millimetre

/** What was set otherwise between two days on the tiers where some trays stood before or after it; the oldest first. @param isMeant  which trays */
export function changesOnTheWay(
  site: Site,
  from: Day,
  until: Day,
  isMeant: (tray: Tray) => boolean,
  tables: Pick<Tables, 'lamp'>,
): readonly TierChange[] {
  return site.stands
    .flatMap((s) => s.tiers)
    .flatMap((tier) => pastOf(tier, site, tables))
    .filter(({ was }) => was.until > from && was.until <= until)
    .flatMap((past) => {
      const then = settingBefore(past);
      if (![...then.trays, ...past.after.trays].some(isMeant)) return [];
      const change = changeOf(past.was.tierId, past.was.until, then, past.after);
      // What it was of is known no more.
      return change.lit_min || change.lift !== null || change.otherLamps || change.otherTrays ? [change] : [];
    })
    .sort((a, b) => a.day - b.day);
}

function changeOf(tierId: string, day: Day, was: TierState, after: TierState): TierChange {
  const then = new Map(was.fittings.map((f) => [f.id, f]));
  const same = was.fittings.length === after.fittings.length && after.fittings.every((f) => then.get(f.id)?.lampId === f.lampId);
  const rise = same ? after.fittings.reduce((sum, f) => sum + f.face - then.get(f.id)!.face, 0) / Math.max(1, after.fittings.length) : 0;
  const otherwise = ({ x, y, turn, tilt = 0, dim = 1, travel }: TierState['fittings'][number]) =>
    JSON.stringify([x, y, turn, tilt, dim, travel]);
  const trays = ({ trays: list }: TierState) =>
    JSON.stringify(list.map((y) => [y.id, y.batchId, y.x, y.y, y.turned, y.risers, y.riserHeight, y.coverId]));
  return {
    day,
    tierId,
    lit_min: was.lit_min === after.lit_min ? null : [was.lit_min, after.lit_min],
    lift: Math.abs(rise) >= NOTICED ? rise : null,
    otherLamps: !same || after.fittings.some((f) => otherwise(f) !== otherwise(then.get(f.id)!)),
    otherTrays: trays(was) !== trays(after),
  };
}
