import { EXERCISE_IDS, type ExerciseId } from '../../core/plan/practice/Exercise';

/** Whose data a tab looks at: one's own, the demo's, or those of an exercise. They are kept apart and never mixed. */
export type House =
  | { readonly kind: 'own' }
  | { readonly kind: 'demo' }
  | { readonly kind: 'practice'; readonly exerciseId: ExerciseId; readonly seed: number };

export const OWN: House = { kind: 'own' };

/** What is kept of one's own stands in databases whose names begin like this. */
export const NAME = 'copper-noon';
const PLACE = `${NAME}/house`;

/** How the names of the databases of a house begin. */
export const nameOfHouse = ({ kind }: Pick<House, 'kind'>): string => (kind === 'own' ? NAME : `${NAME}-${kind}`);

/** The house that this tab is in; a new tab begins in one's own. */
export function houseNow(): House {
  try {
    const found: unknown = JSON.parse(sessionStorage.getItem(PLACE) ?? 'null');
    if (typeof found !== 'object' || found === null || !('kind' in found)) return OWN;
    if (found.kind === 'demo') return { kind: 'demo' };
    const { exerciseId, seed } = found as { exerciseId?: unknown; seed?: unknown };
    const id = EXERCISE_IDS.find((e) => e === exerciseId);
    return found.kind === 'practice' && id && Number.isSafeInteger(seed) ? { kind: 'practice', exerciseId: id, seed: seed as number } : OWN;
  } catch {
    // A browser that keeps nothing has but one house.
    return OWN;
  }
}

/** From the next page load on this tab is in a house. @returns whether it could be written down */
export function enterHouse(house: House): boolean {
  try {
    if (house.kind === 'own') sessionStorage.removeItem(PLACE);
    else sessionStorage.setItem(PLACE, JSON.stringify(house));
    return true;
  } catch {
    return false;
  }
}
