import { lampLibrary } from '@/core/things/lamp/lampLibrary';
import { lampFromBox } from '@/core/things/lamp/lampFromBox';
import { readIes } from '@/core/light/photometry/readIes';
import { readSpectrumCsv } from '@/core/light/spectrum/readSpectrumCsv';
import { lampProblemWords } from './lampProblemWords';
import { startingBox } from './startingBox';

const words = (result: { ok: boolean; problems?: readonly Parameters<typeof lampProblemWords>[0][] }) =>
  (result.problems ?? []).map(lampProblemWords).join(' ');

test.each(lampLibrary.map((l) => [l.id, l] as const))(
  'the form opened on %s makes a lamp of the same light, once it has a name',
  (_, lamp) => {
    const made = lampFromBox({ ...startingBox(lamp, false), name: 'Mine' }, 'own');
    if (!made.ok) throw new Error(words(made));
    expect(made.value.ppf).toBeWithin(lamp.ppf, { relative: 0.15 }); // through lumens and the nearest usual colour
    expect(made.value.shape).toBe(lamp.shape);
    expect(made.value.beamFwhm === null).toBe(
      lamp.beamFwhm === null && !['bar', 'panel', 'round-panel', 'bulb-reflector'].includes(lamp.shape),
    );
  },
);

test('a lamp of one’s own comes back into the form as it was kept', () => {
  const box = { ...startingBox(lampLibrary[0]!, false), name: 'Mine' };
  for (const believe of ['lumens', 'ppf', 'efficacy'] as const) {
    const figures = { ...box.figures, lumens: 3000, ppf: 40, efficacy: 1.1 };
    const kept = lampFromBox({ ...box, figures, believe }, 'own');
    if (!kept.ok) throw new Error(words(kept));
    const again = lampFromBox(startingBox(kept.value, true), 'own');
    if (!again.ok) throw new Error(words(again));
    expect(again.value.ppf).toBeWithin(kept.value.ppf, { relative: 0.01 });
  }
});

test('what is wrong is said in words, with the field or the reason', () => {
  expect(words(readIes('hello'))).toContain('no line TILT=');
  expect(words(readIes('IESNA:LM-63-1995\nTILT=X.TLT\n'))).toContain('in a file of its own (X.TLT)');
  expect(words(readSpectrumCsv('400,1'))).toContain('It must cover 400–700 nm');
  const box = startingBox(lampLibrary[0]!, false);
  expect(words(lampFromBox(box, 'own'))).toBe('The name is missing.');
  expect(words(lampFromBox({ ...box, name: 'x', width: 9 }, 'own'))).toContain('The width should be');
  expect(words(lampFromBox({ ...box, name: 'x', believe: 'ppf' }, 'own'))).toContain('The PPF is to count');
  expect(words(lampFromBox({ ...box, name: 'x', power: 1 }, 'own'))).toContain('physics allows');
});
