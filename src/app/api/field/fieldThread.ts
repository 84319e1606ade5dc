import { Worker } from 'node:worker_threads';
import type { SceneReply } from '@/store/scene/answerSceneText';

/** So many may wait for their turn. */
const MOST_WAITING = 8;
/** No scene within the limits takes so long on a machine of today. */
const LONGEST_MS = 60_000;

/** Why there is no answer. */
export type Refusal = 'field/busy' | 'field/too-slow' | 'field/gone';

interface Thread {
  worker: Worker | null;
  turn: Promise<unknown>;
  waiting: number;
}

const KEY = Symbol.for('copper-noon/field-thread');
const shared = globalThis as { [KEY]?: Thread };
const thread = (shared[KEY] ??= { worker: null, turn: Promise.resolve(), waiting: 0 });

function startWorker(): Worker {
  const worker = new Worker(new URL('./field.worker.ts', import.meta.url), { resourceLimits: { maxOldGenerationSizeMb: 1024 } });
  worker.unref();
  // One that ends while nobody waits is missed at the next question.
  worker
    .on('error', () => undefined)
    .on('exit', () => {
      if (thread.worker === worker) thread.worker = null;
    });
  return worker;
}

/**
 * Answers a scene beside the server, so that nobody else waits for it; one at a time. When whoever asked goes away, or it takes more
 * than a minute, the work ends.
 */
export async function answerAside(text: string, signal: AbortSignal): Promise<SceneReply | Refusal> {
  if (thread.waiting >= MOST_WAITING) return 'field/busy';
  thread.waiting++;
  const before = thread.turn;
  const mine = before.then(() => (signal.aborted ? 'field/gone' : answerNow(text, signal)));
  thread.turn = mine.catch(() => undefined);
  return mine.finally(() => thread.waiting--);
}

function answerNow(text: string, signal: AbortSignal): Promise<SceneReply | Refusal> {
  const worker = (thread.worker ??= startWorker());
  return new Promise((done, fail) => {
    const end = () => {
      clearTimeout(limit);
      signal.removeEventListener('abort', gone);
      worker.off('message', replied).off('error', died).off('exit', died);
    };
    const replied = (reply: SceneReply) => {
      end();
      done(reply);
    };
    const died = (why: unknown) => {
      end();
      fail(why instanceof Error ? why : new Error(`the thread ended with ${String(why)}`));
    };
    const giveUp = (why: Refusal) => {
      end();
      thread.worker = null;
      void worker.terminate();
      done(why);
    };
    const gone = () => giveUp('field/gone');
    const limit = setTimeout(() => giveUp('field/too-slow'), LONGEST_MS);
    signal.addEventListener('abort', gone);
    worker.on('message', replied).on('error', died).on('exit', died);
    worker.postMessage(text);
  });
}
