import { answerSceneText, MAX_SCENE_BYTES } from '@/store/scene/answerSceneText';
import { textUpTo } from '../textUpTo';

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
