import { createStore, type StoreApi } from 'zustand/vanilla';
import type { LightAnswer } from '../../core/answer/check/LightQuestion';
import type { SetUp } from '../../core/answer/stand/setUp';

/** The light of the set-up on the screen. While a new answer is under way the last one stays. */
export type LightState =
  | { readonly status: 'waiting' }
  | { readonly status: 'ready'; readonly answer: LightAnswer; readonly of: SetUp; readonly top: number }
  | { readonly status: 'failed'; readonly reason: string };

export type LightStore = StoreApi<LightState>;

export const createLightStore = (): LightStore => createStore<LightState>(() => ({ status: 'waiting' }));
