import { dliOfHad } from './trayFacts';
import { asShares } from './asShares';
import { doseDirection, fitDose } from '../../judge/trial/doseCurve';
import { plantedAreaOf } from '../../site/stand/footprint';
import { latestLogged } from '../../site/growth/latestLogged';
import { growthOf } from '../../site/growth/growthOf';
import { heightAt } from '../../things/crop/heightAt';
import type { Crop, Stage } from '../../things/crop/Crop';
import type { Batch, GrownIn, Site, Tray } from '../../site/stand/Site';
import type { Day } from '../../units/day';
import type { Dli } from '../../units/quantities';

/** What one tray of a batch or of a trial that has ended came to. */
export interface LearnedPoint {
  readonly dli: Dli;
  readonly y: number;
  /** Mean temperature that was noted of it; null: none was. */
  readonly temperature_C: number | null;
  /** Which batch or trial tray it is. */
  readonly of: string;
}

/** Points that measure the same thing: harvest weights, heights beside the usual, or the outcome of trials by its name and unit. */
export interface LearnedGroup {
  readonly kind: 'harvest' | 'height' | 'trial';
  readonly name: string;
  readonly unit: string;
  readonly points: readonly LearnedPoint[];
}

/** The curve of a group where there is enough for one, and what it would mean for the band. */
export interface Learned extends LearnedGroup {
  readonly fit: ReturnType<typeof fitDose>;
  readonly direction: 'increasing' | 'decreasing' | 'undecided';
  readonly canSayTrend: boolean;
  /** The dose from which more brings less than a tenth of what there is to gain; null: the points do not say. */
  readonly enoughFrom: Dli | null;
  /** The dose that the next batch should be grown at to learn most. */
  readonly tryNext: Dli;
}

/** Fewer points than this are no reason to change a band. */
const ENOUGH_POINTS = 6;
/** How much of the gain is left to be had at the dose that is called enough. */
const LEFT = 0.1;

/**
 * All that ended batches and trials of a crop say of dose and result, group by group.
 *
 * @param doseOf  mean dose of a tray; null: it is not lit, or not worked out
 */
export function groupsOf(
  site: Pick<Site, 'batches' | 'stands' | 'trials'>,
  crop: Crop,
  today: Day,
  doseOf: (trayId: string) => Dli | null,
): LearnedGroup[] {
  const trays = site.stands.flatMap((s) => s.tiers.flatMap((t) => t.trays));
  const own = new Map(site.batches.filter((b) => b.cropId === crop.id).map((b) => [b.id, b]));
  const groups = new Map<string, { group: Omit<LearnedGroup, 'points'>; points: LearnedPoint[] }>();
  const add = (group: Omit<LearnedGroup, 'points'>, point: LearnedPoint) => {
    const key = `${group.kind} ${group.name} ${group.unit}`;
    const known = groups.get(key) ?? { group, points: [] };
    known.points.push(point);
    groups.set(key, known);
  };
  for (const batch of own.values()) {
    const grownIn = standingIn(trays.filter((y) => y.batchId === batch.id), doseOf) ?? batch.grownIn; // prettier-ignore
    if (!grownIn || !hasEnded(batch, today)) continue;
    const { dli, area_m2 } = grownIn;
    const temperature_C = temperatureOf(batch);
    const weights = batch.log.filter((l) => l.what === 'harvest' && l.weight_g !== undefined);
    if (weights.length > 0)
      add(
        // A batch of four trays weighs more than one of two, in any light.
        { kind: 'harvest', name: 'harvest', unit: 'g/m²' },
        { dli, y: weights.reduce((sum, l) => sum + l.weight_g!, 0) / area_m2, temperature_C, of: batch.id },
      );
    const height = besideUsual(batch, crop);
    if (height !== null) add({ kind: 'height', name: 'height', unit: '' }, { dli, y: height, temperature_C, of: batch.id });
  }
  for (const trial of site.trials.filter((t) => t.ended !== null).map(asShares))
    for (const row of trial.trays) {
      const values = row.values.filter((v) => v !== null);
      const batchId = row.had?.batchId ?? trays.find((y) => y.id === row.trayId)?.batchId;
      // As the batch is called now; of one that is gone as it was.
      const cropId = site.batches.find((b) => b.id === batchId)?.cropId ?? row.had?.cropId;
      const isOwn = cropId === undefined ? trial.name.toLowerCase().includes(crop.name.toLowerCase()) : cropId === crop.id;
      const dli =
        (row.had ? dliOfHad(row.had) : null) ??
        (row.trayId === null ? null : doseOf(row.trayId)) ??
        trial.arms.find((a) => a.id === row.arm)?.dli ??
        null;
      if (!isOwn || values.length === 0 || dli === null) continue;
      const isShare = trial.outcome.kind === 'counted';
      const { name } = trial.outcome;
      const unit = isShare ? '% of what was sown' : trial.outcome.unit;
      const batch = batchId === undefined ? undefined : own.get(batchId);
      add(
        { kind: 'trial', name, unit },
        {
          dli,
          y: ((isShare ? 100 : 1) * values.reduce((a, b) => a + b, 0)) / values.length,
          temperature_C: batch ? temperatureOf(batch) : null,
          of: `${trial.id} ${row.code}`,
        },
      );
    }
  return [...groups.values()].map(({ group, points }) => ({ ...group, points }));
}

