import { lampBandOf } from '../../core/judge/dli/lightBand';
import { poseOf } from '../../core/site/stand/poseOf';
import { emittersOf } from '../../core/things/lamp/emittersOf';
import { lampLibrary } from '../../core/things/lamp/lampLibrary';
import type { DiscEmitter, Emitter } from '../../core/light/emitters/Emitter';
import { FACES } from '../../core/light/room/Room';
import { writeIes } from '../../core/light/photometry/writeIes';
import { colourOf } from '../../core/things/lamp/colourOf';
import type { BenchLamp, BenchStand, BenchTier } from '../../core/answer/stand/benchStand';
import { plantAreaOf } from '../../core/site/stand/footprint';
import { combine } from '../../core/judge/uncertainty/Band';
import { uncertaintiesOf } from '../../core/measure/fit/uncertaintiesOfLamp';
import type { SceneLampFile } from './SceneFile';

const deg = (rad = 0) => (rad * 180) / Math.PI;

/**
 * A stand as the text of a scene, so that scripts can ask about exactly what is on the bench: lamps as strong as they burn,
 * trays with the band of their crops at the hours of their tier. x and z from the left lower corner of the stand.
 */
export function writeScene(stand: BenchStand): string {
  const scene = {
    format: 'copper-noon/scene',
    version: 1,
    lamps: stand.tiers.flatMap((t) => t.lamps.flatMap((l) => sceneLampsOf(t, l))),
    tiers: stand.tiers.flatMap((t) => roomFile(t) ?? []),
    trays: stand.tiers.flatMap((t) =>
      t.trays.map((y) => {
        const { x0, x1, y0, y1 } = plantAreaOf(y.tray);
        const band = t.hours > 0 ? lampBandOf(y.stage, y.day) : null;
        return {
          id: y.tray.id,
          x0_m: x0 + t.x,
          x1_m: x1 + t.x,
          y0_m: y0,
          y1_m: y1,
          z_m: y.canopy + t.z,
          ...(band ? { low_umol_per_m2_s: band.low, high_umol_per_m2_s: band.high } : {}),
        };
      }),
    ),
  };
  return `${JSON.stringify(scene, null, 2)}\n`;
}

/** The sides of a tier in a scene; null where it has none. */
export function roomFile({ room, x, z }: BenchTier) {
  return (
    room && {
      x_m: x,
      y_m: 0,
      z_m: z,
      width_m: room.width,
      depth_m: room.depth,
      height_m: room.height,
      faces: Object.fromEntries(FACES.map((name) => [name, { ...room.faces[name] }])),
      ...(room.low && { low: { height_m: room.low.height, share: room.low.share } }),
    }
  );
}

/** A lamp of the library by its name; one of the person's own by what it is built of. */
export function sceneLampsOf(t: BenchTier, { fitting, lamp, real, calibration }: BenchLamp): Partial<SceneLampFile>[] {
  const uncertainty = combine(uncertaintiesOf(lamp, colourOf(lamp), calibration, t.tier.ageing));
  const common = { spectrum: lamp.spectrumId, ppfDoubt: uncertainty };
  const pose = poseOf(fitting, real);
  const travel = fitting.travel ? { [fitting.travel.along === 'width' ? 'travelX_m' : 'travelY_m']: fitting.travel.length } : {};
  const place = {
    x_m: fitting.x + t.x,
    y_m: fitting.y,
    z_m: pose.face + t.z,
    turn_deg: deg(fitting.turn),
    ...(fitting.tilt ? { tilt_deg: deg(fitting.tilt) } : {}),
    ...travel,
  };
  if (lampLibrary.some((l) => l.id === lamp.id))
    return [{ id: fitting.id, kind: 'library', ...place, libraryId: lamp.id, ppf_umol_per_s: real.ppf, ...common }];
  const emitters = emittersOf(real, pose);
  if (emitters.some((e) => e.kind === 'photometric')) {
    const { name, power, length, width } = lamp;
    const { table, round } = lamp.farField!;
    const ies = writeIes({ name, power, length, width, round, lumens: lamp.ppf * colourOf(lamp).luxPerUmol, table });
    return [{ id: fitting.id, kind: 'ies', ...place, ies, ppf_umol_per_s: real.ppf, ...common }];
  }
  const parts = emitters.flatMap((e, i) => (e.ppf > 0 ? primitiveOf(e, t, holeOf(e, emitters[i + 1])) : []));
  return parts.map((part, i) => ({ id: parts.length > 1 ? `${fitting.id}/${i + 1}` : fitting.id, ...part, ...travel, ...common }));
}

/** The hole that is taken out of a disc: the one after it, whose light is below zero. */
const holeOf = (e: Emitter, next: Emitter | undefined): DiscEmitter | null =>
  e.kind === 'disc' && next?.kind === 'disc' && next.ppf < 0 ? next : null;

function primitiveOf(e: Emitter, t: BenchTier, hole: DiscEmitter | null): Partial<SceneLampFile> {
  const at = {
    x_m: e.x + t.x,
    y_m: e.y,
    z_m: e.z + t.z,
    turn_deg: deg(e.turn),
    ...(e.tilt ? { tilt_deg: deg(e.tilt) } : {}),
    ppf_umol_per_s: e.ppf + (hole?.ppf ?? 0),
  };
  switch (e.kind) {
    case 'point':
      return { kind: 'point', ...at, ...(e.cosinePower === null ? { isotropic: true } : { cosinePower: e.cosinePower }) };
    case 'tube':
      return { kind: 'tube', ...at, length_m: e.length, diameter_m: e.diameter ?? 0, ...(e.shaded ? { shaded: true } : {}) };
    case 'rect':
      return {
        kind: 'rect',
        ...at,
        length_m: e.length,
        width_m: e.width,
        cosinePower: e.cosinePower,
        ...(e.diodes ? { diodes: { ...e.diodes } } : {}),
      };
    case 'disc':
      return { kind: 'disc', ...at, radius_m: e.radius, cosinePower: e.cosinePower, ...(hole && { holeRadius_m: hole.radius }) };
    case 'photometric':
      throw new RangeError('a measured lamp is written as IES');
  }
}
