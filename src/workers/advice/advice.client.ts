import { proxy, wrap } from 'comlink';
import type { Advice } from '../../core/advice/advise';
import type { AdviceQuestion } from '../../core/advice/AdviceQuestion';
import type { SettingsFor, SettingsQuestion } from '../../core/advice/settingsFor';
import { watch } from '../watch';
import type { AdviceApi } from './advice.api';

/** A search under way. */
export interface Search {
  readonly result: Promise<Advice>;
  /** Calls it off; the result then rejects. */
  stop(): void;
}

export interface AdviceWorker {
  advise(question: AdviceQuestion, onJudged: (judged: number) => void): Search;
  settings(question: SettingsQuestion): Promise<SettingsFor>;
  stop(): void;
}

export function startAdviceWorker(): AdviceWorker {
  const worker = new Worker(new URL('./advice.worker.ts', import.meta.url), { type: 'module' });
  const remote = wrap<AdviceApi>(worker);
  const { ask, stop } = watch(worker, 'advice');
  return {
    advise(question, onJudged) {
      let wanted = true;
      const progress = proxy((judged: number) => {
        if (wanted) onJudged(judged);
        return wanted;
      });
      return {
        result: ask(() => remote.advise(question, progress)),
        stop: () => {
          wanted = false;
        },
      };
    },
    settings: (question) => ask(() => remote.settings(question)),
    stop,
  };
}
