import { createStore } from 'zustand/vanilla';
import type { House } from '../house/house';
import type { Practice, PracticeDeps, PracticeHouse } from './Practice';

/** The practice of a house; what runs exercises comes with the first of them. */
export function createPractice(house: House, deps: PracticeDeps): Practice {
  const runs: Practice['runs'] = createStore(() => ({ run: null }));
  let running: Promise<Omit<Practice, 'runs'>> | null = null;
  const run = (of: PracticeHouse) => (running ??= import('./runPractice').then((m) => m.runPractice(of, runs, deps)));
  return {
    runs,
    open: async (today) => (house.kind === 'practice' ? (await run(house)).open(today) : null),
    pass: async (count) => (house.kind === 'practice' ? (await run(house)).pass(count) : undefined),
    setClock: async () => (house.kind === 'practice' ? (await run(house)).setClock() : undefined),
  };
}
