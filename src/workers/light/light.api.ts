import type { LightAnswer, LightQuestion } from '../../core/answer/LightQuestion';

import type { Profile, ProfileQuestion } from '../../core/solve/Profile';

/** The contract of the light worker: plain data in, plain data out. */
export interface LightApi {
  answer(question: LightQuestion): LightAnswer;
  profile(question: ProfileQuestion): Profile;
}
