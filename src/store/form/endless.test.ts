import 'reflect-metadata';
import { dayFrom } from '../../core/units/day';
import { exportSite } from '../files/exportSite';
import { readSiteText } from '../files/readSiteText';
import { demoSite } from '../site/demoSite';

const text = exportSite(demoSite('en-GB', dayFrom(2027, 3, 15)), ['demo-rack', 'demo-sill']);

/** One place for each kind of number that a file holds, as the way to it. */
function places(value: unknown, way: readonly (string | number)[], found: Map<string, readonly (string | number)[]>): typeof found {
  if (typeof value === 'number') found.set(way.filter((w) => typeof w === 'string').join('.'), way);
  else if (value !== null && typeof value === 'object')
    for (const [key, inner] of Object.entries(value)) places(inner, [...way, Array.isArray(value) ? Number(key) : key], found);
  return found;
}

test('a number without end, as JSON can write one, is refused wherever it stands', () => {
  const all = places(JSON.parse(text), [], new Map());
  expect(all.size).toBeGreaterThan(60);
  const taken: string[] = [];
  for (const [name, way] of all) {
    const file = JSON.parse(text) as Record<string, unknown>;
    const holder = way.slice(0, -1).reduce<Record<string | number, unknown>>((at, w) => at[w] as Record<string | number, unknown>, file);
    holder[way.at(-1)!] = 'ENDLESS';
    if (readSiteText(JSON.stringify(file).replace('"ENDLESS"', '1e999')).ok) taken.push(name);
  }
  expect(taken).toEqual([]);
});
