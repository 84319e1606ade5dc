import type { Hours, Share } from '../../units/quantities';
import { hoursBurned, maintenance, type Ageing } from './ageing';
import type { Lamp } from './Lamp';

/** Share of today's light that some lamps together still give after they have burned for so many hours more. */
export function fadedTo(lamps: readonly { readonly lamp: Lamp; readonly ageing: Ageing }[], later_h: Hours): Share {
  let now = 0, then = 0; // prettier-ignore
  for (const { lamp, ageing } of lamps) {
    const burned = hoursBurned(lamp, ageing) + (ageing.later_h ?? 0);
    now += lamp.ppf;
    then += (lamp.ppf * maintenance(lamp, burned + later_h)) / maintenance(lamp, burned);
  }
  return now > 0 ? then / now : 1;
}
