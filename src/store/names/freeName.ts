import type { Stand } from '../../core/site/stand/Site';

/** The longest name of a stand. */
export const MOST_NAME_LETTERS = 120;

/** A name that no stand has yet: "Shelf", then "Shelf 2". */
export function freeName(stands: readonly Stand[], name: string): string {
  // Room for the number.
  const stem = name.replace(/ \d+$/, '').slice(0, MOST_NAME_LETTERS - 5);
  const taken = new Set(stands.map((s) => s.name));
  if (!taken.has(name)) return name;
  for (let n = 2; ; n++) if (!taken.has(`${stem} ${n}`)) return `${stem} ${n}`;
}
