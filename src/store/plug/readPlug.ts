import { plainToInstance, type ClassConstructor } from 'class-transformer';
import { validateSync } from 'class-validator';
import type { PlugState } from '../../core/plan/plug/PlugDriver';
import type { SimulatedPlug } from '../../core/plan/plug/simulatedPlug';
import { fail, ok, type Result } from '../../core/units/result';
import { dayOf, isoOf } from '../../core/units/day';
import { readJson, withoutNulls } from '../form/readJson';
import { problemsOf } from '../form/problemsOf';
import { PlugClockFile, PlugOrderFile } from './PlugFiles';

/** The longest word to a plug that is read. */
export const MAX_PLUG_BYTES = 50_000;
const MAX_DEPTH = 4;

function read<T extends object>(kind: ClassConstructor<T>, text: string): Result<T> {
  const json = readJson(text, MAX_DEPTH);
  if (!json.ok) return json;
  if (typeof json.value !== 'object' || json.value === null || Array.isArray(json.value))
    return fail({ code: 'plug/not-an-object', at: '', found: typeof json.value });
  const file = plainToInstance(kind, withoutNulls(json.value) as object);
  const errors = validateSync(file, { whitelist: true, forbidNonWhitelisted: true, forbidUnknownValues: true });
  return errors.length > 0 ? fail(...errors.flatMap((e) => problemsOf(e, 'plug'))) : ok(file);
}

/** Where a new plug's clock stands. */
export const readPlugClock = (text: string): Result<PlugClockFile> => read(PlugClockFile, text);

/** What a plug is told. */
export const readPlugOrder = (text: string): Result<PlugOrderFile> => read(PlugOrderFile, text);

/** Does as a plug is told, in this order: its memory, its power, its clock, its schedule, its speed. */
export async function obey(plug: SimulatedPlug, order: PlugOrderFile): Promise<void> {
  if (order.remembers !== undefined) await plug.setRemembers(order.remembers);
  if (order.powered !== undefined) await plug.setPower(order.powered);
  if (order.clock) await plug.setClock(dayOf(order.clock.day), order.clock.minute);
  if (order.schedule)
    await plug.setSchedule(
      order.schedule.map((e) => ({ from: dayOf(e.from), on_min: e.on_min, lit_min: e.lit_min, pause: e.pause ?? null })),
    );
  if (order.speed !== undefined) await plug.setSpeed(order.speed);
}

/** A plug's state with its days written out. */
export const writePlug = (state: PlugState) => ({
  ...state,
  day: isoOf(state.day),
  schedule: state.schedule.map((e) => ({ ...e, from: isoOf(e.from) })),
  entry: state.entry && { ...state.entry, from: isoOf(state.entry.from) },
});
