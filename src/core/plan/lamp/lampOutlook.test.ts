import { demoSite } from '../../../store/site/demoSite';
import { answerBench } from '../../answer/bench/answerBench';
import { judgeTray } from '../../answer/bench/judgeTray';
import { questionOfStand } from '../../answer/bench/questionOfStand';
import { asOf } from '../../answer/stand/asOf';
import { benchStandOf } from '../../answer/stand/benchStand';
import { daylightDli } from '../../judge/dli/LightDay';
import { ageingOf } from '../../site/ownLamps/ageingOf';
import { tables } from '../../things/tables/libraryTables';
import { hoursBurned, hoursUntilFaded, maintenance } from '../../things/lamp/ageing';
import { lampLibrary } from '../../things/lamp/lampLibrary';
import { dayFrom } from '../../units/day';
import { fadingOf, MARKS, traysUnder } from './lampOutlook';

const TODAY = dayFrom(2027, 2, 20);

test('turned round and back: at the hours that are said a lamp gives just that share', () => {
  for (const lamp of lampLibrary)
    for (const share of [0.99, 0.9, 0.8, 0.7, 0.55]) {
      const hours = hoursUntilFaded(lamp, share);
      if (Number.isFinite(hours)) expect(maintenance(lamp, hours)).toBeWithin(share, { relative: 1e-9 });
      else expect(lamp.maintenanceAtEnd).toBe(1);
    }
  expect(hoursUntilFaded({ family: 'LED', life_h: 1000, maintenanceAtEnd: 1 }, 0.9)).toBe(Infinity);
  expect(hoursUntilFaded(lampLibrary[0]!, 1)).toBe(0);
  expect(() => hoursUntilFaded(lampLibrary[0]!, 0)).toThrow(RangeError);
});

test('days to a mark are those of a count day by day', () => {
  const lamp = { family: 'LED-bar', life_h: 20_000, maintenanceAtEnd: 0.7 };
  for (const { share, day } of fadingOf(lamp, 3000, 15.5, TODAY)) {
    let [hours, days] = [3000, 0];
    while (maintenance(lamp, hours) > share) {
      hours += 15.5;
      days++;
    }
    expect(day).toBe(TODAY + days);
  }
});

test('faded already is today; a lamp that burns nowhere has no day', () => {
  const lamp = { family: 'T8', life_h: 20_000, maintenanceAtEnd: 0.7 };
  expect(fadingOf(lamp, 19_999, 14, TODAY).map((f) => f.day)).toEqual([TODAY, TODAY, TODAY + 1]);
  expect(fadingOf(lamp, 0, 0, TODAY).map((f) => f.day)).toEqual(MARKS.map(() => null));
});

test('a tray is short from the day on which a count day by day finds it short; by then the marks have their share of the lamp light', () => {
  const site = asOf(demoSite('en-GB', TODAY), TODAY, tables);
  const days: (number | null)[] = [];
  for (const kept of site.stands) {
    const stand = benchStandOf(site, kept, tables);
    const { tiers } = answerBench(questionOfStand(stand, null));
    for (const t of stand.tiers)
      for (const lamp of t.lamps.slice(0, 1)) {
        const burned = hoursBurned(lamp.lamp, ageingOf(t.tier, lamp.fitting));
        const now = maintenance(lamp.lamp, burned);
        const judged = t.trays.map((y) => judgeTray(t, y, tiers[t.tier.id]!.trays[y.tray.id]!));
        for (const [i, told] of traysUnder(t, lamp, judged, TODAY).entries()) {
          const { tray } = judged[i]!;
          const byDay = daylightDli(tray.day);
          const after = (n: number) => byDay + ((told.weakest - byDay) * maintenance(lamp.lamp, burned + n * t.hours)) / now;
          days.push(told.shortFrom);
          const most = 20_000;
          let n = 0;
          while (n < most && after(n) >= told.needs * (1 - 1e-12)) n++;
          if (told.shortFrom === null) expect(n).toBe(most);
          else expect(Math.abs(told.shortFrom - TODAY - n)).toBeLessThanOrEqual(1);
          for (const [k, mark] of MARKS.entries())
            expect(told.at[k] ?? null).toEqual(mark >= now ? null : expect.closeTo(byDay + ((told.weakest - byDay) * mark) / now, 6));
        }
      }
  }
  expect(days.filter((d) => d === TODAY).length).toBeGreaterThan(0);
  expect(days.filter((d) => d !== null && d > TODAY).length).toBeGreaterThan(0);
});
