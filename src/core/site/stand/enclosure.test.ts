import { ON_THE_FLOOR } from './plain';
import { materialLibrary } from '../../things/material/materialLibrary';
import { lampLibrary } from '../../things/lamp/lampLibrary';
import { AS_NEW } from '../../things/lamp/ageing';
import { emittersOf } from '../../things/lamp/emittersOf';
import { lightFieldOf } from '../../light/scene/LightField';
import { lightThere } from '../../measure/reading/lightThere';
import { profileOf } from '../../answer/solve/Profile';
import { IN_THE_OPEN, type Enclosure } from './Enclosure';
import { layOut } from './layOut';
import { aroundOf, roomFrom, roomOf } from './roomOf';
import type { Tier, Tray } from './Site';

const lamp = lampLibrary.find((l) => l.id === 't8-12-2refl')!;
const tray: Tray = {
  id: 'tray',
  containerId: null,
  length: 0.5,
  width: 0.25,
  height: 0.05,
  insideLength: 0.5,
  insideWidth: 0.25,
  x: 0,
  y: 0,
  turned: false,
  ...ON_THE_FLOOR,
  batchId: 'b',
};
const bare: Tier = {
  id: 't',
  width: 1,
  depth: 1,
  enclosure: IN_THE_OPEN,
  ageing: AS_NEW,
  fittings: [],
  trays: [tray],
  timerId: 'p',
  notch: null,
  daylight: null,
  rotation: null,
  load: null,
  readings: [],
  fits: [],
};
const white: Enclosure['faces'] = {
  floor: 'white-card',
  ceiling: 'white-card',
  left: 'white-card',
  right: 'white-card',
  front: 'open',
  back: 'white-card',
};
const tierIn = (enclosure: Enclosure) =>
  layOut({ ...bare, enclosure }, lamp, { count: 1, gap: 0 }, tray, { across: 2, deep: 1, turned: false }, 0.3, () => 'id');
const inWhite = tierIn({ width: 1.4, depth: 0.6, height: 0.45, faces: white });

test('no material sends back and lets through more than falls on it', () => {
  for (const m of materialLibrary) expect(m.reflectance + m.reflectanceUncertainty + m.transmittance).toBeLessThanOrEqual(1);
});

test('a tier in the open is no room; between sides it is one of the size that was typed', () => {
  expect(roomOf(tierIn(IN_THE_OPEN), [0.1])).toBeNull();
  expect(roomOf(inWhite, [0.1])).toMatchObject({ width: 1.4, depth: 0.6, height: 0.45 });
});

test('sides never stand in a lamp or a tray', () => {
  const tight = tierIn({ width: 0.3, depth: 0.1, height: 0.45, faces: white });
  expect(tight.width).toBeGreaterThanOrEqual(lamp.length);
  expect(tight.depth).toBeGreaterThanOrEqual(tray.width);
});

test('a canopy that covers the floor swallows most of what falls on it', () => {
  const full = { ...inWhite, trays: [{ ...tray, length: 1.4, width: 0.6, x: 0.7, y: 0.3 }] };
  expect(roomOf(full, [0])!.faces.floor.reflectance).toBeWithin(0.07, { absolute: 1e-9 });
  const empty = { ...inWhite, trays: [{ ...tray, length: 0.01, width: 0.01, x: 0.7, y: 0.3 }] };
  expect(roomOf(empty, [0])!.faces.floor.reflectance).toBeWithin(0.87, { absolute: 0.001 });
});

test('what stood around a reading of long ago, of which only the covered floor is known, takes about as much light as trays do', () => {
  const known = aroundOf(inWhite, inWhite.trays.map(() => 0.1)); // prettier-ignore
  const { standing, ...old } = known;
  expect(standing!.height).toBeCloseTo(0.1, 9);
  const share = roomFrom(old)!.low!.share;
  expect(share).toBeWithin(roomFrom(known)!.low!.share, { relative: 0.15 });
  expect(roomFrom({ ...old, covered: 0 })!.low).toBeUndefined();
});

test('light by distance and a reading between sides are what the settled light is', () => {
  const canopy = 0.1;
  const room = roomOf(
    inWhite,
    inWhite.trays.map(() => canopy),
  )!;
  const areas = [{ x0: 0.45, x1: 0.95, y0: 0.2, y1: 0.4 }];
  const at0 = emittersOf(lamp, { x: 0.7, y: 0.3, face: 0, turn: 0 });
  const profile = profileOf({ emitters: at0, plantAreas: areas, nearest: 0.02, farthest: 0.32, around: { room, face: canopy } });
  for (const d of [0.05, 0.12, 0.25]) {
    const hung = emittersOf(lamp, { x: 0.7, y: 0.3, face: canopy + d, turn: 0 });
    const field = lightFieldOf({ lamps: [{ id: 'l', emitters: hung }], rooms: [room], obstructions: [] });
    const near = profile.reduce((a, b) => (Math.abs(b.distance - d) < Math.abs(a.distance - d) ? b : a));
    const there = lightFieldOf({
      lamps: [{ id: 'l', emitters: emittersOf(lamp, { x: 0.7, y: 0.3, face: canopy + near.distance, turn: 0 }) }],
      rooms: [room],
      obstructions: [],
    });
    expect(near.centre).toBeWithin(there.ppfdAt(0.7, 0.3, canopy), { relative: 0.01 });
    const lit = [{ lampId: lamp.id, dx: 0, dy: 0, face: canopy + d, turn: 0 }];
    const reading = {
      dx: 0.1,
      dy: -0.05,
      z: canopy,
      lit,
      around: aroundOf(
        inWhite,
        inWhite.trays.map(() => canopy),
      ),
    };
    const inTheOpen = { ...reading, around: aroundOf({ ...inWhite, enclosure: IN_THE_OPEN }) };
    const expected = field.ppfdAt(0.8, 0.25, canopy);
    expect(lightThere(reading, () => lamp).ppfd).toBeWithin(expected, { relative: 1e-3 });
    expect(expected).toBeGreaterThan(1.05 * lightThere(inTheOpen, () => lamp).ppfd); // pale sides are worth something
  }
});
