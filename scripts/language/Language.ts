import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { translated, type Translate } from './translated';
import { translatedTable } from './translatedTable';

/** A language that the interface is built in: one file in `languages/`, named by its tag (BCP 47). */
export interface Language {
  /** What it calls itself. */
  readonly name: string;
  /** The texts of the source, each with what it is in this language; nothing: not translated yet, it stays English. */
  readonly texts: Readonly<Record<string, string>>;
}

const ROOT = join(__dirname, '../..');

export const fileOf = (tag: string): string => join(ROOT, 'languages', `${tag}.json`);

/** @throws Error when there is no such file, or it is none of a language */
export function readLanguage(tag: string): Language {
  if (!/^[A-Za-z]{2,3}(-[A-Za-z0-9]{2,8})*$/.test(tag)) throw new Error(`“${tag}” is no tag of a language, such as de or pt-BR`);
  const { name, texts } = JSON.parse(readFileSync(fileOf(tag), 'utf8')) as Language;
  const isSound = typeof name === 'string' && typeof texts === 'object' && Object.values(texts).every((t) => typeof t === 'string');
  if (!isSound) throw new Error(`languages/${tag}.json must have a name and texts`);
  return { name, texts };
}

let now: Language | null = null;
/** The one that is being built, by `COPPER_NOON_LANGUAGE`. */
export const languageNow = (): Language => (now ??= readLanguage(process.env.COPPER_NOON_LANGUAGE ?? ''));

/** The tables of the program whose names and notes are read. */
const TABLES = [
  ...['crop/crops', 'lamp/lamps', 'container/containers', 'caution/cautions', 'meter/meters'].map((name) => `${name}.json`),
  ...['material/materialLibrary', 'container/coverLibrary'].map((name) => `${name}.ts`),
].map((name) => join(ROOT, 'src/core/things', name));

/** All source files whose texts a person reads. */
export function sourcesOfInterface(): readonly string[] {
  const within = (folder: string): string[] =>
    readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
      const path = join(folder, entry.name);
      if (entry.isDirectory()) return within(path);
      return /\.tsx?$/.test(entry.name) && !/\.test\.tsx?$/.test(entry.name) ? [path] : [];
    });
  return [...['src/ui', 'src/app'].flatMap((folder) => within(join(ROOT, folder))), ...TABLES];
}

/** A source file in another language, whatever kind it is. */
export const inLanguage = (source: string, path: string, translate: Translate): string =>
  path.endsWith('.json') ? translatedTable(source, translate) : translated(source, path, translate);

/** All texts of a source file, in their order. */
export function textsOf(path: string): readonly string[] {
  const found: string[] = [];
  inLanguage(readFileSync(path, 'utf8'), path, (text) => void found.push(text));
  return found;
}
