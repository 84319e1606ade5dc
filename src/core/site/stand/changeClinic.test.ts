import type { ClinicCase, TestRun } from '../clinic/ClinicCase';
import { BARE_SITE } from './bare';
import { beginTest, changeCase, dropCase, endTest, tell, toggleDenied, togglePlace, toggleSign } from './changeClinic';
import type { Site } from './Site';

const kase = { id: 'a', batchId: 'b', opened: 20_000, since: null, signs: [], places: [], denied: [], told: {}, tests: [], closed: null } as unknown as ClinicCase; // prettier-ignore
const site = {
  ...BARE_SITE,
  currency: 'EUR',
  price_per_kWh: 0.3,
  stands: [],
  timers: [],
  clinic: [kase, { ...kase, id: 'other' }],
} as unknown as Site;
const run = (cause: string, outcome: TestRun['outcome'] = null): TestRun => ({ test: 'shade-half', cause, next: 'x', began: 20_000, look: 20_005, outcome }) as TestRun; // prettier-ignore
const caseOf = (s: Site) => s.clinic.find((c) => c.id === 'a')!;
const causes = (s: Site) => caseOf(s).tests.map((t) => `${t.cause}:${t.outcome}`);

test('one test is under way at a time: another takes its place, what has an outcome stays', () => {
  const first = beginTest('a', run('one'))(site);
  expect(causes(beginTest('a', run('two'))(first))).toEqual(['two:null']);
  const ended = endTest('a', 'helped')(first);
  expect(causes(ended)).toEqual(['one:helped']);
  expect(causes(beginTest('a', run('two'))(ended))).toEqual(['one:helped', 'two:null']);
  expect(caseOf(site).tests).toEqual([]);
});

test('twenty tests are remembered at most, the last ones', () => {
  const many = Array.from({ length: 25 }, (_, i) => i).reduce((s, i) => endTest('a', 'helped')(beginTest('a', run(String(i)))(s)), site);
  expect(caseOf(many).tests).toHaveLength(20);
  expect(caseOf(many).tests[0]!.cause).toBe('5');
});

test('signs, places and what is denied are put and taken by the same press; places stand in order', () => {
  const seen = [4, 1, 7].reduce((s, p) => togglePlace('a', p)(s), toggleSign('a', 'pale')(site));
  expect(caseOf(seen)).toMatchObject({ signs: ['pale'], places: [1, 4, 7] });
  expect(caseOf(togglePlace('a', 4)(toggleSign('a', 'pale')(seen)))).toMatchObject({ signs: [], places: [1, 7] });
  expect(caseOf(toggleDenied('a', 'age')(toggleDenied('a', 'feed')(seen))).denied).toEqual(['feed', 'age']);
});

test('what a person says is taken back by undefined, and false is said', () => {
  const said = tell('a', { isLampHot: false } as never)(tell('a', { daysInDark: 2 } as never)(site));
  expect(caseOf(said).told).toEqual({ daysInDark: 2, isLampHot: false });
  expect(caseOf(tell('a', { daysInDark: undefined } as never)(said)).told).toEqual({ isLampHot: false });
});

test('only the case that is meant is changed, or goes', () => {
  expect(changeCase('a', () => ({ since: 7 }))(site).clinic.map((c) => c.since)).toEqual([7, null]);
  expect(dropCase('a')(site).clinic.map((c) => c.id)).toEqual(['other']);
  expect(dropCase('nowhere')(site).clinic).toHaveLength(2);
});
