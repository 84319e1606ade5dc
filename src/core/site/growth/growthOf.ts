import type { Crop, Stage, StageName } from '../../things/crop/Crop';
import { heightAt } from '../../things/crop/heightAt';
import { stays } from '../../things/crop/stays';
import type { Metres } from '../../units/quantities';
import type { Batch } from '../stand/Site';
import type { Day } from '../../units/day';
import type { Logged, LoggedKind } from '../stand/Logged';

/** A batch on a day of its life. */
export interface Growth {
  /** When it came up, or is expected to. */
  readonly emergence: Day;
  /** Between which days it may come up; null once it has been seen, or where nothing is sown. */
  readonly expected: { readonly from: Day; readonly to: Day } | null;
  /** Days since emergence; below zero before it. */
  readonly age: number;
  readonly stage: Stage;
  /** Canopy above the compost; 0 before emergence. */
  readonly height: Metres;
  readonly phase: 'before' | 'growing' | 'left';
}

/**
 * A dated batch on a day: how old, in which stage and how tall, by the crop's table as corrected by what was logged.
 *
 * - It emerges when it was seen to; otherwise in the middle of the crop's days from sowing, and not before the day after one
 *   on which nothing was up yet.
 * - A stage that was logged begins on that day, and the later ones move by as much.
 * - The canopy passes through every measured height; beyond the last one it grows as the crop's curve does, times the plants'
 *   own stature. The model is ours.
 *
 * @returns null for a batch without a date
 */
export function growthOf(kept: Batch, crop: Crop, day: Day): Growth | null {
  const batch = sownOf(kept);
  if (!batch) return null;
  const { emergence, expected } = emergenceOf(batch, crop);
  const age = day - emergence;
  return {
    emergence,
    expected,
    age,
    stage: stageAt(batch, crop, emergence, age),
    height: age < 0 ? 0 : canopyAt(crop, measuredOf(batch, emergence), age),
    phase: batch.leaves !== null && day > batch.leaves ? 'left' : age < 0 ? 'before' : 'growing',
  };
}

/** The last day that is planned for a batch: as the person says, or where the crop's curve ends; null for plants that stay. */
export function lastDayOf(batch: Batch, crop: Crop): Day | null {
  if (batch.leaves !== null) return batch.leaves;
  const sown = sownOf(batch);
  if (!sown || stays(crop)) return null;
  return emergenceOf(sown, crop).emergence + (crop.heightByDay.at(-1)?.day ?? 0);
}

type Sown = Batch & { readonly sown: Day };

/** A batch that has a date, with what was seen of it since: older words are of what grew there before. */
const sownOf = (batch: Batch): Sown | null =>
  batch.sown === null ? null : { ...batch, sown: batch.sown, log: batch.log.filter((l) => l.day >= batch.sown!) };

function emergenceOf({ sown, log }: Sown, crop: Crop): Pick<Growth, 'emergence' | 'expected'> {
  const seen = firstOf(log, 'emerged');
  if (seen) return { emergence: seen.day, expected: null };
  if (!crop.germination) return { emergence: sown, expected: null };
  const { first, last } = crop.germination.days;
  // What only grown plants have was seen: they had come up by then, whether or not anybody said so.
  const shown = shownBy(log, crop);
  if (shown !== null) {
    const by = Math.max(sown, shown);
    return { emergence: Math.min(by, sown + Math.round((first + last) / 2)), expected: null };
  }
  const notBefore = 1 + Math.max(-Infinity, ...log.filter((l) => l.what === 'not-yet').map((l) => l.day));
  const from = Math.max(sown + first, notBefore);
  const to = Math.max(sown + last, notBefore);
  return { emergence: Math.max(sown + Math.round((first + last) / 2), notBefore), expected: { from, to } };
}

/** The latest day by which a batch was up, going by heights, leaves and stages that were seen; null: nothing tells. */
function shownBy(log: readonly Logged[], crop: Crop): Day | null {
  const days = log.flatMap((l): Day[] => {
    if (l.what === 'height' && (l.height ?? 0) > 0) return [l.day];
    if (l.what === 'true-leaves' || l.what === 'potted-on') return [l.day - (startOf(crop, BEGINS[l.what]!) ?? 0)];
    if (l.what === 'stage' && l.stage !== crop.stages[0]!.stage) return [l.day - (startOf(crop, l.stage!) ?? 0)];
    return [];
  });
  return days.length > 0 ? Math.min(...days) : null;
}

/** After how many days a stage begins by the table; null for one without. */
const startOf = (crop: Crop, name: StageName): number | null => crop.stages.find((s) => s.stage === name)?.fromDay ?? null;

