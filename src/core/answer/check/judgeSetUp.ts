import { colourOf } from '../../things/lamp/colourOf';
import { nineOfMap } from '../../judge/dose/spreadOfMap';
import { plantAreaOf } from '../../site/stand/footprint';
import { leastKnown } from '../stand/leastKnown';
import type { SetUp } from '../stand/setUp';
import type { Doubt } from '../../judge/uncertainty/Band';
import { doubtOfDaylight } from '../../judge/uncertainty/doubtOfDaylight';
import { doubtOfDistance } from '../../judge/uncertainty/doubtOfDistance';
import { doubtOfSides } from '../../judge/uncertainty/doubtOfSides';
import { doubtsOf } from '../../measure/fit/doubtsOfLamp';
import { judge, type Verdict } from '../../judge/verdict/judge';
import { shareInBandOf } from '../../judge/verdict/shareOfMap';
import type { LightAnswer } from './LightQuestion';
import { spotsOf } from './perCentimetreOf';

/** Judges the trays of a set-up, which are all alike, as one. */
export function judgeSetUp(setUp: SetUp, answer: LightAnswer): { readonly verdict: Verdict; readonly doubts: readonly Doubt[] } {
  const { map, stats, perCm, reflectedShare } = answer;
  const areas = setUp.tier.trays.map(plantAreaOf);
  const doubts = [
    ...doubtsOf(setUp.lamp, colourOf(setUp.lamp), setUp.calibration, leastKnown(setUp.tier, setUp.lamps, setUp.lamp.id)),
    ...(reflectedShare > 0 ? [doubtOfSides(setUp.tier.enclosure, reflectedShare, setUp.known.fit?.sides)] : []),
  ];
  const verdict = judge({
    light: { ...spotsOf(stats), ...nineOfMap(map, areas) },
    perCm,
    shareInBand: shareInBandOf(map, areas, setUp.stage, setUp.day),
    stage: setUp.stage,
    limits: setUp.limits,
    day: setUp.day,
    doubts,
  });
  return { verdict, doubts: [...doubts, doubtOfDistance(perCm.mean), ...doubtOfDaylight(setUp.day, verdict.received)] };
}
