import type { Crop, Stage } from '../crop/Crop';
import { heightAt, middleDayOf } from '../crop/heightAt';
import type { Metres } from '../quantities';
import type { Batch, Tier } from './Site';

/** Height of the plants above the compost: as measured, or from the crop's curve at the middle of the stage. */
export function plantHeightOf(batch: Batch, crop: Crop, stage: Stage): Metres {
  return batch.height ?? heightAt(crop, middleDayOf(crop, stage));
}

/** Height of the leaf tops above the tier's floor: the compost is taken to reach the rim of the tallest tray. */
export function canopyOf(tier: Tier, plantHeight: Metres): Metres {
  return tier.trays.reduce((top, tray) => Math.max(top, tray.height), 0) + plantHeight;
}
