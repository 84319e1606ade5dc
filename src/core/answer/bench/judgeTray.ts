import { spotsOf } from '../check/perCentimetreOf';
import { leastKnown } from '../stand/leastKnown';
import { colourOf } from '../../things/lamp/colourOf';
import { nineOfMap } from '../../judge/dli/spreadOfMap';
import type { Share } from '../../units/quantities';
import type { BenchTier, BenchTray } from '../stand/benchStand';
import { plantAreaOf } from '../../site/stand/footprint';
import type { Uncertainty } from '../../judge/uncertainty/Band';
import { uncertaintyOfDaylight } from '../../judge/uncertainty/uncertaintyOfDaylight';
import { uncertaintyOfDistance } from '../../judge/uncertainty/uncertaintyOfDistance';
import { uncertaintyOfNeighbours } from '../../judge/uncertainty/uncertaintyOfNeighbours';
import { uncertaintyOfWalls } from '../../judge/uncertainty/uncertaintyOfWalls';
import { uncertaintiesOf } from '../../measure/fit/uncertaintiesOfLamp';
import { judge, type Verdict } from '../../judge/verdict/judge';
import { shareInBandOf } from '../../judge/verdict/shareOfMap';
import type { TrayLight } from './BenchQuestion';

/** A tray with its verdict, and why that may be off. */
export interface JudgedTray {
  readonly tray: BenchTray;
  readonly verdict: Verdict;
  readonly uncertainties: readonly Uncertainty[];
  readonly light: TrayLight;
}

/** Judges a tray by its own crop and stage on its day. */
export function judgeTray(tier: BenchTier, tray: BenchTray, light: TrayLight): JudgedTray {
  const { stats, map, perCm, reflectedShare, shadedShare } = light;
  const { stage, limits } = tray;
  const uncertainties = [
    ...uncertaintiesOfLamps(tier, light),
    ...(reflectedShare > 0 ? [uncertaintyOfWalls(tier.tier.enclosure, reflectedShare, tier.known.fit?.sides)] : []),
    ...(shadedShare > 0 ? [uncertaintyOfNeighbours(shadedShare)] : []),
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
    uncertainties,
  });
  return {
    tray,
    light,
    uncertainties: [...uncertainties, uncertaintyOfDistance(perCm.mean), ...uncertaintyOfDaylight(day, verdict.received)],
    verdict,
  };
}

/**
 * Doubts of the lamps, each kind by its share of the light on the tray: lamps of one kind are off together, kinds apart from
 * each other. Light from other tiers is as doubtful as the tier's own.
 */
function uncertaintiesOfLamps(tier: BenchTier, light: TrayLight): Uncertainty[] {
  const kinds = new Map<string, { share: Share; uncertainties: readonly Uncertainty[] }>();
  const fromOwn = light.lamps.reduce((sum, l) => sum + l.share, 0);
  for (const { fitting, lamp, calibration } of tier.lamps) {
    const share = (light.lamps.find((l) => l.id === fitting.id)?.share ?? 0) / (fromOwn || 1);
    const known = kinds.get(lamp.id);
    kinds.set(lamp.id, {
      share: share + (known?.share ?? 0),
      uncertainties: known?.uncertainties ?? uncertaintiesOf(lamp, colourOf(lamp), calibration, leastKnown(tier.tier, tier.lamps, lamp.id)),
    });
  }
  return [...kinds.values()].flatMap(({ share, uncertainties }) =>
    uncertainties.map((d) => ({ ...d, low: d.low * share, high: d.high * share })),
  );
}
