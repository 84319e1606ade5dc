import type { Site } from '../../site/stand/Site';

/** Batches over all of whose trays a lamp burns every day. */
export function litBatches({ stands, timers }: Pick<Site, 'stands' | 'timers'>): ReadonlySet<string> {
  const burning = new Set(timers.filter((t) => t.lit_min > 0).map((t) => t.id));
  const lit = new Set<string>();
  const dark = new Set<string>();
  for (const tier of stands.flatMap((s) => s.tiers))
    for (const { batchId } of tier.trays) (tier.fittings.length > 0 && burning.has(tier.timerId) ? lit : dark).add(batchId);
  return new Set([...lit].filter((id) => !dark.has(id)));
}
