import { createStore } from 'zustand/vanilla';

/** Where the next reading is taken, from the middle of the tier; pointed at on the map or chosen by name. */
export const placeStore = createStore<{ dx: number; dy: number }>(() => ({ dx: 0, dy: 0 }));