/** The light of trays where they stand; null where none does, or where it is not known. */
function standingIn(trays: readonly Tray[], doseOf: (trayId: string) => Dli | null): GrownIn | null {
  const lit = trays.flatMap((y) => {
    const dli = doseOf(y.id);
    return dli === null ? [] : [{ dli, area_m2: plantedAreaOf(y) }];
  });
  const area_m2 = lit.reduce((sum, y) => sum + y.area_m2, 0);
  return area_m2 > 0 ? { dli: lit.reduce((sum, y) => sum + y.dli * y.area_m2, 0) / area_m2, area_m2 } : null;
}

/** A batch has ended when its last day is over or it was harvested. */
export const hasEnded = ({ leaves, log }: Batch, today: Day): boolean =>
  (leaves !== null && leaves <= today) || log.some((l) => l.what === 'harvest');

/** Mean of the middles between the lowest and the highest that were noted. */
function temperatureOf({ log }: Batch): number | null {
  const noted = log.flatMap(({ air }) =>
    air && (air.low !== null || air.high !== null) ? [((air.low ?? air.high!) + (air.high ?? air.low!)) / 2] : [],
  );
  return noted.length > 0 ? noted.reduce((a, b) => a + b, 0) / noted.length : null;
}

/** The last height that was measured, as a multiple of the usual at its age. */
function besideUsual(batch: Batch, crop: Crop): number | null {
  const last = latestLogged(batch.log, Infinity, (l) => l.what === 'height' && l.height !== null);
  const growth = last && growthOf(batch, crop, last.day);
  if (!last || !growth || growth.age <= 0) return null;
  const usual = heightAt(crop, growth.age);
  return usual > 0 ? last.height! / usual : null;
}

/**
 * The curve through the points of a group, with what the table holds to be right beside it. What few points cannot say is not said.
 *
 * @param stage  whose band the curve is set against
 */
export function learnedFrom(group: LearnedGroup, stage: Pick<Stage, 'dliMin' | 'dliTarget' | 'dliMax'>): Learned {
  const fit = fitDose('exp', group.points, stage.dliTarget);
  const { direction, canSayTrend } = doseDirection(group.points);
  const k = fit.params?.[1] ?? null;
  const gains = (fit.params?.[0] ?? 0) > 0;
  const enough =
    k !== null && gains && fit.status === 'ok' && group.points.length >= ENOUGH_POINTS && group.kind !== 'height'
      ? -Math.log(LEFT) / k
      : null;
  const doses = group.points.map((p) => p.dli);
  const inside =
    enough !== null && enough >= Math.min(...doses) && enough <= Math.max(...doses) && enough >= stage.dliMin && enough <= stage.dliMax;
  return {
    ...group,
    fit,
    direction: direction as Learned['direction'],
    canSayTrend,
    // Beyond what was tried, and beyond what the crop bears, nothing is said.
    enoughFrom: inside ? enough : null,
    tryNext: widestGap(doses, stage.dliMin, stage.dliMax),
  };
}

/** Of a band the dose that is farthest from all that were tried. */
function widestGap(tried: readonly Dli[], low: Dli, high: Dli): Dli {
  const steps = 40;
  const candidates = Array.from({ length: steps + 1 }, (_, i) => low + ((high - low) * i) / steps);
  const far = (d: Dli) => Math.min(...tried.map((t) => Math.abs(t - d)), Infinity);
  const best = tried.length === 0 ? (low + high) / 2 : candidates.reduce((a, b) => (far(b) > far(a) + 1e-9 ? b : a));
  return Math.round(2 * best) / 2;
}
