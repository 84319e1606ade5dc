import { answerBench } from '../../answer/bench/answerBench';
import { questionOfStand } from '../../answer/bench/questionOfStand';
import { asOf } from '../../answer/stand/asOf';
import { benchStandOf, type BenchStand } from '../../answer/stand/benchStand';
import { noteSettings } from '../../site/past/noteSettings';
import type { ClinicCase } from '../../site/clinic/ClinicCase';
import { changeFittings, setTimes, type Change } from '../../site/stand/change';
import type { Site } from '../../site/stand/Site';
import { tables } from '../../things/tables/libraryTables';
import type { Day } from '../../units/day';
import { practiceSite } from '../practice/practiceSite';
import { dliInPlace, type TrayInPlace } from '../../answer/bench/traysInPlace';
import { diagnose } from './diagnose';
import { stoodLately } from './stoodLately';

const TODAY = 20_780;
const TRAY = 'celery-tray';
/** Celery under two lamps: too far away, or as they should be. */
const site = (face: number, lit_min = 840): Site =>
  practiceSite(
    {
      kind: 'rack',
      name: 'Rack',
      trays: [{ id: 'celery', crop: 'celery', in: 'cell-72', x: 0.6, age: 14 }],
      lamps: [0.14, 0.31].map((y) => ({ lamp: 'led-shop-12-twin-42', x: 0.6, y, face })),
      on_min: 360,
      lit_min,
    },
    TODAY,
    tables,
  );
const [far, right] = [0.6, 0.25];
const hang =
  (face: number): Change =>
  (now) => {
    const { id, fittings } = now.stands[0]!.tiers[0]!;
    return changeFittings(id, fittings.map((f) => f.id), () => ({ face }))(now); // prettier-ignore
  };
const on = (day: Day, now: Site, change: Change) => noteSettings(now, change(now), day);
const lightOf = (stand: BenchStand) => answerBench(questionOfStand(stand, null)).tiers[stand.tiers[0]!.tier.id]!.trays[TRAY]!;
function standing(now: Site): TrayInPlace {
  const stand = benchStandOf(now, now.stands[0]!, tables);
  return { stand, tier: stand.tiers[0]!, tray: stand.tiers[0]!.trays[0]!, light: lightOf(stand) };
}
const stood = (now: Site, since = TODAY) => stoodLately(now, since, TRAY, TODAY, tables).map((s) => ({ ...s, light: lightOf(s.stand) }));
const caseOf = (signs: readonly string[], since: Day | null = null): ClinicCase => ({ id: 'c', batchId: 'celery', trayId: TRAY, opened: TODAY, since, places: [], signs, told: {}, denied: [], tests: [], closed: null }); // prettier-ignore
const today = (now: Site) => asOf(now, TODAY, tables);

test('what a tray got until its lamps were hung otherwise is what the plan had then', () => {
  const now = today(on(TODAY - 1, site(far), hang(right)));
  const [then, ...rest] = stood(now);
  expect([then!.until, rest]).toEqual([TODAY - 1, []]);
  const before = standing(asOf(site(far), TODAY - 2, tables));
  expect(dliInPlace(then!)).toBeCloseTo(dliInPlace(before)!, 6);
  expect(dliInPlace(standing(now))).toBeGreaterThan(1.5 * dliInPlace(before)!);
  // Longer ago than leaves remember it, and elsewhere: nothing.
  expect(stood(today(on(TODAY - 20, site(far), hang(right))))).toEqual([]);
  expect(stoodLately(now, TODAY, 'other', TODAY, tables)).toEqual([]);
});

