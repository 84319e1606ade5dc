import { colourOf } from '../../things/lamp/colourOf';
import { nineOfMap } from '../../judge/dli/spreadOfMap';
import { plantAreaOf } from '../../site/stand/footprint';
import { leastKnown } from '../stand/leastKnown';
import type { SetUp } from '../stand/setUp';
import type { Uncertainty } from '../../judge/uncertainty/Band';
import { uncertaintyOfDaylight } from '../../judge/uncertainty/uncertaintyOfDaylight';
import { uncertaintyOfDistance } from '../../judge/uncertainty/uncertaintyOfDistance';
import { uncertaintyOfWalls } from '../../judge/uncertainty/uncertaintyOfWalls';
import { uncertaintiesOf } from '../../measure/fit/uncertaintiesOfLamp';
import { judge, type Verdict } from '../../judge/verdict/judge';
import { shareInBandOf } from '../../judge/verdict/shareOfMap';
import type { LightAnswer } from './LightQuestion';
import { spotsOf } from './perCentimetreOf';

/** Judges the trays of a set-up, which are all alike, as one. */
export function judgeSetUp(
  setUp: SetUp,
  answer: LightAnswer,
): { readonly verdict: Verdict; readonly uncertainties: readonly Uncertainty[] } {
  const { map, stats, perCm, reflectedShare } = answer;
  const areas = setUp.tier.trays.map(plantAreaOf);
  const uncertainties = [
    ...uncertaintiesOf(setUp.lamp, colourOf(setUp.lamp), setUp.calibration, leastKnown(setUp.tier, setUp.lamps, setUp.lamp.id)),
    ...(reflectedShare > 0 ? [uncertaintyOfWalls(setUp.tier.enclosure, reflectedShare, setUp.known.fit?.sides)] : []),
  ];
  const verdict = judge({
    light: { ...spotsOf(stats), ...nineOfMap(map, areas) },
    perCm,
    shareInBand: shareInBandOf(map, areas, setUp.stage, setUp.day),
    stage: setUp.stage,
    limits: setUp.limits,
    day: setUp.day,
    uncertainties,
  });
  return {
    verdict,
    uncertainties: [...uncertainties, uncertaintyOfDistance(perCm.mean), ...uncertaintyOfDaylight(setUp.day, verdict.received)],
  };
}
