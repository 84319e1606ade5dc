import type { Crop } from '../../core/crop/Crop';
import { tables } from '../../core/library/tables';
import type { Problem } from '../../core/result';
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
});

/** What a file does not say of an own crop is as in the one that it was copied from. */
export function cropOfFile(f: CropFile): Crop {
  const base = f.basedOn == null ? undefined : tables.crop(f.basedOn);
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
    sowing: base?.sowing ?? null,
    feed: base?.feed ?? null,
    trust: base?.trust ?? OWN_TRUST,
    own: { basedOn: f.basedOn ?? null, why: f.why },
    heatMat: f.germination?.heatMat ?? false,
    fed: base?.fed ?? true,
    airMovementBenefit: f.airMovementBenefit,
    notes: f.notes,
    sources: [{ cite: 'the person’s own', kind: 'consensus', supports: ['stages', 'heightCm'] }, ...(base?.sources ?? [])],
  };
}

const OWN_TRUST: Crop['trust'] = { light: 'consensus', photoperiod: 'consensus', germination: null, sowing: null, heights: 'consensus' };

/** What types alone do not say: each stage once and in order, days that rise, bands that are bands. */
export function cropProblems(crop: CropFile, at: string): Problem[] {
  const problems: Problem[] = [];
  const bad = (where: string) => problems.push({ code: 'site/not-rising', at: `${at}.${where}` });
  const names = crop.stages.map((s) => s.stage);
  if (new Set(names).size < names.length) problems.push({ code: 'site/id-twice', at: `${at}.stages` });
  const days = crop.stages.map((s) => s.fromDay ?? null);
  if (days.some((d) => d === null) && days.some((d) => d !== null)) problems.push({ code: 'site/missing', at: `${at}.stages[].fromDay` });
  crop.stages.forEach((s, i) => {
    if (!(s.dliMin <= s.dliTarget && s.dliTarget <= s.dliMax)) bad(`stages[${i}].dliTarget`);
    if (s.hoursMin > s.hoursMax) bad(`stages[${i}].hoursMax`);
    if (i > 0 && (days[i] ?? 0) <= (days[i - 1] ?? -1) && days[i] !== null) bad(`stages[${i}].fromDay`);
  });
  crop.heightByDay.forEach((h, i) => {
    if (i > 0 && h.day <= crop.heightByDay[i - 1]!.day) bad(`heightByDay[${i}].day`);
  });
  const g = crop.germination;
  if (g && g.lastDay < g.firstDay) bad('germination.lastDay');
  if (g && !(g.least_C <= g.best_C && g.best_C <= g.most_C)) bad('germination.best_C');
  return problems;
}
