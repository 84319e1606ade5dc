import { answerScene } from '../../core/exchange/scene/answerScene';
import type { SceneAnswer, SceneQuestion } from '../../core/exchange/scene/SceneQuestion';
import { fail, type Problem, type Result } from '../../core/units/result';
import { readJson } from '../form/readJson';
import { readScene } from './readScene';

/** The longest scene that is read. */
export const MAX_SCENE_BYTES = 2_000_000;
const MAX_DEPTH = 10;

/** The answer as it goes out at every door, one line of JSON. */
export type SceneReply =
  | { readonly format: 'copper-noon/field'; readonly version: 1; readonly ok: true; readonly answer: SceneAnswer }
  | { readonly format: 'copper-noon/field'; readonly version: 1; readonly ok: false; readonly problems: readonly Problem[] };

/** Reads a scene as text: JSON, not too large, not too deep, every field checked. */
export function readSceneText(text: string): Result<SceneQuestion> {
  if (text.length > MAX_SCENE_BYTES) return fail({ code: 'file/too-large', at: '', found: text.length, expected: String(MAX_SCENE_BYTES) });
  const json = readJson(text, MAX_DEPTH);
  return json.ok ? readScene(json.value) : json;
}

/** The door for scripts: text in, the reply out; what it says does not depend on who asks. */
export function answerSceneText(text: string): SceneReply {
  const question = readSceneText(text);
  const head = { format: 'copper-noon/field', version: 1 } as const;
  return question.ok ? { ...head, ok: true, answer: answerScene(question.value) } : { ...head, ok: false, problems: question.problems };
}
