import { spotsOf } from '../check/perCentimetreOf';
import { leastKnown } from '../stand/leastKnown';
import { colourOf } from '../../things/lamp/colourOf';
import { nineOfMap } from '../../judge/dose/spreadOfMap';
import type { Share } from '../../units/quantities';
import type { BenchTier, BenchTray } from '../stand/benchStand';
import { plantAreaOf } from '../../site/stand/footprint';
import type { Doubt } from '../../judge/uncertainty/Band';
import { doubtOfDaylight } from '../../judge/uncertainty/doubtOfDaylight';
import { doubtOfDistance } from '../../judge/uncertainty/doubtOfDistance';
import { doubtOfSides } from '../../judge/uncertainty/doubtOfSides';
import { doubtsOf } from '../../measure/fit/doubtsOfLamp';
import { judge, type Verdict } from '../../judge/verdict/judge';
import { shareInBandOf } from '../../judge/verdict/shareOfMap';
import type { TrayLight } from './BenchQuestion';

/** A tray with its verdict, and why that may be off. */
export interface JudgedTray {
  readonly tray: BenchTray;
  readonly verdict: Verdict;
  readonly doubts: readonly Doubt[];
  readonly light: TrayLight;
}

/** Judges a tray by its own crop and stage on its day. */
export function judgeTray(tier: BenchTier, tray: BenchTray, light: TrayLight): JudgedTray {
  const { stats, map, perCm, reflectedShare } = light;
  const { stage, limits } = tray;
  const doubts = [
    ...doubtsOfLamps(tier, light),
    ...(reflectedShare > 0 ? [doubtOfSides(tier.tier.enclosure, reflectedShare, tier.known.fit?.sides)] : []),
  ];
  const area = [plantAreaOf(tray.tray)];
  const { day } = tray;
  const verdict = judge({
    light: { ...spotsOf(stats), ...nineOfMap(map, area) },
    perCm,
    shareInBand: shareInBandOf(map, area, stage, day),
    stage,
    limits,
    day,
    doubts,
  });
  return { tray, light, doubts: [...doubts, doubtOfDistance(perCm.mean), ...doubtOfDaylight(day, verdict.received)], verdict };
}

/**
 * Doubts of the lamps, each kind by its share of the light on the tray: lamps of one kind are off together, kinds apart from
 * each other. Light from other tiers is as doubtful as the tier's own.
 */
function doubtsOfLamps(tier: BenchTier, light: TrayLight): Doubt[] {
  const kinds = new Map<string, { share: Share; doubts: readonly Doubt[] }>();
  const fromOwn = light.lamps.reduce((sum, l) => sum + l.share, 0);
  for (const { fitting, lamp, calibration } of tier.lamps) {
    const share = (light.lamps.find((l) => l.id === fitting.id)?.share ?? 0) / (fromOwn || 1);
    const known = kinds.get(lamp.id);
    kinds.set(lamp.id, {
      share: share + (known?.share ?? 0),
      doubts: known?.doubts ?? doubtsOf(lamp, colourOf(lamp), calibration, leastKnown(tier.tier, tier.lamps, lamp.id)),
    });
  }
  return [...kinds.values()].flatMap(({ share, doubts }) => doubts.map((d) => ({ ...d, low: d.low * share, high: d.high * share })));
}
