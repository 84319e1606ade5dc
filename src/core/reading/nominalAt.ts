import { emittersOf } from '../lamp/emittersOf';
import type { Lamp } from '../lamp/Lamp';
import type { Room } from '../light/room/Room';
import { lightFieldOf } from '../light/scene/LightField';
import { createRecall } from '../light/scene/Recall';
import type { Metres, Ppfd } from '../quantities';
import { faceSizeOf } from '../stand/footprint';
import type { Reading } from './Reading';

/** What is around the lamps of a reading, and how high above the floor they hang in it. */
export interface Around {
  readonly room: Room;
  readonly face: Metres;
}

/** Readings of one walk share lamps and walls: their light is settled once. */
const recall = createRecall(24);

/**
 * What the lamp as its box describes it would give at the place of a reading, under the lamps that were lit then.
 *
 * @param around  the room as it is now; null: in the open. Where the lamps have been moved since, their light from the walls
 *                is a little different from what it was.
 */
export function nominalAt(reading: Pick<Reading, 'dx' | 'dy' | 'distance' | 'row'>, lamp: Lamp, around: Around | null): Ppfd {
  const pitch = faceSizeOf(lamp).width + reading.row.gap;
  const { x, y, face } = around
    ? { x: around.room.width / 2, y: around.room.depth / 2, face: around.face }
    : { x: 0, y: 0, face: reading.distance };
  const emitters = Array.from({ length: reading.row.count }, (_, i) =>
    emittersOf(lamp, { x, y: y + (i - (reading.row.count - 1) / 2) * pitch, face, turn: 0 }),
  ).flat();
  const field = lightFieldOf({ lamps: [{ id: 'lamp', emitters }], rooms: around ? [around.room] : [], things: [] }, recall);
  return field.ppfdAt(x + reading.dx, y + reading.dy, Math.max(0, face - reading.distance));
}
