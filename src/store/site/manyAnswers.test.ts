import 'reflect-metadata';
import { limitsOfStage } from '../../../test/limitsOfStage';
import { RANDOM_DAY, randomSite } from '../../../test/randomSite';
import { lines } from '../../../test/told';
import { answerBench } from '../../core/answer/bench/answerBench';
import { questionOfStand } from '../../core/answer/bench/questionOfStand';
import { profileOf } from '../../core/answer/solve/Profile';
import { solve, suitingDistances, type Fixed } from '../../core/answer/solve/solve';
import { asOf } from '../../core/answer/stand/asOf';
import { benchStandOf } from '../../core/answer/stand/benchStand';
import { planWalk } from '../../core/answer/walk/planWalk';
import { auditClaims } from '../../core/judge/claims/auditClaims';
import { giftOf } from '../../core/judge/claims/giftOf';
import { readClaims } from '../../core/judge/claims/readClaims';
import { doseDirection, fitDose } from '../../core/judge/trial/doseCurve';
import { plantAfter, sprout } from '../../core/judge/growth/Plant';
import { clearanceOf } from '../../core/things/lamp/clearanceOf';
import { emittersOf } from '../../core/things/lamp/emittersOf';
import { lampLibrary } from '../../core/things/lamp/lampLibrary';
import { cropLibrary } from '../../core/things/crop/cropLibrary';
import { tables } from '../../core/things/tables/libraryTables';
import { billOf, totalOf } from '../../core/plan/buying/bill';
import { sumsOf } from '../../core/plan/buying/batchSums';
import { headingFor } from '../../core/plan/clinic/headingFor';
import { mendsByPlan } from '../../core/plan/clinic/mendByPlan';
import { TREATMENTS } from '../../core/judge/clinic/Cause';
import { diagnose } from '../../core/plan/clinic/diagnose';
import { comparePlans } from '../../core/plan/hours/comparePlans';
import { EXERCISES } from '../../core/plan/practice/exercises';
import { playThrough } from '../../core/plan/practice/playThrough';
import { lookAtSeason } from '../../core/plan/season/seasonLook';
import { shelvesOf } from '../../core/plan/season/shelvesOf';
import { takeToStands } from '../../core/plan/season/toStands';
import { resultOf } from '../../core/plan/trial/resultOf';
import { growthOf } from '../../core/site/growth/growthOf';
import { UNDATED } from '../../core/site/stand/bare';
import { PLAN_KINDS } from '../../core/site/timer/HoursPlan';
import { dayFrom, isoOf } from '../../core/units/day';
import { mulberry } from '../../core/units/mulberry';
import { exportSite } from '../files/exportSite';
import { planText } from '../plan/planText';
import { demoSite } from './demoSite';

/*
 * What a great many odd stands, crops, lamps and adverts are told. As with the demo: where a change of code changes any of it, the
 * difference is to be read, and then kept with `npx jest manyAnswers -u`. What is right is said by other tests.
 */
const TODAY = dayFrom(2027, 2, 24);
const site = asOf({ ...demoSite('en-GB', TODAY), timeZone: 'Etc/UTC' }, TODAY, tables);
const stands = site.stands.map((s) => benchStandOf(site, s, tables));

/** Adverts with every kind of figure, right and wrong; none is a real one. */
const ADVERTS = [
  'A 600 W plant lamp, power consumption 98 W, 45 x 45 cm, PPF 210 umol/s',
  '300W LED: 100 x 3W diodes, draws 136 W, 50,000 h life, 11 years at 12 h a day',
  'Uses 0.4 times the power of a 54 W tube: only 28 W. 2400 lm, 4000 K, CRI 90',
  'Uses 1.9 times the power of a 28 W tube: 54 W, 5000 lm per tube, four tubes',
  'Twice the power of a 24 W lamp: 48 W, PPF 90 µmol/s, 60 x 60 cm',
  '12 W, 0.05 A at 120 V, costs $8 a year at 12 h a day and 15 c per kWh',
  '40 watts per square foot, 1000 W HPS equivalent, 240 W drawn, beam 120°',
  'Red and blue lamp, 9000 lux at 30 cm, PPFD 900 µmol/m²/s over 1.2 m x 0.6 m, 40 W',
  'Two fluorescent tubes, 24 W each, 1750 lm each, 6500 K, 20,000 hours',
  'LED shop light 1.2 m, 42 W, 5000 lm, 4000 K, hangs 30 cm above the leaves: 160 umol',
  '60 W incandescent, 810 lm, 1000 h; an LED of 9 W gives the same 810 lm for 15,000 h',
  'Meter says 950 fc, that is 10225 lux; sun is 2000 umol/m2/s',
  'Raise it from 20 to 40 cm and you lose three quarters; 2 x 4 ft, 8 sq ft; 95 W at the wall, 2.7 umol/J',
  'The 71 dollar panel is a 71 watt panel; the meter says 45 W; 36 months guarantee',
];

