/** @jest-environment jsdom */
import '../../../test/indexedDb';
import 'reflect-metadata';
import fc from 'fast-check';
import { webcrypto } from 'node:crypto';
import { SIGN_NAMES } from '../../core/judge/clinic/signs';
import { correctLogged, logIt, unlog } from '../../core/site/growth/changeGrowth';
import { changeTrial } from '../../core/site/stand/changeTrials';
import type { Logged } from '../../core/site/stand/Logged';
import type { Site } from '../../core/site/stand/Site';
import { dayFrom } from '../../core/units/day';
import { exportSite } from '../files/exportSite';
import { renameStand } from '../site/setUpVerbs';
import { demoSite } from '../site/demoSite';
import { bringTogether } from './bringTogether';
import { bundleKeyOf, keyText, newKey, openBundle, sealBundle, type HandoverNote } from './bundle';
import { createHandoverDesk } from './handoverDesk';
import { openSharedStates } from './sharedStates';

Object.defineProperty(globalThis, 'crypto', { value: webcrypto, configurable: true });

const note: HandoverNote = { id: 'n1', known: ['a', 'b'], photosLeft: 3 };
const archive = Uint8Array.from({ length: 500 }, (_, i) => i % 251);
const codeOf = (r: ReturnType<typeof openBundle>) => (r.ok ? null : r.problems[0]!.code);

test('what is sealed opens with its key alone, and two seals of the same are not the same', () => {
  const key = newKey();
  const sealed = sealBundle(note, archive, key);
  const opened = openBundle(sealed, bundleKeyOf(keyText(key))!);
  expect(opened).toEqual({ ok: true, value: { note, archive } });
  expect(sealBundle(note, archive, key)).not.toEqual(sealed);
  expect(codeOf(openBundle(sealed, newKey()))).toBe('handover/damaged');
  expect(Buffer.from(sealed).includes('known')).toBe(false);
});

test.each<[string, object]>([
  ['no name', { known: [], photosLeft: 0 }],
  ['an empty name', { id: '', known: [], photosLeft: 0 }],
  ['a name too long', { id: 'x'.repeat(81), known: [], photosLeft: 0 }],
  ['nothing that is known', { id: 'n', photosLeft: 0 }],
  ['names without end', { id: 'n', known: Array.from({ length: 101 }, () => 'a'), photosLeft: 0 }],
  ['a name that is a number', { id: 'n', known: [3], photosLeft: 0 }],
])('a note with %s is damaged, though its seal is whole', (_, wrong) => {
  const key = newKey();
  expect(codeOf(openBundle(sealBundle(wrong as HandoverNote, archive, key), key))).toBe('handover/damaged');
});

test('photos that are left are counted, never below none', () => {
  const key = newKey();
  const left = (photosLeft: unknown) => {
    const opened = openBundle(sealBundle({ id: 'n', known: [], photosLeft } as HandoverNote, archive, key), key);
    return opened.ok ? opened.value.note.photosLeft : null;
  };
  expect([left(4), left(-2), left(1.5), left('many')]).toEqual([4, 0, 0, 0]);
});

