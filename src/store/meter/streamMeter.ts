import { meterOf } from '../../core/things/meter/meterLibrary';
import type { MeterDriver } from '../../core/things/meter/MeterDriver';
import { fail, ok, type Problem, type Result } from '../../core/units/result';
import type { Held } from './liveMeter';

/** Looks at the display this often. */
const EVERY_MS = 250;
/** Nobody holds a meter in one place for longer. */
const LONGEST_MS = 10 * 60_000;

/** Reads how a meter is to be held from the query of an address: `x`, `y`, `z` in metres, `range` (its top, or `auto`), `lamps`. */
export function readHeld(query: URLSearchParams, kindId: string): Result<Held> {
  const problems: Problem[] = [];
  const [x, y, z] = (['x', 'y', 'z'] as const).map((axis) => {
    const text = query.get(axis) ?? '';
    const value = text.trim() === '' ? NaN : Number(text);
    if (!Number.isFinite(value) || Math.abs(value) > 20)
      problems.push({ code: 'meter/place', at: axis, found: text, expected: 'metres within 20' });
    return value;
  });
  const asked = query.get('range') ?? 'auto';
  const range = asked === 'auto' ? null : Number(asked);
  const { ranges } = meterOf(kindId);
  if (range !== null && !ranges.includes(range))
    problems.push({ code: 'meter/range', at: 'range', found: asked, expected: `auto, ${ranges.join(', ')}` });
  if (problems.length > 0) return fail(...problems);
  return ok({ x: x!, y: y!, z: z!, range, lampsOn: query.get('lamps') !== 'off' });
}

/** The display of a meter as server-sent events, one sample each, until nobody listens any more. */
export function streamMeter(meter: MeterDriver, signal: AbortSignal): ReadableStream<Uint8Array> {
  const encoder = new TextEncoder();
  const started = Date.now();
  let timer: ReturnType<typeof setInterval> | undefined;
  const end = () => clearInterval(timer);
  return new ReadableStream<Uint8Array>({
    start(controller) {
      const look = async () => {
        if (Date.now() - started > LONGEST_MS) {
          end();
          controller.close();
          return;
        }
        const sample = await meter.sample(Date.now());
        if (!signal.aborted) controller.enqueue(encoder.encode(`data: ${JSON.stringify(sample)}\n\n`));
      };
      signal.addEventListener('abort', end);
      timer = setInterval(() => void look().catch(end), EVERY_MS);
      void look().catch(end);
    },
    cancel: end,
  });
}
