import type { LightAnswer, LightQuestion } from '../../core/answer/LightQuestion';
import type { AskedTier, BenchAnswer, BenchQuestion } from '../../core/bench/BenchQuestion';
import type { pointShares } from '../../core/bench/pointShares';
import type { SceneAnswer, SceneQuestion } from '../../core/field/SceneQuestion';
import type { Profile, ProfileQuestion } from '../../core/solve/Profile';

/** The contract of the light worker: plain data in, plain data out. */
export interface LightApi {
  answer(question: LightQuestion): LightAnswer;
  profile(question: ProfileQuestion): Profile;
  /** The light of a whole stand. */
  bench(question: BenchQuestion): BenchAnswer;
  /** What each lamp of a tier gives to one place of it. */
  shares(tier: AskedTier, x: number, y: number, z: number): ReturnType<typeof pointShares>;
  /** Everything that can be asked of a scene at once; the same as the other two doors say. */
  field(question: SceneQuestion): SceneAnswer;
}
