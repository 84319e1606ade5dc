import { createStore } from 'zustand/vanilla';
import type { WalkPoint } from '@/core/answer/walk/planWalk';

/** A walk over a tier with a meter; it outlives a look at another page. */
export interface Walk {
  readonly tierId: string;
  readonly points: readonly WalkPoint[];
  /** The point whose turn it is; as many as there are: all done. */
  readonly at: number;
  /** The reading taken at each point, by its id; null: none yet, or skipped. */
  readonly taken: readonly (string | null)[];
  /** Daylight comes in: each point is read with the lamps off as well. */
  readonly daylight: boolean;
}

interface WalkState {
  readonly walk: Walk | null;
  /** What is typed and not yet taken. */
  readonly draft: string;
  readonly darkDraft: string;
}

export const walkStore = createStore<WalkState>(() => ({ walk: null, draft: '', darkDraft: '' }));

/** Goes to a point, with an empty field. */
export function goTo(at: number): void {
  const { walk } = walkStore.getState();
  if (walk) walkStore.setState({ walk: { ...walk, at: Math.max(0, Math.min(walk.points.length, at)) }, draft: '', darkDraft: '' });
}

/** Remembers what was taken at the point whose turn it is. */
export function noteTaken(readingId: string | null): void {
  const { walk } = walkStore.getState();
  if (walk) walkStore.setState({ walk: { ...walk, taken: walk.taken.map((id, i) => (i === walk.at ? readingId : id)) } });
}
