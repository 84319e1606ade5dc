import 'reflect-metadata';
import { lines, named } from '../../../test/told';
import { answerBench } from '../../core/answer/bench/answerBench';
import { questionOfStand } from '../../core/answer/bench/questionOfStand';
import { asOf } from '../../core/answer/stand/asOf';
import { benchStandOf } from '../../core/answer/stand/benchStand';
import { lampsOf } from '../../core/answer/stand/comparedIn';
import { fitTier } from '../../core/measure/fit/fitTier';
import { diagnose } from '../../core/plan/clinic/diagnose';
import { rotatedLight } from '../../core/plan/rotation/rotationEffect';
import { datesFrom } from '../../core/plan/season/seasonDates';
import { coursesOf } from '../../core/plan/season/seasonLook';
import { sowingList } from '../../core/plan/season/sowingList';
import { jobsOn } from '../../core/plan/today/jobsOf';
import type { RotationKind } from '../../core/site/stand/Rotation';
import { litOf } from '../../core/site/reading/Reading';
import { aroundOf } from '../../core/site/stand/roomOf';
import { tables } from '../../core/things/tables/libraryTables';
import { dayFrom, isoOf } from '../../core/units/day';
import { exportSite } from '../files/exportSite';
import { journalCsv } from '../files/journalCsv';
import { tablesCsv } from '../files/tablesCsv';
import { planText } from '../plan/planText';
import { demoSite } from './demoSite';

/*
 * What the demo is told, as it was read through by people who grow plants: where a change of code changes any of it, it is to be read
 * again (the difference shows), and then kept with `npx jest demoAnswers -u`. Other tests say what is right; this one says that
 * nothing else has changed.
 */
const TODAY = dayFrom(2027, 2, 24);
const demo = { ...demoSite('en-GB', TODAY), timeZone: 'Etc/UTC' };
const site = asOf(demo, TODAY, tables);
/** Windows, dimmers, spares and pots; offers where they are quick. */
const ASKED = [
  ['demo-sill', 'trays,chart'],
  ['demo-landing', 'trays'],
  ['demo-stacks', 'trays,chart'],
  ['demo-rack', 'trays'],
  ['demo-niche', 'trays,offers,chart'],
] as const;

test.each(ASKED)('what %s is told: %s, hours, faults', async (id, only) => {
  const said = await planText(exportSite(demo, [id]), ['--day', isoOf(TODAY), '--only', only], 0);
  if (!said.ok) throw new Error(JSON.stringify(said.problems));
  const { trays, advice, timers, chart, ...rest } = said.stands[0]!;
  const { visits = [], ...more } = chart ?? {};
  const offers = advice.flatMap(({ offers: all, ...scope }) => [scope, ...all]);
  expect(lines([...trays, ...offers, ...timers, ...visits, more, rest])).toMatchSnapshot();
});

test('what is to be done on a day, and a week later', () => {
  expect(lines(jobsOn(site, [], TODAY, tables))).toMatchSnapshot();
  expect(lines(jobsOn(site, [], TODAY + 7, tables))).toMatchSnapshot();
});

test('what the readings say of lamps and sides', () => {
  const rack = site.stands.find((s) => s.id === 'demo-rack')!;
  const read = rack.tiers.filter((t) => t.readings.length > 1);
  expect(read.length).toBeGreaterThan(0);
  const found = read.map((tier) => {
    const others = rack.tiers.filter((t) => t !== tier).map((t) => ({ lit: litOf(t), around: aroundOf(t) }));
    return fitTier(tier, lampsOf(site, tables), others, 'fit', Date.UTC(2027, 1, 24));
  });
  expect(lines(found)).toMatchSnapshot();
});

test('what the clinic says of every sick plant', () => {
  const said = site.stands.flatMap((kept) => {
    const stand = benchStandOf(site, kept, tables);
    const cases = site.clinic.filter((c) => stand.tiers.some((t) => t.trays.some((y) => y.batch.id === c.batchId)));
    if (cases.length === 0) return [];
    const { tiers } = answerBench(questionOfStand(stand, null));
    return cases.map((kase) => {
      const tier = stand.tiers.find((t) => t.trays.some((y) => y.batch.id === kase.batchId))!;
      const tray = tier.trays.find((y) => y.batch.id === kase.batchId)!;
      return diagnose(kase, { stand, tier, tray, light: tiers[tier.tier.id]!.trays[tray.tray.id]! }, TODAY);
    });
  });
  expect(said.length).toBeGreaterThan(0);
  expect(lines(said)).toMatchSnapshot();
});

test('what each tray gets while it is turned and swapped', () => {
  const kept = site.stands.find((s) => s.id === 'demo-landing')!;
  const stand = benchStandOf(site, kept, tables);
  const { tiers } = answerBench(questionOfStand(stand, null));
  const rotated = stand.tiers.flatMap((t) => {
    const maps = Object.fromEntries(Object.entries(tiers[t.tier.id]!.trays).map(([id, light]) => [id, light.map]));
    return [null, 'turn', 'swap', 'both'].flatMap((kind) => rotatedLight(t, kind as RotationKind | null, [maps, maps]));
  });
  expect(lines(rotated)).toMatchSnapshot();
});

test('what the season is told: what to sow when, and its dates', () => {
  const season = site.season!;
  expect(lines(sowingList(site, season, tables).rows)).toMatchSnapshot();
  expect(lines(datesFrom(coursesOf(site, season, tables), TODAY))).toMatchSnapshot();
});

test('what goes out as tables', () => {
  expect(named(Object.entries(tablesCsv(site)).flat().join('\n'))).toMatchSnapshot();
  expect(named(journalCsv(site))).toMatchSnapshot();
});
