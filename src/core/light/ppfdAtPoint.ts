import type { Metres, Ppfd } from '../quantities';
import type { Emitter, LightAt } from './emitters/Emitter';
import { ppfdFromDisc } from './emitters/ppfdFromDisc';
import { ppfdFromPoint } from './emitters/ppfdFromPoint';
import { ppfdFromRect } from './emitters/ppfdFromRect';
import { ppfdFromTube } from './emitters/ppfdFromTube';

/** The direct light of one emitter, made ready to be asked at many places. */
export function lightOf(emitter: Emitter): LightAt {
  switch (emitter.kind) {
    case 'point':
      return ppfdFromPoint(emitter);
    case 'tube':
      return ppfdFromTube(emitter);
    case 'rect':
      return ppfdFromRect(emitter);
    case 'disc':
      return ppfdFromDisc(emitter);
  }
}

/** Direct PPFD of all emitters together on a level receiver at (x, y, z) that faces up. Lamps add up. */
export function ppfdAtPoint(emitters: readonly Emitter[], x: Metres, y: Metres, z: Metres): Ppfd {
  let sum = 0;
  for (const emitter of emitters) sum += lightOf(emitter)(x, y, z);
  return sum;
}
