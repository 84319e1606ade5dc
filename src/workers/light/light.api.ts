import type { LightAnswer, LightQuestion } from '../../core/answer/LightQuestion';

/** The contract of the light worker: plain data in, plain data out. */
export interface LightApi {
  answer(question: LightQuestion): LightAnswer;
}
