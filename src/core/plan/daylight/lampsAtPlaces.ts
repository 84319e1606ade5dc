import { answerBench } from '../../answer/bench/answerBench';
import { questionOfStand } from '../../answer/bench/questionOfStand';
import { benchStandOf } from '../../answer/stand/benchStand';
import { isCovered } from '../../answer/stand/roofOf';
import { photoperiodOf } from '../../judge/dli/LightDay';
import { MOL_SECONDS } from '../../judge/dli/dli';
import { createCache } from '../../light/scene/Cache';
import { addTray } from '../../site/stand/change';
import { shelfStands } from '../../site/stand/shelfStands';
import type { Site } from '../../site/stand/Site';
import type { Stage, StageName } from '../../things/crop/Crop';
import { clearanceOf } from '../../things/lamp/clearanceOf';
import type { Tables } from '../../things/tables/Tables';
import { isLitAt, type LitTimes } from '../../units/LitTimes';
import type { Dli, Hours, Ppfd, Share } from '../../units/quantities';
import { rankOf, type MonthLight, type PlaceRank } from '../../answer/daylight/suits';
import type { MonthAtPlace } from '../../answer/daylight/yearOf';

/** A plant that looks for a place. */
export interface PlantAsked {
  readonly site: Site;
  readonly cropId: string;
  readonly stage: StageName;
}

/** What the lamps of a stand give to a pot in the middle of one of its tiers, as they hang and are set now. */
export interface LampsAtPlace {
  readonly tierId: string;
  readonly dli: Dli;
  /** Of that, what comes from the lamps of other tiers. */
  readonly spillShare: Share;
  readonly strongest: Ppfd;
  readonly times: LitTimes;
  readonly hours: Hours;
  /** It has no room: its leaves would stand as high as the lamps or the shelf above. */
  readonly isTooTall: boolean;
  /** Its leaves would stand nearer to a lamp than its heat or the air allow. */
  readonly isTooNear: boolean;
  /** The day that they make, without the sun, is longer than the plant tolerates. */
  readonly isTooLong: boolean;
}

/** The pot that it stands in. */
const POT = 'pot-13'; // our choice: the size in which most houseplants are sold

/**
 * What the lamps of all stands give to a plant, tier by tier, light from neighbouring tiers included; tiers that get nothing are left out.
 *
 * @throws RangeError when the plant is not known: a caller's mistake
 */
export function lampsAtPlaces({ site, cropId, stage }: PlantAsked, tables: Tables): LampsAtPlace[] {
  const pot = tables.container(POT)!;
  const cache = createCache(256);
  return shelfStands(site).flatMap((stand) => {
    if (stand.tiers.every((t) => t.fittings.length === 0)) return [];
    let next = 0;
    const bare: Site = { ...site, stands: [{ ...stand, tiers: stand.tiers.map((t) => ({ ...t, trays: [] })) }] };
    const potted = stand.tiers.reduce(
      (s, t) => addTray(t.id, pot, { cropId, stage }, { x: t.width / 2, y: t.depth / 2 }, () => `sought-${next++}`)(s),
      bare,
    );
    const bench = benchStandOf(potted, potted.stands[0]!, tables);
    const answer = answerBench(questionOfStand(bench, null), cache);
    return bench.tiers.flatMap((t): LampsAtPlace[] => {
      const y = t.trays[0]!;
      const light = answer.tiers[t.tier.id]?.trays[y.tray.id];
      // Leaves above every lamp get nothing of it: that is told as having no room.
      if (!light || (t.lamps.length === 0 && light.stats.mean <= 0)) return [];
      const { on_min, lit_min, pause } = t.timer;
      return [
        {
          tierId: t.tier.id,
          dli: light.stats.mean * t.hours * MOL_SECONDS,
          spillShare: light.spillShare,
          strongest: light.stats.strongest.ppfd,
          times: { on_min, lit_min, pause },
          hours: t.hours,
          isTooTall: t.lamps.some((l) => l.fitting.face <= y.canopy) || (isCovered(t) && t.tier.enclosure.height <= y.canopy),
          isTooNear: t.lamps.some((l) => l.fitting.face - y.canopy < clearanceOf(l.lamp)),
          // A pause breaks the night: the day that plants count is longer than the hours.
          isTooLong: photoperiodOf({ on_min, lit_min, pause, daylight: null }) > y.limits.longestDay,
        },
      ];
    });
  });
}

/** No daylight in any month. */
const DARK: readonly MonthLight[] = Array.from({ length: 12 }, () => ({ mean: 0, high: 0, strongest: { ppfd: 0, day: 0, minute: 0 } }));

/** The light of a place through the year, daylight and lamps together; lamps add to the strongest sun where they burn along with it. */
export function monthsWith(months: readonly MonthAtPlace[] | null, lamps: LampsAtPlace | null): readonly MonthLight[] {
  const sun: readonly MonthLight[] = months ?? DARK;
  if (!lamps) return sun;
  return sun.map(({ mean, high, strongest }) => ({
    mean: mean + lamps.dli,
    high: high + lamps.dli,
    strongest: {
      ...strongest,
      ppfd: Math.max(strongest.ppfd + (isLitAt(lamps.times, strongest.minute) ? lamps.strongest : 0), lamps.strongest),
    },
  }));
}

/**
 * How a place does for a plant by daylight and lamps. Where it may not stand as the lamps are no month counts as in range; without sun
 * nothing is scorched by it.
 */
export function rankAt(months: readonly MonthAtPlace[] | null, lamps: LampsAtPlace | null, stage: Stage): PlaceRank {
  const rank = rankOf(monthsWith(months, lamps?.isTooTall ? null : lamps), stage);
  const says = months ? rank.months : rank.months.map((m) => (m === 'scorch' ? 'strong' : m));
  const may = !lamps || !(lamps.isTooTall || lamps.isTooNear || lamps.isTooLong);
  return {
    ...rank,
    months: says,
    inBand: may ? rank.inBand : 0,
    bad: may ? says.filter((m) => m === 'scorch' || m === 'dark').length : 12,
  };
}
