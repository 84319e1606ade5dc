import { planText } from '../src/store/plan/planText';
import { askedText } from './askedText';

/** Every decision about a site on the command line: `npm run -s plan -- site.json --day 2027-03-01`, or `-` for standard input. */
const { text, options } = askedText(
  'Say which site: npm run -s plan -- site.json [--day 2027-03-01] [--seed 1] [--step 15] [--only trays,offers,chart]',
);
void planText(text, options, Date.now()).then((said) => {
  process.stdout.write(`${JSON.stringify(said)}\n`);
  process.exitCode = said.ok ? 0 : 1;
});
