import { MAX_PLUG_BYTES, obey, readPlugOrder, writePlug } from '@/store/plug/readPlug';
import { textUpTo } from '../../textUpTo';
import { desk } from '../desk';

interface Context {
  params: Promise<{ id: string }>;
}

const gone = () => Response.json({ ok: false, problems: [{ code: 'plug/gone', at: 'id' }] }, { status: 404 });

/** How a simulated plug is now. See docs/plug.md. */
export async function GET(_: Request, { params }: Context): Promise<Response> {
  const plug = desk().get((await params).id);
  return plug ? Response.json({ ok: true, state: writePlug(await plug.state()) }) : gone();
}

/** Tells a simulated plug its schedule, its clock, its speed, or takes its power. */
export async function PATCH(request: Request, { params }: Context): Promise<Response> {
  const plug = desk().get((await params).id);
  if (!plug) return gone();
  const text = await textUpTo(request, MAX_PLUG_BYTES);
  if (text === null) return Response.json({ ok: false, problems: [{ code: 'file/too-large', at: '' }] }, { status: 413 });
  const order = readPlugOrder(text);
  if (!order.ok) return Response.json({ ok: false, problems: order.problems }, { status: 400 });
  await obey(plug, order.value);
  return Response.json({ ok: true, state: writePlug(await plug.state()) });
}
