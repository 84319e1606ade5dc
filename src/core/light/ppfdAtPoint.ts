import type { Metres, Ppfd } from '../quantities';
import type { Emitter } from './emitters/Emitter';
import { ppfdFromDisc } from './emitters/ppfdFromDisc';
import { ppfdFromPoint } from './emitters/ppfdFromPoint';
import { ppfdFromRect } from './emitters/ppfdFromRect';
import { ppfdFromTube } from './emitters/ppfdFromTube';

/** PPFD of one emitter on a level receiver at (x, y, z) that faces up; direct light only. */
export function ppfdFromEmitter(emitter: Emitter, x: Metres, y: Metres, z: Metres): Ppfd {
  switch (emitter.kind) {
    case 'point':
      return ppfdFromPoint(emitter, x, y, z);
    case 'tube':
      return ppfdFromTube(emitter, x, y, z);
    case 'rect':
      return ppfdFromRect(emitter, x, y, z);
    case 'disc':
      return ppfdFromDisc(emitter, x, y, z);
  }
}

/** Direct PPFD of all emitters together on a level receiver at (x, y, z) that faces up. Lamps add up. */
export function ppfdAtPoint(emitters: readonly Emitter[], x: Metres, y: Metres, z: Metres): Ppfd {
  let sum = 0;
  for (const emitter of emitters) sum += ppfdFromEmitter(emitter, x, y, z);
  return sum;
}
