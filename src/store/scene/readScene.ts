import { mirrorImages } from '../../core/light/room/mirrorImages';
import { plainToInstance } from 'class-transformer';
import { validateSync } from 'class-validator';
import type { QuestionLamp, SceneQuestion } from '../../core/exchange/scene/SceneQuestion';
import { emittersOf } from '../../core/things/lamp/emittersOf';
import { lampLibrary } from '../../core/things/lamp/lampLibrary';
import { materialOf } from '../../core/things/material/materialLibrary';
import { spectrumOf } from '../../core/light/spectrum/spectrumLibrary';
import { cosinePowerOfBeam } from '../../core/light/emitters/cosinePower';
import { MOST_HOLE, ringOf } from '../../core/light/emitters/ring';
import type { Emitter } from '../../core/light/emitters/Emitter';
import { isInside, FACES, OPEN, type Face, type FaceName } from '../../core/light/room/Room';
import { partsOf } from '../../core/light/scene/straightLight';
import { RAYS_A_PART } from '../../core/light/scene/visibleShare';
import type { Scene, Obstruction } from '../../core/light/scene/Scene';
import { readIes } from '../../core/light/photometry/readIes';
import { fail, ok, type Problem, type Result } from '../../core/units/result';
import { uncertaintiesOfLamp } from '../../core/measure/fit/uncertaintiesOfLamp';
import { combine } from '../../core/judge/uncertainty/Band';
import { AS_NEW } from '../../core/things/lamp/ageing';
import { FINEST_STEP, stopsAlong } from '../../core/things/lamp/Travel';
import type { Metres } from '../../core/units/quantities';
import { withoutNulls } from '../form/readJson';
import { problemsOf } from '../form/problemsOf';
import { SceneFile, type AreaFile, type FaceFile, type SceneLampFile } from './SceneFile';

/** Cells that may be asked for altogether: a hundred tiers at a centimetre. */
const MOST_CELLS = 600_000;
/** Ways of light that may have to be followed altogether: about twenty seconds of work. */
const MOST_WAYS = 5e8;
const TRAY_CELL = 0.01;
/** From stop to stop of lamps that travel, where things throw shadows. */
const STEP_BESIDE_THINGS: Metres = 0.02;
const rad = (deg = 0) => (deg * Math.PI) / 180;

