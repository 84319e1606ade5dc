import type { Span } from '@/core/units/Span';
import { tables } from '@/core/things/tables/libraryTables';
import { benchStandOf } from '@/core/answer/stand/benchStand';
import { hangerOf } from '@/core/site/stand/Hanger';
import type { VisitJobs } from '@/core/site/hang/KeptChart';
import { chartRows } from '@/core/exchange/formats/chartTable';
import type { HangChart } from '@/core/plan/hang/HangChart';
import { loadsOf } from '@/core/answer/power/loadsOf';
import { dayFrom } from '@/core/units/day';
import { chartCsv, chartJson } from '@/store/files/writeChart';
import type { TrayDay } from '@/core/plan/hang/HangChart';
import { demoSite } from '@/store/site/demoSite';
import { pinIn } from '../cards/TimerPins';
import { outletFaultWords, groupName } from '../outlets/outletWords';
import { awayWords, briefDayWords, dayWords, daysWords, longDayWords, spanWords } from '../season/dayWords';
import { ageWords } from './ageWords';
import { eventsOf } from './ChartOut';
import { jobsOf, chartLimitWords, sayWords } from './jobWords';

const TODAY = dayFrom(2027, 2, 10);
const site = demoSite('en-GB', TODAY);
const stand = benchStandOf(
  site,
  site.stands.find((s) => s.id === 'demo-rack')!,
  tables,
);
const [one, two, three] = stand.tiers;

const visit: VisitJobs = {
  day: TODAY + 3,
  lamps: [
    ...one!.lamps.map((l) => ({ tierId: one!.tier.id, fittingId: l.fitting.id, steps: 2, face: l.fitting.face + 0.04 })),
    { tierId: two!.tier.id, fittingId: two!.lamps[0]!.fitting.id, steps: -3, face: 0.124 },
    ...three!.lamps.map((l) => ({ tierId: three!.tier.id, fittingId: l.fitting.id, steps: 8, face: l.fitting.face + 0.04 })),
    { tierId: 'gone', fittingId: 'gone', steps: 1, face: 1 },
  ],
  dims: [
    ...one!.lamps.map((l) => ({ tierId: one!.tier.id, fittingId: l.fitting.id, from: 1, to: 0.75 })),
    { tierId: two!.tier.id, fittingId: two!.lamps[0]!.fitting.id, from: 0.5, to: 1 },
  ],
  risers: [{ tierId: one!.tier.id, trayId: one!.trays[0]!.tray.id, from: 2, to: 0 }],
  hours: [{ timerId: stand.tiers[4]!.timer.id, on_min: 330, lit_min: 870 }],
};

test('what is to be done is said in the steps that there are, tier by tier, the timers last', () => {
  expect(jobsOf(visit, stand, { lengthUnit: 'cm', clock: '24' }).map((j) => `${j.tier ?? '-'} ${j.words}`)).toEqual([
    '1 both lamps 2 links up, face 37 cm above the shelf',
    '1 both lamps dimmed to 75 %',
    '1 Leek: 2 risers out, then on the shelf',
    '2 1 of 2 lamps (46 cm from the left and 12 cm from the front) 3 notches down, face 12.4 cm above the shelf',
    '2 1 of 2 lamps (46 cm from the left and 12 cm from the front) turned up to full light',
    '3 all three lamps 4 cm up, faces 37 cm and 34 cm above the shelf',
    '- Timer of tiers 4 and 5: 05:30 to 20:00, 14 h 30',
  ]);
  expect(jobsOf(visit, stand, { lengthUnit: 'in', clock: '24' })[0]!.words).toBe('both lamps 2 links up, face 14½ in above the shelf');
  expect(hangerOf('chain').step).toBe(0.02);
});

test('of lamps of several kinds those that move are called by their kind', () => {
  const five = stand.tiers[4]!;
  const [first, second] = five.lamps;
  expect(first!.lamp.id).not.toBe(second!.lamp.id);
  const moved = { day: TODAY, lamps: [{ tierId: five.tier.id, fittingId: second!.fitting.id, steps: 1, face: 0.2 }], dims: [], risers: [], hours: [] }; // prettier-ignore
  expect(jobsOf(moved, stand, { lengthUnit: 'cm', clock: '24' }).map((j) => j.words)).toEqual([
    `${second!.lamp.name} 1 link up, face 20 cm above the shelf`,
  ]);
});

