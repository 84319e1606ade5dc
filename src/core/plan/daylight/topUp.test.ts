import { sunUp } from '../../answer/daylight/daylightAt';
import { sillAt } from '../../answer/daylight/sillsOf';
import { yearOf } from '../../answer/daylight/yearOf';
import { readyClimate } from '../../sky/outdoors/climates';
import { USUAL_WINDOW } from '../../site/window/Window';
import { spreadOf } from '../../judge/dli/LightSpread';
import { tables } from '../../things/tables/libraryTables';
import { limitsOfStage } from '../../../../test/limitsOfStage';
import { MOL_SECONDS } from '../../judge/dli/dli';
import { hoursByMonth, timerSettingsOf, topUpOf } from './topUp';

const RAD = Math.PI / 180;
const place = { latitude: 54 * RAD, longitude: 0 };
const window = { ...USUAL_WINDOW, id: 'w', name: 'w', facing: 135 * RAD };
const year = yearOf({ year: 2027, place, climate: readyClimate('cloudy-coast'), timeZone: 'UTC' }, [
  { sill: sillAt(window, { depth: 0.25, along: 0, over: 0.2 }), blind: null },
], 48); // prettier-ignore
const fern = tables.crop('fern')!.stages.find((s) => s.stage === 'growing-on')!; // 2–7 mol in 12–14 h
const evenly = (ppfd: number) => spreadOf([ppfd, ppfd]);
const rules = { step_min: 15, quiet: { from_min: 22 * 60, to_min: 6 * 60 }, cheap: null, price_per_kWh: 0.3, power: 10 };
const asked = { place, timeZone: 'UTC', rules, now: { on_min: 8 * 60, lit_min: 10 * 60, pause: null } };
const served = [{ trayId: 'fern', stage: fern, limits: limitsOfStage(fern), light: evenly(60), place: 0 }];

const topUps = topUpOf(year, { ...asked, served });

test('lamps burn long in winter, hardly or not in summer, and never in the quiet hours', () => {
  expect(topUps).toHaveLength(24);
  const hours = hoursByMonth(topUps);
  expect(hours[11]!).toBeGreaterThan(hours[3]!);
  expect(hours[5]!).toBeLessThan(1);
  for (const t of topUps) if (t.lit_min > 0) expect(t.on_min >= 360 && t.on_min + t.lit_min <= 22 * 60).toBe(true);
});

test('what is promised of a half month is what lamp and daylight come to', () => {
  for (const t of topUps) {
    const [fare] = t.results;
    expect(fare!.mean).toBeCloseTo(60 * (t.lit_min / 60) * MOL_SECONDS + fare!.daylight, 4);
    // Neither more than it bears nor, where the lamp can help, less than it needs.
    if (t.lit_min > 0) expect(fare!.mean).toBeLessThanOrEqual(fern.dliMax);
    expect(fare!.mean).toBeGreaterThanOrEqual(fern.dliMin * 0.8);
    const up = sunUp({ place, day: Math.round((t.from + t.to) / 2), ahead_min: 0 })!;
    expect(fare!.photoperiod).toBeLessThanOrEqual(Math.max(fern.hoursMax, (up.to_min - up.from_min) / 60) + 1e-9);
  }
});

test('the timer is set anew a few times a year, not every fortnight', () => {
  const settings = timerSettingsOf(topUps);
  expect(settings.length).toBeGreaterThan(1);
  expect(settings.length).toBeLessThanOrEqual(8);
});

test('each tray has the daylight of its own place: one in the dark beside it keeps the lamp on all summer', () => {
  const both = topUpOf(year, { ...asked, served: [...served, { ...served[0]!, trayId: 'dark', place: null }] });
  expect(both.some((t) => t.lit_min === 0)).toBe(false);
  for (const [i, t] of both.entries()) {
    const [lit, dark] = t.results;
    expect([lit!.daylight > 0, dark!.daylight]).toEqual([true, 0]);
    expect(lit!.daylight).toBeCloseTo(topUps[i]!.results[0]!.daylight, 9);
    expect(dark!.mean).toBeCloseTo(60 * (t.lit_min / 60) * MOL_SECONDS, 4);
    expect(lit!.mean - dark!.mean).toBeCloseTo(lit!.daylight, 4);
  }
});

test('without a lamp nothing is promised', () => expect(topUpOf(year, { ...asked, served: [] })).toEqual([]));
