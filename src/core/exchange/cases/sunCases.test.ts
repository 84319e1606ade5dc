import sun from '../../../../test/cases/sun.json';
import window from '../../../../test/cases/window.json';
import { sunCases } from './sunCases';

/** Answers computed by an ephemeris and by other programs than ours; see test/cases/README.md. */

const GIVEN = ['lat', 'lon', 'utc', 'date', 'face', 'sky', 'depth_m', 'left_m', 'right_m', 'height_m', 'width_m', 'point_above_sill_m'];

/** How far an answer may be off, by the name of its field: its share, and what is nothing at all. */
const ALLOWED: readonly [RegExp, number, number][] = [
  [/^noaa_(elevation|azimuth)$/, 0, 0.05],
  [/elevation|azimuth/, 0, 0.01],
  [/^noaa_.*minute_utc$/, 0, 0.5],
  [/minute_utc$/, 0, 0.1],
  [/day_length/, 0, 0.002],
  [/beam_minutes_1min/, 0, 2],
  [/_1min$/, 0.005, 0.02],
  [/uniform|overcast$/, 0, 1e-6],
  [/ray_|margin/, 0, 1e-5],
  [/./, 0.005, 0.002],
];

describe.each([
  ['sun', sun as unknown as Record<string, Record<string, Record<string, unknown>>>],
  ['window', window as unknown as Record<string, Record<string, Record<string, unknown>>>],
])('%s', (_, file) => {
  const answers = sunCases(file);
  test.each(Object.keys(file).filter((s) => s !== 'units' && s !== 'constants'))('%s agree', (section) => {
    const wrong: string[] = [];
    let compared = 0;
    for (const [id, wanted] of Object.entries(file[section]!)) {
      const got = answers[id]!;
      for (const [field, value] of Object.entries(wanted)) {
        if (GIVEN.includes(field) || (section === 'beams' && /^(elevation|azimuth|face_azimuth)$/.test(field))) continue;
        compared++;
        const [, share, nothing] = ALLOWED.find(([name]) => name.test(field))!;
        if (typeof value === 'number') {
          let off = Math.abs((got[field] as number) - value);
          if (/azimuth/.test(field)) {
            // Close to the zenith a direction means little.
            off = Math.min(off, 360 - off) * Math.cos(((wanted.elevation as number) * Math.PI) / 180);
          }
          if (!(off <= share * Math.abs(value) + nothing)) wrong.push(`${id} ${field}: ${String(got[field])}, not ${value}`);
        } else if (got[field] !== value) wrong.push(`${id} ${field}: ${String(got[field])}, not ${String(value)}`);
      }
    }
    expect(wrong).toEqual([]);
    expect(compared).toBeGreaterThan(10);
  });
});

test('a case that can’t be read is told by name, and the others are answered', () => {
  const answers = sunCases({
    days: {
      far: { lat: 91, date: '2027-03-28' },
      odd: { lat: 50, date: 'soon' },
      right: { lat: 50, date: '2027-03-28', fields: ['state'] },
    },
    views: { none: 7 },
  });
  expect(answers.far).toEqual({ error: 'lat must be a number from -90 to 90' });
  expect(answers.odd!.error).toMatch(/^date must be/);
  expect(answers.right).toEqual({ state: 'rises and sets' });
  expect(answers.none!.error).toMatch(/object/);
});
