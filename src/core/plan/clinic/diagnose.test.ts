import { demoSite } from '../../../store/site/demoSite';
import { answerBench } from '../../answer/bench/answerBench';
import { questionOfStand } from '../../answer/bench/questionOfStand';
import { benchStandOf } from '../../answer/stand/benchStand';
import { jobsOn } from '../today/jobsOf';
import { asOf } from '../../answer/stand/asOf';
import { tables } from '../../things/tables/libraryTables';
import type { ClinicCase } from '../../site/clinic/ClinicCase';
import { SIGN_NAMES } from '../../judge/clinic/signs';
import { logIt } from '../../site/growth/changeGrowth';
import { beginTest, endTest, openCase } from '../../site/stand/changeClinic';
import { dayFrom } from '../../units/day';
import { circumstancesOf, dliOfNinths, ninths, signPlaceOf } from './circumstancesOf';
import { plantAreaOf } from '../../site/stand/footprint';
import { MOL_SECONDS } from '../../judge/dli/dli';
import { diagnose, runningTest, testRun } from './diagnose';

const DAY = dayFrom(2027, 3, 1);
const site = asOf(demoSite('en-GB', DAY), DAY, tables);
const stand = benchStandOf(
  site,
  site.stands.find((s) => !s.autoArranged)!,
  tables,
);
const kase = site.clinic.find((c) => c.id === 'demo-case-celery')!;
const tier = stand.tiers.find((t) => t.trays.some((y) => y.tray.id === kase.trayId))!;
const tray = tier.trays.find((y) => y.tray.id === kase.trayId)!;
const light = answerBench(questionOfStand(stand, null, null, false)).tiers[tier.tier.id]!.trays[tray.tray.id]!;
const standing = { stand, tier, tray, light };

test('nine places that are pressed have a name', () => {
  expect(signPlaceOf([])).toBe('all');
  expect(signPlaceOf([0, 1, 2, 3, 4, 5, 6])).toBe('all');
  expect(signPlaceOf([4])).toBe('centre');
  expect(signPlaceOf([8])).toBe('corner');
  expect(signPlaceOf([0, 8])).toBe('corner');
  expect(signPlaceOf([1])).toBe('edge');
  expect(signPlaceOf([2, 5, 8])).toBe('one-side');
  expect(signPlaceOf([1, 3])).toBe('edge');
});

test('the nine places of a map have its own light, the back first', () => {
  const columns = 6;
  const rows = 6;
  const map = {
    area: { x0: 0, x1: 0.6, y0: 0, y1: 0.3 },
    z: 0,
    columns,
    rows,
    ppfd: Float32Array.from({ length: 36 }, (_, i) => (i % columns) + 100 * Math.floor(i / columns)),
  };
  expect(ninths({ map }, map.area)).toEqual([450.5, 452.5, 454.5, 250.5, 252.5, 254.5, 50.5, 52.5, 54.5]);
});

test('of the daylight on a sill the places next to the glass get more than those behind them', () => {
  const sill = benchStandOf(
    site,
    site.stands.find((s) => s.id === 'demo-sill')!,
    tables,
  );
  const { tiers } = answerBench(questionOfStand(sill, null, null, false));
  for (const t of sill.tiers)
    for (const y of t.trays) {
      const lit = tiers[t.tier.id]!.trays[y.tray.id]!;
      const byLamps = ninths(lit, plantAreaOf(y.tray)).map((ppfd) => (ppfd * y.day.lit_min * MOL_SECONDS) / 60);
      const byDay = dliOfNinths(y, lit).map((dose, i) => dose - byLamps[i]!);
      const row = (n: number) => (byDay[3 * n]! + byDay[3 * n + 1]! + byDay[3 * n + 2]!) / 3;
      // The glass is behind the sill.
      expect(row(0)).toBeGreaterThan(1.05 * row(1));
      expect(row(1)).toBeGreaterThan(1.05 * row(2));
      // All places together are the daylight of the tray.
      expect((row(0) + row(1) + row(2)) / 3).toBeWithin(y.day.daylight!.dli, { relative: 0.03 });
    }
});

test('the dose at the very places that were pressed is held against the crop, and the rest of the tray beside it', () => {
  const c = circumstancesOf(kase, standing, DAY);
  expect(c.place).toBe('one-side');
  expect(c.light.dli!).toBeLessThan(c.light.dliMin);
  expect(c.light.elsewhere.centre!).toBeGreaterThan(c.light.dli!);
  expect(c.air).toMatchObject({ night: 16, hasFan: true, day: null });
  const d = diagnose(kase, standing, DAY);
  expect(d.weighed[0]!.cause).toBe('uneven-coverage');
  expect(d.facts.map((f) => f.id)).toEqual(expect.arrayContaining(['dose-short', 'spot-darker']));
  // Without the light nothing is claimed of it.
  const dark = diagnose(kase, { ...standing, light: null }, DAY);
  expect(dark.facts.map((f) => f.id)).not.toContain('dose-short');
});

