import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { cropLibrary } from '../../things/crop/cropLibrary';
import { CAUSES, type Cause } from './Cause';
import { SIGN_PLACES, type Circumstances } from './Circumstances';
import { clinicTables } from './clinicTables';
import { FACT_IDS, factsOf } from './facts';
import { daysToAnswer, testFor, treatmentsFor } from './mend';
import { SIGN_NAMES, SIGNS, signsOf, type Sign } from './signs';
import { factorOf, weighCauses } from './weighCauses';

const UNKNOWN: Circumstances = {
  crop: cropLibrary.find((c) => c.id === 'tomato')!,
  stage: 'seedling',
  ageDays: 14,
  place: 'all',
  signs: [],
  light: { dli: null, ppfd: null, hours: null, hoursPlanned: null, dliMin: 10, dliTarget: 14, dliMax: 20, ppfdMax: 400, longestDay: null, elsewhere: { centre: null, edge: null, corner: null }, dliWhenNew: null, lampHours: null, spectrum: null, clearance: null, lowerBy: null, isHot: false, leafTemperature: null, daysInDark: null, windowShare: null, isBlackout: false }, // prettier-ignore
  air: { day: null, night: null, hasFan: null, humidity: null, isDraughty: null },
  roots: { temperature: null, isMatOn: null, water: null, ph: null, isHardWater: null, isPotSmall: null },
  isCrowded: null,
  feed: null,
  changes: [],
  isOfSuchKind: false,
};
const signs = fc.uniqueArray(fc.constantFrom(...SIGN_NAMES), { maxLength: 6 });
const circumstances = fc
  .record({
    signs,
    place: fc.constantFrom(...SIGN_PLACES),
    dli: fc.option(fc.double({ min: 0, max: 40, noNaN: true })),
    ppfd: fc.option(fc.double({ min: 0, max: 900, noNaN: true })),
    hours: fc.option(fc.integer({ min: 0, max: 24 })),
    night: fc.option(fc.integer({ min: 0, max: 30 })),
    isMatOn: fc.option(fc.boolean()),
    water: fc.constantFrom('wet' as const, 'dry' as const, 'even' as const, null),
    crop: fc.constantFrom(...cropLibrary),
  })
  .map(({ dli, ppfd, hours, night, isMatOn, water, ...c }): Circumstances => ({
    ...UNKNOWN,
    ...c,
    light: { ...UNKNOWN.light, dli, ppfd, hours },
    air: { ...UNKNOWN.air, night },
    roots: { ...UNKNOWN.roots, isMatOn, water },
  }));
const shareOf = (c: Circumstances, cause: Cause) => weighCauses(c).find((w) => w.cause === cause)!.share;

test('shares add up to one, whatever is known, and none is lost or negative', () => {
  fc.assert(
    fc.property(circumstances, (c) => {
      const weighed = weighCauses(c);
      expect(weighed).toHaveLength(CAUSES.length);
      expect(weighed.reduce((sum, w) => sum + w.share, 0)).toBeCloseTo(1, 9);
      for (const { share } of weighed) expect(share).toBeGreaterThanOrEqual(0);
    }),
  );
});

test('in which order signs are given, and how often, changes nothing', () => {
  fc.assert(
    fc.property(circumstances, (c) => {
      const other = weighCauses({ ...c, signs: [...c.signs].reverse().flatMap((s) => [s, s]) });
      const shares = new Map(weighCauses(c).map((w) => [w.cause, w.share]));
      for (const w of other) expect(w.share).toBeCloseTo(shares.get(w.cause)!, 9);
    }),
  );
});

test('a sign never lowers the cause that it speaks for most', () => {
  fc.assert(
    fc.property(circumstances, fc.constantFrom(...SIGN_NAMES), (c, sign) => {
      const factors = CAUSES.map((cause) => factorOf(sign, cause));
      const best = CAUSES[factors.indexOf(Math.max(...factors))]!;
      const without = { ...c, signs: c.signs.filter((s) => s !== sign) };
      expect(shareOf({ ...without, signs: [...without.signs, sign] }, best)).toBeGreaterThanOrEqual(shareOf(without, best) - 1e-12);
    }),
  );
});

test('less light at the spot never makes too little light less likely, more never makes too much less likely', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.1, max: 30, noNaN: true }),
      fc.double({ min: 0.3, max: 0.99, noNaN: true }),
      signs,
      (dli, share, seen) => {
        const at = (d: number): Circumstances => ({ ...UNKNOWN, signs: seen, light: { ...UNKNOWN.light, dli: d } });
        expect(shareOf(at(dli * share), 'light-too-weak')).toBeGreaterThanOrEqual(shareOf(at(dli), 'light-too-weak') - 0.02);
        expect(shareOf(at(dli), 'light-too-strong')).toBeGreaterThanOrEqual(shareOf(at(dli * share), 'light-too-strong') - 0.02);
      },
    ),
    { numRuns: 2000 },
  );
});

test('what is not known moves nothing: with nothing known but a sign, causes stand by how often they are met and by the sign', () => {
  const facts = factsOf(UNKNOWN).map((f) => f.id);
  for (const id of ['dose-short', 'dose-good', 'warm', 'cold', 'mat-on', 'wet', 'dry', 'fan', 'no-fan', 'crowded'])
    expect(facts).not.toContain(id);
});

