import { revive } from '../watch';
import { startLightWorker, type LightWorker } from './light.client';

/** Questions of one kind. A lane keeps to one worker, which remembers what it computed for the last one; one that died has a successor. */
export type Lane = Pick<LightWorker, 'answer' | 'profile' | 'bench' | 'shares' | 'daylight'>;

export interface LightPool {
  lane(): Lane;
  stop(): void;
}

/**
 * A few light workers, shared by lanes turn about. A worker starts when it is first asked: a page without light has none.
 *
 * @param size   1 …; the picture and the answer should not wait for each other
 * @param start  how a worker is started; another one in tests
 */
export function startLightPool(size: number, start: () => LightWorker = startLightWorker): LightPool {
  const workers: ReturnType<typeof revive<LightWorker>>[] = [];
  let lanes = 0;
  return {
    lane() {
      const seat = lanes++ % size;
      const { ask } = (workers[seat] ??= revive(start));
      return {
        answer: (question) => ask((w) => w.answer(question)),
        profile: (question) => ask((w) => w.profile(question)),
        bench: (question) => ask((w) => w.bench(question)),
        daylight: (question) => ask((w) => w.daylight(question)),
        shares: (...asked) => ask((w) => w.shares(...asked)),
      };
    },
    stop: () => workers.forEach((w) => w.stop()),
  };
}
