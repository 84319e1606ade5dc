import type { Stand } from '../../core/stand/Site';

/** A name that no stand has yet: "Shelf", then "Shelf 2". */
export function freeName(stands: readonly Stand[], name: string): string {
  const stem = name.replace(/ \d+$/, '');
  const taken = new Set(stands.map((s) => s.name));
  if (!taken.has(name)) return name;
  for (let n = 2; ; n++) if (!taken.has(`${stem} ${n}`)) return `${stem} ${n}`;
}
