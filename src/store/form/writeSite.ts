import type { KeptChartFile, LoggedBeforeFile, LoggedFile } from './SeasonFile';
import type { Logged, LoggedBefore } from '../../core/site/stand/Logged';
import type { Lamp } from '../../core/things/lamp/Lamp';
import type { Site } from '../../core/site/stand/Site';
import type { LitLamp, Reading } from '../../core/site/reading/Reading';
import { isoOf, type Day } from '../../core/units/day';
import type { KeptChart } from '../../core/site/hang/KeptChart';
import { writeAtWindow, writePlace, writeWindow } from './WindowFile';
import { writeCase } from './ClinicFile';
import { writeOwnLamp } from './OwnLampFile';
import { writeEarlier } from './EarlierTierFile';
import { writeFitting, writeTravel } from './FittingFile';
import { writeTray } from './TrayFile';
import { writeTrial } from './TrialFile';
import { writeSeason } from './PlannedFile';
import { writeCrop } from './ownCrops';
import type { LampFile, LitLampFile, ReadingFile, SiteFile } from './SiteFile';

/** A site as plain data for storage and for files. */
export function writeSite(site: Site): SiteFile {
  return {
    format: 'copper-noon/site',
    version: 19,
    currency: site.currency,
    price_per_kWh: site.price_per_kWh,
    stands: site.stands.map((s) => ({
      id: s.id,
      name: s.name,
      kind: s.kind,
      laidOut: s.autoArranged,
      shelf_m: s.shelf,
      strip_W: s.strip,
      steadyOutlets: s.steadyOutlets,
      plugged: s.plugged.map(({ power, timerId, ...p }) => ({ ...p, power_W: power, programmeId: timerId })),
      chart: s.chart && writeChart(s.chart),
      calendar: s.calendar && { sequence: s.calendar.sequence, days: s.calendar.days.map(isoOf) },
      window: s.window && writeAtWindow(s.window),
      tiers: s.tiers.map((t) => ({
        id: t.id,
        width_m: t.width,
        depth_m: t.depth,
        enclosure: {
          width_m: t.enclosure.width,
          depth_m: t.enclosure.depth,
          height_m: t.enclosure.height,
          faces: { ...t.enclosure.faces },
        },
        notch_m: t.notch,
        load_kg: t.load,
        ageing: { used_h: t.ageing.used_h, dirt: t.ageing.dirt, view: t.ageing.view },
        programmeId: t.timerId,
        daylight: t.daylight && { dli_mol: t.daylight.dli, from_min: t.daylight.from_min, to_min: t.daylight.to_min },
        rotation: t.rotation && { ...t.rotation, from: isoOf(t.rotation.from) },
        fittings: t.fittings.map(writeFitting),
        trays: t.trays.map(writeTray),
        readings: writeReadings(t.readings),
        fits: t.fits.map((f) => ({
          id: f.id,
          made: new Date(f.made_ms).toISOString(),
          readingIds: [...f.readingIds],
          leftOut: f.leftOut,
          lamps: f.lamps.map((l) => ({ lampId: l.lampId, scale: l.scale, error: l.error, beamFwhm_deg: degOf(l.beamFwhm) })),
          sides: Object.entries(f.sides?.reflectances ?? {}).map(([material, reflectance]) => ({ material, reflectance })),
          sidesError: f.sides?.error ?? 0,
          scatter: f.scatter,
          meter: f.meter,
          lit: f.lit.map(writeLit),
          used_h: f.used_h,
        })),
      })),
    })),
    batches: site.batches.map((b) => ({
      id: b.id,
      cropId: b.cropId,
      stage: b.stage,
      height_m: b.height,
      sown: isoOrNull(b.sown),
      leaves: isoOrNull(b.leaves),
      log: writeLog(b.log),
      plan: { ...b.plan },
      ...(b.grownIn ? { grownIn: { dli_mol_per_m2_d: b.grownIn.dli, area_m2: b.grownIn.area_m2 } } : {}),
    })),
    programmes: site.timers.map(({ rating, ...p }) => ({ ...p, rating_W: rating })),
    lamps: site.lamps.map(writeLamp),
    quiet: site.quiet && { ...site.quiet },
    cheap: site.cheap && { ...site.cheap },
    bands: site.bands.map((b) => ({ ...b })),
    ownLamps: site.ownLamps.map(writeOwnLamp),
    spares: site.spares.map((p) => ({ ...p })),
    meters: site.meters.map(({ checked_ms, uncertainty, ...m }) => ({
      ...m,
      doubt: uncertainty,
      checked: checked_ms === null ? null : new Date(checked_ms).toISOString(),
    })),
    crops: site.crops.map(writeCrop),
    cropNotes: site.cropNotes.map(({ day, ...n }) => ({ ...n, day: isoOf(day) })),
    visits: { ...site.visits, away: site.visits.away.map((a) => ({ from: isoOf(a.from), to: isoOf(a.to) })) },
    timeZone: site.timeZone,
    stated: [...site.stated],
    place: site.place && writePlace(site.place),
    climate: { kind: site.climate.kind, name: site.climate.name, sunshine: [...site.climate.sunshine] },
    windows: site.windows.map(writeWindow),
    clinic: site.clinic.map(writeCase),
    trials: site.trials.map(writeTrial),
    safety: site.safety.map(({ day, ...m }) => ({ ...m, day: isoOf(day) })),
    earlier: site.earlier.map(writeEarlier),
    lampPrices: site.lampPrices.map(({ day, ...p }) => ({ ...p, day: isoOf(day) })),
    jobMarks: site.jobMarks.map((m) => ({
      key: m.key,
      day: isoOf(m.day),
      state: m.state,
      until: m.until === null ? null : isoOf(m.until),
    })),
    season: site.season && writeSeason(site.season),
  };
}

