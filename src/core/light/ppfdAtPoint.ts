import type { Metres, Ppfd } from '../units/quantities';
import type { Emitter, LightAt } from './emitters/Emitter';
import { isLevel } from './emitters/frameOf';
import { irradianceOf } from './emitters/irradianceOf';
import { ppfdFromDisc } from './emitters/ppfdFromDisc';
import { ppfdFromPoint } from './emitters/ppfdFromPoint';
import { ppfdFromRect } from './emitters/ppfdFromRect';
import { ppfdFromTube } from './emitters/ppfdFromTube';

/** From so many diode distances on, a panel of diodes is an even face, within 0.2 % (irradiance.test.ts). */
const EVEN_FROM = 12;

/** The direct light of one emitter on level receivers that face up, made ready to be asked at many places. */
export function lightOf(emitter: Emitter): LightAt {
  if (!isLevel(emitter)) return facingUp(emitter);
  switch (emitter.kind) {
    case 'point':
      return ppfdFromPoint(emitter);
    case 'tube':
      return emitter.diameter ? facingUp(emitter) : ppfdFromTube(emitter);
    case 'rect': {
      const even = ppfdFromRect(emitter);
      if (!emitter.diodes) return even;
      const { columns, rows } = emitter.diodes;
      const near = facingUp(emitter);
      const far = EVEN_FROM * Math.max(emitter.length / columns, emitter.width / rows);
      return (x, y, z) => (emitter.z - z >= far ? even(x, y, z) : near(x, y, z));
    }
    case 'disc':
      return ppfdFromDisc(emitter);
    case 'photometric':
      return facingUp(emitter);
  }
}

function facingUp(emitter: Emitter): LightAt {
  const light = irradianceOf(emitter);
  return (x, y, z) => light(x, y, z, 0, 0, 1);
}

/** Direct PPFD of all emitters together on a level receiver at (x, y, z) that faces up. Lamps add up. */
export function ppfdAtPoint(emitters: readonly Emitter[], x: Metres, y: Metres, z: Metres): Ppfd {
  let sum = 0;
  for (const emitter of emitters) sum += lightOf(emitter)(x, y, z);
  return sum;
}
