import { createStore, type StoreApi } from 'zustand/vanilla';

/** Advice that is being tried: what was done, and how to go back to before it. */
export interface AdviceTrial {
  readonly words: string;
  /** How many steps could be undone right after it; more: something was done since. */
  readonly steps: number;
}

/** What a person thinks of advice; for as long as the page is open. */
export interface TrialState {
  readonly trial: AdviceTrial | null;
  /** Offers that were waved away, by the words of their moves. */
  readonly dismissed: readonly string[];
}

type TrialStore = StoreApi<TrialState>;
export const trialStore: TrialStore = createStore<TrialState>(() => ({ trial: null, dismissed: [] }));