const chart: HangChart = {
  standId: 'demo-rack',
  from: TODAY,
  until: TODAY + 57,
  visits: [{ ...visit, last: TODAY + 9, after: [], before: [] }],
  limits: [
    { tierId: one!.tier.id, trayId: one!.trays[0]!.tray.id, says: 'short', bound: 'heat', otherHours: null, from: TODAY, to: TODAY + 2 },
  ],
  trips: [],
  clockChanges: [],
  rounds: 16,
};

test('the same list as rows, as a table that no spreadsheet runs, as JSON and as a calendar', () => {
  const rows = chartRows(chart, stand);
  expect(rows.map((r) => r.what)).toEqual(['lamp', 'lamp', 'dimmer', 'dimmer', 'riser', 'lamp', 'dimmer', 'lamp', 'lamp', 'lamp', 'timer']);
  expect(rows[0]).toMatchObject({ day: '2027-02-13', tier: 1, steps: 2, face_m: 0.37, on_min: '' });
  expect(rows[2]).toMatchObject({ tier: 1, setting: 0.75, steps: '' });
  expect(rows[4]).toMatchObject({ thing: 'Leek', risers: 0, x_m: one!.trays[0]!.tray.x });
  // Two lamps of one kind are told apart by where they hang.
  expect(rows[0]!.thing).toBe(rows[1]!.thing);
  expect([rows[0]!.y_m, rows[1]!.y_m]).toEqual(one!.lamps.map((l) => l.fitting.y));
  expect(rows.at(-1)).toMatchObject({ tier: '', thing: 'tiers 4 5', on_min: 330, lit_min: 870 });
  const evil = { ...stand, stand: { ...stand.stand, name: '=cmd|calc' } };
  const lines = chartCsv(chart, evil).split('\r\n');
  expect(lines).toHaveLength(rows.length + 2);
  expect(lines[1]).toMatch(/^2027-02-13,'?"?'=cmd\|calc/);
  expect(JSON.parse(chartJson(chart, stand))).toMatchObject({
    format: 'copper-noon/hang-chart',
    from: '2027-02-10',
    visits: [{ day: '2027-02-13', lastDay: '2027-02-19', jobs: { length: rows.length } }],
    limits: [{ tray: 'Leek', tier: 1, says: 'short', bound: 'heat', to: '2027-02-12' }],
  });
  // What each tray gets after a visit stands in the JSON as it was worked out, to a tenth of a millimetre or mol.
  const got = { trayId: one!.trays[0]!.tray.id, tierId: one!.tier.id, stage: 'seedling', phase: 'growing', height: 0.0512349, distance: 0.2, weakest: 9.42, mean: 11, strongest: 12.5, says: 'suits' } as unknown as TrayDay; // prettier-ignore
  const full = { ...chart, visits: [{ ...chart.visits[0]!, after: [got], before: [got] }] };
  expect((JSON.parse(chartJson(full, stand)) as { visits: { after: unknown[] }[] }).visits[0]!.after).toEqual([
    { tray: 'Leek', tier: 1, x_m: one!.trays[0]!.tray.x, y_m: one!.trays[0]!.tray.y, stage: 'seedling', phase: 'growing', height_m: 0.0512, distance_m: 0.2, weakest_mol: 9.42, mean_mol: 11, strongest_mol: 12.5, says: 'suits' }, // prettier-ignore
  ]);
  const [entry] = eventsOf(chart, stand, { lengthUnit: 'cm', clock: '24' }, 18 * 60);
  expect(entry).toMatchObject({ uid: 'demo-rack-2027-02-13@copper-noon', at_min: 1080, title: 'Map-room rack: 7 things to do' });
  expect(entry!.text.split('\n')[0]).toBe('Tier 1: both lamps 2 links up, face 37 cm above the shelf');
});

