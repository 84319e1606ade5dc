import type { EarlierTier, Site } from '../../site/stand/Site';
import { settingsOf, type Setting } from '../../site/trial/rememberTiers';
import type { Trial } from '../../site/trial/Trial';
import type { Metres } from '../../units/quantities';
import type { Day } from '../../units/day';

/** What was set otherwise on a tier on a day, while a trial ran. */
export interface TierChange {
  readonly day: Day;
  readonly tierId: string;
  /** Minutes a day that its lamps burned before, and from then on; null: as long as before. */
  readonly lit_min: readonly [number, number] | null;
  /** By how much its lamps were hung higher, in the mean; null: other lamps or another number of them, or as high as before. */
  readonly lift: Metres | null;
  /** Its lamps are others, or were moved or dimmed. */
  readonly otherLamps: boolean;
  /** Trays came, went, were moved or raised. */
  readonly otherTrays: boolean;
}

/** Less is no change that anybody made. */
const NOTICED: Metres = 0.001; // a millimetre

/** What was set otherwise on the tiers of a trial since it began, until today or its end; the oldest first. */
export function changesOnTheWay(site: Pick<Site, 'stands' | 'timers' | 'earlier'>, trial: Trial): readonly TierChange[] {
  const ids = new Set(trial.trays.flatMap((row) => row.trayId ?? []));
  const now = settingsOf(site);
  return site.earlier
    .filter((e) => e.until > trial.starts && e.until <= (trial.ended ?? Infinity))
    .flatMap((before) => {
      const after: Setting | undefined = nextOf(before, site.earlier) ?? now.get(before.tierId);
      if (!after || ![...before.trays, ...after.trays].some((y) => ids.has(y.id))) return [];
      return [changeOf(before, after)];
    })
    .sort((a, b) => a.day - b.day);
}

/** How a tier was set after that, as far as it was set otherwise again since. */
const nextOf = ({ tierId, until }: EarlierTier, all: readonly EarlierTier[]): EarlierTier | undefined =>
  all
    .filter((e) => e.tierId === tierId && e.until > until)
    .reduce<EarlierTier | undefined>((next, e) => (next && next.until < e.until ? next : e), undefined);

function changeOf({ tierId, until, ...before }: EarlierTier, after: Setting): TierChange {
  const then = new Map(before.fittings.map((f) => [f.id, f]));
  const same = before.fittings.length === after.fittings.length && after.fittings.every((f) => then.get(f.id)?.lampId === f.lampId);
  const rise = same ? after.fittings.reduce((sum, f) => sum + f.face - then.get(f.id)!.face, 0) / Math.max(1, after.fittings.length) : 0;
  const otherwise = ({ x, y, turn, tilt = 0, dim = 1, travel }: Setting['fittings'][number]) =>
    JSON.stringify([x, y, turn, tilt, dim, travel]);
  const isLifted = Math.abs(rise) >= NOTICED;
  const trays = ({ trays: list }: Setting) =>
    JSON.stringify(list.map((y) => [y.id, y.x, y.y, y.turned, y.risers, y.riserHeight, y.coverId]));
  return {
    day: until,
    tierId,
    lit_min: before.lit_min === after.lit_min ? null : [before.lit_min, after.lit_min],
    lift: isLifted ? rise : null,
    otherLamps: !same || after.fittings.some((f) => otherwise(f) !== otherwise(then.get(f.id)!)),
    otherTrays: trays(before) !== trays(after),
  };
}
