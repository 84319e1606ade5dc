import { MAX_WORLD_BYTES, readMeterWorld } from '@/store/meter/readMeterWorld';
import { textUpTo } from '../textUpTo';
import { desk } from './desk';

/** Puts a simulated meter on the desk: what it is held into as JSON in, its id out. See docs/meter.md. */
export async function POST(request: Request): Promise<Response> {
  const text = await textUpTo(request, MAX_WORLD_BYTES);
  if (text === null) {
    const problem = { code: 'file/too-large', at: '', expected: String(MAX_WORLD_BYTES) };
    return Response.json({ ok: false, problems: [problem] }, { status: 413 });
  }
  const world = readMeterWorld(text);
  if (!world.ok) return Response.json({ ok: false, problems: world.problems }, { status: 400 });
  return Response.json({ ok: true, id: desk().put(world.value) });
}
