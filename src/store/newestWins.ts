/**
 * Asks one question at a time; of those that come meanwhile only the newest is asked. A drag never builds a queue.
 *
 * @param ask  may reject: then `failed` is told, and the next question is asked all the same
 * @returns puts a question; `stop` forgets what waits, and tells nobody of what is under way
 */
export function newestWins<Q, A>(
  ask: (question: Q) => Promise<A>,
  told: (answer: A, question: Q) => void,
  failed: (question: Q, reason: unknown) => void,
) {
  let waiting: { readonly question: Q } | null = null;
  let isAsking = false;
  let isStopped = false;
  async function run(): Promise<void> {
    isAsking = true;
    while (waiting && !isStopped) {
      const { question } = waiting;
      waiting = null;
      try {
        const answer = await ask(question);
        if (!isStopped) told(answer, question);
      } catch (reason) {
        if (!isStopped) failed(question, reason);
      }
    }
    isAsking = false;
  }
  return {
    put(question: Q): void {
      waiting = { question };
      if (!isAsking) void run();
    },
    stop(): void {
      isStopped = true;
      waiting = null;
    },
  };
}
