import { MAX_PLUG_BYTES, readPlugClock } from '@/store/plug/readPlug';
import { textUpTo } from '../textUpTo';
import { desk } from './desk';

/** Puts a simulated timer plug on the desk: what its clock says as JSON in, its id out. See docs/plug.md. */
export async function POST(request: Request): Promise<Response> {
  const text = await textUpTo(request, MAX_PLUG_BYTES);
  if (text === null) return Response.json({ ok: false, problems: [{ code: 'file/too-large', at: '' }] }, { status: 413 });
  const clock = readPlugClock(text);
  if (!clock.ok) return Response.json({ ok: false, problems: clock.problems }, { status: 400 });
  return Response.json({ ok: true, id: desk().put(clock.value) });
}
