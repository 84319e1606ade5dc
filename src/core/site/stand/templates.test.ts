import { BARE_SITE } from './bare';
import { materialLibrary } from '../../things/material/materialLibrary';
import { tables } from '../../things/tables/libraryTables';
import { benchStandOf } from '../../answer/stand/benchStand';
import { faultsOf } from '../../answer/faults/faults';
import { rememberTiers } from '../../answer/stand/rememberTiers';
import type { Site } from './Site';
import { standFrom, TEMPLATES } from './templates';

let next = 0;
const ids = () => `t${next++}`;

function siteOf(template: (typeof TEMPLATES)[number], tiers: number): Site {
  const { stand, timer } = standFrom(template, tiers, template.name, ids);
  return { ...BARE_SITE, currency: 'EUR', price_per_kWh: 0.3, stands: [stand], timers: [timer] };
}

test.each(TEMPLATES.map((t) => [t.name, t] as const))('%s: as many tiers as it may have, sound and of known stuff', (_, template) => {
  const { least, usual, most } = template.tiers;
  expect(least <= usual && usual <= most).toBe(true);
  for (const n of [least, most]) {
    const site = siteOf(template, n);
    const stand = benchStandOf(site, site.stands[0]!, tables);
    expect(stand.tiers.map((t) => t.number)).toEqual(Array.from({ length: n }, (__, i) => i + 1));
    // The highest first, each on the shelf of the one below it.
    for (const [i, t] of stand.tiers.entries()) {
      const below = stand.tiers[i + 1];
      expect(t.z).toBeWithin(below ? below.z + below.tier.enclosure.height + stand.stand.shelf : 0, { absolute: 1e-9 });
    }
    expect(faultsOf(stand)).toEqual([]);
    expect(site.stands[0]!.autoArranged).toBe(false);
  }
  const known = materialLibrary.map((m) => m.id);
  for (const id of Object.values(template.faces)) expect(known).toContain(id);
});

test('no two templates go by one name, and one of them is nothing at all', () => {
  expect(new Set(TEMPLATES.map((t) => t.name)).size).toBe(TEMPLATES.length);
  expect(TEMPLATES.some((t) => Object.values(t.faces).every((id) => id === 'open'))).toBe(true);
});

test('a tier is looked up again when its hours, its plants or its place change, and only then', () => {
  const look = rememberTiers();
  const site = siteOf(TEMPLATES[0]!, 2);
  const tier = site.stands[0]!.tiers[0]!;
  const place = { number: 1, x: 0, z: 0.4 };
  const first = look(site, tier, tables, place);
  expect(look({ ...site, currency: 'USD' }, tier, tables, place)).toBe(first);
  const later = { ...site, timers: site.timers.map((p) => ({ ...p, lit_min: 600 })) };
  expect(look(later, tier, tables, place).hours).toBe(10);
  expect(look(later, tier, tables, { ...place, z: 0.5 }).z).toBe(0.5);
});