test('what was said not to be so does not count; a test that helped makes its cause likelier, one that did not less likely', () => {
  const share = (k: ClinicCase) => diagnose(k, standing, DAY).weighed.find((w) => w.cause === 'uneven-coverage')!.share;
  expect(share({ ...kase, denied: ['spot-darker'] })).toBeLessThan(share(kase));
  const outcome = (o: 'helped' | 'same' | 'worse') => share(endTest(kase.id, o)(site).clinic.find((c) => c.id === kase.id)!);
  expect(outcome('helped')).toBeGreaterThan(share(kase));
  expect(outcome('same')).toBeLessThan(share(kase));
  expect(outcome('worse')).toBeLessThanOrEqual(outcome('same'));
});

test('a test of a cause that nobody knows any more, or that is not over, says nothing', () => {
  const untested = diagnose({ ...kase, tests: [] }, standing, DAY).weighed;
  const tested = (change: object) => {
    const run = { test: 'rotate', cause: 'uneven-coverage', next: 'too-warm', began: DAY - 4, look: DAY, outcome: 'helped' as const };
    return diagnose({ ...kase, tests: [{ ...run, ...change }] }, standing, DAY).weighed;
  };
  expect(tested({})).not.toEqual(untested);
  expect(tested({ outcome: null })).toEqual(untested);
  expect(tested({ cause: 'the moon' })).toEqual(untested);
  expect(tested({ next: 'the moon' })).toEqual(untested);
});

test('with nothing marked nothing is claimed; at most three questions are asked, and none that was answered', () => {
  expect(diagnose({ ...kase, signs: [] }, standing, DAY)).toMatchObject({ certainty: 'nothing-seen', questions: [] });
  const { questions } = diagnose({ ...kase, signs: ['pale-lower-leaves-first'], places: [], told: {} }, standing, DAY);
  expect(questions.length).toBeGreaterThan(0);
  expect(questions.length).toBeLessThanOrEqual(3);
  expect([...questions].sort((a, b) => b.gain - a.gain)).toEqual(questions);
  const answered = diagnose(
    { ...kase, signs: ['pale-lower-leaves-first'], places: [], told: { [questions[0]!.field]: 'dry' } as never },
    standing,
    DAY,
  );
  expect(answered.questions.map((q) => q.field)).not.toContain(questions[0]!.field);
});

test('a test comes up on Today on its day, not before, and not once it has come out', () => {
  const run = testRun(diagnose(kase, standing, DAY), DAY);
  const tested = beginTest('demo-case-sage', run)(site);
  expect(runningTest(tested.clinic.find((c) => c.id === 'demo-case-sage')!)).toMatchObject({ look: run.look });
  const due = (day: number, of = tested) =>
    jobsOn(of, [], day, tables).filter((j) => j.what.kind === 'look-again' && j.what.caseId === 'demo-case-sage').length;
  expect([due(run.look - 1), due(run.look), due(run.look + 5), due(run.look, endTest('demo-case-sage', 'same')(tested))]).toEqual([
    0, 1, 1, 0,
  ]);
  // A trial ends on the day that was fixed, and its trays change places on the way.
  const trial = { ...site.trials[0]!, id: 'x', factor: 'medium' as const, starts: DAY, ends: DAY + 10, rotate_days: 3, ended: null };
  const acts = (day: number) =>
    jobsOn({ ...site, clinic: [], trials: [trial] }, [], day, tables).flatMap((j) => (j.what.kind === 'trial' ? [j.what.act] : []));
  expect([acts(DAY - 1), acts(DAY), acts(DAY + 3), acts(DAY + 11)]).toEqual([[], [], ['rotate'], ['measure']]);
});

test('a case begins with what was lately written down of its leaves', () => {
  const { id: batchId } = site.batches[0]!;
  const at = { what: 'trouble', height: null, stage: null } as const;
  const logged = [
    logIt(batchId, { ...at, id: 'a', day: DAY - 30, sign: 'leaning', place: 0 }),
    logIt(batchId, { ...at, id: 'b', day: DAY - 5, sign: 'pale', place: 7 }),
    logIt(batchId, { ...at, id: 'c', day: DAY - 2, sign: 'burnt-tips' }),
    logIt(batchId, { ...at, id: 'd', day: DAY - 1, text: 'no sign, words only' }),
  ].reduce((s, change) => change(s), site);
  const opened = openCase({ id: 'new', batchId, trayId: 'x', opened: DAY })(logged).clinic.at(-1)!;
  expect(opened).toMatchObject({ since: DAY - 5, places: [7], signs: ['pale', 'brown-tips'] });
  for (const sign of opened.signs) expect(SIGN_NAMES).toContain(sign);
  expect(openCase({ id: 'new', batchId: site.batches[1]!.id, trayId: 'x', opened: DAY })(site).clinic.at(-1)!.signs).toEqual([]);
});
