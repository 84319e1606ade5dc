import fc from 'fast-check';
import { countPhotons, type Block } from '../../../../test/countPhotons';
import { evenly } from '../../../../test/evenly';
import type { Emitter } from '../emitters/Emitter';
import { lightFieldOf } from '../scene/LightField';
import { withCrowdedFloor, type Crowd } from './crowdedFloor';
import { FACES, type Face, type FaceName, type Room } from './Room';

const WHITE: Face = { reflectance: 0.85, transmittance: 0 };
const WIRE: Face = { reflectance: 0.1, transmittance: 0.85 };
const OPEN: Face = { reflectance: 0, transmittance: 1 };
const FILM: Face = { reflectance: 0.9, transmittance: 0, specular: 0.8 };
const FOIL: Face = { reflectance: 0.7, transmittance: 0, specular: 0.3 };
const LEAVES = 0.07;

const roomOf = (side: Face, floor: Face, ceiling: Face, [width, depth, height] = [1.2, 0.45, 0.4]): Room => ({ x: 0, y: 0, z: 0, width: width!, depth: depth!, height: height!, faces: { floor, ceiling, left: side, right: side, front: side, back: side } }); // prettier-ignore
const board: Emitter = { kind: 'rect', x: 0.6, y: 0.22, z: 0.36, ppf: 60, length: 0.9, width: 0.2, turn: 0, cosinePower: 1 };
const bulb: Emitter = { kind: 'disc', x: 0.35, y: 0.2, z: 0.75, ppf: 30, radius: 0.05, cosinePower: 1 };

const tray = (x0: number, y0: number, height: number): Block => ({
  x0,
  x1: x0 + 0.54,
  y0,
  y1: y0 + 0.28,
  z0: 0,
  z1: height,
  reflectance: LEAVES,
});
const pot = (x: number, y: number, height: number): Block => ({ x0: x - 0.07, x1: x + 0.07, y0: y - 0.07, y1: y + 0.07, z0: 0, z1: height, reflectance: LEAVES }); // prettier-ignore
const twoTrays = (height: number, second = height) => [tray(0.04, 0.08, height), tray(0.62, 0.08, second)];
const threePots = (height: number, second = height) => [pot(0.15, 0.15, height), pot(0.36, 0.15, second), pot(0.57, 0.15, height)];

function crowdOf(blocks: readonly Block[], { width, depth }: Room): Crowd {
  const sum = (of: (b: Block) => number) => blocks.reduce((all, b) => all + of(b), 0);
  const area = (b: Block) => (b.x1 - b.x0) * (b.y1 - b.y0);
  return {
    height: sum((b) => area(b) * b.z1) / sum(area),
    covered: sum(area) / (width * depth),
    edge: sum((b) => 2 * (b.x1 - b.x0 + b.y1 - b.y0)),
    reflectance: LEAVES,
  };
}

// With the same things as a spot on the floor, and all of its sides as pale as above, these were up to 45 % too bright.
test.each([
  ['two trays in a white box', board, roomOf(WHITE, WHITE, WHITE), twoTrays(0.07), 0.035],
  ['two tall trays in a white box', board, roomOf(WHITE, WHITE, WHITE), twoTrays(0.2), 0.02],
  ['one tray in a white box', board, roomOf(WHITE, WHITE, WHITE), [tray(0.33, 0.08, 0.1)], 0.03],
  ['two trays between white sides under wire', board, roomOf(WHITE, WIRE, WIRE), twoTrays(0.15), 0.02],
  ['two trays before a white back', board, { ...roomOf(OPEN, WHITE, WIRE), faces: { ...roomOf(OPEN, WHITE, WIRE).faces, back: WHITE } }, twoTrays(0.1), 0.02], // prettier-ignore
  ['two trays of 7 and 20 cm', board, roomOf(WHITE, WHITE, WHITE), twoTrays(0.07, 0.2), 0.05],
  ['two trays between mirror films', board, roomOf(FILM, WIRE, WHITE), twoTrays(0.12), 0.04],
  ['two trays in a box of foil', board, roomOf(FOIL, FOIL, FOIL), twoTrays(0.12), 0.04],
  ['three pots in a white niche', bulb, roomOf(WHITE, WHITE, WHITE, [0.72, 0.3, 0.85]), threePots(0.2), 0.06],
  ['three pots of 15 and 30 cm in a white niche', bulb, roomOf(WHITE, WHITE, WHITE, [0.72, 0.3, 0.85]), threePots(0.15, 0.3), 0.08],
])('%s: the light on their leaves is that of photons counted one by one', (_, lamp, room, blocks, relative) => {
  const field = lightFieldOf({ lamps: [{ id: 'a', emitters: [lamp] }], rooms: [withCrowdedFloor(room, crowdOf(blocks, room))], obstructions: [] }); // prettier-ignore
  const above = 1e-6;
  const photons = countPhotons([lamp], room, blocks.map((b) => ({ ...b, z: b.z1 + above })), 200_000, blocks); // prettier-ignore
  blocks.forEach((b, k) => {
    // Of things of one height nothing stands in the way of lamps; taller ones shade the others, which is not told here.
    const shaded = blocks.some((o) => o.z1 > b.z1 + 0.01);
    const { ppfd } = field.map(b, b.z1 + above, 0.02);
    const mean = ppfd.reduce((sum, v) => sum + v, 0) / ppfd.length;
    if (shaded) expect(mean).toBeGreaterThan(photons[k]! * (1 - relative));
    else expect(mean).toBeWithin(photons[k]!, { relative });
  });
});

