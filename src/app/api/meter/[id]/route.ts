import { readHeld, streamMeter } from '@/store/meter/streamMeter';
import { desk } from '../desk';

/** The display of a simulated meter as server-sent events, held as the query says. See docs/meter.md. */
export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  const { id } = await params;
  const meter = desk().get(id);
  if (!meter) return Response.json({ ok: false, problems: [{ code: 'meter/gone', at: 'id' }] }, { status: 404 });
  const held = readHeld(new URL(request.url).searchParams, meter.kindId);
  if (!held.ok) return Response.json({ ok: false, problems: held.problems }, { status: 400 });
  const { x, y, z, range, lampsOn } = held.value;
  meter.moveTo(x, y, z);
  meter.setLamps(lampsOn);
  await meter.setRange(range);
  return new Response(streamMeter(meter, request.signal), {
    headers: { 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store', 'X-Accel-Buffering': 'no' },
  });
}
