import type { LightAnswer, LightQuestion } from '../../core/answer/check/LightQuestion';
import type { AskedTier, BenchAnswer, BenchQuestion } from '../../core/answer/bench/BenchQuestion';
import type { pointShares } from '../../core/answer/bench/pointShares';
import type { SceneAnswer, SceneQuestion } from '../../core/exchange/scene/SceneQuestion';
import type { DaylightAnswer, DaylightQuestion } from '../../core/plan/daylight/daylightYear';
import type { Profile, ProfileQuestion } from '../../core/answer/solve/Profile';

/** The contract of the light worker: plain data in, plain data out. */
export interface LightApi {
  answer(question: LightQuestion): LightAnswer;
  profile(question: ProfileQuestion): Profile;
  /** The light of a whole stand. */
  bench(question: BenchQuestion): BenchAnswer;
  /** What each lamp of a tier gives to one place of it. */
  shares(tier: AskedTier, x: number, y: number, z: number): ReturnType<typeof pointShares>;
  /** A year of daylight, and what lamps have to add. */
  daylight(question: DaylightQuestion): DaylightAnswer;
  /** Everything that can be asked of a scene at once; the same as the other two doors say. */
  field(question: SceneQuestion): SceneAnswer;
}
