import { OWN_SOURCE, OWN_TRUST } from '../../core/site/crop/changeCrops';
import { unsoundOf } from '../../core/things/crop/unsoundOf';
import type { Crop } from '../../core/things/crop/Crop';
import { tables } from '../../core/things/tables/libraryTables';
import type { Problem } from '../../core/units/result';
import type { CropFile } from './CropFile';

/** A crop of the person's own as plain data. */
export const writeCrop = (crop: Crop): CropFile => ({
  id: crop.id,
  name: crop.name,
  latin: crop.latin,
  basedOn: crop.own?.basedOn ?? null,
  why: crop.own?.why ?? '',
  notes: crop.notes,
  stages: crop.stages.map(({ ppfdMax, ...s }) => ({ ...s, ppfdMax_umol_per_m2_s: ppfdMax })),
  continuousLightInjury: crop.continuousLightInjury,
  dayLengthType: crop.dayLengthType,
  dayLengthNote: crop.dayLengthNote,
  heightByDay: crop.heightByDay.map(({ day, height }) => ({ day, height_m: height })),
  germination: crop.germination && {
    least_C: crop.germination.temperature.least,
    best_C: crop.germination.temperature.best,
    most_C: crop.germination.temperature.most,
    firstDay: crop.germination.days.first,
    lastDay: crop.germination.days.last,
    light: crop.germination.light,
    heatMat: crop.heatMat,
  },
  afterEmergence: crop.afterEmergence && { day_C: crop.afterEmergence.day, night_C: crop.afterEmergence.night },
  stretchProne: crop.stretchProne,
  leggyRemedy: crop.leggyRemedy,
  airMovementBenefit: crop.airMovementBenefit,
  fed: crop.fed,
});

/** What a file does not say of an own crop is as in the one that it was copied from. */
export function cropOfFile(f: CropFile): Crop {
  const base = f.basedOn == null ? undefined : tables.crop(f.basedOn);
  const fed = f.fed ?? base?.fed ?? true;
  return {
    id: f.id,
    name: f.name,
    alsoCalled: [],
    latin: f.latin,
    group: base?.group ?? 'own',
    stages: f.stages.map((s) => ({
      stage: s.stage,
      label: s.label ?? null,
      fromDay: s.fromDay ?? null,
      dliMin: s.dliMin,
      dliTarget: s.dliTarget,
      dliMax: s.dliMax,
      ppfdMax: s.ppfdMax_umol_per_m2_s,
      hoursMin: s.hoursMin,
      hoursMax: s.hoursMax,
      basis: s.basis,
    })),
    continuousLightInjury: f.continuousLightInjury ?? null,
    continuousLightInjurySource:
      base?.continuousLightInjury === (f.continuousLightInjury ?? null) ? base.continuousLightInjurySource : null,
    dayLengthType: f.dayLengthType,
    dayLengthNote: f.dayLengthNote,
    heightByDay: f.heightByDay.map(({ day, height_m }) => ({ day, height: height_m })),
    widthByDay: base?.widthByDay ?? [],
    containerPath: base?.containerPath ?? [],
    stretchProne: f.stretchProne,
    leggyRemedy: f.leggyRemedy,
    germination: f.germination
      ? {
          temperature: { least: f.germination.least_C, best: f.germination.best_C, most: f.germination.most_C },
          days: { first: f.germination.firstDay, last: f.germination.lastDay },
          light: f.germination.light,
        }
      : null,
    afterEmergence: f.afterEmergence ? { day: f.afterEmergence.day_C, night: f.afterEmergence.night_C } : null,
    sowing: f.germination ? (base?.sowing ?? null) : null,
    feed: fed ? (base?.feed ?? null) : null,
    trust: base?.trust ?? OWN_TRUST,
    own: { basedOn: f.basedOn ?? null, why: f.why },
    heatMat: f.germination?.heatMat ?? false,
    fed,
    airMovementBenefit: f.airMovementBenefit,
    notes: f.notes,
    sources: [OWN_SOURCE, ...(base?.sources ?? [])],
  };
}

/** Where the figures of a crop contradict each other. */
export const cropProblems = (file: CropFile, at: string): Problem[] =>
  unsoundOf(cropOfFile(file)).map((where) => ({ code: 'site/not-rising', at: `${at}.${where}` }));
