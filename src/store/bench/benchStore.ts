import { createStore, type StoreApi } from 'zustand/vanilla';
import type { Day } from '../../core/units/day';
import type { BenchAnswer } from '../../core/answer/bench/BenchQuestion';
import type { BenchStand } from '../../core/answer/stand/benchStand';

/** The light of the stand on the bench. While a new answer is under way the last one stays. */
export type BenchLight =
  | { readonly status: 'waiting' }
  | {
      readonly status: 'ready';
      readonly answer: BenchAnswer;
      /** What it is the light of. */
      readonly of: BenchStand;
      readonly view: 'front' | 'side';
      /** Something newer is being worked out. */
      readonly stale: boolean;
    }
  | { readonly status: 'failed'; readonly reason: string };

/** What the bench shows and what a hand is on; not part of the document. */
export interface BenchLook {
  readonly view: 'front' | 'side';
  /** The stand on the bench; null, or one that is gone: the first that was built there. */
  readonly standId: string | null;
  /** The stand that it is held beside; null: none chosen yet. */
  readonly otherId: string | null;
  /** The tier that is looked at from above; null: the first. */
  readonly tierId: string | null;
  /** Lamps and trays that the next word is about. */
  readonly chosen: readonly string[];
  /** The tier on which a hand moves something now. */
  readonly handOn: string | null;
  /** How far the hand has moved what it holds, in the words of its steps; null: nothing is held. */
  readonly moved: string | null;
  /** The later day that is looked at; null: today. */
  readonly day: Day | null;
  /** Whether the season can be run. */
  readonly season: boolean;
}

export type BenchLightStore = StoreApi<BenchLight>;
export type BenchLookStore = StoreApi<BenchLook>;

export const createBenchLightStore = (): BenchLightStore => createStore<BenchLight>(() => ({ status: 'waiting' }));
export const createBenchLookStore = (): BenchLookStore =>
  createStore<BenchLook>(() => ({
    view: 'front',
    standId: null,
    otherId: null,
    tierId: null,
    chosen: [],
    handOn: null,
    moved: null,
    day: null,
    season: false,
  }));
