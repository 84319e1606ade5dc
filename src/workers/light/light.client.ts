import { wrap } from 'comlink';
import type { LightAnswer, LightQuestion } from '../../core/answer/check/LightQuestion';
import type { BenchAnswer, BenchQuestion } from '../../core/answer/bench/BenchQuestion';
import type { SceneAnswer, SceneQuestion } from '../../core/exchange/scene/SceneQuestion';
import type { Profile, ProfileQuestion } from '../../core/answer/solve/Profile';
import type { DaylightAnswer, DaylightQuestion } from '../../core/plan/daylight/daylightYear';
import { newLife } from '../life';
import { watch } from '../watch';
import type { LightApi } from './light.api';

export interface LightWorker {
  /** Rejects when the worker could not load, died or was stopped, or when the computation threw. */
  answer(question: LightQuestion): Promise<LightAnswer>;
  profile(question: ProfileQuestion): Promise<Profile>;
  bench(question: BenchQuestion): Promise<BenchAnswer>;
  daylight(question: DaylightQuestion): Promise<DaylightAnswer>;
  shares(...asked: Parameters<LightApi['shares']>): Promise<ReturnType<LightApi['shares']>>;
  field(question: SceneQuestion): Promise<SceneAnswer>;
  stop(): void;
}

export function startLightWorker(): LightWorker {
  const life = newLife();
  const worker = new Worker(new URL('./light.worker.ts', import.meta.url), { type: 'module', name: life });
  const remote = wrap<LightApi>(worker);
  const { ask, stop } = watch(worker, 'light', life);
  return {
    answer: (question) => ask(() => remote.answer(question)),
    profile: (question) => ask(() => remote.profile(question)),
    bench: (question) => ask(() => remote.bench(question)),
    daylight: (question) => ask(() => remote.daylight(question)),
    shares: (...asked) => ask(() => remote.shares(...asked)),
    field: (question) => ask(() => remote.field(question)),
    stop,
  };
}
