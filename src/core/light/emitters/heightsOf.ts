import type { Metres } from '../../units/quantities';
import { boxOf } from './boxOf';
import type { Emitter } from './Emitter';

/** Heights of the lowest and the highest shining part of an emitter. */
export function heightsOf(emitter: Emitter): { readonly lowest: Metres; readonly highest: Metres } {
  const { low, high } = boxOf(emitter);
  return { lowest: low[2], highest: high[2] };
}
