import { addOwnLamps, plainOwnLamp } from '@/core/site/ownLamps/changeOwnLamps';
import { knowOwnLamps } from '@/core/site/ownLamps/hangingOf';
import { maintenance } from '@/core/things/lamp/ageing';
import { lampLibrary } from '@/core/things/lamp/lampLibrary';
import { dayFrom } from '@/core/units/day';
import { demoSite } from '@/store/site/demoSite';
import { containerItems } from '../parts/containerItems';
import { searchWords } from '../parts/searchWords';
import { knownOwnLamps, nameForNew } from './knownOwnLamps';
import { libraryRows, wantedRows } from './libraryRows';

const TODAY = dayFrom(2027, 2, 20);
const demo = knowOwnLamps(demoSite('en-GB', TODAY), TODAY);

test('the library begins with one’s own, then what is sold most; every word that is typed must be found', () => {
  const mine = { ...lampLibrary[0]!, id: 'own-1', name: 'My bar' };
  const rows = libraryRows([mine], lampLibrary, [{ lampId: 'own-1', price: 12, day: TODAY }]);
  expect(rows[0]).toMatchObject({ id: 'own-1', isOwn: true, price: 12 });
  expect(rows).toHaveLength(lampLibrary.length + 1);
  const common = rows.slice(1).findIndex((r) => !lampLibrary.find((l) => l.id === r.id)!.common);
  expect(rows.slice(1 + common).every((r) => !lampLibrary.find((l) => l.id === r.id)!.common)).toBe(true);
  expect(wantedRows(rows, '')).toBe(rows);
  expect(wantedRows(rows, 'MINE').map((r) => r.id)).toEqual(['own-1']);
  for (const r of wantedRows(rows, 'bar, 24 w')) expect(r.words).toMatch(/bar.*24 w/);
  expect(wantedRows(rows, 'bar gaslight')).toEqual([]);
});

test('tubes and bars are found by their feet, however these are typed, and by nothing else’s', () => {
  const rows = libraryRows([], lampLibrary, []);
  const long = wantedRows(rows, '4ft');
  expect(long.length).toBeGreaterThan(20);
  expect(long.every((r) => Math.abs(r.length - 1.2) < 0.12)).toBe(true);
  for (const typed of ['4 ft', '4-foot', '4 feet', "4'", '4’']) expect(wantedRows(rows, typed)).toEqual(long);
  expect(wantedRows(rows, 'led 2 ft').every((r) => Math.abs(r.length - 0.6) < 0.12 && r.name.includes('LED'))).toBe(true);
  const pots = containerItems('in').filter((c) => c.words.includes('3.5in'));
  expect(pots.map((c) => c.name)).toContain('9 cm pot');
  expect(searchWords('3.5 inch pot, 4" deep in sand')).toEqual(['3.5in', 'pot', '4in', 'deep', 'in', 'sand']);
});

test('of a lamp of one’s own its age counts where nobody measured, the readings where somebody did', () => {
  const known = new Map(knownOwnLamps(demo, TODAY).map((k) => [k.own.name, k]));
  const landing = known.get('Landing lamp')!;
  expect(landing.at?.lamp.calibration).toBeNull();
  expect(landing.output).toBeCloseTo(maintenance(landing.lamp, 29_400), 9);
  // And so does the light of its tray: the lamp there gives just that.
  expect(landing.at!.lamp.real.ppf / landing.lamp.ppf).toBeCloseTo(landing.output!, 6);
  const bar = known.get('White bar A')!;
  expect(bar.output).toBe(bar.at!.lamp.calibration!.scale);
  expect(known.get('First tube batten')).toMatchObject({ hanging: null, used_h: 21_000 });
  expect(known.get('Clamp lamp with the loose joint')!.hanging).toBeNull();
});

test('a new lamp gets a name that no other has', () => {
  const lampId = 'led-a-17-clamp';
  const first = nameForNew(demo, lampId);
  const twice = addOwnLamps([plainOwnLamp('a', lampId, first)])(demo);
  expect(nameForNew(twice, lampId)).toBe(`${first} (2)`);
});
