import { readFileSync } from 'node:fs';
import { answerSceneText } from '../src/store/scene/answerSceneText';

/** The light of a scene on the command line: `npm run -s field -- scene.json`, or `-` for standard input. */
const [path] = process.argv.slice(2);
if (!path) {
  process.stderr.write('Say which scene: npm run -s field -- scene.json\n');
  process.exit(2);
}
let text: string;
try {
  text = readFileSync(path === '-' ? 0 : path, 'utf8');
} catch (error) {
  process.stderr.write(`${path} can't be read: ${error instanceof Error ? error.message : String(error)}\n`);
  process.exit(2);
}
const said = answerSceneText(text);
process.stdout.write(`${JSON.stringify(said)}\n`);
process.exitCode = said.ok ? 0 : 1;
