import { sideBySide } from './sideBySide';

const pairs = (left: string[][], right: string[][]) => sideBySide(left, right, (name) => name).map(({ tier, a, b }) => [tier, a, b]);

test('a variant is held against its stand tray by tray, whatever was moved about on a tier', () => {
  expect(pairs([['leek', 'basil'], ['sage']], [['basil', 'leek'], ['sage']])).toEqual([
    [1, 'leek', 'leek'],
    [1, 'basil', 'basil'],
    [2, 'sage', 'sage'],
  ]);
});

test('what one of the two has not stands alone', () => {
  expect(pairs([['fern', 'fern']], [['leek', 'fern'], ['sage']])).toEqual([
    [1, 'fern', 'fern'],
    [1, 'fern', undefined],
    [1, undefined, 'leek'],
    [2, undefined, 'sage'],
  ]);
});
