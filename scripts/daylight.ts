import { answerDaylightText } from '../src/store/daylight/answerDaylightText';
import { askedText } from './askedText';

/** A year of a window's light on the command line: `npm run -s daylight -- window.json`, or `-` for standard input. */
const said = answerDaylightText(askedText('Say which window: npm run -s daylight -- window.json').text);
process.stdout.write(`${JSON.stringify(said)}\n`);
process.exitCode = said.ok ? 0 : 1;
