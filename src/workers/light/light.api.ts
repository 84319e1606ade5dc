import type { LightAnswer, LightQuestion } from '../../core/answer/LightQuestion';

import type { SceneAnswer, SceneQuestion } from '../../core/field/SceneQuestion';
import type { Profile, ProfileQuestion } from '../../core/solve/Profile';

/** The contract of the light worker: plain data in, plain data out. */
export interface LightApi {
  answer(question: LightQuestion): LightAnswer;
  profile(question: ProfileQuestion): Profile;
  /** Everything that can be asked of a scene at once; the same as the other two doors say. */
  field(question: SceneQuestion): SceneAnswer;
}
