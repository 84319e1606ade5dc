import { readdirSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';

const filesIn = (place: string): string[] =>
  readdirSync(place).flatMap((name) => {
    const path = join(place, name);
    return statSync(path).isDirectory() ? filesIn(path) : /\.tsx?$/.test(name) && !name.includes('.test.') ? [path] : [];
  });

const testsIn = (place: string): string[] =>
  readdirSync(place).flatMap((name) => {
    const path = join(place, name);
    return statSync(path).isDirectory() ? testsIn(path) : /\.test\.tsx?$/.test(name) ? [name] : [];
  });

// Next gives the files of routes their names.
const sources = ['core', 'store', 'ui', 'workers'].flatMap((room) => filesIn(join(__dirname, room)));

test('a name that is exported means one thing', () => {
  const homes = new Map<string, string[]>();
  for (const file of sources)
    for (const [, name] of readFileSync(file, 'utf8').matchAll(
      /^export (?:async )?(?:abstract )?(?:function\*?|const|let|interface|type|class) (\w+)/gm,
    ))
      homes.set(name!, [...(homes.get(name!) ?? []), file]);
  expect(homes.size).toBeGreaterThan(1000);
  expect([...homes].filter(([, files]) => new Set(files).size > 1)).toEqual([]);
});

test('names are those of the dictionary', () => {
  // Words of the first days, each with the word that took its place: docs/words.md.
  const old =
    /\b(?:programmes?|Programme|passageOf|Fares?|slipsOf|laidOut|[cC]reateRecall|Recall|useHands|siteShown|doubtsOf\w*|roughLight|daylightDose|doseNumber|Dose(?:Scale|Figure|Chart|Key|Solver)|highDose|strengthFor|TrayStrength)\b/g;
  const found = sources
    .filter((f) => !/store.form/.test(f)) // files keep the words that they were written with
    .flatMap((f) => [...readFileSync(f, 'utf8').matchAll(old)].map(([word]) => `${f}: ${word}`));
  expect(found).toEqual([expect.stringContaining('planSite.ts: programme'), expect.stringContaining('refusalWords.ts: programmes')]);
});

test('tests that comments name are there', () => {
  const all = ['core', 'store', 'ui', 'workers'].flatMap((room) => testsIn(join(__dirname, room)));
  const named = sources.flatMap((f) => [...readFileSync(f, 'utf8').matchAll(/\b\w+\.test\.tsx?\b/g)].map(([name]) => [name, f] as const));
  expect(named.length).toBeGreaterThan(20);
  expect(named.filter(([name]) => !all.includes(name))).toEqual([]);
});
