import { readScores } from './readScores';

test('two numbers a line, or several of each arm with a stroke between; anything else is named by its line', () => {
  expect(readScores('6 7\n\n 5,5; 8 \n6 7 6 / 7 8')).toEqual([
    { a: [6], b: [7] },
    { a: [5.5], b: [8] },
    { a: [6, 7, 6], b: [7, 8] },
  ]);
  expect(readScores('6\n6 7 8\n6 / \n6 / 7 / 8\ngood / 7')).toEqual([null, null, null, null, null]);
  expect(readScores('  \n')).toEqual([]);
});