/** Reads a scene with what is asked of it. Every problem is reported at once, each with its place. */
export function readScene(data: unknown): Result<SceneQuestion> {
  if (typeof data !== 'object' || data === null || Array.isArray(data))
    return fail({ code: 'scene/not-an-object', at: '', found: typeof data });
  const { format, version } = data as { format?: unknown; version?: unknown };
  if (format !== 'copper-noon/scene') return fail({ code: 'scene/foreign', at: 'format', found: format, expected: 'copper-noon/scene' });
  if (typeof version === 'number' && version > 1) return fail({ code: 'scene/newer', at: 'version', found: version, expected: '1' });
  const file = plainToInstance(SceneFile, withoutNulls(data));
  const errors = validateSync(file, { whitelist: true, forbidNonWhitelisted: true, forbidUnknownValues: true });
  if (errors.length > 0) return fail(...errors.flatMap((e) => problemsOf(e, 'scene')));

  const problems: Problem[] = [];
  const throwsShadows = (file.things ?? []).length > 0 || file.lamps.some((l) => l.body);
  const step = throwsShadows ? STEP_BESIDE_THINGS : FINEST_STEP;
  const lamps = file.lamps.map((l, i) => lampOf(l, step, `lamps[${i}]`, problems));
  const seen = new Set<string>();
  file.lamps.forEach((l, i) => {
    if (seen.has(l.id)) problems.push({ code: 'scene/id-twice', at: `lamps[${i}].id`, found: l.id });
    seen.add(l.id);
  });
  const area = (a: AreaFile, at: string) => {
    if (!(a.x1_m > a.x0_m)) problems.push({ code: 'scene/empty', at: `${at}.x1_m`, found: a.x1_m, expected: `more than x0_m (${a.x0_m})` });
    if (!(a.y1_m > a.y0_m)) problems.push({ code: 'scene/empty', at: `${at}.y1_m`, found: a.y1_m, expected: `more than y0_m (${a.y0_m})` });
    return { x0: a.x0_m, x1: a.x1_m, y0: a.y0_m, y1: a.y1_m };
  };
  const rooms = (file.tiers ?? []).map((t, i) => ({
    x: t.x_m,
    y: t.y_m,
    z: t.z_m,
    width: t.width_m,
    depth: t.depth_m,
    height: t.height_m,
    faces: Object.fromEntries(FACES.map((name) => [name, faceOf(t.faces[name], `tiers[${i}].faces.${name}`, problems)])) as Record<
      FaceName,
      Face
    >,
    ...(t.low && { low: { height: t.low.height_m, share: t.low.share } }),
  }));
  const obstructions = (file.things ?? []).map((t, i) => {
    if (!(t.z1_m > t.z0_m))
      problems.push({ code: 'scene/empty', at: `things[${i}].z1_m`, found: t.z1_m, expected: `more than z0_m (${t.z0_m})` });
    return { ...area(t, `things[${i}]`), z0: t.z0_m, z1: t.z1_m };
  });
  obstructions.push(...file.lamps.flatMap(bodyOf));
  const trays = (file.trays ?? []).map((t, i) => ({
    id: t.id,
    area: area(t, `trays[${i}]`),
    z: t.z_m,
    band:
      t.low_umol_per_m2_s === undefined && t.high_umol_per_m2_s === undefined
        ? null
        : { low: t.low_umol_per_m2_s ?? 0, high: t.high_umol_per_m2_s ?? Infinity },
  }));
  const ask = file.ask ?? {};
  const trayCell = ask.trayCell_m ?? TRAY_CELL;
  const maps = (ask.maps ?? []).map((m, i) => ({ area: area(m, `ask.maps[${i}]`), z: m.z_m, cell: m.cell_m }));
  const slices = (ask.slices ?? []).map((s, i) => {
    const { x0, x1, y0: z0, y1: z1 } = area({ x0_m: s.x0_m, x1_m: s.x1_m, y0_m: s.z0_m, y1_m: s.z1_m }, `ask.slices[${i}]`);
    return { x0, x1, z0, z1, y: s.y_m, cell: s.cell_m };
  });
  const falloffs = (ask.falloffs ?? []).map((f, i) => {
    if (!(f.to_m > f.from_m))
      problems.push({ code: 'scene/empty', at: `ask.falloffs[${i}].to_m`, found: f.to_m, expected: `more than from_m (${f.from_m})` });
    return { x: f.x_m, y: f.y_m, z: f.z_m, from: f.from_m, to: f.to_m, count: f.count ?? 40 };
  });
  const inPictures =
    maps.reduce((n, m) => n + ((m.area.x1 - m.area.x0) * (m.area.y1 - m.area.y0)) / m.cell ** 2, 0) +
    slices.reduce((n, s) => n + ((s.x1 - s.x0) * (s.z1 - s.z0)) / s.cell ** 2, 0);
  const inTrays = trays.reduce((n, t) => n + ((t.area.x1 - t.area.x0) * (t.area.y1 - t.area.y0)) / trayCell ** 2, 0);
  const cells = inPictures + inTrays * (lamps.length + 2);
  if (cells > MOST_CELLS)
    problems.push({ code: 'scene/too-many-cells', at: 'ask', found: Math.round(cells), expected: `at most ${MOST_CELLS}` });
  if (problems.length > 0) return fail(...problems);
  const scene = { lamps: lamps as QuestionLamp[], rooms, obstructions };
  const points = (ask.points ?? []).map((p) => ({ x: p.x_m, y: p.y_m, z: p.z_m }));
  const places = inPictures + 3 * (inTrays + points.length) + falloffs.reduce((n, f) => n + f.count, 0);
  const ways = places * waysToAPlace(scene);
  if (ways > MOST_WAYS)
    return fail({ code: 'scene/too-much-work', at: 'ask', found: Math.round(ways), expected: `cells × rays to parts of lamps × things in the way: at most ${MOST_WAYS}` }); // prettier-ignore
  return ok({ scene, trays, points, maps, slices, falloffs, trayCell });
}

