import { BARE_SITE } from '../../site/stand/bare';
import { addFitting, addTray, changeFittings, setTimes } from '../../site/stand/change';
import { addWindow, setPlace, standAtWindow } from '../../site/stand/changeWindows';
import { daylightOfTray, type Site } from '../../site/stand/Site';
import { hangerOf } from '../../site/stand/Hanger';
import { standFrom, TEMPLATES } from '../../site/stand/templates';
import { USUAL_WINDOW } from '../../site/window/Window';
import { answerBench } from '../../answer/bench/answerBench';
import { questionOfStand } from '../../answer/bench/questionOfStand';
import { peakOf } from '../../judge/dli/LightDay';
import { asOf } from '../../answer/stand/asOf';
import { benchStandOf } from '../../answer/stand/benchStand';
import { containerLibrary } from '../../things/container/containerLibrary';
import { lampLibrary } from '../../things/lamp/lampLibrary';
import { tables } from '../../things/tables/libraryTables';
import { dayFrom } from '../../units/day';
import { hangChartOf } from './hangChartOf';
import { AS_TODAY, sunsOfDays } from './sunsOfDays';

const FROM = dayFrom(2027, 2, 1);
const UNTIL = dayFrom(2027, 4, 30);

/** A tray that stays before a window, a south one if nothing is said, under a lamp. */
function site(stated: { dli: number; from_min: number; to_min: number } | null = null, cropId = 'basil', facing = Math.PI): Site {
  let n = 0;
  const ids = () => `d${n++}`;
  const { stand, timer } = standFrom(
    TEMPLATES.find((t) => t.kind === 'bench')!,
    1,
    'Shelf',
    ids,
  );
  const tier = stand.tiers[0]!.id;
  const kept = { ...stand, tiers: stand.tiers.map((t) => ({ ...t, daylight: stated })) };
  const bare: Site = { ...BARE_SITE, currency: 'EUR', price_per_kWh: 0.3, stands: [kept], timers: [timer], timeZone: 'UTC' };
  return [
    setPlace({ latitude: (52 * Math.PI) / 180, longitude: 0 }),
    addWindow({ ...USUAL_WINDOW, id: 'w', name: 'Window', facing }),
    standAtWindow(stand.id, { windowId: 'w', side: 'back', gap: 0.05, along: 0, above: 0 }),
    addTray(
      tier,
      containerLibrary.find((c) => c.id === 'pot-13')!,
      { cropId, stage: 'growing-on' },
      { x: 0.6, y: 0.4 },
      ids,
    ),
    addFitting(
      tier,
      lampLibrary.find((l) => l.id === 'led-bar-12-white-24')!,
      { x: 0.6, y: 0.3, face: 0.5 },
      'lamp',
    ),
  ].reduce((s, change) => change(s), bare);
}

test('daylight of a chart goes along with the year, on every day within a few per cent of what matters of what the window gives then', () => {
  const now = asOf(site(), FROM, tables);
  const stand = now.stands[0]!;
  const { tiers } = benchStandOf(now, stand, tables);
  const tray = tiers[0]!.trays[0]!;
  const suns = sunsOfDays(now, stand.id, tiers, FROM, UNTIL, tables);
  for (let day = FROM; day <= UNTIL; day += 5) {
    const tier = asOf(site(), day, tables).stands[0]!.tiers[0]!;
    const [told, then] = [suns.on(tray, day)!, daylightOfTray(tier, tier.trays[0]!)!];
    expect(told.dli).toBeWithin(then.dli, { absolute: 0.1 * tray.stage.dliMin });
    expect(peakOf(told)).toBeWithin(peakOf(then), { absolute: 0.1 * tray.stage.ppfdMax });
    // Never shorter than it is: days that are too long are told.
    expect(told.to_min - told.from_min).toBeGreaterThanOrEqual(then.to_min - then.from_min - 8);
  }
  expect(suns.on(tray, UNTIL)!.dli).toBeGreaterThan(1.5 * suns.on(tray, FROM)!.dli);
  expect(suns.stretch(FROM)).toBe(suns.stretch(FROM + 1));
});

test('what is stated, and what stands at no window, stays', () => {
  const stated = asOf(site({ dli: 3, from_min: 480, to_min: 960 }), FROM, tables);
  expect(sunsOfDays(stated, stated.stands[0]!.id, [], FROM, UNTIL, tables)).toBe(AS_TODAY);
  const away = asOf(standAtWindow(stated.stands[0]!.id, null)(site()), FROM, tables);
  expect(sunsOfDays(away, away.stands[0]!.id, [], FROM, UNTIL, tables)).toBe(AS_TODAY);
});

