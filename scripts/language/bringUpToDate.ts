import { existsSync, writeFileSync } from 'node:fs';
import { fileOf, readLanguage, sourcesOfInterface, textsOf } from './Language';
import { mustHold } from './translated';

/**
 * `npm run language -- de`: brings `languages/de.json` up to date (or begins it) and says what is missing.
 * What is translated stays; texts that the interface no longer has are dropped. With `--known` only what is translated is written.
 */
function main(tag: string | undefined, ...flags: string[]): void {
  if (!tag) throw new Error('Which language? Such as: npm run language -- de');
  const before = existsSync(fileOf(tag))
    ? readLanguage(tag)
    : { name: new Intl.DisplayNames([tag], { type: 'language' }).of(tag) ?? tag, texts: {} };
  const now = new Set(sourcesOfInterface().flatMap(textsOf));
  const texts = Object.fromEntries([...now].map((text) => [text, before.texts[text] ?? '']));
  const known = Object.entries(texts).filter(([, said]) => said !== '');
  for (const [text, said] of known) mustHold(text, said);
  const gone = Object.keys(before.texts).filter((text) => before.texts[text] !== '' && !now.has(text));
  writeFileSync(
    fileOf(tag),
    `${JSON.stringify({ name: before.name, texts: flags.includes('--known') ? Object.fromEntries(known) : texts }, null, 2)}\n`,
  );
  for (const text of gone) console.log(`no longer said: ${text}`);
  console.log(`${before.name}: ${known.length} of ${now.size} texts. Build it with COPPER_NOON_LANGUAGE=${tag} npm run build`);
}

try {
  main(...(process.argv.slice(2) as [string?, ...string[]]));
} catch (error) {
  console.error(error instanceof Error ? error.message : error);
  process.exitCode = 1;
}
