import { answerSceneText, MAX_SCENE_BYTES } from '@/store/scene/answerSceneText';

/** The light of a scene for scripts: JSON in, JSON out. See docs/scene.md. */
export async function POST(request: Request): Promise<Response> {
  const text = await textUpTo(request, MAX_SCENE_BYTES);
  if (text === null) {
    const problem = { code: 'file/too-large', at: '', expected: String(MAX_SCENE_BYTES) };
    return Response.json({ format: 'copper-noon/field', version: 1, ok: false, problems: [problem] }, { status: 413 });
  }
  const said = answerSceneText(text);
  return Response.json(said, { status: said.ok ? 200 : 400 });
}

/** The body as text, or null as soon as it is longer than it may be; the rest is not read. */
async function textUpTo(request: Request, most: number): Promise<string | null> {
  const reader = request.body?.getReader();
  if (!reader) return '';
  const decoder = new TextDecoder();
  let text = '';
  let bytes = 0;
  for (;;) {
    const { done, value } = await reader.read();
    if (done) return text + decoder.decode();
    bytes += value.byteLength;
    if (bytes > most) {
      await reader.cancel();
      return null;
    }
    text += decoder.decode(value, { stream: true });
  }
}