test.each(ADVERTS)('what is read out of “%s”, and what is wrong with it', (text) => {
  const claims = readClaims(text);
  const gift = giftOf(claims);
  expect(lines([...claims.figures, ...auditClaims(claims), gift ?? 'no light stated'])).toMatchSnapshot();
});

test('faults, outlets, cautions, trays and timers of twenty odd stands', async () => {
  const said: unknown[] = [];
  for (let seed = 200; seed < 220; seed++) {
    const plan = await planText(exportSite(randomSite(seed, 3)), ['--day', isoOf(RANDOM_DAY), '--only', 'trays'], 0);
    if (!plan.ok) throw new Error(JSON.stringify(plan.problems));
    const { trays, timers, faults, outletFaults, cautions } = plan.stands[0]!;
    for (const { trayId, says, certainty, probability, photoperiod_h, shareInBand, dli_mol_per_m2_d: dli } of trays)
      said.push([trayId, says, certainty, probability, photoperiod_h, shareInBand, dli.weakest, dli.mean, dli.strongest.value]);
    said.push(
      ...timers.map(({ programmeId, best }) => [programmeId, best]),
      faults,
      outletFaults,
      cautions.map((c) => c.id),
    );
  }
  expect(lines(said)).toMatchSnapshot();
});

test('distances and hours for many lamps, crops and wishes', () => {
  const next = mulberry(7);
  const pick = <T>(all: readonly T[]): T => all[Math.floor(next() * all.length)]!;
  const said = Array.from({ length: 80 }, () => {
    const lamp = pick(lampLibrary);
    const crop = pick(cropLibrary);
    const stage = pick(crop.stages);
    const [w, d] = [0.1 + 0.5 * next(), 0.1 + 0.3 * next()];
    const profile = profileOf({
      emitters: emittersOf(lamp, { x: 0, y: 0, face: 0, turn: 0 }),
      plantAreas: [{ x0: -w / 2, x1: w / 2, y0: -d / 2, y1: d / 2 }],
      nearest: 0.02,
      farthest: 1.5,
      around: null,
    });
    const fixed = pick<Fixed>([
      { what: 'nothing' },
      { what: 'nothing' },
      { what: 'distance', distance: 0.3 },
      { what: 'hours', hours: 13 },
      { what: 'strength', ppfd: 150 },
      { what: 'dose', dli: 9 },
    ]);
    const daylight = pick([null, null, { dli: 3, from_min: 480, to_min: 1020, peak: null }]);
    const task = { stage, limits: limitsOfStage(stage), daylight, clearance: clearanceOf(lamp) };
    return [lamp.id, crop.id, stage.stage, fixed, solve(profile, task, fixed), suitingDistances(profile, task, 14)];
  });
  expect(lines(said)).toMatchSnapshot();
});

test('plans of hours side by side for every twelfth crop', () => {
  const said = cropLibrary
    .filter((_, i) => i % 12 === 0)
    .map((crop, i) => {
      const day = i % 2 === 0 ? null : { dli: 2, from_min: 540, to_min: 960, peak: null };
      const batch = { ...UNDATED, id: 'b', label: null, cropId: crop.id, stage: crop.stages[0]!.stage, height: null };
      const plans = PLAN_KINDS.map((kind) => ({ kind, hours: null, days: null }));
      const lamp = { power: 40, price_per_kWh: 0.3, fadedTo: (h: number) => 1 - h / 40_000 };
      return [crop.id, comparePlans(plans, batch, crop, { weakest: 110, mean: 170, strongest: 260 }, 15, lamp, TODAY, day)];
    });
  expect(lines(said)).toMatchSnapshot();
});

test('how every fourth crop grows, in good light and in poor', () => {
  const said = cropLibrary
    .filter((_, i) => i % 4 === 1)
    .map((crop) => {
      const dated = { ...UNDATED, id: 'b', label: null, cropId: crop.id, stage: crop.stages[0]!.stage, height: null, sown: TODAY };
      const grown = [5, 15, 40, 90].map((d) => growthOf(dated, crop, TODAY + d));
      const stage = crop.stages[0]!;
      const under = (share: number, heat: number, photoperiod: number) => {
        const dli = share * stage.dliMin;
        const day = { dli, litPpfd: dli / (photoperiod * 0.0036), noonPpfd: 0, clearDli: 0, photoperiod, sunHours: 0, heat };
        let plant = sprout(crop);
        for (let i = 0; i < 10; i++) plant = plantAfter(plant, day, crop, stage, limitsOfStage(stage));
        return plant;
      };
      return [crop.id, grown, under(1.2, 0, 14), under(0.4, 0, 12), under(4, 0.2, 23)];
    });
  expect(lines(said)).toMatchSnapshot();
});

