import { CLIMATE_KINDS, readyClimate, sunshineOf, usualClimate } from './climates';
import { outdoorsOver } from './outdoorsAt';
import { readEpw } from './readEpw';
import { readWeatherCsv } from './readWeatherCsv';
import { simulatedSky } from './simulatedSky';

const RAD = Math.PI / 180;
const PLACE = { latitude: 52 * RAD, longitude: 0 };

/** A year of hours in which every month is clear for a share of its light. */
function epw(share: number, change: (line: string, i: number) => string = (l) => l): string {
  const head = ['LOCATION,Made Up,-,-,made,000000,52.0,0.0,0.0,10.0', ...Array.from({ length: 7 }, (_, i) => `HEADER ${i}`)];
  const rows: string[] = [];
  for (let d = 0; d < 365; d++) {
    const date = new Date(Date.UTC(2027, 0, 1 + d));
    outdoorsOver(date.getTime(), 24, PLACE).forEach((m, h) => {
      const global = share * m.clear.global + (1 - share) * m.overcast.global;
      rows.push(`2027,${date.getUTCMonth() + 1},${date.getUTCDate()},${h + 1},60,flags,8,6,90,101300,0,0,300,${global.toFixed(2)},0,0,0`);
    });
  }
  return [...head, ...rows].map(change).join('\n');
}

test('a weather file gives back the share of sunshine that it was made of, and its place', () => {
  for (const share of [0.2, 0.7]) {
    const read = readEpw(epw(share));
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    expect(read.value.place.latitude).toBeCloseTo(52 * RAD, 9);
    for (const s of read.value.climate.sunshine) expect(s).toBeCloseTo(share, 2);
  }
});

test.each([
  ['no weather file', 'hello', 'epw/no-location '],
  ['a latitude beyond the pole', epw(0.5, (l, i) => (i === 0 ? l.replace('52.0', '95') : l)), 'epw/not-a-number line 1, latitude'],
  ['a file that lacks an hour', epw(0.5).split('\n').slice(0, -1).join('\n'), 'epw/hours '],
  ['an hour without light', epw(0.5, (l, i) => (i === 20 ? l.replace(/,300,[\d.]+,/, ',300,9999,') : l)), 'epw/no-light line 21'],
  ['light in another unit', epw(0.5, (l, i) => (i === 3000 ? l.replace(/,300,[\d.]+,/, ',300,2500,') : l)), 'epw/too-bright line 3001'],
  ['a thirteenth month', epw(0.5, (l, i) => (i === 100 ? l.replace(/^2027,\d+/, '2027,13') : l)), 'epw/not-a-date line 101'],
  ['a huge file', 'x'.repeat(4_000_001), 'epw/too-long '],
])('%s is refused by its place', (_, text, problem) => {
  const read = readEpw(text);
  if (read.ok) throw new Error('was taken');
  expect(`${read.problems[0]!.code} ${read.problems[0]!.at}`.startsWith(problem)).toBe(true);
});

test('ready climates are shares, turned by half a year in the south, and begin by latitude', () => {
  for (const kind of CLIMATE_KINDS) {
    const climate = readyClimate(kind);
    expect(climate.sunshine).toHaveLength(12);
    for (const s of climate.sunshine) expect(s > 0 && s < 1).toBe(true);
    expect(sunshineOf(climate, 0, -0.5)).toBe(climate.sunshine[6]);
  }
  // What a person typed is of their own months already.
  expect(sunshineOf({ kind: 'typed', name: '', sunshine: readyClimate('dry').sunshine }, 0, -0.5)).toBe(readyClimate('dry').sunshine[0]);
  expect([5, 25, 40, 52, 68].map((d) => usualClimate(d * RAD))).toEqual([
    'rainy-tropics',
    'humid-warm',
    'warm-dry-summer',
    'cloudy-coast',
    'far-north',
  ]);
});

test('simulated weather is the same for its seed, wherever one begins, and as sunny as its climate', () => {
  const sky = simulatedSky(PLACE, readyClimate('inland'), 7);
  const start = Date.UTC(2027, 5, 1);
  const all = [...sky.readings(start, start + 86_400_000, 10)];
  expect(all).toHaveLength(145);
  expect([...sky.readings(start + 36_000_000, start + 36_000_000, 10)][0]).toEqual(all[60]);
  expect([...simulatedSky(PLACE, readyClimate('inland'), 8).readings(start, start + 86_400_000, 10)]).not.toEqual(all);
  for (const r of all) expect(r.ppfd).toBeGreaterThanOrEqual(0);
  // A month of 1.6-hour spells: as often sunny as 0.48 ± 4 standard errors.
  const month = [...sky.readings(start, start + 29 * 86_400_000, 96)];
  const share = month.filter((r) => r.sunny).length / month.length;
  expect(Math.abs(share - 0.48)).toBeLessThan(4 * Math.sqrt((0.48 * 0.52) / month.length));
  expect(() => [...sky.readings(start, start - 1, 10)]).toThrow(RangeError);
});

/** Hours of some days as a station writes them. */
function station(share: number, days: number, zone = '', change: (line: string, i: number) => string = (l) => l): string {
  const ahead = zone === '+02:00' ? 2 : 0;
  const rows = Array.from({ length: days }, (_, d) => {
    const start = Date.UTC(2027, 4, 3 + d);
    return outdoorsOver(start, 24, PLACE).map((m, h) => {
      const at = new Date(start + (h + ahead) * 3_600_000).toISOString().slice(0, 16);
      return `${at}${zone},${(share * m.clear.global + (1 - share) * m.overcast.global).toFixed(3)}`;
    });
  }).flat();
  return ['time,global_Wh_per_m2', ...rows].map(change).join('\n');
}
const hours = (text: string) => {
  const read = readWeatherCsv(text, PLACE);
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return read.value;
};

test('hours of a station give back the share of sunshine of their month, in any time zone; the other months stay unknown', () => {
  for (const zone of ['', 'Z', '+02:00']) {
    const { sunshine, days } = hours(station(0.35, 14, zone));
    expect(days).toBe(14);
    expect(sunshine[4]).toBeCloseTo(0.35, 2);
    expect(sunshine.filter((s) => s !== null)).toHaveLength(1);
  }
  // Days that lack an hour do not count.
  expect(hours(station(0.5, 14, '', (l, i) => (i === 30 ? '' : l))).days).toBe(13);
});

test.each([
  ['no columns', 'hello,world\n1,2', 'weather/no-column line 1'],
  ['a day that is none', station(0.5, 12, '', (l, i) => (i === 5 ? '2027-02-30T04:00,0' : l)), 'weather/not-a-time line 6'],
  ['an hour without light', station(0.5, 12, '', (l, i) => (i === 5 ? l.replace(/,.*/, ',') : l)), 'epw/no-light line 6'],
  ['light in another unit', station(0.5, 12, '', (l, i) => (i === 14 ? l.replace(/,.*/, ',25000') : l)), 'epw/too-bright line 15'],
  ['a week only', station(0.5, 7), 'weather/too-few-days '],
  ['a huge file', 'x'.repeat(4_000_001), 'epw/too-long '],
])('hours with %s are refused by their place', (_, text, problem) => {
  const read = readWeatherCsv(text, PLACE);
  if (read.ok) throw new Error('was taken');
  expect(`${read.problems[0]!.code} ${read.problems[0]!.at}`).toBe(problem);
});
