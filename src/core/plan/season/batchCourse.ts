import { growthOf } from '../../site/growth/growthOf';
import type { PlannedBatch } from '../../site/season/SeasonPlan';
import type { Batch } from '../../site/stand/Site';
import type { Container } from '../../things/container/Container';
import type { Crop, Stage } from '../../things/crop/Crop';
import { heightAt } from '../../things/crop/heightAt';
import type { Day } from '../../units/day';
import type { Metres } from '../../units/quantities';
import { plantsPerFlat } from './flats';
import { spaceByStage } from './spaceOf';

export type BatchPhase = 'sown' | 'raised' | 'potted' | 'hardening';

/** A stretch of a batch's life in which it takes the same room. */
export interface CoursePart {
  readonly from: Day;
  /** The first day on which it is no longer so. */
  readonly until: Day;
  readonly phase: BatchPhase;
  readonly containerId: string;
  readonly plants: number;
  /** Standard flats. */
  readonly trays: number;
}

/** A planned batch through its life on the shelves. */
export interface BatchCourse {
  readonly batch: PlannedBatch;
  readonly crop: Crop;
  readonly emergence: { readonly first: Day; readonly last: Day; readonly expected: Day; readonly seen: boolean };
  readonly lampBy: Day;
  readonly hardening: Day;
  readonly parts: readonly CoursePart[];
  /** Plants that go out. */
  readonly plantsOut: number;
}

/** For how long seedlings wait before they are thinned, hardened and planted out: what is asked of a plan. */
export interface CourseRules {
  readonly hardeningDays: number;
}

/**
 * A batch from its sowing to the day it leaves: when it is up, in what it stands and how much room that takes. Of one that has been sown the
 * dates that were seen count.
 *
 * @param grown  the batch on the stands that it has become
 * @throws RangeError for a container that the table lacks: a caller's mistake
 */
export function batchCourse(
  batch: PlannedBatch,
  crop: Crop,
  grown: Batch | undefined,
  containerOf: (id: string) => Container | undefined,
  { hardeningDays }: CourseRules,
): BatchCourse {
  const days = crop.germination?.days ?? { first: 0, last: 0 };
  const growth = grown && grown.sown !== null ? growthOf(grown, crop, batch.out) : null;
  const sown = grown?.sown ?? batch.sown;
  const expected = growth?.emergence ?? sown + Math.floor((days.first + days.last) / 2 + 0.5);
  const seen = growth !== null && growth.expected === null && crop.germination !== null;
  const first = seen ? expected : (growth?.expected?.from ?? sown + days.first);
  const last = seen ? expected : (growth?.expected?.to ?? sown + days.last);
  const out = Math.max(batch.out, sown + 1);
  const end = Math.min(out, batch.lost ?? Infinity);
  const hardening = batch.goal === 'outdoors' ? Math.max(sown, out - hardeningDays) : out;

  const steps = batch.containers.map((c, i) => {
    const container = containerOf(c.containerId);
    if (!container) throw new RangeError(`there is no container ${c.containerId}`);
    return { ...c, from: i === 0 ? sown : expected + c.fromDay, perTray: plantsPerFlat(container) };
  });
  const space = spaceByStage({
    seeds: batch.cells,
    seedsPerCell: 1,
    filledPercent: batch.filledPercent,
    stages: steps.map((s, i) => ({
      from: s.from - sown,
      perTray: s.perTray,
      lossPercent: i === 0 ? 0 : batch.lossPercent,
      ...(batch.keepAtMost === null ? {} : { keepAtMost: batch.keepAtMost }),
    })),
  });
  const cuts = [...new Set([sown, expected, hardening, end, ...steps.map((s) => s.from)])]
    .filter((d) => d >= sown && d <= end)
    .sort((a, b) => a - b);
  const parts = cuts.slice(0, -1).map((from, i): CoursePart => {
    const index = Math.max(0, steps.findLastIndex((s) => s.from <= from)); // prettier-ignore
    const { plants, trays } = space[index]!;
    const phase: BatchPhase = from >= hardening ? 'hardening' : from < expected ? 'sown' : index === 0 ? 'raised' : 'potted';
    return { from, until: cuts[i + 1]!, phase, containerId: steps[index]!.containerId, plants, trays };
  });
  return {
    batch,
    crop,
    emergence: { first, last, expected, seen },
    lampBy: crop.germination?.light === 'needs' ? sown : Math.max(sown, first - 1),
    hardening,
    parts,
    plantsOut: batch.lost !== null && batch.lost < out ? 0 : (parts.at(-1)?.plants ?? 0),
  };
}

/** The stage of a batch on a day, by the crop's own days; null before it is up. */
export function stageOn({ crop, emergence }: BatchCourse, day: Day): Stage | null {
  const age = day - emergence.expected;
  if (age < 0) return null;
  return crop.stages.findLast((s) => (s.fromDay ?? 0) <= age) ?? crop.stages[0] ?? null;
}

/** Height of its leaf tops above the shelf on a day, with the container it stands in. */
export function topOn(course: BatchCourse, day: Day, containerOf: (id: string) => Container | undefined): Metres {
  const part = course.parts.findLast((p) => p.from <= day) ?? course.parts[0];
  const pot = part ? (containerOf(part.containerId)?.height ?? 0) : 0;
  const age = day - course.emergence.expected;
  return pot + (age < 0 ? 0 : heightAt(course.crop, age));
}
