import { readFileSync } from 'node:fs';
import { createElement, type ReactNode } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import ts from 'typescript';
import { inLanguage, readLanguage, sourcesOfInterface, textsOf } from './Language';
import { mustHold, translated, type Translate } from './translated';
import { translatedTable } from './translatedTable';

const textsIn = (source: string, name = 'View.tsx') => {
  const found: string[] = [];
  translated(source, name, (text) => void found.push(text));
  return found;
};
const by =
  (texts: Readonly<Record<string, string>>): Translate =>
  (text) =>
    texts[text];

/** The markup of a component `View` after translation. */
function markup(source: string, texts: Readonly<Record<string, string>>): string {
  const { outputText } = ts.transpileModule(translated(source, 'View.tsx', by(texts)), {
    compilerOptions: { module: ts.ModuleKind.CommonJS, jsx: ts.JsxEmit.React, target: ts.ScriptTarget.ES2022 },
  });
  const make = new Function('React', `const exports = {}; ${outputText}; return exports.View;`) as (react: unknown) => () => ReactNode;
  return renderToStaticMarkup(createElement(make({ createElement, Fragment: 'p' })));
}

/** What TypeScript cannot read of a source. */
const faultsIn = (source: string, path: string): unknown =>
  (ts.createSourceFile(path, source, ts.ScriptTarget.ES2022) as unknown as { parseDiagnostics: unknown }).parseDiagnostics;

describe('what is a text', () => {
  it('is a whole sentence, with numbered holes for what is worked out and for elements', () => {
    expect(textsIn('const V = () => <p>Set {n} trays to <b className="x y">{h} h</b> a day<br />now.</p>;')).toEqual([
      'Set {0} trays to <1>{2} h</1> a day<3/>now.',
    ]);
  });

  it('joins its lines as they are shown', () => {
    expect(textsIn('const V = () => (\n<p>\n  Heights come\n  from{" "}\n  <b>the tables</b>\n</p>);')).toEqual([
      'Heights come from <0>the tables</0>',
    ]);
  });

  it('is what is chosen within an element, and what an attribute says', () => {
    expect(
      textsIn('const V = () => <b aria-label="Delete it" className="flex flex-1" id="One two">{n === "one" ? "tray" : `${n} trays`}</b>;'),
    ).toEqual(['Delete it', 'tray', '{0} trays']);
  });

  it('is none of the program’s own: kinds, keys, classes, addresses, errors', () => {
    const source = `'use client';
      import x from 'A name';
      const WIDE = 'min-w-0 flex-1';
      type Kind = 'Long word' | 'Short word';
      if (e.key === 'Page Up' || names.includes('No text')) throw new RangeError('must be above zero');
      switch (kind) { case 'Long word': go('/stands'); }`;
    expect(textsIn(source, 'View.ts')).toEqual([]);
  });

  it('is a single word in a file of words, but not one that is compared or names a property', () => {
    const source = `const NAMES = { cord: 'cord', 'Big one': 'rod' }; export const words = (k) => (k === 'cord' ? 'thread' : NAMES[k]);`;
    expect(textsIn(source, 'hangWords.ts')).toEqual(['cord', 'rod', 'thread']);
    expect(textsIn(source, 'hang.ts')).toEqual([]);
  });
});

describe('a translation', () => {
  const view =
    'export const View = () => { const n = 3; const where = "rack"; return <p title="The stand">Set <b id="k">{n} trays</b> on {where}.</p>; };';

  it('may put words and elements in an order of its own, with any sign in it', () => {
    expect(markup(view, { 'Set <0>{1} trays</0> on {2}.': 'Auf {2}: „<0>Schalen {1}</0>“ {}\\ <', 'The stand': 'Das "Regal"' })).toBe(
      '<p title="Das &quot;Regal&quot;">Auf rack: „<b id="k">Schalen 3</b>“ {}\\ &lt;</p>',
    );
  });

  it('leaves what it does not know in English', () => {
    expect(markup(view, {})).toBe('<p title="The stand">Set <b id="k">3 trays</b> on rack.</p>');
  });

  it('of a template keeps what is worked out, and signs that mean something there', () => {
    const source = 'export const say = (n, m) => `${n} of ${m} trays`;';
    expect(translated(source, 'sayWords.ts', by({ '{0} of {1} trays': '${x} von {1}: `{0}`' }))).toBe(
      'export const say = (n, m) => `\\${x} von ${m}: \\`${n}\\``;',
    );
  });

  it.each([
    ['{0} trays', 'Schalen'],
    ['{0} trays', '{0} und {0}'],
    ['<0>a</0> and b', '<0>a und b'],
    ['<0>a</0> <1>b</1>', '<0>a <1>b</0></1>'],
    ['no hole', 'ein {0}'],
  ])('of “%s” is refused as “%s”', (text, said) => {
    expect(() => mustHold(text, said)).toThrow(/must have the same holes/);
  });

  it('of a table changes what is read and nothing else', () => {
    const table = '{"lamps":[{"id":"Bar","name":"Bar","notes":["Bar"],"sources":[{"cite":"Bar"}],"watts":3}]}';
    expect(JSON.parse(translatedTable(table, by({ Bar: 'Leiste' })))).toEqual({
      lamps: [{ id: 'Bar', name: 'Leiste', notes: ['Leiste'], sources: [{ cite: 'Bar' }], watts: 3 }],
    });
  });
});

describe('the interface', () => {
  const sources = sourcesOfInterface();

  it('has thousands of texts, and each file stands a translation of all of its own', () => {
    const accented: Translate = (text) =>
      text.replace(/\{\d+\}|<\/?\d+\/?>|[aeiou]/g, (c) => ({ a: 'á', e: 'é', i: 'í', o: 'ó', u: 'ú' })[c] ?? c);
    let count = 0;
    for (const path of sources) {
      const texts = textsOf(path);
      count += texts.length;
      const there = inLanguage(readFileSync(path, 'utf8'), path, accented);
      if (!path.endsWith('.json')) expect([path, faultsIn(there, path)]).toEqual([path, []]);
      // What is read of it is the translation, text by text: nothing got lost or was put elsewhere.
      const found: string[] = [];
      inLanguage(there, path, (text) => void found.push(text));
      expect([path, found]).toEqual([path, texts.map(accented)]);
    }
    expect(count).toBeGreaterThan(5000);
  });

  it('has every text of the test language, which keeps their holes', () => {
    const all = new Set(sources.flatMap(textsOf));
    const { texts } = readLanguage('en-XA');
    expect(Object.keys(texts).length).toBeGreaterThan(300);
    expect(Object.keys(texts).filter((text) => !all.has(text))).toEqual([]);
    for (const [text, said] of Object.entries(texts)) mustHold(text, said);
  });

  it('has no language without a file, nor one that is a path', () => {
    expect(() => readLanguage('xx')).toThrow(/no such file/);
    expect(() => readLanguage('../package')).toThrow('“../package” is no tag of a language, such as de or pt-BR');
  });
});
