import { refusalWords } from './refusalWords';

test('what there would be too much of is named with how much there may be', () => {
  const words = (code: string, at: string, expected?: string) => refusalWords([{ code, at, ...(expected ? { expected } : {}) }]);
  expect(words('site/arrayMaxSize', 'stands', '200')).toBe('No more than 200 stands and set-ups can be kept. Nothing has changed.');
  expect(words('site/arrayMaxSize', 'stands[0].tiers[1].fittings', 'fittings must contain no more than 50 elements')).toContain(
    '50 lamps on a tier',
  );
  expect(words('site/maxLength', 'stands[0].name', 'name must be shorter than or equal to 120 characters')).toContain('120 letters');
  expect(words('site/max', 'stands[0].tiers[0].width_m', 'width_m must not be greater than 10')).toContain('must not be greater than 10');
});
