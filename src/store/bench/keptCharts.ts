import localforage from 'localforage';
import type { ChartAsked, HangChart } from '../../core/plan/hang/HangChart';
import { writeSite } from '../form/writeSite';
import { NAME } from '../house/house';
import { sealOf } from '../saved/seal';

/** Hang charts as they were worked out last, so that opening the page again does not work out the same once more. */
export interface KeptCharts {
  /** The chart of a question that was answered before by this very build; null for any other. */
  find(question: ChartAsked): Promise<HangChart | null>;
  keep(question: ChartAsked, chart: HangChart): Promise<void>;
}

interface Kept {
  readonly key: number;
  readonly chart: HangChart;
}

/** All that a chart follows from: the stand with its plants, lamps and timers, the household, the day, and the program itself. */
export function chartKeyOf({ site, standId, from, timerStep_min }: ChartAsked, build: string): number {
  const stands = site.stands.filter((s) => s.id === standId);
  const here = new Set(stands.flatMap((s) => s.tiers.flatMap((t) => t.trays.map((y) => y.batchId))));
  const batches = site.batches.filter((b) => here.has(b.id));
  const without = { season: null, clinic: [], trials: [], earlier: [], jobMarks: [], safety: [] };
  // As the file has it: the same whether it was read from there or is just being made.
  return sealOf(JSON.stringify([build, standId, from, timerStep_min, writeSite({ ...site, ...without, stands, batches })]));
}

export function openKeptCharts(build = process.env.COPPER_NOON_BUILD ?? ''): KeptCharts {
  const store = localforage.createInstance({ name: `${NAME}-charts`, storeName: 'charts' });
  return {
    async find(question) {
      const kept = await store.getItem<Kept>(question.standId).catch(() => null);
      return kept?.key === chartKeyOf(question, build) ? kept.chart : null;
    },
    async keep(question, chart) {
      // What cannot be kept is worked out again the next time.
      await store.setItem(question.standId, { key: chartKeyOf(question, build), chart } satisfies Kept).catch(() => undefined);
    },
  };
}
