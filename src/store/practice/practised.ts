import localforage from 'localforage';
import type { ExerciseId } from '../../core/plan/practice/Exercise';
import { NAME, nameOfHouse } from '../house/house';

/** Empties what an exercise before has left, so that the next one begins from its own start. */
export async function clearPractice(): Promise<void> {
  const name = nameOfHouse({ kind: 'practice' });
  const rooms = [
    [name, 'workspace'],
    [name, 'session'],
    [`${name}-readings`, 'pages'],
    [`${name}-aside`, 'whole'],
    [`${name}-snapshots`, 'lines'],
    [`${name}-snapshot-files`, 'files'],
    [`${name}-photos`, 'photos'],
    [`${name}-shared`, 'states'],
  ] as const;
  const hurried = localforage.createInstance({ name, storeName: 'hurried', driver: localforage.LOCALSTORAGE });
  await Promise.all([hurried.clear(), ...rooms.map(([n, storeName]) => localforage.createInstance({ name: n, storeName }).clear())]);
}

/** How an exercise came out once. */
export interface PracticeResult {
  readonly exerciseId: ExerciseId;
  readonly seed: number;
  readonly points: number;
  readonly won: boolean;
  readonly at: string;
}

const results = () => localforage.createInstance({ name: `${NAME}-practised`, storeName: 'results' });

export const keepResult = (result: PracticeResult): Promise<void> =>
  results()
    .setItem(result.at, result)
    .then(() => undefined, () => undefined); // prettier-ignore

/** Everything that was practised in this browser, the oldest first. */
export async function practised(): Promise<readonly PracticeResult[]> {
  const found: PracticeResult[] = [];
  await results().iterate<PracticeResult, void>((r) => void found.push(r)).catch(() => undefined); // prettier-ignore
  return found.sort((a, b) => (a.at < b.at ? -1 : 1));
}