/** How many ways the light of a scene takes to one place, each as costly as it has things to pass. */
function waysToAPlace({ lamps, rooms, obstructions }: Scene): number {
  const blocked = obstructions.length > 0 || rooms.length > 1;
  const toPass = 1 + obstructions.length + rooms.length;
  const waysOf = (e: Emitter) =>
    blocked
      ? partsOf(e, { obstructions }).length * RAYS_A_PART * toPass
      : e.kind === 'rect' && e.diodes
        ? e.diodes.columns * e.diodes.rows
        : 1;
  // In a tier with mirrors each lamp counts with its images.
  const seen = (e: Emitter) =>
    obstructions.length > 0 ? 1 : 1 + rooms.reduce((n, r) => n + (isInside(r, e.x, e.y, e.z) ? mirrorImages(e, r).length : 0), 0);
  return lamps.reduce((sum, lamp) => sum + lamp.emitters.reduce((n, e) => n + waysOf(e) * seen(e), 0), 0);
}

/** How far above the face its housing begins: what shines from the face must not begin inside it. */
const ABOVE_FACE = 0.002;

/** The housing of a lamp as a thing in the way: upright, a turned one as the box around it. */
function bodyOf({ x_m, y_m, z_m, turn_deg, body, diameter_m = 0 }: SceneLampFile): Obstruction[] {
  if (!body) return [];
  const [c, s] = [Math.abs(Math.cos(rad(turn_deg))), Math.abs(Math.sin(rad(turn_deg)))];
  const [w, d] = [body.length_m * c + body.width_m * s, body.length_m * s + body.width_m * c];
  const z0 = z_m + diameter_m / 2 + ABOVE_FACE;
  return [{ x0: x_m - w / 2, x1: x_m + w / 2, y0: y_m - d / 2, y1: y_m + d / 2, z0, z1: z0 + body.height_m }];
}

function faceOf(face: FaceFile | undefined, at: string, problems: Problem[]): Face {
  if (!face) return OPEN;
  const known = face.material === undefined ? { reflectance: 0, transmittance: 0, specular: undefined } : materialOf(face.material);
  const reflectance = face.reflectance ?? known.reflectance;
  const transmittance = face.transmittance ?? known.transmittance;
  if (reflectance + transmittance > 1 + 1e-9)
    problems.push({
      code: 'scene/more-than-all',
      at,
      found: reflectance + transmittance,
      expected: 'reflectance and transmittance of 1 at most together',
    });
  const specular = face.specular ?? known.specular;
  return { reflectance, transmittance, ...(specular ? { specular } : {}) };
}

/** What goes to and fro is there at each of its stops, by the share of its time. */
const travelling = (emitters: readonly Emitter[], x: Metres, y: Metres, step: Metres): readonly Emitter[] =>
  stopsAlong(x, y, step).flatMap(({ dx, dy, share }) => emitters.map((e) => ({ ...e, x: e.x + dx, y: e.y + dy, ppf: e.ppf * share })));