test('doses and results: the curve, or why none is drawn', () => {
  const next = mulberry(11);
  const said = Array.from({ length: 24 }, (_, i) => {
    const points = Array.from({ length: [2, 3, 4, 5, 6, 7, 8, 14][i % 8]! }, () => {
      const dli = Math.round(2 + 18 * next());
      return { dli, y: Math.round(10 * (20 * (1 - Math.exp(-dli / 6)) * (i % 3 === 0 ? -1 : 1) + 6 * (next() - 0.5))) / 10 };
    });
    return [fitDose(i % 2 === 0 ? 'exp' : 'mm', points, 12), doseDirection(points)];
  });
  expect(lines(said)).toMatchSnapshot();
});

test('walks with the meter over every tier of the demo', () => {
  const said = stands.flatMap((s) => s.tiers.filter((t) => t.lamps.length > 0).map((t) => [t.tier.id, planWalk(t, 9), planWalk(t, 4)]));
  expect(lines(said.flat())).toMatchSnapshot();
});

test('where each plant of the demo is heading, and what the clinic makes of each with the same signs', () => {
  const said = stands.flatMap((stand) => {
    const { tiers } = answerBench(questionOfStand(stand, null));
    return stand.tiers.flatMap((tier) =>
      tier.trays.map((tray, i) => {
        const light = tiers[tier.tier.id]!.trays[tray.tray.id]!;
        const signs = [['stretched-stems', 'pale'], ['scorched-spots'], ['leaves-curl'], ['purple-stems', 'slow']][i % 4]!;
        const told = [
          {},
          { day_C: 26, night_C: 24, water: 'often', fed: 'weakly' },
          { hasFan: false, isCrowded: true },
          { night_C: 6 },
          { day_C: 9, night_C: 9 },
        ][i % 5]! as object;
        const kase = { id: 'c', batchId: tray.batch.id, trayId: tray.tray.id, opened: TODAY, since: TODAY - 4, places: [i % 9], signs, told, denied: [], tests: [], closed: null }; // prettier-ignore
        const { weighed, facts, ...rest } = diagnose(kase, { stand, tier, tray, light }, TODAY);
        return [tray.tray.id, headingFor(tier, tray, light), weighed.slice(0, 4).map((w) => [w.cause, w.share]), facts.map((f) => [f.id, f.found]), rest]; // prettier-ignore
      }),
    );
  });
  expect(lines(said)).toMatchSnapshot();
});

test('what of every treatment the plan can do for two trays', () => {
  const said = ['demo-rack-17', 'demo-sill-4'].map((id) => {
    const stand = stands.find((s) => s.tiers.some((t) => t.trays.some((y) => y.tray.id === id)))!;
    const answer = answerBench(questionOfStand(stand, null));
    const mends = mendsByPlan({ site, standId: stand.stand.id, scope: { of: 'tray', id }, answer }, TREATMENTS, tables);
    return mends.map((m) => [id, m.treatment, m.move, m.before.loss, m.after.loss]);
  });
  expect(lines(said.flat())).toMatchSnapshot();
});

test('the season week by week, the bill, what each batch has taken, how trials came out', () => {
  const season = site.season!;
  const shelves = shelvesOf(site, TODAY, TODAY + 200, tables);
  const look = lookAtSeason(site, season, shelves, TODAY, tables);
  const { weeks, placing } = look;
  expect(lines([...weeks, ...shelves.carries])).toMatchSnapshot();
  expect(lines([placing])).toMatchSnapshot();
  const taken = [0, 3, 6, 9].map((week) => {
    const { site: then, ...counts } = takeToStands(site, look, week, tables);
    const tiers = then.stands.flatMap((s) => s.tiers.map((t) => [t.id, t.fittings.map((f) => f.face), t.trays.map((y) => y.id)]));
    return [counts, tiers, then.timers.map((t) => [t.id, t.on_min, t.lit_min])];
  });
  expect(lines(taken)).toMatchSnapshot();
  const bill = billOf(site, tables);
  expect(lines([...bill, totalOf(bill), ...site.batches.map((b) => sumsOf(site, b, TODAY, tables))])).toMatchSnapshot();
  expect(lines(site.trials.map(resultOf))).toMatchSnapshot();
});

test('exercises left alone: what becomes of the plants', () => {
  const said = EXERCISES.map((e) => {
    const { session } = playThrough(e, 3, TODAY, tables, (s) => s);
    return [e.id, session.today - session.first, session.ended, Object.entries(session.trays)];
  });
  expect(lines(said)).toMatchSnapshot();
});