test('every cause can be seen by some sign, is told apart by a test, and has days and treatments', () => {
  const explained = new Set(Object.values(SIGNS).flatMap((s) => Object.keys(s.speaksFor)));
  // These show in what the plan knows, or as plants that are as they should be.
  for (const cause of CAUSES) expect(explained.has(cause)).toBe(true);
  for (const cause of CAUSES) {
    expect(testFor(cause, UNKNOWN)).toBeTruthy();
    expect(daysToAnswer(cause, UNKNOWN)).toBeGreaterThan(0);
    expect(daysToAnswer(cause, { ...UNKNOWN, stage: 'maintenance' })).toBeGreaterThanOrEqual(daysToAnswer(cause, UNKNOWN));
    if (cause !== 'light-on-late') expect(treatmentsFor(cause, UNKNOWN).length).toBeGreaterThan(0);
  }
});

test('a stem too long is buried, cut or sown again by what its crop bears, and never where that would kill it', () => {
  const of = (id: string, seen: Sign[] = ['stretched-stems']) =>
    treatmentsFor('light-too-weak', { ...UNKNOWN, crop: cropLibrary.find((c) => c.id === id)!, signs: seen });
  expect(of('tomato')).toContain('bury');
  expect(of('lettuce')).toContain('restart');
  expect(of('lettuce')).not.toContain('bury');
  expect(of('basil')).toContain('trim');
  expect(of('leek')).toContain('trim');
  expect(of('tomato', ['pale'])).not.toContain('bury');
  expect(treatmentsFor('light-too-strong', { ...UNKNOWN, signs: ['stretched-stems'] })).not.toContain('bury');
  // A lamp that nearly touches the leaves is not lowered.
  expect(treatmentsFor('light-too-weak', { ...UNKNOWN, light: { ...UNKNOWN.light, clearance: 0.04 } })).not.toContain('lower-lamp');
});

test('houseplants without a date are taken for no seedlings; of other plants nothing is known then', () => {
  const of = (id: string) => ({ ...UNKNOWN, ageDays: null, stage: 'growing-on' as const, crop: cropLibrary.find((c) => c.id === id)! });
  const share = (id: string) => weighCauses({ ...of(id), signs: ['stretched-stems'] }).find((w) => w.cause === 'light-on-late')!.share;
  expect(share('hoya')).toBeLessThan(share('tomato') / 100);
  expect(factsOf(of('tomato')).some((f) => f.id === 'age')).toBe(false);
});

test('plants that were bought are asked for no signs of seedlings', () => {
  const of = (id: string) => signsOf(cropLibrary.find((c) => c.id === id)!);
  expect(of('tomato')).toBe(SIGN_NAMES);
  for (const id of ['hoya', 'cactus', 'cutting-soft']) {
    expect(of(id).filter((s) => s.includes('seed'))).toEqual([]);
    expect(of(id)).toContain('wide-internodes');
  }
});

test('no feed is advised or tried where a crop is grown without', () => {
  for (const id of ['carnivorous', 'micro-pea']) {
    const c = { ...UNKNOWN, crop: cropLibrary.find((crop) => crop.id === id)! };
    for (const cause of CAUSES) {
      expect(treatmentsFor(cause, c)).not.toContain('feed');
      expect(testFor(cause, c)).not.toBe('feed-half');
    }
    expect(treatmentsFor('nitrogen-short', c)).toEqual(['none']);
    expect(testFor('phosphorus-short', c)).toBe('warm-half');
  }
  expect(treatmentsFor('nitrogen-short', UNKNOWN)).toEqual(['feed']);
});

test('no longer day than the crop bears is blamed, tried or advised, and no lamp is brought nearer than it may come', () => {
  const at = (hours: number, longestDay: number | null, more: Partial<Circumstances['light']> = {}) => ({
    ...UNKNOWN,
    light: { ...UNKNOWN.light, dli: 7, ppfd: 150, hours, dliMin: 8, longestDay, ...more },
  });
  const blamed = (c: Circumstances) => factsOf(c).find((f) => f.id.startsWith('day-'));
  // By sixteen hours 150 µmol/m²/s make 8.64 mol, by fourteen 7.56: more than a twentieth short of 8.
  expect(blamed(at(11, null))).toMatchObject({ id: 'day-short', against: 16 });
  expect(blamed(at(11, 14))).toMatchObject({ id: 'day-long-enough', against: 14 });
  expect(blamed(at(11, 14, { ppfd: 160 }))).toMatchObject({ id: 'day-short', against: 14 });
  expect(testFor('hours-too-few', at(11, 14))).toBe('longer-day-half');
  expect(testFor('hours-too-few', at(12, 14))).toBe('longer-day-half');
  expect(testFor('hours-too-few', at(12.5, 14))).toBe('check-timer');
  for (const cause of ['hours-too-few', 'light-too-weak'] as const) {
    expect(treatmentsFor(cause, at(13, 14))).toContain('add-hours');
    expect(treatmentsFor(cause, at(14, 14))).toEqual(['lower-lamp', 'add-lamp']);
    expect(treatmentsFor(cause, at(14, 14, { lowerBy: 0.004, clearance: 0.2 }))).toEqual(['add-lamp']);
  }
});

test('the tables of docs/clinic.md are those of the model, and every fact stands in them', () => {
  const doc = readFileSync('docs/clinic.md', 'utf8');
  const cells = (text: string) => text.replace(/[\s|-]+/g, ' ');
  expect(cells(doc)).toContain(cells(clinicTables()).trim());
  for (const id of FACT_IDS) if (id !== 'tested') expect(doc).toContain(id);
});