/** @param step  from stop to stop where it travels, m */
function lampOf(l: SceneLampFile, step: Metres, at: string, problems: Problem[]): QuestionLamp | null {
  const missing = (field: string) => {
    problems.push({ code: 'scene/missing', at: `${at}.${field}`, expected: `needed for a lamp of the kind ${l.kind}` });
    return 0;
  };
  const place = { x: l.x_m, y: l.y_m, z: l.z_m, turn: rad(l.turn_deg), tilt: rad(l.tilt_deg), pitch: rad(l.pitch_deg) };
  const needs = () => ({ ...place, ppf: l.ppf_umol_per_s ?? missing('ppf_umol_per_s') });
  const power = l.cosinePower ?? (l.beam_deg === undefined ? 1 : cosinePowerOfBeam(rad(l.beam_deg)));
  let emitters: readonly Emitter[] = [];
  let spectrumId = l.spectrum ?? 'led-4000';
  let uncertainty = { low: 0, high: 0 };
  switch (l.kind) {
    case 'library': {
      const lamp = lampLibrary.find((k) => k.id === l.libraryId);
      if (!lamp) {
        problems.push({ code: 'scene/missing', at: `${at}.libraryId`, found: l.libraryId, expected: 'an id of the lamp library' });
        return null;
      }
      emitters = emittersOf({ ...lamp, ppf: l.ppf_umol_per_s ?? lamp.ppf }, { ...place, face: l.z_m });
      spectrumId = l.spectrum ?? lamp.spectrumId;
      uncertainty = combine(uncertaintiesOfLamp(lamp, spectrumOf(lamp.spectrumId), AS_NEW));
      break;
    }
    case 'point':
      emitters = [{ kind: 'point', ...needs(), cosinePower: l.isotropic ? null : power }];
      break;
    case 'tube':
      emitters = [
        {
          kind: 'tube',
          ...needs(),
          length: l.length_m || missing('length_m'),
          diameter: l.diameter_m ?? 0,
          ...(l.shaded ? { shaded: true } : {}),
        },
      ];
      break;
    case 'rect': {
      const diodes = l.diodes && { columns: l.diodes.columns, rows: l.diodes.rows };
      emitters = [
        {
          kind: 'rect',
          ...needs(),
          length: l.length_m || missing('length_m'),
          width: l.width_m ?? 0,
          cosinePower: power,
          ...(diodes ? { diodes } : {}),
        },
      ];
      break;
    }
    case 'disc': {
      const radius = l.radius_m ?? missing('radius_m');
      const hole = l.holeRadius_m ?? 0;
      if (l.radius_m !== undefined && hole > MOST_HOLE * radius)
        problems.push({
          code: 'scene/hole',
          at: `${at}.holeRadius_m`,
          found: hole,
          expected: `at most ${MOST_HOLE} of radius_m (${radius})`,
        });
      emitters = ringOf({ kind: 'disc', ...needs(), radius, cosinePower: power }, Math.min(hole, MOST_HOLE * radius));
      break;
    }
    case 'ies': {
      const file = readIes(l.ies ?? '');
      if (!file.ok) {
        problems.push(...file.problems.map((p) => ({ ...p, at: `${at}.ies${p.at ? `, ${p.at}` : ''}` })));
        return null;
      }
      const { length, width, round, table, lumens } = file.value;
      emitters = [
        { kind: 'photometric', ...place, ppf: l.ppf_umol_per_s ?? lumens / spectrumOf(spectrumId).luxPerUmol, length, width, round, table },
      ];
    }
  }
  const [wayX, wayY] = [l.travelX_m ?? 0, l.travelY_m ?? 0];
  if (l.body && (wayX !== 0 || wayY !== 0))
    problems.push({
      code: 'scene/body-travels',
      at: `${at}.body`,
      expected: 'none on a lamp that travels: it would keep light away all along its way',
    });
  return {
    id: l.id,
    emitters: travelling(emitters, wayX, wayY, step),
    spectrumId,
    ppfDoubt: l.ppfDoubt ? { low: l.ppfDoubt.low, high: l.ppfDoubt.high } : uncertainty,
    heightDoubt: l.heightDoubt_m ?? 0,
  };
}
