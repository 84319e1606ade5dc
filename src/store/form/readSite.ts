import { mostLit } from '../../core/units/LitTimes';
import type { KeptChartFile, LoggedBeforeFile, LoggedFile } from './SeasonFile';
import type { Logged, LoggedBefore } from '../../core/site/stand/Logged';
import type { KeptChart } from '../../core/site/hang/KeptChart';
import { dayOf, type Day } from '../../core/units/day';
import { atWindowOf, placeOfFile, windowOfFile } from './WindowFile';
import { caseOf } from './ClinicFile';
import { ownLampOf } from './OwnLampFile';
import { earlierOf } from './EarlierTierFile';
import { fittingOf, travelOf } from './FittingFile';
import { trayOfFile } from './TrayFile';
import { trialOf, trialProblems } from './TrialFile';
import { seasonOf, seasonProblems } from './PlannedFile';
import { cropOfFile, cropProblems } from './ownCrops';
import { plainToInstance } from 'class-transformer';
import { validateSync } from 'class-validator';
import type { Lamp } from '../../core/things/lamp/Lamp';
import { spectrumLibrary } from '../../core/light/spectrum/spectrumLibrary';
import { isDark } from '../../core/light/spectrum/Spectrum';
import { fail, ok, type Problem, type Result } from '../../core/units/result';
import type { Site } from '../../core/site/stand/Site';
import { coverOf } from '../../core/things/container/coverLibrary';
import { tables } from '../../core/things/tables/libraryTables';
import { listInList } from './readJson';
import { migrate, VERSION } from './migrate';
import { problemsOf } from './problemsOf';
import type { LitLamp, Reading } from '../../core/site/reading/Reading';
import { SiteFile, type LampFile, type LitLampFile, type ReadingFile } from './SiteFile';

/** Reads a saved or imported site. Every problem is reported at once, each with its place. */
export function readSite(data: unknown): Result<Site> {
  if (typeof data !== 'object' || data === null || Array.isArray(data))
    return fail({ code: 'site/not-an-object', at: '', found: typeof data });
  const { format, version } = data as { format?: unknown; version?: unknown };
  if (format !== 'copper-noon/site') return fail({ code: 'site/foreign', at: 'format', found: format });
  if (typeof version === 'number' && version > VERSION)
    return fail({ code: 'site/newer', at: 'version', found: version, expected: String(VERSION) });
  const nested = listInList(data, '');
  if (nested !== null) return fail({ code: 'file/list-in-list', at: nested });
  const file = plainToInstance(SiteFile, migrate(data as Record<string, unknown>));
  const errors = validateSync(file, { whitelist: true, forbidNonWhitelisted: true, forbidUnknownValues: true });
  if (errors.length > 0) return fail(...errors.flatMap((e) => problemsOf(e, 'site')));
  const broken = brokenLinks(file);
  if (broken.length > 0) return fail(...broken);
  return ok(siteOf(file));
}

