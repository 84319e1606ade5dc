import { MAX_SCENE_BYTES, type SceneReply } from '@/store/scene/answerSceneText';
import { textUpTo } from '../textUpTo';
import { answerAside } from './fieldThread';

const refused = (status: number, code: string, expected?: string): Response =>
  Response.json(
    {
      format: 'copper-noon/field',
      version: 1,
      ok: false,
      problems: [{ code, at: '', ...(expected ? { expected } : {}) }],
    } satisfies SceneReply,
    { status },
  );

/** The light of a scene for scripts: JSON in, JSON out. See docs/scene.md. */
export async function POST(request: Request): Promise<Response> {
  const text = await textUpTo(request, MAX_SCENE_BYTES);
  if (text === null) return refused(413, 'file/too-large', String(MAX_SCENE_BYTES));
  const said = await answerAside(text, request.signal);
  if (said === 'field/busy') return refused(503, said, 'fewer questions at once: ask again in a moment');
  if (said === 'field/too-slow') return refused(422, said, 'fewer cells, or lamps with fewer diodes');
  if (said === 'field/gone') return refused(499, said);
  return Response.json(said, { status: said.ok ? 200 : 400 });
}
