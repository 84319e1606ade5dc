import type { Site } from '@/core/site/stand/Site';
import { nameInList, type Clash } from '@/store/saved/merge';

/** What stands at each step of the way to a clash, by its own name where it has one. */
export function clashWords({ path }: Clash, site: Site): string {
  let at: unknown = site;
  const words: string[] = [];
  for (const step of path) {
    at = Array.isArray(at)
      ? (at as readonly unknown[]).find((thing) => nameInList(thing) === step)
      : (at as Record<string, unknown> | undefined)?.[step];
    const named = at as { name?: unknown; label?: unknown; cropId?: unknown; code?: unknown } | undefined;
    const name = [named?.name, named?.label, named?.cropId, named?.code].find((n) => typeof n === 'string' && n !== '');
    words.push(typeof name === 'string' ? `“${name}”` : plain(step));
  }
  return words.filter((w, i) => w !== '' && w !== words[i - 1]).join(', ');
}

/** `lit_min` → lit; a made-up name is left out. */
const plain = (step: string): string =>
  /^[a-z0-9]+-[a-z0-9]+$/.test(step) && /\d/.test(step)
    ? ''
    : step.replace(/_[A-Za-z]+$/, '').replace(/([A-Z])/g, (c) => ` ${c.toLowerCase()}`);

const LONGEST = 60;

export function clashValueWords(value: unknown): string {
  if (value === undefined) return 'deleted';
  if (value === null) return 'none';
  if (typeof value === 'number') return String(Number(value.toPrecision(6)));
  const text = typeof value === 'string' ? `“${value}”` : (JSON.stringify(value) ?? '');
  return text.length > LONGEST ? `${text.slice(0, LONGEST - 1)}…` : text;
}
