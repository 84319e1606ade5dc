import { USUAL_MIX } from '../../core/judge/feed/FeedMix';
import { readSettings } from './readSettings';
import { startingSettings } from './settingsStore';

test('units begin as people of that language use them', () => {
  expect(startingSettings('en-US').lengthUnit).toBe('in');
  expect(startingSettings('en-GB').lengthUnit).toBe('cm');
  expect(startingSettings('de-DE')).toMatchObject({ lengthUnit: 'cm', temperatureUnit: 'C', clock: '24' });
  expect(startingSettings('en-US').clock).toBe('12');
  expect(startingSettings('not a language').clock).toBe('24');
});

test('what was kept is taken, and what is strange falls back without harm', () => {
  const start = startingSettings('en-GB');
  expect(readSettings({ lengthUnit: 'in', theme: 'dark', mapShows: 'ppfd', temperatureUnit: 'F' }, start)).toEqual({
    lengthUnit: 'in',
    theme: 'dark',
    mapShows: 'ppfd',
    temperatureUnit: 'F',
    clock: '24',
    timerStep_min: 15,
    remind_min: null,
    meter: 'lux-basic',
    firstWay: 'offered',
    firstDone: 0,
    feed: USUAL_MIX,
    tablePlans: [],
  });
  expect(readSettings({ remind_min: 480 }, start).remind_min).toBe(480);
  for (const odd of [1440, -1, 7.5, '8:00']) expect(readSettings({ remind_min: odd }, start).remind_min).toBeNull();
  expect(readSettings({ firstWay: 'over', firstDone: 9 }, start)).toMatchObject({ firstWay: 'over', firstDone: 0 });
  const plan = { columns: ['x', 'value'], unit: 'lx', length: 'cm', headed: true };
  const kept = readSettings({ meter: 'own', tablePlans: [{ head: 'a|b', plan }, { head: 'c', plan: { columns: ['<b>'] } }, 7] }, start);
  expect(kept).toMatchObject({ meter: 'own', tablePlans: [{ head: 'a|b', plan }] });
  const powder = { ...USUAL_MIX, form: { kind: 'powder' }, label: { N: 20, P: 20, K: 20 }, can: 10 };
  expect(readSettings({ feed: powder }, start).feed).toEqual(powder);
  for (const odd of [
    { ...powder, can: -1 },
    { ...powder, label: { N: 20 } },
    { ...powder, form: { kind: 'gas' } },
    { ...powder, ppm: '75' },
  ])
    expect(readSettings({ feed: odd }, start).feed).toEqual(USUAL_MIX);
  for (const odd of [null, 7, 'x', [], { lengthUnit: 'ell', theme: 3, clock: 12 }]) expect(readSettings(odd, start)).toEqual(start);
});
