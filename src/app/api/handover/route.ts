import { networkInterfaces } from 'node:os';
import { MOST_BUNDLE_BYTES } from '@/store/handover/bundle';
import { HELD_MINUTES } from '@/store/handover/handoverDesk';
import { desk } from './desk';

export const dynamic = 'force-dynamic';

/** Where other devices of the network reach this server; none unless it was started for them. */
export function GET(): Response {
  const isOpen = process.env.COPPER_NOON_LAN === '1';
  const hosts = isOpen
    ? Object.values(networkInterfaces())
        .flat()
        .filter((n) => n !== undefined && n.family === 'IPv4' && !n.internal)
        .map((n) => n!.address)
    : [];
  return Response.json({ ok: true, hosts, minutes: HELD_MINUTES }, { headers: { 'Cache-Control': 'no-store' } });
}

/** Takes a sealed bundle and holds it for ten minutes, in memory. See docs/handover.md. */
export async function POST(request: Request): Promise<Response> {
  const refuse = (status: number, code: string, expected: string) =>
    Response.json({ ok: false, problems: [{ code, at: 'bundle', expected }] }, { status });
  const bytes = await bytesUpTo(request, MOST_BUNDLE_BYTES);
  if (bytes === null) return refuse(413, 'file/too-large', String(MOST_BUNDLE_BYTES));
  if (bytes.length < 64) return refuse(400, 'handover/damaged', 'a sealed bundle');
  const id = desk().put(bytes);
  if (id === null) return refuse(503, 'handover/full', String(HELD_MINUTES));
  return Response.json({ ok: true, id, minutes: HELD_MINUTES }, { status: 201, headers: { 'Cache-Control': 'no-store' } });
}

/** The body of a request, or null as soon as it is longer than it may be; the rest is not read. */
async function bytesUpTo(request: Request, most: number): Promise<Uint8Array<ArrayBuffer> | null> {
  const reader = request.body?.getReader();
  const pieces: Uint8Array[] = [];
  let size = 0;
  while (reader) {
    const { done, value } = await reader.read();
    if (done) break;
    size += value.byteLength;
    if (size > most) {
      await reader.cancel();
      return null;
    }
    pieces.push(value as Uint8Array);
  }
  const all = new Uint8Array(size);
  let at = 0;
  for (const piece of pieces) {
    all.set(piece, at);
    at += piece.length;
  }
  return all;
}
