import { cropLibrary } from '@/core/things/crop/cropLibrary';
import type { Verdict } from '@/core/judge/verdict/judge';
import { breachWords, percent, shareWords, certaintyOf, consequencesOf, headlineOf } from './words';

const tomato = cropLibrary.find((c) => c.id === 'tomato')!;
const seedling = tomato.stages.find((s) => s.stage === 'seedling')!;
const band = (value: number) => ({ value, low: value * 0.8, high: value * 1.2 });
const verdict = (change: Partial<Verdict>): Verdict => ({
  says: 'in-range',
  certainty: 'sure',
  weakest: band(11),
  mean: band(seedling.dliTarget),
  strongest: band(17),
  shareInBand: 1,
  strengthBinds: false,
  hoursTooLong: false,
  hoursTooShort: false,
  breaches: [],
  received: { noonPpfd: 0 },
  band: { low: 150, high: 300 },
  lowDli: 12,
  highDli: 16,
  ...change,
} as Verdict); // prettier-ignore
const said = (change: Partial<Verdict>) => consequencesOf(verdict(change), tomato, seedling, false).join(' ');

test.each([
  ['dark', 'No light reaches the leaves.'],
  ['in-range', 'Good: the whole tray is in the target range.'],
  ['edge-dim', 'The middle is right, the edges will stretch.'],
  ['spot-strong', 'Most of it is right, but too strong under the lamp.'],
  ['all-strong', 'Too strong: expect bleached or burnt tips.'],
  ['dim-and-strong', 'Too strong in the middle, while the edges will stretch.'],
] as const)('%s is said as “%s”', (says, words) => {
  const { calm, alarm } = headlineOf(verdict({ says, shareInBand: 0.7 }), tomato);
  expect(`${calm} ${alarm}`.trim()).toBe(words);
});

test('the sun of clear days is told apart from the lamp, and as a warning where it does no harm by itself', () => {
  const sun = { why: 'sun-too-strong', ppfd: 912, most: seedling.ppfdMax } as const;
  const tooMuch = { says: 'spot-strong', strengthBinds: true, breaches: [sun] } as const;
  expect(headlineOf(verdict(tooMuch), tomato).alarm).toBe('but the sun is too strong on clear days.');
  expect(headlineOf(verdict({ ...tooMuch, breaches: [sun, { ...sun, why: 'too-strong' }] }), tomato).alarm).toContain('under the lamp');
  expect(headlineOf(verdict({ ...tooMuch, says: 'dim-and-strong' }), tomato).alarm).toBe(
    'Too much sun on clear days, while the edges will stretch.',
  );
  expect(said(tooMuch)).toContain('912 µmol/m²/s here');
  expect(said(tooMuch)).not.toContain('even with a short photoperiod');
  const patch = { received: { noonPpfd: seedling.ppfdMax + 80 } } as Partial<Verdict>;
  expect(said(patch)).toContain(`the sun brings up to ${seedling.ppfdMax + 80} µmol/m²/s for a while`);
  expect(said({})).not.toContain('sun');
});

test('too little light is worse when no spot is in range', () => {
  expect(headlineOf(verdict({ says: 'all-dim', shareInBand: 0 }), tomato).alarm).toContain('everywhere');
  expect(headlineOf(verdict({ says: 'all-dim', shareInBand: 0.2 }), tomato).alarm).toContain('most of the tray');
});

test('what is hardly out of range is said so: nearly all of the tray, nearly enough, and no limit broken', () => {
  const words = (change: Partial<Verdict>) => headlineOf(verdict(change), tomato).alarm;
  const short = { says: 'edge-dim', shareInBand: 0.95, weakest: band(10.8) } as const;
  expect(words(short)).toBe('the dimmest edge is just short of light.');
  expect(said(short)).toContain('turn the tray around');
  expect(said(short)).not.toContain('long thin stems');
  for (const worse of [{ shareInBand: 0.949 }, { weakest: band(10.7) }])
    expect(words({ ...short, ...worse })).toBe('the edges will stretch.');
  const over = { says: 'spot-strong', shareInBand: 0.97, strongest: band(17.6) } as const;
  expect(words(over)).toBe('the brightest spot gets a little too much.');
  expect(said(over)).toContain('does not help');
  const strong = { why: 'too-strong', ppfd: 310, most: 300 } as const;
  for (const worse of [{ shareInBand: 0.9 }, { strongest: band(17.7) }, { breaches: [strong] }])
    expect(words({ ...over, ...worse })).toBe('but too strong under the lamp.');
});

