import { desk } from '../desk';

/** Hands a bundle out, once. */
export async function GET(_: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  const bytes = desk().take((await params).id);
  if (!bytes) return Response.json({ ok: false, problems: [{ code: 'handover/gone', at: 'id' }] }, { status: 404 });
  return new Response(bytes, { headers: { 'Content-Type': 'application/octet-stream', 'Cache-Control': 'no-store' } });
}
