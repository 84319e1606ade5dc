import type { Crop, Germination, LeggyRemedy, StageName } from './Crop';
import table from './crops.json';
import type { Basis, Source } from '../../units/Source';

const byName = new Intl.Collator('en');

/** The crops that come with the application, heights in metres, in order of their names. */
export const cropLibrary: readonly Crop[] = table.crops
  .map((row): Crop => ({
    id: row.id,
    name: row.name,
    alsoCalled: row.alsoCalled,
    latin: row.latin,
    group: row.group,
    stages: row.stages.map((s) => ({
      stage: s.stage as StageName,
      label: 'label' in s && typeof s.label === 'string' ? s.label : null,
      fromDay: s.fromDay,
      dliMin: s.dliMin,
      dliTarget: s.dliTarget,
      dliMax: s.dliMax,
      ppfdMax: s.ppfdMax_umol,
      hoursMin: s.hoursMin,
      hoursMax: s.hoursMax,
      basis: s.basis as Basis,
    })),
    continuousLightInjury: row.continuousLightInjury as Crop['continuousLightInjury'],
    continuousLightInjurySource: row.continuousLightInjurySource,
    dayLengthType: row.dayLength.type,
    dayLengthNote: row.dayLength.note ?? '',
    heightByDay: row.heightCm.map(([day, cm]) => ({ day: day!, height: cm! / 100 })),
    widthByDay: (row.canopyWidthCm ?? []).map(([day, cm]) => ({ day: day!, width: cm! / 100 })),
    containerPath: row.containerPath.map((c) => ({ containerId: c.container, fromDay: c.fromDay })),
    stretchProne: row.stretchProne,
    leggyRemedy: row.leggyRemedy as LeggyRemedy,
    germination: row.germination && {
      temperature: { least: row.germination.tempC_min, best: row.germination.tempC_opt, most: row.germination.tempC_max },
      days: { first: row.germination.daysMin, last: row.germination.daysMax },
      light: row.germination.light as Germination['light'],
    },
    afterEmergence: row.afterEmergence && { day: row.afterEmergence.dayC, night: row.afterEmergence.nightC },
    sowing: row.sowing && {
      weeksBefore: { least: row.sowing.weeksBeforeLastFrostMin, most: row.sowing.weeksBeforeLastFrostMax },
      plantOutWeeksAfter: row.sowing.plantOutWeeksFromLastFrost,
      nightLeast: row.sowing.nightMinC,
    },
    feed: row.feed && { after: row.feed.startAfter, fromDay: row.feed.startDay, strength: row.feed.strength },
    trust: {
      light: row.confidenceBy.light as Basis,
      photoperiod: row.confidenceBy.photoperiod as Basis,
      germination: row.confidenceBy.germination as Basis | null,
      sowing: row.confidenceBy.sowing as Basis | null,
      heights: row.confidenceBy.heights as Basis,
    },
    own: null,
    heatMat: row.germination?.heatMat ?? false,
    fed: row.feed !== null,
    airMovementBenefit: row.airMovementBenefit,
    notes: row.notes ?? '',
    sources: row.sources as readonly Source[],
  }))
  .sort((a, b) => byName.compare(a.name, b.name));
