import { createStore, type StoreApi } from 'zustand/vanilla';
import type { Profile } from '../../core/answer/solve/Profile';

/** The light on the plants at all distances; null while it is being computed. */
export interface ProfileState {
  readonly profile: Profile | null;
}

export type ProfileStore = StoreApi<ProfileState>;

export const createProfileStore = (): ProfileStore => createStore<ProfileState>(() => ({ profile: null }));
