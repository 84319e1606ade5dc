import { createStore } from 'zustand/vanilla';

/** What loads the new version of the application that waits; null while there is none. */
export const newVersion = createStore<{ readonly load: (() => void) | null }>(() => ({ load: null }));
