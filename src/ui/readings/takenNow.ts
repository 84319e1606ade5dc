import { newId } from '@/store/names/newId';

/** The name and moment of a reading that is taken now; one that is taken again keeps its name. */
export const takenNow = (id: string = newId()): { id: string; now_ms: number } => ({ id, now_ms: Date.now() });
