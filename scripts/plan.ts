import { readFileSync } from 'node:fs';
import { planText } from '../src/store/plan/planText';

/** Every decision about a site on the command line: `npm run -s plan -- site.json --day 2027-03-01`, or `-` for standard input. */
const [path, ...options] = process.argv.slice(2);
if (!path) {
  process.stderr.write(
    'Say which site: npm run -s plan -- site.json [--day 2027-03-01] [--seed 1] [--step 15] [--only trays,offers,chart]\n',
  );
  process.exit(2);
}
let text: string;
try {
  text = readFileSync(path === '-' ? 0 : path, 'utf8');
} catch (error) {
  process.stderr.write(`${path} can't be read: ${error instanceof Error ? error.message : String(error)}\n`);
  process.exit(2);
}
void planText(text, options, Date.now()).then((said) => {
  process.stdout.write(`${JSON.stringify(said)}\n`);
  process.exitCode = said.ok ? 0 : 1;
});
