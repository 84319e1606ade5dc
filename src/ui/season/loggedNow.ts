import type { Day } from '@/core/units/day';
import { newId } from '@/store/names/newId';

/** The name of an entry in a log, and the day that it is of. */
export const loggedNow = (day: Day): { id: string; day: Day } => ({ id: newId(), day });
