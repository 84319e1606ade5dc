import { spawnSync } from 'node:child_process';
import { cpSync, mkdtempSync, readdirSync, readFileSync, rmSync, statSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join, relative } from 'node:path';
import ts from 'typescript';

/**
 * Changes one thing at a time in a copy of the sources and asks the unit tests whether they notice: `npm run mutants`, or
 * `npm run mutants -- --count 40 --seed 7 src/core/advice src/store`. Prints each change that lived, and the share that was caught.
 * The tests of the same folder go first, then every test that the file has a part in; it is over with the first that fails.
 */
const args = process.argv.slice(2);
const option = (name: string, other: number) => {
  const i = args.indexOf(`--${name}`);
  return i < 0 ? other : Number(args.splice(i, 2)[1]);
};
const count = option('count', 60);
let state = option('seed', 1);
const USUAL = ['advice', 'timer', 'hang', 'solve', 'verdict', 'dose', 'lamp', 'stand', 'reading'].map((d) => `src/core/${d}`);
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

const copy = mkdtempSync(join(tmpdir(), 'mutants-'));
process.on('exit', () => rmSync(copy, { recursive: true, force: true }));
for (const name of ['src', 'test', 'docs', 'jest.config.mjs', 'package.json', 'tsconfig.json', 'next.config.mjs'])
  cpSync(name, join(copy, name), { recursive: true });
symlinkSync(join(process.cwd(), 'node_modules'), join(copy, 'node_modules'));

const jest = join(process.cwd(), 'node_modules/jest/bin/jest.js');
/** Whether some test fails; what hangs for ten minutes has been noticed as well. */
const fails = (...which: string[]) =>
  spawnSync(process.execPath, [jest, '--bail', '--silent', '--passWithNoTests', ...which], { cwd: copy, timeout: 600_000 }).status !== 0;

/** Unchanged, every test passes: otherwise "caught" says nothing. */
function control(): void {
  if (!fails('src/core/units', 'src/core/verdict', 'src/store/saved')) return;
  console.error('The tests fail on the sources as they are: mend that first, and leave node_modules alone meanwhile.');
  process.exit(1);
}

control();
const tally = new Map<string, { caught: number; all: number }>();
let caught = 0;
for (const [i, { file, from, to, text }] of chosen.entries()) {
  const before = readFileSync(join(copy, file), 'utf8');
  writeFileSync(join(copy, file), before.slice(0, from) + text + before.slice(to));
  const noticed = fails(`^.*/${dirname(file)}/`) || fails('--findRelatedTests', file);
  writeFileSync(join(copy, file), before);
  caught += noticed ? 1 : 0;
  const district = file.split('/').slice(0, 3).join('/');
  const of = tally.get(district) ?? { caught: 0, all: 0 };
  tally.set(district, { caught: of.caught + (noticed ? 1 : 0), all: of.all + 1 });
  const line = before.slice(0, from).split('\n').length;
  const what = `${before.slice(from, to).replace(/\s+/g, ' ').slice(0, 60)} → ${text.replace(/\s+/g, ' ').slice(0, 60)}`;
  console.log(`${String(i + 1).padStart(3)} ${noticed ? 'caught' : 'LIVED '} ${relative('.', file)}:${line}  ${what}`);
}
control();
for (const [district, t] of [...tally].sort()) console.log(`${district}: ${t.caught} of ${t.all}`);
console.log(`mutants: ${caught} of ${chosen.length} caught (${((100 * caught) / chosen.length).toFixed(0)} %), of ${all.length} possible`);
