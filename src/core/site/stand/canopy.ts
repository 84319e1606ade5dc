import type { Crop, Stage } from '../../things/crop/Crop';
import { heightAt, middleDayOf } from '../../things/crop/heightAt';
import type { Metres } from '../../units/quantities';
import type { Batch, Tier, Tray } from './Site';

/** Height of the plants above the compost: as measured, or from the crop's curve at the middle of the stage. */
export function plantHeightOf(batch: Batch, crop: Crop, stage: Stage): Metres {
  return batch.height ?? heightAt(crop, middleDayOf(crop, stage));
}

/** Height of what a tray stands on above the tier's floor. */
export const footOf = (tray: Tray): Metres => tray.risers * tray.riserHeight;

/** Height of a tray's rim above the tier's floor: the compost is taken to reach it. */
export const rimOf = (tray: Tray): Metres => footOf(tray) + tray.height;

/** Height of the leaf tops above the tier's floor, over the highest tray. */
export function canopyOf(tier: Tier, plantHeight: Metres): Metres {
  return tier.trays.reduce((top, tray) => Math.max(top, rimOf(tray)), 0) + plantHeight;
}
