import { proxy } from 'comlink';

/**
 * Asks a worker that tells how far it is. What it tells comes on a channel of its own, which may be slower than the one of the answer:
 * once there is an answer (or a failure) nothing is told any more.
 *
 * @param told  what is told on the way
 * @param ask  puts the question, with the function of the page that the worker is to call
 */
export async function onTheWay<T extends unknown[], A>(
  told: (...of: T) => void,
  ask: (told: (...of: T) => void) => Promise<A>,
): Promise<A> {
  let isAnswered = false;
  try {
    return await ask(proxy((...of: T) => void (isAnswered || told(...of))));
  } finally {
    isAnswered = true;
  }
}
