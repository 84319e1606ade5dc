import { BREACH } from '../../judge/verdict/loss';
import type { Move } from './Move';
import { withoutIdleMoves } from './withoutIdleMoves';

const dark: Move = { do: 'hours', timerId: 'p', on_min: 720, lit_min: 0 };
const shift: Move = { do: 'shift-tray', trayId: 'a', dx: 0.03, dy: 0 };
const farther: Move = { ...shift, dx: 0.2 };
const turn: Move = { do: 'turn-tray', trayId: 'a' };
const left = (...offers: { moves: readonly Move[]; loss: number }[]) => withoutIdleMoves(offers, (o) => o.loss).map((o) => o.loss);

test('a move that mends less than a tenth of what the others leave, or a hair, is not worth its words', () => {
  expect(left({ moves: [dark], loss: 2 }, { moves: [shift, dark], loss: 1.85 })).toEqual([2]);
  expect(left({ moves: [dark], loss: 0.05 }, { moves: [shift, dark], loss: 0.035 })).toEqual([0.05]);
  expect(left({ moves: [dark], loss: 2 }, { moves: [shift, dark], loss: 1.7 })).toEqual([2, 1.7]);
});

test('what is worse than its part goes, and so does more of the same kind; what has no part stays', () => {
  expect(left({ moves: [shift], loss: 0.3 }, { moves: [farther, dark], loss: 0.8 })).toEqual([0.3]);
  expect(left({ moves: [turn], loss: 1 }, { moves: [shift, dark], loss: 0.99 })).toEqual([1, 0.99]);
});

test('where one limit is broken whatever is done, another one that a further move keeps is worth it', () => {
  const scorched = 3 * BREACH;
  expect(left({ moves: [dark], loss: scorched + 0.2 * BREACH }, { moves: [shift, dark], loss: scorched })).toHaveLength(2);
  expect(left({ moves: [dark], loss: scorched + 0.6 }, { moves: [shift, dark], loss: scorched })).toHaveLength(2);
  expect(left({ moves: [dark], loss: scorched + 0.02 }, { moves: [shift, dark], loss: scorched })).toHaveLength(1);
});
