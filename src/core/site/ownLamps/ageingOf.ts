import type { Ageing } from '../../things/lamp/ageing';
import type { Fitting, Tier } from '../stand/Site';

/** How old the lamp of a fitting is: by its own hours where they are known, else by those of its tier. */
export function ageingOf({ ageing }: Pick<Tier, 'ageing'>, { own }: Pick<Fitting, 'own'>): Ageing {
  return own && own.used_h !== null ? { ...ageing, used_h: own.used_h } : ageing;
}