test('a chart that is begun in winter tells of its last days the light of spring', () => {
  const now = asOf(site(), FROM, tables);
  const stand = now.stands[0]!;
  const answer = answerBench(questionOfStand(benchStandOf(now, stand, tables), null));
  const chart = hangChartOf({ site: now, standId: stand.id, from: FROM, answer, timerStep_min: 15 }, tables);
  const days = chart.visits.flatMap((v) => [...v.after, ...v.before]);
  const last = chart.visits.at(-1)!;
  const sun = asOf(site(), last.last, tables).stands[0]!.tiers[0]!.sun!;
  expect(chart.until - FROM).toBeGreaterThan(30);
  expect(days.length).toBeGreaterThan(0);
  expect(last.before[0]!.mean).toBeGreaterThan(0.98 * sun.dli);
  // By then plants have longer days, too: from sunrise to sunset, lamps beside it.
  expect(last.before[0]!.photoperiod).toBeGreaterThanOrEqual((sun.to_min - sun.from_min) / 60 - 0.2);
});

test('days that the sun makes long are none that are too long; lamps burn less beside it in spring, and what the sun alone does is told as that', () => {
  const from = dayFrom(2027, 3, 20);
  const sill = site(null, 'fern', Math.PI / 4);
  const now = asOf(setTimes(sill.timers[0]!.id, 420, 720)(sill), from, tables);
  const stand = now.stands[0]!;
  const answer = answerBench(questionOfStand(benchStandOf(now, stand, tables), null));
  const chart = hangChartOf({ site: now, standId: stand.id, from, answer, timerStep_min: 15 }, tables);
  const days = chart.visits.flatMap((v) => [...v.after, ...v.before]);
  // Ferns bear fourteen hours of lamps, and a day of June.
  expect(Math.max(...days.map((d) => d.photoperiod))).toBeGreaterThan(14.5);
  expect(days.filter((d) => d.says === 'long')).toEqual([]);
  expect(chart.limits.filter((l) => l.says === 'long')).toEqual([]);
  const hours = chart.visits.flatMap((v) => v.hours.map((h) => h.lit_min));
  expect(hours.length).toBeGreaterThan(0);
  expect(hours.at(-1)).toBeLessThan(720);
  for (const l of chart.limits.filter((m) => m.bound === 'sun'))
    expect(asOf(sill, l.to, tables).stands[0]!.tiers[0]!.sun!.dli).toBeGreaterThan(3);
});

test('daylight alone that is more than a crop can use is told as that, by its dose or by its strength, and no lamp is blamed', () => {
  const limitsBeside = (dli: number) => {
    const now = asOf(site({ dli, from_min: 300, to_min: 1200 }, 'fern'), FROM, tables);
    const stand = now.stands[0]!;
    const answer = answerBench(questionOfStand(benchStandOf(now, stand, tables), null));
    return hangChartOf({ site: now, standId: stand.id, from: FROM, answer, timerStep_min: 15 }, tables).limits;
  };
  // Ferns can use 7 mol; leaves bear 150 µmol/m²/s for whole days. Half a sine of 15 h peaks at 29 µmol/m²/s a mol.
  expect(limitsBeside(7.4)).toMatchObject([{ says: 'much', bound: 'sun-dose', otherHours: null }]);
  expect(limitsBeside(9)).toMatchObject([{ says: 'much', bound: 'sun', otherHours: null }]);
});

test('at a window hours and heights are set together: from a summer without lamps into an autumn with them, and no lamp goes up and down in vain', () => {
  const from = dayFrom(2027, 7, 20);
  const sill = site(null, 'fern', Math.PI / 4);
  const now = asOf(setTimes(sill.timers[0]!.id, 420, 720)(changeFittings(sill.stands[0]!.tiers[0]!.id, ['lamp'], () => ({ hanger: hangerOf('chain') }))(sill)), from, tables); // prettier-ignore
  const stand = now.stands[0]!;
  const answer = answerBench(questionOfStand(benchStandOf(now, stand, tables), null));
  const { visits, limits } = hangChartOf({ site: now, standId: stand.id, from, answer, timerStep_min: 15 }, tables);
  expect(limits).toEqual([]);
  const lit = visits.flatMap((v) => v.hours.map((h) => h.lit_min));
  expect(lit[0]).toBeLessThan(4 * 60);
  expect(lit.at(-1)).toBeGreaterThan(12 * 60);
  expect(visits.filter((v) => v.lamps.length > 0).length).toBeLessThanOrEqual(2);
});