/** Readings as plain data. */
export const writeReadings = (readings: readonly Reading[]): ReadingFile[] =>
  readings.map((r) => ({
    id: r.id,
    kindId: r.kindId,
    meterId: r.meterId,
    factor: r.factor,
    value: r.value,
    dark: r.dark,
    of: r.of,
    unit: r.unit,
    fromMiddleX_m: r.dx,
    fromMiddleY_m: r.dy,
    z_m: r.z,
    lit: r.lit.map(writeLit),
    around: {
      width_m: r.around.width,
      depth_m: r.around.depth,
      height_m: r.around.height,
      faces: { ...r.around.faces },
      covered: r.around.covered,
      ...(r.around.standing && { standing: { height_m: r.around.standing.height, edge_m: r.around.standing.edge } }),
    },
    used_h: r.used_h,
    leftOut: r.leftOut,
    taken: new Date(r.taken_ms).toISOString(),
  }));

const isoOrNull = (day: Day | null) => (day === null ? null : isoOf(day));

/** What was written down of one batch. */
export const writeLog = (log: readonly Logged[]): LoggedFile[] =>
  log.map((l) => ({
    id: l.id,
    day: isoOf(l.day),
    what: l.what,
    height_m: l.height,
    stage: l.stage,
    ...(l.text ? { text: l.text } : {}),
    ...(l.weight_g === undefined ? {} : { weight_g: l.weight_g }),
    ...(l.heightSd === undefined ? {} : { height_sd_m: l.heightSd }),
    ...(l.photoId === undefined ? {} : { photoId: l.photoId }),
    ...writeMeasured(l),
    ...(l.was === undefined ? {} : { was: l.was.map(writeBefore) }),
  }));

const writeBefore = (b: LoggedBefore): LoggedBeforeFile => ({
  day: isoOf(b.day),
  height_m: b.height,
  ...(b.what === undefined ? {} : { what: b.what }),
  ...(b.text ? { text: b.text } : {}),
  ...(b.weight_g === undefined ? {} : { weight_g: b.weight_g }),
  ...writeMeasured(b),
});

/** Air, EC and pH, and what leaves showed. */
const writeMeasured = ({ air, solution, sign, place }: Pick<Logged, 'air' | 'solution' | 'sign' | 'place'>): MeasuredOfFile => ({
  ...(air === undefined ? {} : { air: { low_C: air.low, high_C: air.high, humidity_percent: air.humidity } }),
  ...(sign === undefined ? {} : { sign }),
  ...(place === undefined ? {} : { place }),
  ...(solution === undefined ? {} : { solution: { ec_mS_per_cm: solution.ec, ph: solution.ph } }),
});

type MeasuredOfFile = Pick<LoggedFile, 'air' | 'solution' | 'sign' | 'place'>;

const writeChart = (chart: KeptChart): KeptChartFile => ({
  made: isoOf(chart.made),
  visits: chart.visits.map((v) => ({
    day: isoOf(v.day),
    lamps: v.lamps.map(({ face, ...job }) => ({ ...job, face_m: face })),
    dims: v.dims.map((job) => ({ ...job })),
    risers: v.risers.map((job) => ({ ...job })),
    hours: v.hours.map(({ timerId, ...job }) => ({ programmeId: timerId, ...job })),
  })),
});

const writeLit = (l: LitLamp): LitLampFile => ({
  lampId: l.lampId,
  fromMiddleX_m: l.dx,
  fromMiddleY_m: l.dy,
  face_m: l.face,
  turn_rad: l.turn,
  ...(l.tilt ? { tilt_rad: l.tilt } : {}),
  ...(l.travel ? { travel: writeTravel(l.travel) } : {}),
});

const degOf = (rad: number | null) => (rad === null ? null : (rad * 180) / Math.PI);

function writeLamp(lamp: Lamp): LampFile {
  return {
    id: lamp.id,
    name: lamp.name,
    family: lamp.family,
    shape: lamp.shape,
    length_m: lamp.length,
    width_m: lamp.width,
    emitters: lamp.emitters,
    spacing_m: lamp.spacing,
    beamFwhm_deg: degOf(lamp.beamFwhm),
    power_W: lamp.power,
    ppf_umol_per_s: lamp.ppf,
    fluxBasis: lamp.fluxBasis,
    lumens_lm: lamp.lumens,
    cct_K: lamp.cct,
    spectrumId: lamp.spectrumId,
    diodes: lamp.diodes && { ...lamp.diodes },
    curve: lamp.curve && { start_nm: lamp.curve.start, step_nm: lamp.curve.step, power: [...lamp.curve.power] },
    farField: lamp.farField && {
      round: lamp.farField.round,
      gamma_rad: [...lamp.farField.table.gamma],
      c_rad: [...lamp.farField.table.c],
      perFlux_per_sr: [...lamp.farField.table.perFlux],
    },
    maintenanceAtEnd: lamp.maintenanceAtEnd,
    life_h: lamp.life_h,
    heatClearance_m: lamp.heatClearance,
    coolSurface: lamp.coolSurface,
    weight_kg: lamp.weight_kg,
    base: lamp.base,
    ballast: lamp.ballast,
    linkable: lamp.linkable,
    locationRating: lamp.locationRating,
    emitsUV: lamp.emitsUV,
  };
}
