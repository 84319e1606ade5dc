import { spawn } from 'node:child_process';
import { cpSync, mkdtempSync, readdirSync, readFileSync, rmSync, statSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, relative } from 'node:path';
import ts from 'typescript';

/**
 * Changes one thing at a time in copies of the sources and asks the unit tests whether they notice: `npm run mutants`, or
 * `npm run mutants -- --count 40 --seed 7 src/core/plan/advice src/store`. Prints each change that lived, and the share that was caught.
 * Every test that the file has a part in is asked, the quick ones first; it is over with the first that fails. With `--within 5`
 * tests that take longer than five seconds are left out: good for finding gaps, not for the number.
 */
const args = process.argv.slice(2);
const option = (name: string, other: number) => {
  const i = args.indexOf(`--${name}`);
  return i < 0 ? other : Number(args.splice(i, 2)[1]);
};
const count = option('count', 60);
let state = option('seed', 1);
const within = option('within', Infinity);
const USUAL = ['judge', 'measure', 'answer', 'plan', 'site', 'things/lamp'].map((d) => `src/core/${d}`);
const places = args.length > 0 ? args : [...USUAL, 'src/store'];

interface Mutant {
  readonly file: string;
  readonly from: number;
  readonly to: number;
  readonly text: string;
}

const SWAPS: Readonly<Partial<Record<ts.SyntaxKind, string>>> = {
  [ts.SyntaxKind.LessThanToken]: '>=',
  [ts.SyntaxKind.LessThanEqualsToken]: '>',
  [ts.SyntaxKind.GreaterThanToken]: '<=',
  [ts.SyntaxKind.GreaterThanEqualsToken]: '<',
  [ts.SyntaxKind.EqualsEqualsEqualsToken]: '!==',
  [ts.SyntaxKind.ExclamationEqualsEqualsToken]: '===',
  [ts.SyntaxKind.PlusToken]: '-',
  [ts.SyntaxKind.MinusToken]: '+',
  [ts.SyntaxKind.AsteriskToken]: '/',
  [ts.SyntaxKind.SlashToken]: '*',
  [ts.SyntaxKind.AmpersandAmpersandToken]: '||',
  [ts.SyntaxKind.BarBarToken]: '&&',
};

