import type { Trial } from '@/core/site/trial/Trial';
import { codeFor } from '@/core/plan/trial/dealOut';
import type { Day } from '@/core/units/day';

/** A trial of two arms with four trays each, the fewest whose test can show something. */
export function newTrial(id: string, today: Day, seed: number): Trial {
  const codes: string[] = [];
  for (let i = 0; i < 8; i++) codes.push(codeFor(codes, seed));
  return {
    id,
    name: 'New trial',
    factor: 'distance',
    equalDose: false,
    outcome: { name: 'Stem height', unit: 'mm', kind: 'measured', isBlind: false },
    starts: today,
    ends: null,
    selection: 'none',
    rotate_days: 3,
    moves: [],
    arms: [
      { id: 'A', name: 'as usual', medium: '', isMatOn: false, dli: null },
      { id: 'B', name: 'changed', medium: '', isMatOn: false, dli: null },
    ],
    trays: codes.map((code, i) => ({ code, arm: i % 2 === 0 ? 'A' : 'B', trayId: null, block: '', values: [], sown: null })),
    deviations: [],
    seed,
    ended: null,
  };
}
