import { startAdviceWorker } from '../workers/advice/advice.client';
import { startChartPool } from '../workers/chart/chart.pool';
import { takeLightWorker } from '../workers/light/early';
import { startLightPool, type Lane } from '../workers/light/light.pool';
import { startReadingsWorker } from '../workers/readings/readings.client';
import { startSeasonWorker, type SeasonWorker } from '../workers/season/season.client';

interface Stops {
  stop(): void;
}

/** All that computes beside the page, in one place: light from the first moment on, the others once they are asked. */
export interface Threads {
  readonly isOpen: boolean;
  /** From now on questions are answered. */
  open(): void;
  /** Ends all of it; `open` begins anew. */
  stop(): void;
  /** Two lanes of light, so that looking for the answer, or for other set-ups, never keeps the picture waiting. */
  lane(which: 'picture' | 'answers'): Lane;
  /** Of its own, so that no picture waits for a search. */
  readonly advisor: () => ReturnType<typeof startAdviceWorker>;
  readonly charter: () => ReturnType<typeof startChartPool>;
  readonly reader: () => ReturnType<typeof startReadingsWorker>;
  readonly planner: () => SeasonWorker;
  /** One for each search through a season, so that calling it off is ending it, and no look waits for it. */
  searcher(): { readonly worker: SeasonWorker; stop(): void };
}

export function createThreads(): Threads {
  let lanes: Readonly<Record<'picture' | 'answers', Lane>> | null = null;
  const running = new Set<Stops>();
  const end = <T extends Stops>(thread: T) => {
    running.delete(thread);
    thread.stop();
  };
  const begun = <T extends Stops>(thread: T): T => {
    running.add(thread);
    return thread;
  };
  const mustBeOpen = () => {
    if (!lanes) throw new Error('not open yet');
    return lanes;
  };
  /** Started when it is asked for the first time, and again after an end. */
  const onceAsked = <T extends Stops>(start: () => T): (() => T) => {
    let thread: T | null = null;
    return () => {
      mustBeOpen();
      if (!thread || !running.has(thread)) thread = begun(start());
      return thread;
    };
  };
  return {
    get isOpen() {
      return lanes !== null;
    },
    open() {
      if (lanes) return;
      const pool = begun(startLightPool(2, takeLightWorker));
      lanes = { picture: pool.lane(), answers: pool.lane() };
    },
    stop() {
      lanes = null;
      [...running].forEach(end);
    },
    lane: (which) => mustBeOpen()[which],
    advisor: onceAsked(startAdviceWorker),
    charter: onceAsked(startChartPool),
    reader: onceAsked(startReadingsWorker),
    planner: onceAsked(startSeasonWorker),
    searcher() {
      const worker = begun(startSeasonWorker());
      return { worker, stop: () => end(worker) };
    },
  };
}
