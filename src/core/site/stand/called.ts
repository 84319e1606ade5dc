import type { Crop } from '../../things/crop/Crop';
import type { Site, Tray } from './Site';

/** Which of several trays of one name on a tier, from the left. */
export interface Among {
  readonly index: number;
  readonly of: number;
}

/** What a tray is called: by its own label, by that of its batch in the season's plan, else by its crop. */
export function calledOf({ season }: Pick<Site, 'season'>, tray: Pick<Tray, 'label' | 'batchId'>, crop: Pick<Crop, 'name'>): string {
  const planned = season?.batches.find((b) => b.batchId === tray.batchId);
  return tray.label || planned?.label || crop.name;
}

/** Of each tray of a tier which it is among those with its name; null where it is the only one. */
export function amongNamesakes(trays: readonly { readonly tray: Pick<Tray, 'x' | 'y'>; readonly called: string }[]): (Among | null)[] {
  const fromLeft = [...trays].sort((a, b) => a.tray.x - b.tray.x || a.tray.y - b.tray.y);
  return trays.map((t) => {
    const alike = fromLeft.filter((o) => o.called === t.called);
    return alike.length > 1 ? { index: alike.indexOf(t), of: alike.length } : null;
  });
}
