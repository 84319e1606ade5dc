import { TextDecoder, TextEncoder } from 'node:util';
import { deserialize, serialize } from 'node:v8';

// A browser has these; jsdom does not.
Object.assign(globalThis, { TextDecoder, TextEncoder });
globalThis.structuredClone ??= (value) => deserialize(serialize(value));
// eslint-disable-next-line @typescript-eslint/no-require-imports
require('fake-indexeddb/auto');
// Windows of one browser speak to each other; those of a test as well.
// eslint-disable-next-line @typescript-eslint/no-require-imports
const { BroadcastChannel } = require('node:worker_threads') as typeof import('node:worker_threads');
class Channel extends BroadcastChannel {
  constructor(name: string) {
    super(name);
    this.unref();
  }
}
globalThis.BroadcastChannel = Channel as unknown as typeof globalThis.BroadcastChannel;
/** One holder at a time for each name, in the order in which they asked. */
const turns = new Map<string, Promise<unknown>>();
const locks = {
  request<T>(name: string, work: () => Promise<T>): Promise<T> {
    const mine = (turns.get(name) ?? Promise.resolve()).then(work);
    turns.set(name, mine.catch(() => undefined)); // prettier-ignore
    return mine;
  },
};
if (typeof navigator !== 'undefined') Object.defineProperty(navigator, 'locks', { value: locks, configurable: true });
