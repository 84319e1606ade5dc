import { enterHouse, OWN } from '@/store/house/house';
import type { ExerciseId } from '@/core/plan/practice/Exercise';
import { clearPractice } from '@/store/practice/practised';
import { say } from '../shell/toastStore';

/** Other data means another document: the page is loaded anew. */
function load(address: string, entered: boolean): void {
  if (entered) location.assign(address);
  else say('This browser does not let the page remember which data it looks at. Allow storage for it, then try again.');
}

export const goHome = (address = '/clinic/practice'): void => load(address, enterHouse(OWN));
export const goToDemo = (): void => load('/today', enterHouse({ kind: 'demo' }));

/** Begins an exercise from its start. */
export async function goToExercise(exerciseId: ExerciseId, seed: number): Promise<void> {
  try {
    await clearPractice();
  } catch {
    return say('This browser did not let the page set up the practice stand. Close other windows of it, then try again.');
  }
  load('/clinic/practice/run', enterHouse({ kind: 'practice', exerciseId, seed }));
}

/** A number to begin with; written down, it gives the same exercise to somebody else. */
export const newSeed = (): number => 1 + Math.floor(Math.random() * 9999);
