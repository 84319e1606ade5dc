import { askSeason, lookAtSeason, lookOf } from '../../core/plan/season/seasonLook';
import { sparesOf } from '../../core/site/ownLamps/hangingOf';
import { shelvesOf, shelvesCache } from '../../core/plan/season/shelvesOf';
import { shelfStands } from '../../core/site/stand/shelfStands';
import { waysOut, type LampTried } from '../../core/plan/season/waysOut';
import type { Shelves } from '../../core/plan/season/shelvesOf';
import { hangOneMore } from '../../core/plan/season/hangOneMore';
import { lampOf } from '../../core/answer/stand/benchStand';
import type { Site } from '../../core/site/stand/Site';
import { demandOf } from '../../core/plan/placing/Placing';
import { placeWell } from '../../core/plan/placing/placeWell';
import { improve } from './improve';
import type { Highs } from 'highs';
import { tables } from '../../core/things/tables/libraryTables';
import type { Day } from '../../core/units/day';
import type { SeasonApi } from './season.api';

/** As many tiers are tried with a lamp more. */
const MOST_TIERS = 6;

export function createSeasonApi(load: () => Promise<Highs>): SeasonApi {
  const cache = shelvesCache();
  const shelves = (site: Site, today: Day) => {
    const ends = site.season!.batches.map((b) => b.out);
    return shelvesOf(site, today, Math.max(today, ...ends) + 60, tables, cache);
  };
  return {
    look(site, today) {
      if (!site.season) return null;
      const known = shelves(site, today);
      return { look: lookAtSeason(site, site.season, known, today, tables), carries: known.carries };
    },
    async improve(site, today, told) {
      if (!site.season) return null;
      const known = shelves(site, today);
      const question = askSeason(site, site.season, known, today, tables);
      const { asked } = question;
      const demand = demandOf(asked);
      const start = placeWell(asked, { rounds: 40 });
      told(0, demand - start.inBand);
      const { placing, bound } = improve(await load(), asked, start, (done, best) => told(done, demand - best.inBand));
      const proven = placing.inBand >= bound && placing.moves === 0;
      return { look: lookOf(question, { ...placing, proven }), carries: known.carries, leastOver: Math.max(0, demand - bound) };
    },
    waysOut(site, today, progress) {
      if (!site.season) return [];
      const known = shelves(site, today);
      const look = lookAtSeason(site, site.season, known, today, tables);
      if (look.over === 0) return [];
      return waysOut(site, site.season, known, look, today, tables, lampsTried(site, today, known, cache), (done) => {
        progress(done);
        return true;
      });
    },
  };
}

/** One lamp more on each tier with room for it: a spare one where there is one, else another of those that hang there. */
function lampsTried(site: Site, today: Day, known: Shelves, cache: ReturnType<typeof shelvesCache>): LampTried[] {
  const tiers = shelfStands(site).flatMap((s) => s.tiers);
  return tiers.slice(0, MOST_TIERS * 4).flatMap((tier): LampTried[] => {
    const now = known.carries.find((c) => c.tierId === tier.id);
    if (!now || now.places === 0) return [];
    const like = tier.fittings[0];
    const kinds = [
      ...sparesOf(site).map((s) => ({ lampId: s.lampId, isSpare: true })),
      ...(like ? [{ lampId: like.lampId, isSpare: false }] : []),
    ];
    return kinds.slice(0, 3).flatMap(({ lampId, isSpare }): LampTried[] => {
      const lamp = lampOf(site, lampId, tables);
      if (lamp.length > tier.width + 0.02) return [];
      const withLamp = hangOneMore(tier.id, lamp, `tried-${tier.id}`)(site);
      const carry = shelvesOf({ ...withLamp, windows: [] }, today, today, tables, cache).carries.find((c) => c.tierId === tier.id);
      return carry ? [{ tierId: tier.id, lampId, isSpare, carry: { ...carry, daylight: now.daylight } }] : [];
    });
  });
}
