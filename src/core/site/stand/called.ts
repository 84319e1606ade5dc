import type { Crop } from '../../things/crop/Crop';
import type { Metres } from '../../units/quantities';
import type { Site, Tray } from './Site';

/** Which of several trays of one name on a tier: counted from the left, from the front, or row by row from the front left. */
export interface Among {
  readonly index: number;
  readonly of: number;
  readonly from: 'left' | 'front' | 'corner';
}

/** Trays nearer to each other than this, one way, stand behind or beside each other. */
const SAME: Metres = 0.02; // our choice

/** What a tray is called: by its own label, by that of its batch in the season's plan, else by its crop. */
export function calledOf({ season }: Pick<Site, 'season'>, tray: Pick<Tray, 'label' | 'batchId'>, crop: Pick<Crop, 'name'>): string {
  const planned = season?.batches.find((b) => b.batchId === tray.batchId);
  return tray.label || planned?.label || crop.name;
}

/** Of each tray of a tier which it is among those with its name; null where it is the only one. */
export function amongNamesakes(trays: readonly { readonly tray: Pick<Tray, 'x' | 'y'>; readonly called: string }[]): (Among | null)[] {
  return trays.map((t) => {
    const alike = trays.filter((o) => o.called === t.called);
    if (alike.length < 2) return null;
    const from = wayOf(alike.map((o) => o.tray));
    const inOrder = [...alike].sort(({ tray: a }, { tray: b }) =>
      from === 'left' ? a.x - b.x : Math.abs(a.y - b.y) > SAME ? a.y - b.y : a.x - b.x,
    );
    return { index: inOrder.indexOf(t), of: alike.length, from };
  });
}

/** Two are told apart by the way in which they are farther apart; more of them by one way if it tells all of them apart. */
function wayOf(trays: readonly Pick<Tray, 'x' | 'y'>[]): Among['from'] {
  const [xs, ys] = [trays.map((t) => t.x), trays.map((t) => t.y)];
  if (trays.length === 2) return Math.abs(xs[0]! - xs[1]!) >= Math.abs(ys[0]! - ys[1]!) ? 'left' : 'front';
  return areApart(xs) ? 'left' : areApart(ys) ? 'front' : 'corner';
}

const areApart = (at: readonly Metres[]): boolean => [...at].sort((a, b) => a - b).every((v, i, all) => i === 0 || v - all[i - 1]! > SAME);
