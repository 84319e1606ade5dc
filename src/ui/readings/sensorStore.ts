import { createStore } from 'zustand/vanilla';
import type { Metres } from '@/core/units/quantities';

/** Where the sensor is held for a reading of one's own, from the left front corner; null: not said yet, the middle. */
export const sensorStore = createStore<{ tierId: string | null; x: Metres; y: Metres; z: Metres | null }>(() => ({
  tierId: null,
  x: 0,
  y: 0,
  z: null,
}));
