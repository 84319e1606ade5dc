import type { Metres } from '../../units/quantities';
import type { Crop, Stage } from './Crop';

/**
 * Height of the canopy above the compost on a day, by straight lines between the crop's points; flat beyond them.
 *
 * @param day  days after emergence (houseplants: from a young plant; cuttings: from sticking)
 */
export function heightAt(crop: Crop, day: number): Metres {
  // No curve in the tables: a low seedling.
  return along(crop.heightByDay.map((h) => [h.day, h.height]), day) ?? 0.03; // prettier-ignore
}

/**
 * Width of a plant's leaves on the day of its curve on which it is as tall as it is now; 0 where the crop states none.
 *
 * @param height  of the plant above its compost
 */
export function widthAtHeight(crop: Crop, height: Metres): Metres {
  const day = along(crop.heightByDay.map((h) => [h.height, h.day]), height) ?? 0; // prettier-ignore
  return along(crop.widthByDay.map((w) => [w.day, w.width]), day) ?? 0; // prettier-ignore
}

/** By straight lines between points in order of x, flat beyond them; null without any. */
function along(points: readonly (readonly [number, number])[], x: number): number | null {
  const first = points[0];
  if (!first) return null;
  if (x <= first[0]) return first[1];
  for (let i = 1; i < points.length; i++) {
    const [[x0, y0], [x1, y1]] = [points[i - 1]!, points[i]!];
    if (x <= x1) return x1 === x0 ? y1 : y0 + ((x - x0) / (x1 - x0)) * (y1 - y0);
  }
  return points.at(-1)![1];
}

/** The day that stands for a stage: its middle; for plants without an end date the middle of their curve. */
export function middleDayOf(crop: Crop, stage: Stage): number {
  const last = crop.heightByDay[crop.heightByDay.length - 1]?.day ?? 0;
  if (stage.fromDay === null) return last / 2;
  const next = crop.stages[crop.stages.indexOf(stage) + 1]?.fromDay ?? Math.max(last, stage.fromDay);
  return (stage.fromDay + next) / 2;
}