test('a bundle with any one bit changed, cut short or made longer is refused', () => {
  const key = newKey();
  const sealed = sealBundle(note, archive.subarray(0, 40), key);
  fc.assert(
    fc.property(fc.nat(sealed.length - 1), fc.nat(7), (at, bit) => {
      const changed = Uint8Array.from(sealed);
      changed[at]! ^= 1 << bit;
      expect(codeOf(openBundle(changed, key))).toMatch(/^handover\/(damaged|version)$/);
    }),
  );
  for (const n of [0, 1, 20, 30, sealed.length - 1]) expect(codeOf(openBundle(sealed.slice(0, n), key))).toMatch(/^handover\//);
  expect(codeOf(openBundle(Uint8Array.from([...sealed, 0]), key))).toBe('handover/damaged');
});

test('only a whole key is a key', () => {
  const text = keyText(newKey());
  expect(text).toHaveLength(43);
  expect([bundleKeyOf(text.slice(1)), bundleKeyOf(`${text}A`), bundleKeyOf(`${text.slice(0, 42)}+`), bundleKeyOf('')]).toEqual([
    null,
    null,
    null,
    null,
  ]);
});

test('the desk hands out once, within ten minutes, and holds only so many', () => {
  let now = 0;
  let ids = 0;
  const desk = createHandoverDesk(() => `id${ids++}`, () => now); // prettier-ignore
  const bytes = new Uint8Array(100);
  const first = desk.put(bytes)!;
  expect(desk.take(first)).toBe(bytes);
  expect(desk.take(first)).toBeNull();
  const late = desk.put(bytes)!;
  now += 10 * 60_000;
  expect(desk.take(late)).toBeNull();
  expect(Array.from({ length: 8 }, () => desk.put(bytes)).filter((id) => id === null)).toHaveLength(2);
  now += 10 * 60_000;
  expect(desk.put(bytes)).not.toBeNull();
  expect(desk.put({ length: 60_000_001 } as Uint8Array<ArrayBuffer>)).toBeNull();
});

test('states that were shared are found again by their names, the newest eight', async () => {
  let now = 0;
  const states = openSharedStates(undefined, () => now++);
  const site = demoSite('en-GB', null);
  for (let i = 0; i < 10; i++) await states.add(`s${i}`, site);
  expect(await states.names()).toEqual(['s9', 's8', 's7', 's6', 's5', 's4', 's3', 's2']);
  expect(await states.read('s9')).toEqual(site);
  expect(await states.read('s0')).toBeNull();
});

// What is done at the rack and at the table since both parted, at random.
const base = demoSite('en-GB', dayFrom(2027, 3, 1));
const places = base.batches.map((b) => b.id);
type Deed = readonly [kind: number, place: number, text: string];
const deeds = fc.array(fc.tuple(fc.nat(3), fc.nat(places.length - 1), fc.string({ maxLength: 8 })), { maxLength: 8 });
const done = (list: readonly Deed[], who: string): Site =>
  list.reduce((site, [kind, place, text], i) => {
    const id = places[place]!;
    const log = site.batches.find((b) => b.id === id)!.log;
    const entry: Logged = { id: `${who}${i}`, day: dayFrom(2027, 3, 2), what: 'note', height: null, stage: null, text: `${who} ${text}` };
    if (kind === 0) return logIt(id, entry)(site);
    if (kind === 1 && log.length > 0)
      return correctLogged(id, log[0]!.id, { day: log[0]!.day, height: null, text: `${who} ${text}` })(site);
    if (kind === 2 && log.length > 0) return unlog(id, log.at(-1)!.id)(site);
    return renameStand(site.stands[place % site.stands.length]!.id, `${who} ${text}`)(site);
  }, base);
const entriesOf = (site: Site) => site.batches.flatMap((b) => b.log.map((l) => `${b.id} ${l.id}`)).sort();

test('two devices lose nothing and double nothing, whoever takes the other’s', () => {
  fc.assert(
    fc.property(deeds, deeds, (a, b) => {
      const [mine, theirs] = [done(a, 'a'), done(b, 'b')];
      const [here, there] = [bringTogether(base, mine, theirs)!, bringTogether(base, theirs, mine)!];
      const ids = entriesOf(here.site);
      expect(new Set(ids).size).toBe(ids.length);
      // Every entry that either wrote, and that the other did not delete, is there.
      const gone = (site: Site) => entriesOf(base).filter((id) => !entriesOf(site).includes(id));
      for (const id of [...entriesOf(mine), ...entriesOf(theirs)])
        if (!gone(mine).includes(id) && !gone(theirs).includes(id)) expect(ids).toContain(id);
      // The same comes of it from both sides, but for what both changed.
      expect(entriesOf(there.site)).toEqual(ids);
      if (here.clashes.length === 0 && there.clashes.length === 0) {
        const sorted = (s: Site) => ({
          ...s,
          batches: s.batches.map((x) => ({ ...x, log: [...x.log].sort((p, q) => (p.id < q.id ? -1 : 1)) })),
        });
        expect(exportSite(sorted(here.site))).toBe(exportSite(sorted(there.site)));
      }
      // Once more changes nothing.
      expect(bringTogether(theirs, here.site, theirs)!.site).toBe(here.site);
    }),
    { numRuns: 25 },
  );
});

test('two who measure the trays of one trial on two phones lose no value of either', () => {
  const base = demoSite('en-GB', dayFrom(2027, 2, 20));
  const trial = base.trials.find((t) => t.ended === null)!;
  const put = (code: string, values: readonly number[]) =>
    changeTrial(trial.id, (t) => ({ trays: t.trays.map((y) => (y.code === code ? { ...y, values } : y)) }));
  const [a, b] = trial.trays.map((t) => t.code) as [string, string];
  const both = bringTogether(base, put(a, [41, 42])(base), put(b, [51])(base))!;
  const valuesOf = (site: Site) => Object.fromEntries(site.trials.find((t) => t.id === trial.id)!.trays.map((t) => [t.code, t.values]));
  expect([both.clashes, valuesOf(both.site)]).toEqual([[], { [a]: [41, 42], [b]: [51] }]);
  // One and the same tray: ours stands, and theirs is told.
  const clash = bringTogether(base, put(a, [41])(base), put(a, [43])(base))!;
  expect(valuesOf(clash.site)[a]).toEqual([41]);
  expect(clash.clashes).toEqual([{ path: ['trials', trial.id, 'trays', a, 'values'], mine: [41], theirs: [43] }]);
});

test('cautions, prices, signs and trips that two saw to on two devices stand side by side', () => {
  const base: Site = { ...demoSite('en-GB', dayFrom(2027, 2, 20)), safety: [], lampPrices: [], spares: [] };
  const trip = (from: number) => ({ visits: { ...base.visits, away: [...base.visits.away, { from, to: from + 2 }] } });
  const [A, B] = base.stands.map((s) => s.id) as [string, string];
  const [L1, L2] = ['led-bar-12-white-24', 'led-shop-12-twin-42'] as const;
  const [FIRST, SECOND] = SIGN_NAMES.filter((s) => !base.clinic[0]!.signs.includes(s)) as [string, string];
  const day = dayFrom(2027, 2, 20);
  const seen = (standId: string) => ({ standId, cautionId: 'ground-fault', day, of: '0123abcd' });
  const sign = (sign: string) => (site: Site): Site => ({ ...site, clinic: site.clinic.map((c, i) => (i === 0 ? { ...c, signs: [...c.signs, sign] } : c)) }); // prettier-ignore
  const mine = sign(FIRST)({
    ...base,
    ...trip(day + 40),
    safety: [seen(A)],
    lampPrices: [{ lampId: L1, price: 3, day }],
    spares: [{ lampId: L1, count: 2 }],
  });
  const theirs = sign(SECOND)({
    ...base,
    ...trip(day + 60),
    safety: [seen(B)],
    lampPrices: [{ lampId: L2, price: 4, day }],
    spares: [{ lampId: L2, count: 1 }],
  });
  const { site, clashes } = bringTogether(base, mine, theirs)!;
  expect(clashes).toEqual([]);
  expect(site.safety.map((s) => s.standId).sort()).toEqual([A, B].sort());
  expect([site.lampPrices, site.spares].map((list) => list.map((l) => l.lampId).sort())).toEqual([[L1, L2].sort(), [L1, L2].sort()]);
  expect(site.visits.away.map((a) => a.from)).toEqual(expect.arrayContaining([day + 40, day + 60]));
  expect(site.clinic[0]!.signs.filter((s) => s === FIRST || s === SECOND)).toHaveLength(2);
});