test('every way in which a tray can be off has a word, and every limit says what would help', () => {
  const says = ['suits', 'short', 'much', 'uneven', 'hot', 'rest'] as const;
  expect(new Set(says.map(sayWords)).size).toBe(says.length);
  for (const bound of ['heat', 'ceiling', 'fixed', 'rhythm', 'shared', 'sun', 'sun-dose', null] as const)
    for (const s of ['short', 'much', 'uneven', 'hot'] as const)
      for (const otherHours of ['timer', 'own', null] as const) {
        if (bound === (s === 'short' ? 'ceiling' : 'heat') || (s === 'short' && (bound === 'sun' || bound === 'sun-dose'))) continue; // too little is never for want of height, nor the rest for want of nearness
        const words = chartLimitWords({ says: s, bound, otherHours }, false);
        expect(words).toMatch(/^[A-Z].*\.$/);
        // Other hours are named only where they would help, and the right way.
        if (otherHours === null || s === 'uneven' || s === 'hot') expect(words).not.toMatch(/photoperiod/);
        expect(words).not.toMatch(s === 'short' ? /shorter|weaker|fewer/ : /longer|stronger|riser/);
      }
  expect(chartLimitWords({ says: 'hot', bound: 'ceiling', otherHours: null }, false)).toContain('too tall for this tier');
  expect(chartLimitWords({ says: 'short', bound: null, otherHours: 'own' }, false)).toContain(
    'a longer photoperiod on a timer of its own, or more',
  );
});

test('days by their names, and how far off they are', () => {
  expect([dayWords(TODAY), briefDayWords(TODAY), longDayWords(TODAY)]).toEqual(['Wed 10 Feb', '10 Feb', 'Wednesday 10 February 2027']);
  expect([0, 1, -1, 5, -3].map((n) => awayWords(TODAY + n, TODAY))).toEqual(['today', 'tomorrow', 'yesterday', 'in 5 days', '3 days ago']);
  expect([spanWords(TODAY, TODAY), spanWords(TODAY, TODAY + 2)]).toEqual(['Wed 10 Feb', 'Wed 10 Feb to Fri 12 Feb']);
  expect([daysWords(1), daysWords(2)]).toEqual(['1 day', '2 days']);
});

test('how far along a tray is, by its date', () => {
  const leek = one!.trays[0]!;
  const { sown } = leek.batch;
  expect(ageWords(leek, TODAY)).toBe('seedling, 20 days since emergence');
  expect(ageWords({ ...leek, batch: { ...leek.batch, sown: null } }, TODAY)).toBe('seedling; no date yet');
  expect(ageWords({ ...leek, batch: { ...leek.batch, leaves: TODAY - 1 } }, TODAY)).toBe('left on Tue 9 Feb');
  expect(ageWords({ ...leek, batch: { ...leek.batch, log: [] } }, sown! + 2)).toMatch(/^sown; up \w+ \d+ \w+ to /);
});

test('the pins that are pushed in are as many as the hours ask for, also past midnight', () => {
  const count = (on: number, lit: number, pause: Span | null = null) =>
    Array.from({ length: 96 }, (_, i) => i).filter((i) => pinIn(i, { on_min: on, lit_min: lit, pause })).length;
  expect(count(330, 870)).toBe(58);
  expect(count(1200, 600)).toBe(40);
  expect([count(0, 0), count(0, 1440)]).toEqual([0, 96]);
  const times = { on_min: 330, lit_min: 870, pause: null };
  expect(count(330, 600, { from_min: 720, to_min: 840 })).toBe(40);
  expect([22, 21, 79, 80].map((pin) => pinIn(pin, times))).toEqual([true, false, true, false]);
});

test('what is plugged in wrongly is said with its reason', () => {
  const loads = loadsOf(stand);
  expect(loads.faults.map((f) => outletFaultWords(f, stand, loads))).toEqual([
    'Heat mat, tier 5 goes off with the lamps, just when the nights are cold. A mat belongs on an outlet that is always live, with a thermostat.',
  ]);
  expect(outletFaultWords({ why: 'overloaded', timerId: null, load: 900, allowed: 800 }, stand, loads)).toContain('four fifths');
  expect(outletFaultWords({ why: 'too-few-outlets', timerId: null, plugs: 3, outlets: 2 }, stand, loads)).toContain(
    '2 outlets for 3 plugs',
  );
  expect(groupName(stand, null)).toBe('Always live');
});
