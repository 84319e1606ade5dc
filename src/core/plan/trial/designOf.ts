import type { Trial } from '../../site/trial/Trial';
import type { Design, DesignArm } from '../../judge/trial/reviewDesign';
import { MOL_SECONDS } from '../../judge/dli/dli';
import { daylightDli } from '../../judge/dli/LightDay';
import type { TrayLight } from '../../answer/bench/BenchQuestion';
import type { BenchStand, BenchTier, BenchTray } from '../../answer/stand/benchStand';

/** A tray of a trial where it stands; light null while it is not worked out. */
export interface TrialPlace {
  readonly stand: BenchStand;
  readonly tier: BenchTier;
  readonly tray: BenchTray;
  readonly light: TrayLight | null;
}

const mean = (values: readonly number[]) => (values.length === 0 ? null : values.reduce((a, b) => a + b, 0) / values.length);
/** What all have in common, or that they differ. */
const common = (values: readonly string[]) =>
  values.length === 0 ? null : new Set(values).size === 1 ? values[0]! : [...new Set(values)].sort().join(' + ');

/** The mean dose of a tray, lamps and daylight. */
export const dliOfPlace = ({ tier, tray, light }: TrialPlace): number | null =>
  light ? light.stats.mean * tier.hours * MOL_SECONDS + daylightDli(tray.day) : null;

/**
 * What the design really is: the lamps, distances, hours and doses that the trays stand under, as the plan knows them, not as they are meant.
 * Trays that stand nowhere in the plan leave their arm's dose unknown.
 */
export function designOf(trial: Trial, places: ReadonlyMap<string, TrialPlace>): Design {
  const measured = trial.outcome.kind === 'scored' ? 'scored' : trial.outcome.kind === 'counted' ? 'counted' : 'measured';
  return {
    declared: trial.factor === 'feed' ? 'none' : trial.factor,
    equalDose: trial.equalDose,
    doseBy: trial.factor === 'dose' ? 'distance' : null,
    unit: 'tray',
    selection: trial.selection,
    outcome: { kind: measured, isBlind: trial.outcome.isBlind, isFixed: trial.outcome.name.trim() !== '' },
    isStopFixed: trial.ends !== null,
    arePlacesRotated: trial.rotate_days !== null,
    deviations: trial.deviations.map((d) => ({ arms: d.arms })),
    arms: trial.arms.map((arm): DesignArm => {
      const trays = trial.trays.filter((t) => t.arm === arm.id);
      const at = trays.flatMap((t) => (t.trayId === null ? [] : (places.get(t.trayId) ?? [])));
      const doses = at.map(dliOfPlace);
      const crops = [...new Set(at.map((p) => p.tray.crop.id))];
      return {
        id: arm.id,
        lamp: common(at.map((p) => common(p.tier.lamps.map((l) => l.lamp.id)) ?? 'no lamp')) ?? '',
        distance_m: mean(
          at.flatMap((p) => (p.tier.lamps.length > 0 ? [Math.min(...p.tier.lamps.map((l) => l.fitting.face - p.tray.canopy))] : [])),
        ),
        hours: mean(at.map((p) => p.tier.hours)),
        dli: at.length === 0 ? arm.dli : at.length < trays.length || doses.some((d) => d === null) ? null : mean(doses as number[]),
        mat: arm.isMatOn,
        cover: common(at.map((p) => p.tray.tray.coverId ?? 'none')),
        medium: arm.medium.trim().toLowerCase() || null,
        container: common(at.map((p) => p.tray.tray.containerId ?? 'own')),
        position: common(at.map((p) => p.tier.tier.id)),
        sown: common(at.map((p) => String(p.tray.batch.sown ?? ''))),
        // Where no tray is drawn, the crop is taken for the same in all arms.
        crops: (crops.length > 0 ? crops : ['']).map((crop) => ({
          crop,
          cultivar: null,
          trays: crop === '' ? trays.length : at.filter((p) => p.tray.crop.id === crop).length,
          plants: Math.max(1, ...trays.map((t) => t.values.length)),
        })),
      };
    }),
  };
}
