import { deserialize, serialize } from 'node:v8';

// A browser has this; jsdom does not.
globalThis.structuredClone ??= (value) => deserialize(serialize(value));
// eslint-disable-next-line @typescript-eslint/no-require-imports
require('fake-indexeddb/auto');
