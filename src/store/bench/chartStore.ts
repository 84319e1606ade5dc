import { createStore, type StoreApi } from 'zustand/vanilla';
import type { HangChart } from '../../core/plan/hang/HangChart';
import type { VisitJobs } from '../../core/site/hang/KeptChart';

/** The hang chart of the stand that is looked at. While a new one is worked out the last one stays. */
export interface ChartState {
  /** Null: there is none yet. */
  readonly chart: HangChart | null;
  /** How far the next one is, 0 … 1; null: nothing is under way. */
  readonly working: number | null;
  /** The visits of the next one that are found already, and of which stand it is; any of them may still change. */
  readonly soFar: { readonly standId: string; readonly visits: readonly VisitJobs[] } | null;
  readonly failed: string | null;
}

export type ChartStore = StoreApi<ChartState>;

export const createChartStore = (): ChartStore =>
  createStore<ChartState>(() => ({ chart: null, working: null, soFar: null, failed: null }));