/** A file that is sound, as a site. */
export function siteOf(file: SiteFile): Site {
  return {
    currency: file.currency,
    price_per_kWh: file.price_per_kWh,
    quiet: file.quiet ? { from_min: file.quiet.from_min, to_min: file.quiet.to_min } : null,
    cheap: file.cheap ? { from_min: file.cheap.from_min, to_min: file.cheap.to_min, price_per_kWh: file.cheap.price_per_kWh } : null,
    bands: file.bands.map(({ from_min, to_min, price_per_kWh, days }) => ({ from_min, to_min, price_per_kWh, days })),
    ownLamps: file.ownLamps.map(ownLampOf),
    spares: file.spares.map(({ lampId, count }) => ({ lampId, count })),
    stands: file.stands.map((s) => ({
      id: s.id,
      name: s.name,
      kind: s.kind,
      autoArranged: s.laidOut,
      shelf: s.shelf_m,
      strip: s.strip_W ?? null,
      steadyOutlets: s.steadyOutlets ?? null,
      plugged: s.plugged.map((p) => ({ id: p.id, kind: p.kind, name: p.name, power: p.power_W, timerId: p.programmeId ?? null })),
      chart: s.chart ? chartOf(s.chart) : null,
      calendar: s.calendar ? { sequence: s.calendar.sequence, days: s.calendar.days.map(dayOf) } : null,
      window: s.window ? atWindowOf(s.window) : null,
      tiers: s.tiers.map((t) => ({
        id: t.id,
        width: t.width_m,
        depth: t.depth_m,
        enclosure: {
          width: t.enclosure.width_m ?? null,
          depth: t.enclosure.depth_m ?? null,
          height: t.enclosure.height_m,
          faces: { ...t.enclosure.faces },
        },
        notch: t.notch_m ?? null,
        load: t.load_kg ?? null,
        ageing: { used_h: t.ageing.used_h ?? null, dirt: t.ageing.dirt, view: t.ageing.view },
        timerId: t.programmeId,
        daylight: t.daylight ? { dli: t.daylight.dli_mol, from_min: t.daylight.from_min, to_min: t.daylight.to_min } : null,
        rotation: t.rotation ? { kind: t.rotation.kind, every: t.rotation.every, from: dayOf(t.rotation.from) } : null,
        fittings: t.fittings.map(fittingOf),
        trays: t.trays.map(trayOfFile),
        readings: readingsOf(t.readings),
        fits: t.fits.map((f) => ({
          id: f.id,
          made_ms: Date.parse(f.made),
          readingIds: [...f.readingIds],
          leftOut: f.leftOut,
          lamps: f.lamps.map((l) => ({ lampId: l.lampId, scale: l.scale, error: l.error, beamFwhm: radOf(l.beamFwhm_deg) })),
          sides:
            f.sides.length > 0
              ? { reflectances: Object.fromEntries(f.sides.map((s) => [s.material, s.reflectance])), error: f.sidesError }
              : null,
          scatter: f.scatter,
          meter: f.meter,
          lit: f.lit.map(litOf),
          used_h: f.used_h ?? null,
        })),
      })),
    })),
    batches: file.batches.map((b) => ({
      id: b.id,
      cropId: b.cropId,
      stage: b.stage,
      height: b.height_m ?? null,
      sown: dayOrNull(b.sown),
      leaves: dayOrNull(b.leaves),
      log: logOf(b.log),
      plan: { kind: b.plan.kind, hours: b.plan.hours ?? null, days: b.plan.days ?? null },
      ...(b.grownIn ? { grownIn: { dli: b.grownIn.dli_mol_per_m2_d, area_m2: b.grownIn.area_m2 } } : {}),
    })),
    timers: file.programmes.map(({ id, on_min, lit_min, pause, rating_W, outlets }) => ({
      id,
      on_min,
      lit_min,
      pause: pause ? { from_min: pause.from_min, to_min: pause.to_min } : null,
      rating: rating_W ?? null,
      outlets: outlets ?? null,
    })),
    crops: file.crops.map(cropOfFile),
    cropNotes: file.cropNotes.map((n) => ({ id: n.id, cropId: n.cropId, day: dayOf(n.day), outcome: n.outcome ?? null, text: n.text })),
    visits: {
      rhythm: file.visits.rhythm,
      weekday: file.visits.weekday,
      time_min: file.visits.time_min,
      away: file.visits.away.map((a) => ({ from: dayOf(a.from), to: dayOf(a.to) })),
    },
    timeZone: file.timeZone ?? null,
    stated: [...file.stated],
    place: file.place ? placeOfFile(file.place) : null,
    climate: { kind: file.climate.kind, name: file.climate.name, sunshine: [...file.climate.sunshine] },
    windows: file.windows.map(windowOfFile),
    clinic: file.clinic.map(caseOf),
    trials: file.trials.map(trialOf),
    safety: file.safety.map((m) => ({ standId: m.standId, cautionId: m.cautionId, day: dayOf(m.day), of: m.of })),
    earlier: file.earlier.map(earlierOf),
    lampPrices: file.lampPrices.map((p) => ({ lampId: p.lampId, price: p.price, day: dayOf(p.day) })),
    jobMarks: file.jobMarks.map((m) => ({ key: m.key, day: dayOf(m.day), state: m.state, until: m.until ? dayOf(m.until) : null })),
    season: file.season ? seasonOf(file.season) : null,
    lamps: file.lamps.map(lampOf),
    meters: file.meters.map((m) => ({
      id: m.id,
      name: m.name,
      kindId: m.kindId,
      factor: m.factor,
      uncertainty: m.doubt ?? null,
      matchedBy: m.matchedBy,
      checked_ms: m.checked === null || m.checked === undefined ? null : Date.parse(m.checked),
    })),
  };
}