test('stems that stretched before the lamps were lowered are put down to the light of then, which is mended', () => {
  const now = today(on(TODAY - 1, site(far, 780), hang(right)));
  const kase = caseOf(['stretched-stems', 'thin-stems']);
  const blind = diagnose(kase, standing(now), TODAY);
  const seeing = diagnose(kase, standing(now), TODAY, stood(now));
  const shareOfWeak = (d: typeof blind) => d.weighed.find((w) => w.cause === 'light-too-weak')!.share;
  expect(seeing.weighed[0]!.cause).toBe('light-too-weak');
  expect(shareOfWeak(seeing)).toBeGreaterThan(1.5 * shareOfWeak(blind));
  expect([seeing.byLightUntil, seeing.isMended, seeing.test]).toEqual([TODAY - 1, true, 'look-at-new-leaves']);
  expect(seeing.treatments.some((t) => /lamp|hours|dim/.test(t))).toBe(false);
  // Not changed enough: it is still to be mended, by how it is today.
  const little = today(on(TODAY - 1, site(far), hang(far - 0.02)));
  const still = diagnose(kase, standing(little), TODAY, stood(little));
  expect([still.weighed[0]!.cause, still.isMended]).toEqual(['light-too-weak', false]);
  expect(still.treatments).toContain('lower-lamp');
});

test('what today’s light explains, or no light at all, is judged by today’s', () => {
  const now = today(on(TODAY - 3, site(far), hang(0.14)));
  const bleached = diagnose(caseOf(['bleached-top']), standing(now), TODAY, stood(now));
  expect(bleached.byLightUntil).toBeNull();
  expect(bleached.weighed.slice(0, 2).map((w) => w.cause)).toContain('sudden-change');
  expect(bleached.facts.map((f) => f.id)).toContain('light-raised');
  // What no light explains is mended by none.
  expect(diagnose(caseOf(['wilting']), standing(now), TODAY, stood(now)).isMended).toBe(false);
  // So is what was scorched on the very day; a stem has not grown long since this morning.
  const near = today(on(TODAY, site(far), hang(0.14)));
  expect(diagnose(caseOf(['bleached-top']), standing(near), TODAY, stood(near)).byLightUntil).toBeNull();
  expect(diagnose(caseOf(['stretched-stems']), standing(near), TODAY, stood(near)).byLightUntil).toBe(TODAY);
  const long = today(on(TODAY - 8, site(0.26), hang(right)));
  expect(diagnose(caseOf(['stretched-stems']), standing(long), TODAY, stood(long)).byLightUntil).toBeNull();
  // Raised after they looked wrong, it is not what they answer to.
  const after = diagnose(caseOf(['bleached-top'], TODAY - 6), standing(now), TODAY, stood(now, TODAY - 6));
  expect(after.facts.map((f) => f.id)).not.toContain('light-raised');
});

test('what was mended too well is not called mended, and a lamp that is too near now is seen, whatever light is shown', () => {
  const near = today(on(TODAY - 1, site(far), hang(0.1)));
  const seen = diagnose(caseOf(['stretched-stems']), standing(near), TODAY, stood(near));
  const { stage, limits } = standing(near).tray;
  expect(dliInPlace(standing(near))! > stage.dliMax || standing(near).light!.stats.strongest.ppfd > limits.strongest).toBe(true);
  expect([seen.byLightUntil, seen.isMended]).toEqual([TODAY - 1, false]);
  const cool = seen.facts.find((f) => f.id.startsWith('lamp-') && f.id !== 'lamp-fresh');
  expect(cool?.found).toBeWithin(0.1 - standing(near).tray.canopy, { absolute: 1e-9 });
});

test('longer and shorter days count like nearer and farther lamps', () => {
  const day =
    (lit_min: number): Change =>
    (now) =>
      setTimes(now.stands[0]!.tiers[0]!.timerId, 360, lit_min)(now);
  const now = today(on(TODAY - 2, site(right, 420), day(840)));
  const seeing = diagnose(caseOf(['stretched-stems']), standing(now), TODAY, stood(now));
  expect([seeing.byLightUntil, seeing.isMended]).toEqual([TODAY - 2, true]);
  expect(['hours-too-few', 'light-too-weak']).toContain(seeing.weighed[0]!.cause);
});
