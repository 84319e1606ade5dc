import { cropLibrary } from './cropLibrary';
import { tables } from '../tables/libraryTables';
import { BARE_SITE, UNDATED } from '../../site/stand/bare';
import { cropOf } from '../../site/crop/cropOf';
import type { Site } from '../../site/stand/Site';
import { boltsAbove } from './bolting';
import {
  comesAs,
  copyOf,
  dropCrop,
  dropNote,
  fedAs,
  freshCrop,
  growAs,
  isGrown,
  keepCrop,
  MOST_CROPS,
  noteCrop,
} from '../../site/crop/changeCrops';
import type { Crop } from './Crop';
import { readSite } from '../../../store/form/readSite';
import { writeSite } from '../../../store/form/writeSite';
import { heightAt, widthAtHeight } from './heightAt';
import { stays } from './stays';
import { unsoundOf } from './unsoundOf';

const tomato = tables.crop('tomato')!;
const site: Site = { ...BARE_SITE, currency: 'EUR', price_per_kWh: 0.3 };

test('every crop of the table is sound, and has all that the application shows of it', () => {
  for (const crop of cropLibrary) {
    expect([crop.id, unsoundOf(crop)]).toEqual([crop.id, []]);
    expect(crop.sources.length).toBeGreaterThan(0);
    expect(crop.own).toBeNull();
    // What comes from seed says when it comes up; what stays has no days.
    expect(crop.germination === null || crop.stages[0]!.fromDay === 0).toBe(true);
  }
});

test('what contradicts itself is named by its place', () => {
  const stage = (by: object): Crop => ({ ...tomato, stages: tomato.stages.map((s, i) => (i === 1 ? { ...s, ...by } : s)) });
  expect(unsoundOf(stage({ dliTarget: 30 }))).toEqual(['stages[1].dliTarget']);
  expect(unsoundOf(stage({ hoursMin: 20 }))).toEqual(['stages[1].hoursMax']);
  expect(unsoundOf(stage({ fromDay: 0 }))).toEqual(['stages[1].fromDay']);
  expect(unsoundOf(stage({ fromDay: null }))).toEqual(['stages[].fromDay']);
  expect(unsoundOf(stage({ stage: 'emergence' }))).toEqual(['stages[].stage']);
  expect(unsoundOf({ ...tomato, heightByDay: [{ day: 7, height: 0.1 }, { day: 7, height: 0.2 }] })).toEqual(['heightByDay[1].day']); // prettier-ignore
  const g = tomato.germination!;
  expect(unsoundOf({ ...tomato, germination: { ...g, days: { first: 9, last: 3 } } })).toEqual(['germination.lastDay']);
  expect(unsoundOf({ ...tomato, germination: { ...g, temperature: { ...g.temperature, best: 50 } } })).toEqual(['germination.best_C']);
});

test('a copy is the person’s own, goes before the table, and remembers where it comes from', () => {
  const copy = copyOf(tomato, 'own-1', 'Dwarf tomato');
  expect(copy.own).toEqual({ basedOn: 'tomato', why: '' });
  expect(copyOf(copy, 'own-2', 'Another').own).toEqual({ basedOn: 'tomato', why: '' });
  const kept = keepCrop(copy)(site);
  expect(cropOf(kept, 'own-1', tables)).toBe(copy);
  const changed = keepCrop({ ...copy, name: 'Dwarf' })(kept);
  expect(changed.crops.map((c) => c.name)).toEqual(['Dwarf']);
  const full = Array.from({ length: MOST_CROPS + 3 }).reduce<Site>((s, _, i) => keepCrop({ ...copy, id: `c${i}` })(s), site);
  expect(full.crops).toHaveLength(MOST_CROPS);
});