const anyFace = evenly(0, 0.9).map((reflectance): Face => ({ reflectance, transmittance: 0 }));
const anyRoom = fc.record(Object.fromEntries(FACES.map((f) => [f, anyFace])) as Record<FaceName, fc.Arbitrary<Face>>).map((faces): Room => ({ ...roomOf(WHITE, WHITE, WHITE), faces })); // prettier-ignore

test('nothing on the floor changes nothing; what covers all of it leaves its own reflectance', () => {
  fc.assert(
    fc.property(anyRoom, (room) => {
      expect(withCrowdedFloor(room, { height: 0.2, covered: 0, edge: 0, reflectance: LEAVES })).toBe(room);
      const flat = withCrowdedFloor(room, { height: 0, covered: 1, edge: 0, reflectance: LEAVES });
      expect(flat.faces.floor.reflectance).toBeWithin(LEAVES, { absolute: 1e-12 });
      expect(flat.low).toBeUndefined();
    }),
  );
});

test('the taller and denser what stands there, the less comes up from below its tops; never more than from the bare floor', () => {
  const sentUp = (room: Room) => {
    const height = room.low?.height ?? 0;
    const walls = 2 * (room.width + room.depth) * height;
    const sides = (['left', 'right', 'front', 'back'] as const).reduce((sum, n) => sum + room.faces[n].reflectance * height * (n === 'left' || n === 'right' ? room.depth : room.width), 0); // prettier-ignore
    const floor = room.width * room.depth;
    const mean = (room.faces.floor.reflectance * floor + sides * (room.low?.share ?? 1)) / (floor + walls);
    const open = floor / (floor + walls);
    return (mean * open) / (1 - mean * (1 - open));
  };
  fc.assert(
    fc.property(anyRoom, evenly(0.01, 0.3), evenly(0.05, 0.9), evenly(0, 6), (room, height, covered, edge) => {
      const of = (h: number, c: number, e: number) => withCrowdedFloor(room, { height: h, covered: c, edge: e, reflectance: 0 });
      const { share } = of(height, covered, edge).low!;
      expect(share).toBeGreaterThanOrEqual(0);
      expect(share).toBeLessThanOrEqual(1);
      expect(of(height, covered, edge + 1).low!.share).toBeLessThanOrEqual(share + 1e-12);
      expect(sentUp(of(height, Math.min(1, covered + 0.1), edge))).toBeLessThanOrEqual(sentUp(of(height, covered, edge)) + 1e-9);
    }),
  );
});

test('light is neither made nor lost', () => {
  const room = withCrowdedFloor(roomOf(WHITE, WHITE, WHITE), { height: 0.13, covered: 0.5, edge: 3, reflectance: LEAVES });
  const { emitted, absorbed } = lightFieldOf({ lamps: [{ id: 'a', emitters: [board] }], rooms: [room], obstructions: [] }).balance();
  expect(absorbed).toBeWithin(emitted, { relative: 0.005 });
});
