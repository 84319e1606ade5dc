import { amongNamesakes, calledOf } from './called';

const at = (x: number, y: number, called = 'Leek') => ({ tray: { x, y }, called });
const told = (...trays: ReturnType<typeof at>[]) => amongNamesakes(trays).map((a) => a && `${a.index + 1}/${a.of} ${a.from}`);

test('a tray goes by its label, else by what the plan calls its batch, else by its crop', () => {
  const season = { batches: [{ batchId: 'b', label: 'Lanterns' }] } as never;
  const crop = { name: 'Physalis' };
  expect(calledOf({ season }, { label: 'Mine', batchId: 'b' }, crop)).toBe('Mine');
  expect(calledOf({ season }, { label: '', batchId: 'b' }, crop)).toBe('Lanterns');
  expect(calledOf({ season }, { label: '', batchId: 'c' }, crop)).toBe('Physalis');
  expect(calledOf({ season: null }, { label: '', batchId: 'b' }, crop)).toBe('Physalis');
});

test('namesakes are told apart the way in which they stand; all others need nothing', () => {
  expect(told(at(0.9, 0.2), at(0.3, 0.3), at(0.5, 0.2, 'Sage'))).toEqual(['2/2 left', '1/2 left', null]);
  // One behind the other, a little askew.
  expect(told(at(0.31, 0.4), at(0.3, 0.1))).toEqual(['2/2 front', '1/2 front']);
  expect(told(at(0.9, 0.2), at(0.3, 0.2), at(0.6, 0.2))).toEqual(['3/3 left', '1/3 left', '2/3 left']);
  expect(told(at(0.3, 0.5), at(0.3, 0.1), at(0.3, 0.3))).toEqual(['3/3 front', '1/3 front', '2/3 front']);
  // Two rows of two: the front row first.
  expect(told(at(0.3, 0.1), at(0.8, 0.1), at(0.3, 0.4), at(0.8, 0.41))).toEqual(['1/4 corner', '2/4 corner', '3/4 corner', '4/4 corner']);
});
