import { readFileSync } from 'node:fs';

/** The text of the file that a command is given (`-`: standard input) and its other words; says what is missing and ends with 2 otherwise. */
export function askedText(usage: string): { text: string; options: string[] } {
  const [path, ...options] = process.argv.slice(2);
  if (!path) return end(usage);
  try {
    return { text: readFileSync(path === '-' ? 0 : path, 'utf8'), options };
  } catch (error) {
    return end(`${path} can't be read: ${error instanceof Error ? error.message : String(error)}`);
  }
}

function end(why: string): never {
  process.stderr.write(`${why}\n`);
  process.exit(2);
}