test('crops that stay short in weak light are not said to stretch', () => {
  const fern = cropLibrary.find((c) => c.id === 'fern')!;
  expect(fern.stretchProne).toBe(2);
  for (const change of [
    { says: 'edge-dim', shareInBand: 0.7 },
    { says: 'all-dim', shareInBand: 0 },
    { says: 'all-dim', shareInBand: 0.2 },
    { says: 'dim-and-strong' },
  ] as const) {
    const { calm, alarm } = headlineOf(verdict(change), fern);
    const all = `${calm} ${alarm} ${consequencesOf(verdict(change), fern, fern.stages[0]!, false).join(' ')}`;
    expect(all).toMatch(/pale and slow/);
    expect(all).not.toMatch(/will stretch|what has stretched/);
  }
});

test('what it will do to these plants: a tomato that stretches can be buried, a leaf over its ceiling bleaches', () => {
  expect(said({ says: 'all-dim' })).toContain('the buried stem roots');
  expect(said({ says: 'all-strong', strengthBinds: true })).toContain(`Above ${seedling.ppfdMax} µmol/m²/s`);
  expect(said({ says: 'all-strong' })).toContain('tips may burn');
  expect(said({})).toContain(`${seedling.dliTarget} mol`);
  expect(said({ hoursTooLong: true })).toMatch(/damages these plants/);
});

test('how sure it is', () => {
  expect(certaintyOf(verdict({}), false)).toMatch(/^Certain/);
  expect(certaintyOf(verdict({ certainty: 'likely' }), false)).toMatch(/^Likely.*label/);
  expect(certaintyOf(verdict({ certainty: 'open' } as never), false)).toMatch(/^Uncertain.*Measure once/);
  // Who has measured is not asked to measure.
  expect(certaintyOf(verdict({ certainty: 'likely' }), true)).toMatch(/^Likely.*readings/);
  expect(certaintyOf(verdict({ certainty: 'open' } as never), true)).not.toMatch(/Measure|label/);
});

test('nearly all is not all', () => {
  expect([0.9999, 0.994, 1, 0.004, 1.37, 0.5].map(percent)).toEqual(['99 %', '99 %', '100 %', '0 %', '137 %', '50 %']);
});

test('a broken limit is told with both numbers', () => {
  const strong = { why: 'too-strong', ppfd: 131.4, most: 100 } as const;
  expect(breachWords(strong, false)).toBe('PPFD up to 131 µmol/m²/s; limit 100');
  expect(breachWords({ ...strong, ppfd: 100.04 }, false)).toBe('PPFD up to 100.04 µmol/m²/s; limit 100');
  expect(breachWords(strong, true)).toBe('PPFD up to 131 µmol/m²/s with the usual daylight; limit 100');
  expect(breachWords({ ...strong, why: 'sun-too-strong' }, true)).toBe(
    'PPFD up to 131 µmol/m²/s on a clear day, from the sun alone; limit 100',
  );
  expect(breachWords({ why: 'day-too-long', hours: 18.5, most: 16 }, false)).toBe('Light for 18 h 30; limit 16 h');
});

test('all of a tray is in range only where no spot of it is out of it', () => {
  expect(shareWords({ says: 'in-range', shareInBand: 1 })).toBe('100 %');
  expect(shareWords({ says: 'edge-dim', shareInBand: 1 })).toBe('99 %');
  expect(shareWords({ says: 'edge-dim', shareInBand: 0.42 })).toBe('42 %');
  // The day may be too long where the light is right everywhere.
  expect(shareWords({ says: 'day-too-long', shareInBand: 1 })).toBe('100 %');
});
