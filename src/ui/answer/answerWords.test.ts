import type { Limit, Solution } from '@/core/answer/solve/solve';
import { setUpOf } from '@/core/answer/stand/setUp';
import { demoCorners } from '@/store/site/demoSite';
import { tables } from '@/core/things/tables/libraryTables';
import { failsWords, limitWords, onTheTape, suitsWords, toldLimits, turnFirstWords } from './words';

const site = demoCorners('en-GB');
const celery = setUpOf(site, site.stands[0]!, tables);
const best = { distance: 0.1432, hours: 15.25, weakest: 8.4, mean: 11, strongest: 15.2, shareInBand: 0.62 };
const solution = (from: number, to: number): Solution => ({ distances: { from, to }, hours: { from: 14, to: 16 }, best, limits: [] });

test('the answer names distances, hours and doses, in the person’s own unit', () => {
  const words = suitsWords(solution(0.1, 0.19), best, 'cm');
  expect(words).toContain('Hang it 10–19 cm above the leaves');
  expect(words).toContain('14 h to 16 h');
  expect(words).toContain('weakest spot then gets 8.4, the mean 11.0, the strongest 15.2 mol');
  expect(suitsWords(solution(0.1, 0.19), best, 'in')).toContain('4–7¼ in');
  // Not a hair more than suits is promised: 7.48 in is not 7½ in, and 15 h 59.6 is not 16 h.
  const close = { ...solution(0.10004, 0.18996), hours: { from: 14.004, to: 15.993 } };
  expect(suitsWords(close, best, 'cm')).toMatch(/10.1–18.9 cm above the leaves and light it 14 h 01 to 15 h 59/);
  expect(suitsWords(solution(0.3, 2), best, 'cm')).toContain('30 cm or more');
});

test('the best is put on a mark of the tape, but never outside of what suits', () => {
  expect(onTheTape(solution(0.1, 0.19), 'cm').distance).toBeWithin(0.145, { absolute: 1e-9 });
  expect(onTheTape(solution(0.1, 0.19), 'in').distance).toBeWithin(5.75 * 0.0254, { absolute: 1e-9 });
  const narrow = onTheTape({ ...solution(0.1401, 0.1449), best: { ...best, distance: 0.1448 } }, 'cm');
  expect(narrow.distance).toBeLessThanOrEqual(0.1449 + 1e-9);
});

test.each<[Limit, string]>([
  [
    { why: 'lamp-too-weak', share: 0.43, meanShare: 0.61 },
    '43 % of the 8 mol that these plants need. You need at least 4 of these lamps, spread over the tray, or a smaller tray.',
  ],
  [
    { why: 'lamp-too-weak', share: 0.03, meanShare: 0.12 },
    'This lamp cannot light this tray: at least 17 of them would be needed. Choose a stronger kind',
  ],
  [{ why: 'lamp-too-strong', times: 1.34 }, '1.3 times what is good'],
  [{ why: 'tray-wider-than-light', share: 0.6 }, 'the edge gets at most 60 %'],
  [{ why: 'hours-beyond-crop', hours: 19 }, '19 h would give enough light, but no source shows that these plants tolerate more than 16 h'],
  [{ why: 'heat', distance: 0.02 }, '2 cm would give enough light, but the lamp is hot: keep at least'],
  [{ why: 'leaf-ceiling', ppfd: 512 }, '512 µmol/m²/s would be needed, but leaves may bleach above'],
])('a limit is said with how much: %j', (limit, words) => expect(limitWords(limit, celery, 'cm')).toContain(words));

test('where it takes more lamps, or none will do, nothing is said of where a second one would hang', () => {
  const wide: Limit = { why: 'tray-wider-than-light', share: 0.1 };
  const weak = (meanShare: number): Limit => ({ why: 'lamp-too-weak', share: 0.03, meanShare });
  expect(toldLimits([wide, weak(0.12)], celery)).toEqual([weak(0.12)]);
  expect(toldLimits([wide, weak(0.5)], celery)).toEqual([weak(0.5)]);
  expect(toldLimits([wide, { why: 'heat', distance: 0.02 }], celery)).toEqual([wide, { why: 'heat', distance: 0.02 }]);
});

test('when nothing suits, what comes nearest is said', () => {
  expect(failsWords(best, 'cm', { dimming: null })).toBe(
    'No setting puts the whole tray in the target range. The closest is 14.3 cm for 15 h 15: 62 % of the tray is then in range, the weakest spot gets 8.4 and the strongest 15.2 mol.',
  );
  expect(failsWords({ ...best, shareInBand: 0.004 }, 'cm', { dimming: null })).toBe(
    'No setting puts any part of the tray in the target range. The closest is 14.3 cm for 15 h 15: the weakest spot gets 8.4 and the strongest 15.2 mol.',
  );
});

test('a dimmer is told first where the tray then suits, else with the closest setting', () => {
  const to = (share: number, by: number) => ({ to: share, by, draw: share });
  const suits = { ...solution(0.1, 0.19), dimming: to(0.6, 0.6) };
  expect(turnFirstWords(suits, 1)).toBe('Dim the lamp to 60 %. ');
  expect(turnFirstWords({ ...suits, dimming: to(0.8, 2) }, 2)).toBe('Turn the lamps up to 80 %. ');
  expect(turnFirstWords({ ...suits, dimming: null }, 2)).toBe('');
  const fails = { ...suits, distances: null };
  expect(turnFirstWords(fails, 2)).toBe('');
  expect(failsWords(best, 'cm', fails)).toContain('The closest is 14.3 cm for 15 h 15 with the dimmer at 60 %: 62 % of the tray');
});
