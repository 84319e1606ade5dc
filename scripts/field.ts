import { answerSceneText } from '../src/store/scene/answerSceneText';
import { askedText } from './askedText';

/** The light of a scene on the command line: `npm run -s field -- scene.json`, or `-` for standard input. */
const said = answerSceneText(askedText('Say which scene: npm run -s field -- scene.json').text);
process.stdout.write(`${JSON.stringify(said)}\n`);
process.exitCode = said.ok ? 0 : 1;
