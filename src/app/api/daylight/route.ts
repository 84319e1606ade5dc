import { answerDaylightText, MAX_WINDOW_BYTES, type DaylightReply } from '@/store/daylight/answerDaylightText';
import { textUpTo } from '../textUpTo';

/** A year of a window's light for scripts: JSON in, JSON out. See docs/daylight.md. */
export async function POST(request: Request): Promise<Response> {
  const text = await textUpTo(request, MAX_WINDOW_BYTES);
  if (text === null) {
    const problems = [{ code: 'file/too-large', at: '', expected: String(MAX_WINDOW_BYTES) }];
    return Response.json({ format: 'copper-noon/daylight', version: 1, ok: false, problems } satisfies DaylightReply, { status: 413 });
  }
  const said = answerDaylightText(text);
  return Response.json(said, { status: said.ok ? 200 : 400 });
}
