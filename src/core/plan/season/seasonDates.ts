import type { Day } from '../../units/day';
import type { BatchCourse } from './batchCourse';

/** One thing of a season on its day. */
export interface SeasonDate {
  readonly id: string;
  readonly day: Day;
  /** The last day of a window; the day itself where it is one. */
  readonly until: Day;
  readonly what: 'sow' | 'lamp-on' | 'emerge' | 'pot-on' | 'harden' | 'out';
  readonly containerId: string | null;
  /** Flats that it stands in from then on. */
  readonly trays: number;
  readonly plants: number;
}

/** What a batch brings, in order. What was seen to be over is left out: the sowing of one that is sown, the emergence of one that is up. */
export function datesOf(course: BatchCourse): SeasonDate[] {
  const { batch, emergence, parts, lampBy, hardening, plantsOut } = course;
  const first = parts[0];
  if (!first) return [];
  const at = (day: Day, what: SeasonDate['what'], more: Partial<SeasonDate> = {}): SeasonDate => ({
    id: batch.id,
    day,
    until: day,
    what,
    containerId: null,
    trays: parts.findLast((p) => p.from <= day)?.trays ?? first.trays,
    plants: parts.findLast((p) => p.from <= day)?.plants ?? first.plants,
    ...more,
  });
  const pottings = parts.flatMap((p, i) =>
    i > 0 && p.containerId !== parts[i - 1]!.containerId
      ? [at(p.from, 'pot-on', { containerId: p.containerId, trays: p.trays, plants: p.plants })]
      : [],
  );
  const comesUp = course.crop.germination !== null && !emergence.seen;
  const leaves = batch.lost === null || batch.lost >= batch.out;
  return [
    ...(batch.batchId === null ? [at(first.from, 'sow', { containerId: first.containerId })] : []),
    ...(comesUp ? [at(lampBy, 'lamp-on'), at(emergence.first, 'emerge', { until: emergence.last })] : []),
    ...pottings,
    ...(batch.goal === 'outdoors' && leaves && hardening < batch.out ? [at(hardening, 'harden', { until: batch.out - 1 })] : []),
    ...(leaves ? [at(batch.out, 'out', { plants: plantsOut })] : []),
  ].sort((a, b) => a.day - b.day);
}

/** The dates of all batches, from a day on; what has begun and is not over counts. */
export const datesFrom = (courses: readonly BatchCourse[], from: Day): SeasonDate[] =>
  courses
    .flatMap(datesOf)
    .filter((d) => d.until >= from)
    .sort((a, b) => a.day - b.day || a.id.localeCompare(b.id));
