import { emittersOf } from '../lamp/emittersOf';
import type { Lamp } from '../lamp/Lamp';
import { ppfdAtPoint } from '../light/ppfdAtPoint';
import type { Ppfd } from '../quantities';
import { faceSizeOf } from '../stand/footprint';
import type { Reading } from './Reading';

/** What the lamp as its box describes it would give at the place of a reading, under the lamps that were lit then. */
export function nominalAt(reading: Pick<Reading, 'dx' | 'dy' | 'distance' | 'row'>, lamp: Lamp): Ppfd {
  const pitch = faceSizeOf(lamp).width + reading.row.gap;
  const emitters = Array.from({ length: reading.row.count }, (_, i) =>
    emittersOf(lamp, { x: 0, y: (i - (reading.row.count - 1) / 2) * pitch, face: reading.distance, turn: 0 }),
  ).flat();
  return ppfdAtPoint(emitters, reading.dx, reading.dy, 0);
}
