import { startLightWorker, type LightWorker } from './light.client';

/** Questions of one kind. A lane keeps to one worker, which remembers what it computed for the last one. */
export type Lane = Pick<LightWorker, 'answer' | 'profile' | 'bench' | 'shares'>;

export interface LightPool {
  lane(): Lane;
  stop(): void;
}

/**
 * A few light workers, shared by lanes turn about. Workers start when their first lane does.
 *
 * @param size   1 …; the picture and the answer should not wait for each other
 * @param start  how a worker is started; another one in tests
 */
export function startLightPool(size: number, start: () => LightWorker = startLightWorker): LightPool {
  const workers: LightWorker[] = [];
  let lanes = 0;
  return {
    lane() {
      const seat = lanes++ % size;
      const worker = (workers[seat] ??= start());
      return {
        answer: (question) => worker.answer(question),
        profile: (question) => worker.profile(question),
        bench: (question) => worker.bench(question),
        shares: (...asked) => worker.shares(...asked),
      };
    },
    stop: () => workers.forEach((w) => w.stop()),
  };
}
