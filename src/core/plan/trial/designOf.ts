import type { TrayFacts, Trial, TrialTrayRow } from '../../site/trial/Trial';
import { reviewDesign, type Design, type DesignArm, type DesignReview } from '../../judge/trial/reviewDesign';
import { dliInPlace, type TrayInPlace } from '../../answer/bench/traysInPlace';
import { dliOfHad, trayFactsOf } from './trayFacts';
import { comesWithPlace } from './trialRounds';

const mean = (values: readonly number[]) => (values.length === 0 ? null : values.reduce((a, b) => a + b, 0) / values.length);
/** What all have in common, or that they differ. */
const common = (values: readonly string[]) =>
  values.length === 0 ? null : new Set(values).size === 1 ? values[0]! : [...new Set(values)].sort().join(' + ');

/**
 * What the design really is: the lamps, distances, hours and doses that the trays stand under, as the plan knows them, not as they are meant.
 * Of trays that are gone, and of a trial that is over, it is as they stood then. Trays that never stood in the plan leave their arm's dose unknown.
 */
export function designOf(trial: Trial, places: ReadonlyMap<string, TrayInPlace>): Design {
  const measured = trial.outcome.kind === 'scored' ? 'scored' : trial.outcome.kind === 'counted' ? 'counted' : 'measured';
  return {
    declared: trial.factor === 'feed' ? 'none' : trial.factor,
    equalDose: trial.equalDose,
    doseBy: trial.factor === 'dose' ? 'distance' : null,
    unit: 'tray',
    selection: trial.selection,
    outcome: { kind: measured, isBlind: trial.outcome.isBlind, isFixed: trial.outcome.name.trim() !== '' },
    isStopFixed: trial.ends !== null,
    arePlacesRotated: comesWithPlace(trial) ? hasSeveralTiers(trial, places) : trial.rotate_days !== null,
    deviations: trial.deviations.map((d) => ({ arms: d.arms })),
    arms: trial.arms.map((arm): DesignArm => {
      const trays = trial.trays.filter((t) => t.arm === arm.id);
      const at = trays.flatMap((t) => standingOf(t, places) ?? []);
      const doses = at.map((f) => f.dli);
      const crops = [...new Set(at.map((f) => f.cropId))];
      return {
        id: arm.id,
        lamp: common(at.map((f) => common(f.lamps) ?? 'no lamp')) ?? '',
        distance_m: mean(at.flatMap((f) => f.distance ?? [])),
        hours: mean(at.map((f) => f.hours)),
        dli: at.length === 0 ? arm.dli : at.length < trays.length || doses.some((d) => d === null) ? null : mean(doses as number[]),
        mat: arm.isMatOn,
        cover: common(at.map((f) => f.coverId ?? 'none')),
        medium: arm.medium.trim().toLowerCase() || null,
        container: common(at.map((f) => f.containerId ?? 'own')),
        position: common(at.map((f) => f.tierId)),
        sown: common(at.map((f) => String(f.sown ?? ''))),
        // Where no tray is drawn, the crop is taken for the same in all arms.
        crops: (crops.length > 0 ? crops : ['']).map((crop) => ({
          crop,
          cultivar: null,
          trays: crop === '' ? trays.length : at.filter((f) => f.cropId === crop).length,
          plants: Math.max(1, ...trays.map((t) => t.values.length)),
        })),
      };
    }),
  };
}

/** How a tray of a trial stands, or stood, with its dose; null where nobody knows. */
function standingOf(row: TrialTrayRow, places: ReadonlyMap<string, TrayInPlace>): (TrayFacts & { readonly dli: number | null }) | null {
  if (row.had) return { ...row.had, dli: dliOfHad(row.had) };
  const place = row.trayId === null ? undefined : places.get(row.trayId);
  return place ? { ...trayFactsOf(place), dli: dliInPlace(place) } : null;
}

/** Whether each arm stands on several tiers: then no arm has all its trays in one place. */
const hasSeveralTiers = ({ arms, trays }: Trial, places: ReadonlyMap<string, TrayInPlace>): boolean =>
  arms.every((arm) => {
    const at = trays.flatMap((t) => (t.arm === arm.id ? (standingOf(t, places) ?? []) : []));
    return new Set(at.map((f) => f.tierId)).size > 1;
  });

/**
 * What keeps a trial from answering its question. Of arms that stand nowhere in the plan it is not known whether they differ in what a drawing
 * would show: that is not held against them.
 */
export function reviewTrial(trial: Trial, places: ReadonlyMap<string, TrayInPlace>): DesignReview {
  const review = reviewDesign(designOf(trial, places));
  const isDrawn = trial.arms.every((arm) => trial.trays.some((t) => t.arm === arm.id && standingOf(t, places) !== null));
  return isDrawn || trial.factor === 'mat' || trial.factor === 'medium'
    ? review
    : { ...review, codes: review.codes.filter((code) => code !== 'NO_CONTRAST') };
}