/** Readings of a file that is sound. */
export const readingsOf = (files: readonly ReadingFile[]): Reading[] =>
  files.map((r) => ({
    id: r.id,
    kindId: r.kindId,
    meterId: r.meterId ?? null,
    factor: r.factor,
    value: r.value,
    dark: r.dark,
    of: r.of,
    unit: r.unit,
    dx: r.fromMiddleX_m,
    dy: r.fromMiddleY_m,
    z: r.z_m,
    lit: r.lit.map(litOf),
    around: {
      width: r.around.width_m,
      depth: r.around.depth_m,
      height: r.around.height_m,
      faces: { ...r.around.faces },
      covered: r.around.covered,
      ...(r.around.standing && { standing: { height: r.around.standing.height_m, edge: r.around.standing.edge_m } }),
    },
    used_h: r.used_h ?? null,
    leftOut: r.leftOut,
    taken_ms: Date.parse(r.taken),
  }));

const dayOrNull = (text: string | null | undefined): Day | null => (text == null ? null : dayOf(text));

/** What was written down of one batch; sound data only. */
export const logOf = (list: readonly LoggedFile[]): Logged[] =>
  list.map((l) => ({
    id: l.id,
    day: dayOf(l.day),
    what: l.what,
    height: l.height_m ?? null,
    stage: l.stage ?? null,
    ...(l.text ? { text: l.text } : {}),
    ...(l.weight_g == null ? {} : { weight_g: l.weight_g }),
    ...(l.height_sd_m == null ? {} : { heightSd: l.height_sd_m }),
    ...(l.photoId ? { photoId: l.photoId } : {}),
    ...measuredOf(l),
    ...(l.was?.length ? { was: l.was.map(beforeOf) } : {}),
  }));

const beforeOf = (b: LoggedBeforeFile): LoggedBefore => ({
  day: dayOf(b.day),
  height: b.height_m ?? null,
  ...(b.what ? { what: b.what } : {}),
  ...(b.text ? { text: b.text } : {}),
  ...(b.weight_g == null ? {} : { weight_g: b.weight_g }),
  ...measuredOf(b),
});

/** Air, EC and pH, and what leaves showed. */
const measuredOf = ({
  air,
  solution,
  sign,
  place,
}: Pick<LoggedFile, 'air' | 'solution' | 'sign' | 'place'>): Pick<Logged, 'air' | 'solution' | 'sign' | 'place'> => ({
  ...(air ? { air: { low: air.low_C ?? null, high: air.high_C ?? null, humidity: air.humidity_percent ?? null } } : {}),
  ...(sign ? { sign } : {}),
  ...(place == null ? {} : { place }),
  ...(solution ? { solution: { ec: solution.ec_mS_per_cm ?? null, ph: solution.ph ?? null } } : {}),
});

const chartOf = (file: KeptChartFile): KeptChart => ({
  made: dayOf(file.made),
  visits: file.visits.map((v) => ({
    day: dayOf(v.day),
    lamps: v.lamps.map(({ tierId, fittingId, steps, face_m }) => ({ tierId, fittingId, steps, face: face_m })),
    dims: v.dims.map(({ tierId, fittingId, from, to }) => ({ tierId, fittingId, from, to })),
    risers: v.risers.map(({ tierId, trayId, from, to }) => ({ tierId, trayId, from, to })),
    hours: v.hours.map(({ programmeId, on_min, lit_min }) => ({ timerId: programmeId, on_min, lit_min })),
  })),
});

const litOf = (l: LitLampFile): LitLamp => ({
  lampId: l.lampId,
  dx: l.fromMiddleX_m,
  dy: l.fromMiddleY_m,
  face: l.face_m,
  turn: l.turn_rad,
  ...(l.tilt_rad ? { tilt: l.tilt_rad } : {}),
  ...(l.travel ? { travel: travelOf(l.travel) } : {}),
});

const radOf = (deg: number | null | undefined) => (deg === null || deg === undefined ? null : (deg * Math.PI) / 180);