/** Every single change that could be made to a file. */
function mutantsOf(file: string): Mutant[] {
  const source = ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest, true);
  const found: Mutant[] = [];
  const put = (node: ts.Node, text: string) => found.push({ file, from: node.getStart(source), to: node.getEnd(), text });
  const visit = (node: ts.Node): void => {
    if (ts.isTypeNode(node) || ts.isImportDeclaration(node) || ts.isInterfaceDeclaration(node) || ts.isDecorator(node)) return;
    if (ts.isBinaryExpression(node)) {
      const swap = SWAPS[node.operatorToken.kind];
      const joined = [node.left, node.right].some((n) => ts.isStringLiteralLike(n) || ts.isTemplateExpression(n));
      if (swap && !joined) put(node.operatorToken, swap);
    }
    if (ts.isConditionalExpression(node))
      put(node, `(${node.condition.getText()}) ? (${node.whenFalse.getText()}) : (${node.whenTrue.getText()})`);
    if (ts.isPropertyAccessExpression(node) && node.expression.getText() === 'Math' && /^(min|max)$/.test(node.name.text))
      put(node.name, node.name.text === 'min' ? 'max' : 'min');
    if (ts.isPropertyAccessExpression(node) && /^(some|every)$/.test(node.name.text))
      put(node.name, node.name.text === 'some' ? 'every' : 'some');
    if (ts.isIfStatement(node)) put(node.expression, 'false');
    if (node.kind === ts.SyntaxKind.TrueKeyword) put(node, 'false');
    if (node.kind === ts.SyntaxKind.FalseKeyword) put(node, 'true');
    if (ts.isPrefixUnaryExpression(node) && node.operator === ts.SyntaxKind.ExclamationToken) put(node, node.operand.getText());
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

const filesIn = (place: string): string[] =>
  statSync(place).isDirectory()
    ? readdirSync(place).flatMap((name) => filesIn(join(place, name)))
    : /(?<!\.test)\.ts$/.test(place)
      ? [place]
      : [];

/** Mulberry32, so that a seed gives the same changes everywhere. */
function random(): number {
  state = (state + 0x6d2b79f5) | 0;
  let t = Math.imul(state ^ (state >>> 15), 1 | state);
  t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
  return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
}

const all = places.flatMap(filesIn).flatMap(mutantsOf);
const chosen = all.map((mutant) => ({ mutant, at: random() })).sort((a, b) => a.at - b.at).slice(0, count).map((c) => c.mutant); // prettier-ignore

const LANES = 2;
const QUICK_S = 3;
const lanes = Array.from({ length: LANES }, () => mkdtempSync(join(tmpdir(), 'mutants-')));
process.on('exit', () => lanes.forEach((lane) => rmSync(lane, { recursive: true, force: true })));
for (const lane of lanes) {
  for (const name of ['src', 'test', 'docs', 'scripts', 'jest.config.mjs', 'package.json', 'tsconfig.json', 'next.config.mjs'])
    cpSync(name, join(lane, name), { recursive: true });
  symlinkSync(join(process.cwd(), 'node_modules'), join(lane, 'node_modules'));
}

interface Ran {
  readonly failed: boolean;
  readonly said: string;
}

/** Runs the unit tests in a copy; what hangs for 25 minutes has failed as well. */
function jest(lane: string, ...which: string[]): Promise<Ran> {
  const program = join(process.cwd(), 'node_modules/jest/bin/jest.js');
  return new Promise((done) => {
    const run = spawn(process.execPath, [program, '--bail', '--passWithNoTests', ...which], { cwd: lane, timeout: 1_500_000 });
    let said = '';
    run.stdout.on('data', (piece: Buffer) => (said += piece.toString()));
    run.stderr.resume();
    run.on('close', (code) => done({ failed: code !== 0, said }));
  });
}

/** How long each test file takes. Unchanged, every test passes: otherwise "caught" says nothing. */
async function control(): Promise<ReadonlyMap<string, number>> {
  const lane = lanes[0]!;
  const { failed, said } = await jest(lane, '--silent', '--json');
  if (failed) {
    const report = said.slice(said.indexOf('{'));
    const { testResults = [] } = (report ? JSON.parse(report) : {}) as { testResults?: { name: string; status: string }[] };
    console.error(testResults.flatMap((t) => (t.status === 'failed' ? relative(lane, t.name) : [])).join('\n'));
    console.error('The tests fail on the sources as they are: mend that first, and leave node_modules alone meanwhile.');
    process.exit(1);
  }
  const { testResults } = JSON.parse(said) as { testResults: { name: string; startTime: number; endTime: number }[] };
  return new Map(testResults.map((t) => [relative(lane, t.name), (t.endTime - t.startTime) / 1000]));
}

async function isNoticed(lane: string, file: string, seconds: ReadonlyMap<string, number>): Promise<boolean> {
  const { said } = await jest(lane, '--findRelatedTests', file, '--listTests');
  const related = said.split('\n').filter(Boolean).map((path) => relative(lane, path)); // prettier-ignore
  const taking = (test: string) => seconds.get(test) ?? 0;
  const asked = related.filter((t) => taking(t) <= within).sort((a, b) => taking(a) - taking(b));
  const run = async (tests: string[]) =>
    tests.length > 0 && (await jest(lane, '--silent', '--runInBand', '--runTestsByPath', ...tests)).failed;
  return (await run(asked.filter((t) => taking(t) <= QUICK_S))) || (await run(asked.filter((t) => taking(t) > QUICK_S)));
}

async function main(): Promise<void> {
  const seconds = await control();
  const tally = new Map<string, { caught: number; all: number }>();
  let [caught, next] = [0, 0];
  async function work(lane: string): Promise<void> {
    while (next < chosen.length) {
      const i = next++;
      const { file, from, to, text } = chosen[i]!;
      const before = readFileSync(join(lane, file), 'utf8');
      writeFileSync(join(lane, file), before.slice(0, from) + text + before.slice(to));
      const noticed = await isNoticed(lane, file, seconds);
      writeFileSync(join(lane, file), before);
      caught += noticed ? 1 : 0;
      const district = file.split('/').slice(0, 3).join('/');
      const of = tally.get(district) ?? { caught: 0, all: 0 };
      tally.set(district, { caught: of.caught + (noticed ? 1 : 0), all: of.all + 1 });
      const line = before.slice(0, from).split('\n').length;
      const what = `${before.slice(from, to).replace(/\s+/g, ' ').slice(0, 60)} → ${text.replace(/\s+/g, ' ').slice(0, 60)}`;
      console.log(`${String(i + 1).padStart(3)} ${noticed ? 'caught' : 'LIVED '} ${file}:${line}  ${what}`);
    }
  }
  await Promise.all(lanes.map(work));
  await control();
  for (const [district, t] of [...tally].sort()) console.log(`${district}: ${t.caught} of ${t.all}`);
  console.log(
    `mutants: ${caught} of ${chosen.length} caught (${((100 * caught) / chosen.length).toFixed(0)} %), of ${all.length} possible`,
  );
}

void main();