test('one’s own crop is raised from seed, or bought and stays; fed, or not: sound either way, and read back as it is', () => {
  const own = copyOf(tomato, 'own-1', 'Ours');
  const bought = comesAs(own, 'bought', tomato);
  expect([stays(own), stays(bought), unsoundOf(bought), bought.germination, bought.sowing]).toEqual([false, true, [], null, null]);
  expect(comesAs(own, 'seed', tomato)).toEqual(own);
  const sown = comesAs(bought, 'seed', tomato);
  expect([stays(sown), unsoundOf(sown), sown.stages.map((s) => s.fromDay)]).toEqual([false, [], own.stages.map((_, i) => 14 * i)]);
  expect([sown.germination, sown.sowing]).toEqual([tomato.germination, tomato.sowing]);
  expect(comesAs(comesAs(freshCrop(tomato, 'own-2', 'New'), 'bought', undefined), 'seed', undefined).germination).not.toBeNull();
  expect(fedAs(own, false, tomato)).toMatchObject({ fed: false, feed: null });
  expect(fedAs(fedAs(own, false, tomato), true, tomato)).toEqual(own);
  for (const crop of [own, bought, sown, fedAs(own, false, tomato), fedAs(freshCrop(tomato, 'own-2', 'New'), false, undefined)]) {
    const read = readSite(writeSite(keepCrop(crop)(site)));
    expect(read.ok && read.value.crops).toEqual([crop]);
  }
});

test('a crop that still grows stays; one that is let go takes its notes along', () => {
  const kept = noteCrop({ id: 'n', cropId: 'own-1', day: 20_000, outcome: 'good', text: 'Short.' })(
    keepCrop(copyOf(tomato, 'own-1', 'Ours'))(site),
  );
  const grown: Site = { ...kept, batches: [{ id: 'b', cropId: 'own-1', stage: 'seedling', height: null, ...UNDATED }] };
  expect(isGrown(grown, 'own-1')).toBe(true);
  expect(dropCrop('own-1')(grown)).toBe(grown);
  expect(dropCrop('own-1')(kept)).toMatchObject({ crops: [], cropNotes: [] });
  expect(dropNote('n')(kept).cropNotes).toEqual([]);
});

test('what grows and what is planned of a crop is of another together; nothing else moves', () => {
  const planned = (cropId: string) => ({ id: cropId, cropId }) as NonNullable<Site['season']>['batches'][number];
  const grown: Site = {
    ...site,
    batches: ['leek', 'basil'].map((cropId) => ({ id: `b-${cropId}`, cropId, stage: 'seedling', height: null, ...UNDATED })),
    season: { batches: [planned('leek'), planned('basil')] } as unknown as Site['season'],
  };
  const after = growAs('leek', 'own-leek')(grown);
  expect(after.batches.map((b) => b.cropId)).toEqual(['own-leek', 'basil']);
  expect(after.season!.batches.map((b) => b.cropId)).toEqual(['own-leek', 'basil']);
  expect(after.batches[1]).toBe(grown.batches[1]);
  expect(growAs('leek', 'own-leek')({ ...grown, season: null }).season).toBeNull();
});

test('height and width go with each other along a curve, and stop at its ends', () => {
  const lily = tables.crop('peace-lily')!;
  expect(widthAtHeight(lily, 0.2)).toBeWithin(0.2, { relative: 1e-9 });
  expect(widthAtHeight(lily, 0.3)).toBeWithin(0.325, { relative: 1e-9 });
  expect(widthAtHeight(lily, 0.4)).toBeWithin(0.45, { relative: 1e-9 });
  expect(widthAtHeight(lily, 3)).toBeWithin(0.7, { relative: 1e-9 });
  expect(widthAtHeight(tomato, 0.2)).toBe(0);
  expect(heightAt(lily, 182.5)).toBeWithin(0.3, { relative: 1e-9 });
  expect(heightAt({ ...lily, heightByDay: [] }, 10)).toBe(0.03);
});

test('kin of what unbroken light injures is not taken to bear it', () => {
  for (const id of ['tomatillo', 'physalis']) expect(tables.crop(id)!.continuousLightInjury).toBe('some');
});

test('days that make onions bulb or leaves bolt are told by species, not of flowers that are wanted', () => {
  expect(boltsAbove(tables.crop('bulb-onion')!)).toBe(12);
  expect(boltsAbove(tables.crop('pak-choi')!)).toBe(14);
  expect(boltsAbove(tables.crop('petunia')!)).toBeNull();
  expect(boltsAbove(tables.crop('leek')!)).toBeNull();
  expect(boltsAbove(copyOf(tables.crop('spinach')!, 'own-9', 'Ours'))).toBe(13);
});
