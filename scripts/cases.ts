import { clinicCases } from '../src/core/exchange/cases/clinicCases';
import { costCases } from '../src/core/exchange/cases/costCases';
import { seasonCases } from '../src/core/exchange/cases/seasonCases';
import { sunCases } from '../src/core/exchange/cases/sunCases';
import { trialCases } from '../src/core/exchange/cases/trialCases';
import type { CaseAnswer } from '../src/core/exchange/cases/Case';
import { askedText } from './askedText';

/** Answers files of reference questions: `npm run -s cases -- sun questions.json`. See docs/cases.md. */
const SETS: Record<string, (file: Record<string, unknown>) => Record<string, CaseAnswer>> = {
  sun: sunCases,
  window: sunCases,
  costs: costCases,
  season: seasonCases,
  clinic: clinicCases,
  trials: trialCases,
};

const set = process.argv[2] ?? '';
const answer = SETS[set];
if (!answer) {
  process.stderr.write(`Say which set and which file: npm run -s cases -- SET questions.json; sets: ${Object.keys(SETS).join(', ')}\n`);
  process.exit(2);
}
process.argv.splice(2, 1);
const { text } = askedText('Say which file: npm run -s cases -- SET questions.json');
let file: unknown;
try {
  file = JSON.parse(text);
} catch (error) {
  process.stderr.write(`This is not JSON: ${error instanceof Error ? error.message : String(error)}\n`);
  process.exit(2);
}
if (typeof file !== 'object' || file === null || Array.isArray(file)) {
  process.stderr.write('The file must be an object of cases.\n');
  process.exit(2);
}
process.stdout.write(`${JSON.stringify(answer(file as Record<string, unknown>))}\n`);
