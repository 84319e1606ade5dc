import { readFileSync } from 'node:fs';
import { sillAt } from '../../core/answer/daylight/sillsOf';
import { yearOf } from '../../core/answer/daylight/yearOf';
import { USUAL_WINDOW } from '../../core/site/window/Window';
import { answerDaylightText } from './answerDaylightText';

const example = readFileSync('docs/examples/window.json', 'utf8');
const problem = (change: (file: Record<string, Record<string, unknown>>) => void) => {
  const file = JSON.parse(example) as Record<string, Record<string, unknown>>;
  change(file);
  const said = answerDaylightText(JSON.stringify(file));
  return said.ok ? [] : said.problems.map((p) => `${p.code} ${p.at}`);
};

test('the door says what the screen computes', () => {
  const said = answerDaylightText(example);
  if (!said.ok) throw new Error(JSON.stringify(said.problems));
  expect(said.places.map((p) => [p.months.length, p.days_mol_per_m2_d.length])).toEqual([[12, 365], [12, 365]]); // prettier-ignore
  const file = JSON.parse(example) as { climate: { sunshine: number[] } };
  const horizon = [{ azimuth: (-40 * Math.PI) / 180, elevation: (10 * Math.PI) / 180 }, { azimuth: Math.PI / 6, elevation: (22 * Math.PI) / 180 }]; // prettier-ignore
  const window = { ...USUAL_WINDOW, id: 'w', name: 'w', facing: Math.PI, reveal: 0, inside: null, horizon };
  const asked = { year: 2027, place: { latitude: (52 * Math.PI) / 180, longitude: 0 }, climate: { kind: 'typed' as const, name: '', ...file.climate }, timeZone: 'Europe/London' }; // prettier-ignore
  const here = yearOf(asked, [{ sill: sillAt(window, { depth: 0.2, along: 0, over: 0.15 }), blind: null }]);
  expect(said.places[0]!.months.map((m) => m.mean_mol_per_m2_d)).toEqual(here.places[0]!.months.map((m) => expect.closeTo(m.mean, 9)));
  said.places[0]!.months.forEach((m, i) => {
    const found = here.places[0]!.months[i]!;
    expect(m.month).toBe(i + 1);
    expect([m.low_mol_per_m2_d, m.high_mol_per_m2_d, m.sun_h, m.strongest_umol_per_m2_s].map((v) => v.toFixed(6))).toEqual(
      [found.low, found.high, found.sunHours, found.strongest.ppfd].map((v) => v.toFixed(6)),
    );
    // The strongest comes in the month itself, by day.
    const [, month, hour] = /^2027-(\d\d)-\d\d (\d\d):\d\d$/.exec(m.strongest_at)!;
    expect(Number(month)).toBe(i + 1);
    expect(Number(hour)).toBeWithin(13, { absolute: 5 });
    expect(m.lean).toBeGreaterThan(1);
  });
  // Deep in the room there is less of everything.
  said.places[0]!.months.forEach((m, i) => expect(said.places[1]!.months[i]!.mean_mol_per_m2_d).toBeLessThan(m.mean_mol_per_m2_d));
});

test('what can’t be is refused by its field', () => {
  expect(problem((f) => (f.place!.latitude_deg = 91))).toEqual(['window/max place.latitude_deg']);
  expect(problem((f) => (f.window!.horizon = [{ azimuth_deg: 0, elevation_deg: 95 }]))).toEqual([
    'window/max window.horizon[0].elevation_deg',
  ]);
  expect(problem((f) => (f.window!.width_m = 0))).toEqual(['window/min window.width_m']);
  expect(problem((f) => (f.window!.panes = 'ice'))).toEqual(['window/isIn window.panes']);
  expect(problem((f) => (f.window!.horizon = [{ azimuth_deg: 20, elevation_deg: 5 }, { azimuth_deg: -20, elevation_deg: 5 }]))).toEqual(['window/not-rising window.horizon[1].azimuth_deg']); // prettier-ignore
  expect(problem((f) => (f.climate!.sunshine = [0.5])).length).toBe(1);
  expect(problem((f) => ((f as Record<string, unknown>).at = [])).length).toBe(1);
  expect(problem((f) => ((f as Record<string, unknown>).window = null)).length).toBeGreaterThan(0);
  const said = answerDaylightText('[');
  expect(said.ok).toBe(false);
});
