import { settingOf, type TierState } from '../../site/past/noteSettings';
import type { EarlierTier, Site, Tier } from '../../site/stand/Site';
import type { Tables } from '../../things/tables/Tables';
import type { Day } from '../../units/day';

type Past = Pick<Site, 'earlier' | 'timers' | 'lamps' | 'batches'>;

interface Written {
  readonly was: EarlierTier;
  /** How the tier was set afterwards. */
  readonly after: TierState;
}

/** What of a tier was written down, the latest first. Lamps that are known no more are taken to be those that came after, plants are left out. */
export function pastOf(tier: Tier, site: Past, tables: Pick<Tables, 'lamp'>): readonly Written[] {
  const lamps = new Set(site.lamps.map((l) => l.id));
  const batches = new Set(site.batches.map((b) => b.id));
  let after = settingOf(tier, site.timers);
  return site.earlier
    .filter((e) => e.tierId === tier.id)
    .sort((a, b) => b.until - a.until)
    .map(({ fittings, trays, ...e }): Written => {
      const isKnown = fittings?.every((f) => lamps.has(f.lampId) || tables.lamp(f.lampId));
      const was = { ...e, ...(isKnown && { fittings }), ...(trays && { trays: trays.filter((y) => batches.has(y.batchId)) }) };
      const next = { was, after };
      after = settingBefore(next);
      return next;
    });
}

/** How a tier was set until what was written down of it. */
export const settingBefore = ({ was, after }: Written): TierState => ({
  lit_min: was.lit_min ?? after.lit_min,
  fittings: was.fittings ?? after.fittings,
  trays: was.trays ?? after.trays,
});

/** How a tier was set on a day; null: as it is now, as far as anybody wrote down. */
export function settingOn(tier: Tier, day: Day, site: Past, tables: Pick<Tables, 'lamp'>): TierState | null {
  const last = pastOf(tier, site, tables).findLast(({ was }) => was.until > day);
  return last ? settingBefore(last) : null;
}
