import type { Site } from '../../site/stand/Site';
import type { Tables } from '../../things/tables/Tables';
import { applyMove, toBuyFor } from './applyMove';
import { EFFORT_min, type Move } from './Move';

/** What a minute of work weighs against the loss; a lamp that has to be bought weighs as much as an hour. */
const PER_MINUTE = 0.006; // our choice: five minutes for three per cent of the dose of one tray
const TO_BUY = 60 * PER_MINUTE;

export const effortOf = (moves: readonly Move[]): number => moves.reduce((sum, m) => sum + EFFORT_min[m.do], 0);

/** Whether any of the moves takes lamps that do not lie in the cupboard, when they are done one after the other. */
export function isToBuy(moves: readonly Move[], site: Site, tables: Pick<Tables, 'lamp'>): boolean {
  if (!moves.some((m) => m.do === 'swap-lamp')) return false;
  let now = site;
  for (const move of moves) {
    if (toBuyFor(now, move) > 0) return true;
    now = applyMove(now, move, tables);
  }
  return false;
}

/** What the work and a purchase weigh against the loss. */
export const troubleOf = (moves: readonly Move[], site: Site, tables: Pick<Tables, 'lamp'>): number =>
  PER_MINUTE * effortOf(moves) + (isToBuy(moves, site, tables) ? TO_BUY : 0);
