import { transfer } from 'comlink';
import { answerLight } from '../../core/answer/check/answerLight';
import { answerBench } from '../../core/answer/bench/answerBench';
import { pointShares } from '../../core/answer/bench/pointShares';
import { answerScene } from '../../core/exchange/scene/answerScene';
import { createCache } from '../../core/light/scene/Cache';
import { profileOf } from '../../core/answer/solve/Profile';
import { daylightYear } from '../../core/plan/daylight/daylightYear';
import type { LightApi } from './light.api';

/** What the worker answers, apart from the thread, so a test can ask it over a MessageChannel. */
export function createLightApi(): LightApi {
  const cache = createCache(2048); // a rack of five tiers keeps some 300 things

  return {
    answer(question) {
      const answer = answerLight(question, cache);
      return transfer(answer, [answer.map.ppfd.buffer, answer.slice.ppfd.buffer]);
    },
    bench: (question) => answerBench(question, cache),
    shares: (tier, x, y, z) => pointShares(tier, x, y, z, cache),
    profile: profileOf,
    daylight: daylightYear,
    field: answerScene,
  };
}
