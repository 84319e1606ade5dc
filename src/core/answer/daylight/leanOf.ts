import { materialOf } from '../../things/material/materialLibrary';
import type { Dli } from '../../units/quantities';
import type { MonthAtPlace } from './yearOf';

/** More than this is one-sided beyond saying. */
const MOST = 50;
/** Of the light that lamps overhead give to level leaves, upright ones get about this share; our estimate for lamps wider than high above. */
export const LAMP_SIDEWAYS = 0.35;
/** Of what its shaded side sees, a card as high as the plant and a hand's width behind it fills about this; our estimate. */
const CARD_SEEN = 0.5;

/**
 * How many times as much light a plant gets from its pane as from the room: what it leans to.
 *
 * @param lamp  a day's sum of lamps on level leaves, which falls on both sides alike
 * @param card  a white card stands behind the plant
 * @returns null where there is no light
 */
export function leanOf({ facing, away }: Pick<MonthAtPlace, 'facing' | 'away'>, lamp: Dli = 0, card = false): number | null {
  const pane = facing + LAMP_SIDEWAYS * lamp;
  const back = away + LAMP_SIDEWAYS * lamp + (card ? CARD_SEEN * materialOf('white-card').reflectance * facing : 0);
  return pane > 0 ? Math.max(1, pane / Math.max(back, pane / MOST)) : null;
}
