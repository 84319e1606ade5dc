import { plainToInstance } from 'class-transformer';
import { validateSync } from 'class-validator';
import { withSides } from '../../core/light/room/withSides';
import type { SimulatedWorld } from '../../core/things/meter/simulatedMeter';
import { fail, ok, type Result } from '../../core/units/result';
import { readJson } from '../form/readJson';
import { problemsOf } from '../form/problemsOf';
import { readScene } from '../scene/readScene';
import { MeterWorldFile } from './MeterWorldFile';

/** The longest world that is read. */
export const MAX_WORLD_BYTES = 500_000;
const MAX_DEPTH = 10;

/** Reads what a simulated meter is to be held into. Every problem is reported at once, each with its place. */
export function readMeterWorld(text: string): Result<SimulatedWorld> {
  if (text.length > MAX_WORLD_BYTES) return fail({ code: 'file/too-large', at: '', found: text.length, expected: String(MAX_WORLD_BYTES) });
  const json = readJson(text, MAX_DEPTH);
  if (!json.ok) return json;
  if (typeof json.value !== 'object' || json.value === null || Array.isArray(json.value))
    return fail({ code: 'world/not-an-object', at: '', found: typeof json.value });
  const file = plainToInstance(MeterWorldFile, json.value);
  const errors = validateSync(file, { whitelist: true, forbidNonWhitelisted: true, forbidUnknownValues: true });
  if (errors.length > 0) return fail(...errors.flatMap((e) => problemsOf(e, 'world')));
  const read = readScene((json.value as { scene: unknown }).scene);
  if (!read.ok) return fail(...read.problems.map((p) => ({ ...p, at: p.at ? `scene.${p.at}` : 'scene' })));
  const { scene } = read.value;
  return ok({
    kindId: file.kindId,
    seed: file.seed,
    meterFactor: file.meterFactor,
    filter: file.filter,
    daylight: file.daylight,
    noise: file.noise,
    sway: file.sway_m,
    scene: {
      ...scene,
      lamps: scene.lamps.map((lamp) => ({ ...lamp, emitters: lamp.emitters.map((e) => ({ ...e, ppf: e.ppf * file.lampFactor })) })),
      rooms: scene.rooms.map((room) => (file.sides === undefined ? room : withSides(room, file.sides))),
    },
  });
}
