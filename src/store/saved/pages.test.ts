import { logIt } from '../../core/site/growth/changeGrowth';
import { dayFrom } from '../../core/units/day';
import { exportSite } from '../files/exportSite';
import { demoSite } from '../site/demoSite';
import { createPager, readStored, pagesNamed, type StoredSite } from './pages';
import { sealOf } from './seal';

const site = demoSite('en-GB', dayFrom(2027, 2, 20));
let ids = 0;
const newId = () => `p${ids++}`;

/** A site as it is stored, with its pages. */
function stored() {
  const store = new Map<string, unknown>();
  const pager = createPager(newId);
  const { document, fresh } = pager.cut(site, new Set());
  for (const { id, page } of fresh) store.set(id, JSON.parse(JSON.stringify(page)));
  const value = JSON.parse(JSON.stringify({ scheme: 2, activeId: site.stands[1]!.id, ...document })) as StoredSite;
  return { store, value, pager };
}
const read = (value: unknown, store: ReadonlyMap<string, unknown>, pager = createPager(newId)) =>
  readStored(value, (id) => Promise.resolve(store.get(id) ?? null), pager);

test('a site comes back from its pages as it was, and knows which of them stand', async () => {
  const { store, value } = stored();
  const pager = createPager(newId);
  const back = await read(value, store, pager);
  expect(back.ok && exportSite(back.site)).toBe(exportSite(site));
  expect(back.ok && back.activeId).toBe(site.stands[1]!.id);
  // Only what changed is written again.
  if (!back.ok) throw new Error('unread');
  expect(pager.cut(back.site, pagesNamed(value)).fresh).toEqual([]);
  const tier = back.site.stands.flatMap((s) => s.tiers).find((t) => t.readings.length > 0)!;
  const changed = { ...back.site, stands: back.site.stands.map((s) => ({ ...s, tiers: s.tiers.map((t) => (t === tier ? { ...t, readings: t.readings.slice(1) } : t)) })) }; // prettier-ignore
  const again = pager.cut(changed, pagesNamed(value));
  expect(again.fresh.map((f) => f.id)).toEqual([again.document.pages[tier.id]]);
  expect(JSON.stringify(again.document)).not.toContain('fromMiddleX_m":0.1,"taken');
});

test('one entry more of one batch writes the page of that batch alone, and the document holds no entries', async () => {
  const { store, value } = stored();
  const pager = createPager(newId);
  const back = await read(value, store, pager);
  if (!back.ok) throw new Error('unread');
  const batch = back.site.batches.find((b) => b.log.length > 1)!;
  const entry = { id: 'new', day: dayFrom(2027, 2, 20), what: 'note', height: null, stage: null, text: 'a word of the journal' } as const;
  const again = pager.cut(logIt(batch.id, entry)(back.site), pagesNamed(value));
  expect(again.fresh.map((f) => f.id)).toEqual([again.document.journal![batch.id]]);
  expect(again.fresh[0]!.page.text).toContain('a word of the journal');
  expect(again.document.site.text).not.toContain('a word of the journal');
});

test('what was stored before the journal had pages of its own is read', async () => {
  const file = JSON.parse(exportSite(site)) as Record<string, unknown>;
  const { store, value } = stored();
  const text = JSON.stringify({ ...file, stands: (JSON.parse(value.site.text) as typeof file).stands });
  const old = { scheme: 2, activeId: '', pages: value.pages, site: { version: file.version, text, seal: 0 } };
  const back = await read(old, store);
  expect(back.ok && exportSite(back.site)).toBe(exportSite(site));
});

test('pages that were not written yet are read from the document that the page of the browser left', async () => {
  const pager = createPager(newId);
  const { document, fresh } = pager.cut(site, new Set());
  const loose = Object.fromEntries(fresh.map(({ id, page }) => [id, page]));
  const back = await read({ scheme: 2, activeId: '', ...document, loose }, new Map(), pager);
  expect(back.ok && exportSite(back.site)).toBe(exportSite(site));
  // They stand nowhere yet, so they are written with the next write.
  expect(back.ok && pager.cut(back.site, new Set()).fresh.map((f) => f.page.text)).toEqual(fresh.map((f) => f.page.text));
});

test('a copy for a file is read without remembering where pages stand, readings included', async () => {
  const { store, value } = stored();
  const back = await readStored(value, (id) => Promise.resolve(store.get(id) ?? null));
  expect(back.ok && exportSite(back.site)).toBe(exportSite(site));
});

test('what an older version stored is read: the file by itself, with the stand that was shown', async () => {
  const file = JSON.parse(exportSite(site)) as Record<string, unknown>;
  const back = await read({ ...file, activeId: 'x' }, new Map());
  expect(back.ok && [exportSite(back.site), back.activeId]).toEqual([exportSite(site), 'x']);
});

test('a page that was damaged is found out by its seal and checked as a file from outside', async () => {
  const { store, value } = stored();
  const id = Object.values(value.pages)[0]!;
  const page = store.get(id) as { text: string };
  const intact = page.text;
  page.text = intact.replace(/"value":[\d.]+/, '"value":-5');
  const back = await read(value, store);
  expect(back).toMatchObject({
    ok: false,
    problems: [expect.objectContaining({ at: expect.stringMatching(/readings\[0\]\.value$/) as string })],
  });
  // What is still sound in it is all there to be saved.
  expect(JSON.stringify(back.ok ? '' : back.whole)).toContain('"value":-5');
  // Changed, but sound: it is read, since only the seal is wrong.
  page.text = intact.replace(/"leftOut":false/, '"leftOut":true');
  expect((await read(value, store)).ok).toBe(true);
  page.text = '{';
  expect((await read(value, store)).ok).toBe(true); // no readings can be had from it: the rest stands
  store.delete(id);
  expect(await read(value, store)).toMatchObject({ ok: false, problems: [{ code: 'kept/page-missing' }] });
});

test('a page counts as written only when it is: one that failed is in the next cut again', () => {
  const pager = createPager(newId);
  const first = pager.cut(site, new Set());
  expect(first.fresh.length).toBeGreaterThan(0);
  const second = pager.cut(site, new Set());
  expect(second.fresh.map((f) => f.page)).toEqual(first.fresh.map((f) => f.page));
  for (const { id, list } of second.fresh) pager.know(list, id);
  const standing = pagesNamed(second.document);
  expect(pager.cut(site, standing)).toEqual({ document: second.document, fresh: [] });
  // Another window may have put its own pages in their place: then these are gone.
  expect(pager.cut(site, new Set()).fresh).toHaveLength(standing.size);
});

test('a seal tells texts apart that differ in a letter', () => {
  const texts = ['', 'a', 'b', 'ab', 'ba', 'aab', 'aba', '{"n":1}', '{"n":2}', 'x'.repeat(1000), `${'x'.repeat(999)}y`];
  expect(new Set(texts.map(sealOf)).size).toBe(texts.length);
});
