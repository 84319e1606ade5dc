import { settingOf, type Setting } from '../../site/past/rememberTiers';
import type { EarlierTier, Site, Tier } from '../../site/stand/Site';
import type { Tables } from '../../things/tables/Tables';
import type { Day } from '../../units/day';

type Past = Pick<Site, 'earlier' | 'timers' | 'lamps' | 'batches'>;

/** What of a tier was written down, each with the setting that came after it; the latest first. What is known no more is left out. */
export function pastOf(
  tier: Tier,
  site: Past,
  tables: Pick<Tables, 'lamp'>,
): readonly { readonly was: EarlierTier; readonly after: Setting }[] {
  const lamps = new Set(site.lamps.map((l) => l.id));
  const batches = new Set(site.batches.map((b) => b.id));
  const isKnown = (e: EarlierTier) =>
    (e.fittings ?? []).every((f) => lamps.has(f.lampId) || tables.lamp(f.lampId)) && (e.trays ?? []).every((y) => batches.has(y.batchId));
  let after = settingOf(tier, site.timers);
  return site.earlier
    .filter((e) => e.tierId === tier.id && isKnown(e))
    .sort((a, b) => b.until - a.until)
    .map((was) => {
      const next = { was, after };
      after = before(next);
      return next;
    });
}

/** How a tier was set until what was written down of it. */
export const before = ({ was, after }: { readonly was: EarlierTier; readonly after: Setting }): Setting => ({
  lit_min: was.lit_min ?? after.lit_min,
  fittings: was.fittings ?? after.fittings,
  trays: was.trays ?? after.trays,
});

/** How a tier was set on a day; null: as it is now, as far as anybody wrote down. */
export function settingOn(tier: Tier, day: Day, site: Past, tables: Pick<Tables, 'lamp'>): Setting | null {
  const last = pastOf(tier, site, tables).findLast(({ was }) => was.until > day);
  return last ? before(last) : null;
}