const firstOf = (log: readonly Logged[], what: LoggedKind): Logged | undefined =>
  log.filter((l) => l.what === what).reduce<Logged | undefined>((a, b) => (a && a.day <= b.day ? a : b), undefined);

/** Which stage begins with what is seen. */
const BEGINS: Readonly<Partial<Record<LoggedKind, StageName>>> = { 'true-leaves': 'seedling', 'potted-on': 'growing-on' };

/**
 * The stage on a day. The last word counts: a stage that was said begins on that day, whatever was before, and the later ones
 * move by as much; one that is said to be earlier than it had seemed sets the batch back. Until a stage was first seen, it had
 * not begun.
 */
function stageAt(batch: Batch, crop: Crop, emergence: Day, age: number): Stage {
  const { stages } = crop;
  const indexOf = (name: StageName) => stages.findIndex((s) => s.stage === name);
  const words = [...batch.log]
    .sort((a, b) => a.day - b.day)
    .flatMap((l): { at: number; index: number; plain: boolean }[] => {
      const name = l.what === 'stage' ? l.stage : BEGINS[l.what];
      const index = name ? indexOf(name) : -1;
      return index >= 0 ? [{ at: l.day - emergence, index, plain: l.what === 'stage' }] : [];
    })
    // Of signs the first counts, and only where nothing was said in so many words.
    .filter((w, i, all) => w.plain || all.findIndex((o) => o.index === w.index) === i);
  if (stays(crop)) {
    // They are in the stage that was said last, whatever pot they have got into.
    const last = words.findLast((w) => w.plain && w.at <= age)?.index ?? indexOf(batch.stage);
    return stages[Math.max(0, last)]!;
  }
  let now = 0;
  let shift = 0;
  let said = -1;
  const heard = words.filter((w) => w.at <= age);
  for (const w of heard) {
    if (!w.plain && w.index <= said) continue;
    [now, said, shift] = [w.index, w.index, w.at - (stages[w.index]!.fromDay ?? 0)];
  }
  const next = words.find((w) => w.at > age && w.index > said);
  for (let i = now + 1; i < (next?.index ?? stages.length); i++) if ((stages[i]!.fromDay ?? 0) + shift <= age) now = i;
  return stages[now]!;
}

interface Measured {
  readonly age: number;
  readonly height: Metres;
}

/** The heights that were measured since emergence, the oldest first; the last of a day counts. */
function measuredOf(batch: Batch, emergence: Day): Measured[] {
  const byDay = new Map<number, Metres>();
  for (const l of batch.log) if (l.what === 'height' && l.height !== null && l.day >= emergence) byDay.set(l.day - emergence, l.height);
  return [...byDay].map(([age, height]) => ({ age, height })).sort((a, b) => a.age - b.age);
}

/** Plants of the same kind differ in stature by this much at most; more is a slip, or has been cut back: our estimate. */
const STATURE = { least: 1 / 3, most: 3 } as const;

/** Height of the canopy at an age, through every measured one. */
function canopyAt(crop: Crop, measured: readonly Measured[], age: number): Metres {
  const curve = (at: number) => heightAt(crop, at);
  const first = measured[0];
  const last = measured.at(-1);
  if (!first || !last) return curve(age);
  if (age <= first.age) return (curve(age) * first.height) / Math.max(1e-4, curve(first.age));
  if (age >= last.age) return last.height + statureOf(curve, measured) * (curve(age) - curve(last.age));
  const i = measured.findIndex((m) => m.age > age);
  const [a, b] = [measured[i - 1]!, measured[i]!];
  const grown = curve(b.age) - curve(a.age);
  const part = grown > 1e-4 ? (curve(age) - curve(a.age)) / grown : (age - a.age) / (b.age - a.age);
  return a.height + part * (b.height - a.height);
}

/** How fast these plants grow beside the crop's curve: by the last two measured heights where these tell, or by the last one. */
function statureOf(curve: (age: number) => Metres, measured: readonly Measured[]): number {
  const last = measured.at(-1)!;
  const before = measured.at(-2);
  const clamp = (x: number) => Math.min(STATURE.most, Math.max(STATURE.least, x));
  if (before) {
    const expected = curve(last.age) - curve(before.age);
    const grown = last.height - before.height;
    // Less than a centimetre is within what a ruler and a leaf allow.
    if (expected > 0.01 && grown > 0) return clamp(grown / expected);
  }
  return clamp(last.height / Math.max(1e-4, curve(last.age)));
}