function lampOf(f: LampFile): Lamp {
  return {
    id: f.id,
    name: f.name,
    family: f.family,
    shape: f.shape,
    length: f.length_m,
    width: f.width_m,
    emitters: f.emitters,
    spacing: f.spacing_m,
    beamFwhm: radOf(f.beamFwhm_deg),
    power: f.power_W,
    ppf: f.ppf_umol_per_s,
    fluxBasis: f.fluxBasis,
    lumens: f.lumens_lm ?? null,
    cct: f.cct_K ?? null,
    spectrumId: f.spectrumId,
    diodes: f.diodes ? { columns: f.diodes.columns, rows: f.diodes.rows } : null,
    curve: f.curve ? { start: f.curve.start_nm, step: f.curve.step_nm, power: f.curve.power } : null,
    farField: f.farField
      ? { round: f.farField.round, table: { gamma: f.farField.gamma_rad, c: f.farField.c_rad, perFlux: f.farField.perFlux_per_sr } }
      : null,
    maintenanceAtEnd: f.maintenanceAtEnd,
    life_h: f.life_h,
    common: false,
    heatClearance: f.heatClearance_m,
    coolSurface: f.coolSurface,
    weight_kg: f.weight_kg,
    base: f.base ?? null,
    ballast: f.ballast ?? null,
    linkable: f.linkable,
    locationRating: f.locationRating,
    emitsUV: f.emitsUV,
    distrust: [],
    sources: [{ cite: 'typed from its box', kind: 'consensus', supports: ['all'] }],
  };
}

/** A far field must be there for a measured lamp, rise in its angles, and have as many values as these ask for. */
function farFieldProblems({ shape, farField, curve }: LampFile, at: string): Problem[] {
  const problems: Problem[] = [];
  if (shape === 'measured' && !farField) problems.push({ code: 'site/missing', at: `${at}.farField` });
  if (curve && isDark({ start: curve.start_nm, step: curve.step_nm, power: curve.power }))
    problems.push({ code: 'site/dark', at: `${at}.curve.power` });
  if (!farField) return problems;
  const rising = (values: number[]) => values.every((v, i) => i === 0 || v > values[i - 1]!);
  if (!rising(farField.gamma_rad)) problems.push({ code: 'site/not-rising', at: `${at}.farField.gamma_rad` });
  if (!rising(farField.c_rad)) problems.push({ code: 'site/not-rising', at: `${at}.farField.c_rad` });
  const wanted = farField.gamma_rad.length * farField.c_rad.length;
  const found = farField.perFlux_per_sr.length;
  if (found !== wanted) problems.push({ code: 'site/count', at: `${at}.farField.perFlux_per_sr`, found, expected: String(wanted) });
  return problems;
}

