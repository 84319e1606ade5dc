import type { Metres } from '../quantities';
import type { Crop, Stage } from './Crop';

/**
 * Height of the canopy above the compost on a day, by straight lines between the crop's points; flat beyond them.
 *
 * @param day  days after emergence (houseplants: from a young plant; cuttings: from sticking)
 */
export function heightAt(crop: Crop, day: number): Metres {
  const curve = crop.heightByDay;
  const first = curve[0];
  if (!first) return 0.03; // no curve in the tables: a low seedling
  if (day <= first.day) return first.height;
  for (let i = 1; i < curve.length; i++) {
    const [a, b] = [curve[i - 1]!, curve[i]!];
    if (day <= b.day) return a.height + ((day - a.day) / (b.day - a.day)) * (b.height - a.height);
  }
  return curve[curve.length - 1]!.height;
}

/** The day that stands for a stage: its middle; for plants without an end date the middle of their curve. */
export function middleDayOf(crop: Crop, stage: Stage): number {
  const last = crop.heightByDay[crop.heightByDay.length - 1]?.day ?? 0;
  if (stage.fromDay === null) return last / 2;
  const next = crop.stages[crop.stages.indexOf(stage) + 1]?.fromDay ?? Math.max(last, stage.fromDay);
  return (stage.fromDay + next) / 2;
}
