import { fitTier } from '../../core/measure/fit/fitTier';
import { tables } from '../../core/things/tables/libraryTables';
import { litOf } from '../../core/site/reading/Reading';
import { benchStandOf, leafTopsOf } from '../../core/answer/stand/benchStand';
import { lampsOf } from '../../core/answer/stand/comparedIn';
import { aroundOf } from '../../core/site/stand/roomOf';
import { planWalk } from '../../core/answer/walk/planWalk';
import type { ReadingsApi, TierOfSite } from './readings.api';

/** @throws RangeError when the site has no such stand: a caller's mistake */
function standOf({ site, standId }: TierOfSite) {
  const stand = site.stands.find((s) => s.id === standId);
  if (!stand) throw new RangeError(`there is no stand ${standId}`);
  return stand;
}

export const createReadingsApi = (): ReadingsApi => ({
  fit(of, id, now_ms, progress) {
    const { tiers } = benchStandOf(of.site, standOf(of), tables);
    const { tier } = tiers.find((t) => t.tier.id === of.tierId)!;
    const others = tiers.filter((t) => t.tier !== tier).map((t) => ({ lit: litOf(t.tier), around: aroundOf(t.tier, leafTopsOf(t)) }));
    return fitTier(tier, lampsOf(of.site, tables), others, id, now_ms, progress);
  },
  plan(of, count) {
    const bench = benchStandOf(of.site, standOf(of), tables);
    return planWalk(
      bench.tiers.find((t) => t.tier.id === of.tierId)!,
      count,
    );
  },
});
