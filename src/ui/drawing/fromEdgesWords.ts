import { showLength, type LengthUnit } from '@/core/units/length';
import type { Metres } from '@/core/units/quantities';

/** Where something is on a tier, as one measures it there. */
export const fromEdgesWords = ({ x, y }: { readonly x: Metres; readonly y: Metres }, unit: LengthUnit): string =>
  `${showLength(x, unit)} from the left, ${showLength(y, unit)} from the front`;