/** Things that refer to what is not there, and ids given twice. */
function brokenLinks(file: SiteFile): Problem[] {
  const problems: Problem[] = [];
  const seen = new Set<string>();
  const once = (id: string, at: string) => {
    if (seen.has(id)) problems.push({ code: 'site/id-twice', at, found: id });
    seen.add(id);
  };
  const lampIds = new Set(file.lamps.map((l) => l.id));
  const ownCrops = new Map(file.crops.map((c) => [c.id, c]));
  const batchIds = new Set(file.batches.map((b) => b.id));
  const timerIds = new Set(file.programmes.map((p) => p.id));
  const missing = (there: boolean, at: string, found: string) => {
    if (!there) problems.push({ code: 'site/missing', at, found });
  };
  file.lamps.forEach((l, i) => {
    once(l.id, `lamps[${i}].id`);
    problems.push(...farFieldProblems(l, `lamps[${i}]`));
    missing(
      spectrumLibrary.some((s) => s.id === l.spectrumId),
      `lamps[${i}].spectrumId`,
      l.spectrumId,
    );
  });
  file.crops.forEach((c, i) => {
    once(c.id, `crops[${i}].id`);
    problems.push(...cropProblems(c, `crops[${i}]`));
  });
  file.cropNotes.forEach((n, i) => {
    once(n.id, `cropNotes[${i}].id`);
    missing(ownCrops.has(n.cropId) || tables.crop(n.cropId) !== undefined, `cropNotes[${i}].cropId`, n.cropId);
  });
  file.visits.away.forEach((a, i) => {
    if (a.to < a.from) problems.push({ code: 'site/not-rising', at: `visits.away[${i}].to` });
  });
  file.batches.forEach((b, i) => {
    once(b.id, `batches[${i}].id`);
    const crop = ownCrops.get(b.cropId) ?? tables.crop(b.cropId);
    missing(crop !== undefined, `batches[${i}].cropId`, b.cropId);
    if (crop) missing(crop.stages.some((s) => s.stage === b.stage), `batches[${i}].stage`, b.stage); // prettier-ignore
  });
  if (file.season) problems.push(...seasonProblems(file.season, (id) => ownCrops.has(id) || tables.crop(id) !== undefined));
  file.clinic.forEach((c, i) => once(c.id, `clinic[${i}].id`));
  file.trials.forEach((t, i) => {
    once(t.id, `trials[${i}].id`);
    problems.push(...trialProblems(t, `trials[${i}]`));
  });
  file.programmes.forEach((p, i) => once(p.id, `programmes[${i}].id`));
  const lampThere = (id: string) => lampIds.has(id) || tables.lamp(id) !== undefined;
  file.ownLamps.forEach((own, i) => {
    once(own.id, `ownLamps[${i}].id`);
    missing(lampThere(own.lampId), `ownLamps[${i}].lampId`, own.lampId);
    own.channels.forEach((id, k) => missing(lampThere(id), `ownLamps[${i}].channels[${k}]`, id));
  });
  file.programmes.forEach(({ pause, lit_min }, i) => {
    if (pause && (pause.from_min === pause.to_min || lit_min > mostLit(pause)))
      problems.push({ code: 'site/pause-too-long', at: `programmes[${i}].pause` });
  });
  file.spares.forEach((p, i) => missing(lampThere(p.lampId), `spares[${i}].lampId`, p.lampId));
  file.windows.forEach((w, i) => {
    once(w.id, `windows[${i}].id`);
    w.readings.forEach((r, j) => once(r.id, `windows[${i}].readings[${j}].id`));
    w.horizon.forEach((p, j) => {
      if (j > 0 && p.azimuth_deg < w.horizon[j - 1]!.azimuth_deg)
        problems.push({ code: 'site/not-rising', at: `windows[${i}].horizon[${j}].azimuth_deg` });
    });
  });
  const windowIds = new Set(file.windows.map((w) => w.id));
  file.stands.forEach((stand, s) => {
    once(stand.id, `stands[${s}].id`);
    if (stand.window) missing(windowIds.has(stand.window.windowId), `stands[${s}].window.windowId`, stand.window.windowId);
    // What is laid out by numbers has something to lay out.
    if (stand.laidOut && !(stand.tiers[0]!.fittings.length > 0 && stand.tiers[0]!.trays.length > 0))
      problems.push({ code: 'site/empty', at: `stands[${s}].tiers[0]` });
    stand.plugged.forEach((p, i) => {
      once(p.id, `stands[${s}].plugged[${i}].id`);
      if (p.programmeId != null) missing(timerIds.has(p.programmeId), `stands[${s}].plugged[${i}].programmeId`, p.programmeId);
    });
    stand.tiers.forEach((tier, t) => {
      const at = `stands[${s}].tiers[${t}]`;
      once(tier.id, `${at}.id`);
      missing(timerIds.has(tier.programmeId), `${at}.programmeId`, tier.programmeId);
      if (tier.daylight && tier.daylight.to_min <= tier.daylight.from_min)
        problems.push({ code: 'site/not-rising', at: `${at}.daylight.to_min` });
      tier.fittings.forEach((f, i) => {
        once(f.id, `${at}.fittings[${i}].id`);
        missing(lampThere(f.lampId), `${at}.fittings[${i}].lampId`, f.lampId);
      });
      // A reading may outlive its lamp; only its own name must be its own.
      tier.readings.forEach((r, i) => once(r.id, `${at}.readings[${i}].id`));
      tier.trays.forEach((y, i) => {
        once(y.id, `${at}.trays[${i}].id`);
        missing(batchIds.has(y.batchId), `${at}.trays[${i}].batchId`, y.batchId);
        if (y.containerId !== null && y.containerId !== undefined)
          missing(tables.container(y.containerId) !== undefined, `${at}.trays[${i}].containerId`, y.containerId);
        if (y.coverId != null) missing(coverOf(y.coverId) !== undefined, `${at}.trays[${i}].coverId`, y.coverId);
      });
    });
  });
  return problems;
}
