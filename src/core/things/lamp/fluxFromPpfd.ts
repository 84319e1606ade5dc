import { lightFieldOf } from '../../light/scene/LightField';
import type { Metres, Ppf, Ppfd } from '../../units/quantities';
import { emittersOf } from './emittersOf';
import type { Lamp } from './Lamp';

/**
 * Flux of a lamp from one PPFD straight below its middle, by its own shape; in the open.
 *
 * @param lamp      its shape, size and beam; its flux does not matter
 * @param distance  from its face, > 0
 */
export function fluxFromPpfd(lamp: Lamp, ppfd: Ppfd, distance: Metres): Ppf {
  if (!(distance > 0)) throw new RangeError(`distance must be > 0, got ${distance}`);
  const emitters = emittersOf({ ...lamp, ppf: 1 }, { x: 0, y: 0, face: distance, turn: 0 });
  return ppfd / lightFieldOf({ lamps: [{ id: 'lamp', emitters }], rooms: [], obstructions: [] }).ppfdAt(0, 0, 0);
}
