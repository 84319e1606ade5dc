import { expectedReading } from '../../measure/reading/expectedReading';
import { takeReading } from '../../measure/reading/takeReading';
import { standAtWindow } from '../../site/stand/changeWindows';
import { keepReadings } from '../../site/stand/changeReadings';
import type { Site } from '../../site/stand/Site';
import { USUAL_WINDOW, type Window } from '../../site/window/Window';
import { radiansOf } from '../../sky/place/readCoordinate';
import { readyClimate } from '../../sky/outdoors/climates';
import type { Lamp } from '../../things/lamp/Lamp';
import type { Tables } from '../../things/tables/Tables';
import { dayFrom, noonOf, yearOfDay, type Day } from '../../units/day';
import { mulberry } from '../../units/mulberry';
import type { Exercise, Goal } from './Exercise';
import { practiceSite, type PracticeTier } from './practiceSite';
import { AS_SAID, type Truth } from './Truth';
import { lightThere } from '../../measure/reading/lightThere';

const SOUND: Goal = { sound: 0.8, kWh: null, alike: null };

/** Between two numbers, by chance, to two digits: a truth that one can write down. */
const between = (chance: () => number, from: number, to: number): number => Math.round(100 * (from + (to - from) * chance())) / 100;

const raisedIn = (tier: PracticeTier): Record<string, number> =>
  Object.fromEntries(tier.trays.flatMap((y) => (y.age === undefined ? [] : [[y.id, y.age]])));

/** A bulb over pots on a bench: too far off, too short a day. */
const oneBulb: Exercise = {
  id: 'one-bulb',
  level: 1,
  days: 14,
  awayFrom: null,
  goal: SOUND,
  start(_, today, tables) {
    const tier: PracticeTier = {
      kind: 'bench',
      name: 'Kitchen table',
      trays: [{ id: 'pots', crop: 'basil', in: 'flat-half', x: 0.75, age: 3 }],
      lamps: [{ lamp: 'led-grow-24', x: 0.75, face: 0.62, by: 'cord' }],
      on_min: 480,
      lit_min: 600,
    };
    return { site: practiceSite(tier, today, tables), truth: AS_SAID, raised: raisedIn(tier) };
  },
};

/** A strong board right over tomatoes. */
const tooNear: Exercise = {
  id: 'too-near',
  level: 1,
  days: 14,
  awayFrom: null,
  goal: SOUND,
  start(_, today, tables) {
    const tier: PracticeTier = {
      kind: 'bench',
      name: 'Work table',
      trays: [{ id: 'tomatoes', crop: 'tomato', in: 'cell-72', x: 0.75, age: 6 }],
      lamps: [{ lamp: 'led-board-100', x: 0.75, face: 0.26 }],
      on_min: 360,
      lit_min: 960,
    };
    return { site: practiceSite(tier, today, tables), truth: AS_SAID, raised: raisedIn(tier) };
  },
};

/** Two trays, one short bar that hangs over the left one. */
const twoTrays: Exercise = {
  id: 'two-trays',
  level: 1,
  days: 14,
  awayFrom: null,
  goal: { ...SOUND, sound: 0.9 },
  start(_, today, tables) {
    const tier: PracticeTier = {
      kind: 'rack',
      name: 'Shelf with one light',
      trays: [
        { id: 'left', crop: 'lettuce', in: 'flat-half', x: 0.42, age: 5, label: 'lettuce, left' },
        { id: 'right', crop: 'lettuce', in: 'flat-half', x: 0.74, age: 5, label: 'lettuce, right' },
      ],
      lamps: [{ lamp: 't5ho-06-2refl', x: 0.3, face: 0.2 }],
      faces: { ceiling: 'open' },
      on_min: 360,
      lit_min: 960,
    };
    return { site: practiceSite(tier, today, tables), truth: AS_SAID, raised: raisedIn(tier) };
  },
};

/** What a meter would show at a place, times a slip of the hand. */
function withReadings(
  site: Site,
  truth: Truth,
  taken: readonly { x: number; y: number; z: number; slip: number }[],
  at_ms: number,
  tables: Tables,
): Site {
  const tier = site.stands[0]!.tiers[0]!;
  const real = (id: string): Lamp | undefined => {
    const lamp = site.lamps.find((l) => l.id === id) ?? tables.lamp(id);
    return lamp && { ...lamp, ppf: lamp.ppf * (truth.lamps[id] ?? 1) };
  };
  const hand = { kindId: 'lux-basic', meterId: null, factor: 1 };
  const readings = taken.map(({ slip, ...at }, i) => {
    const reading = takeReading(tier, at, hand, { value: 0, unit: 'lx' }, { id: `practice-reading-${i + 1}`, now_ms: at_ms + i * 30_000 });
    const { value } = expectedReading('lux-basic', lightThere(reading, real));
    return { ...reading, value: Math.round((value ?? 0) * slip) };
  });
  return keepReadings(tier.id, readings)(site);
}

/** Readings of last week; some were read on the range below. */
const wrongRange: Exercise = {
  id: 'wrong-range',
  level: 2,
  days: 14,
  awayFrom: null,
  goal: SOUND,
  start(seed, today, tables) {
    const chance = mulberry(seed);
    const truth: Truth = { ...AS_SAID, lamps: { 'led-shop-12-twin-42': between(chance, 0.84, 0.96) } };
    const tier: PracticeTier = {
      kind: 'rack',
      name: 'Rack in the hall',
      trays: [{ id: 'celery', crop: 'celery', in: 'cell-72', x: 0.6, age: 13 }],
      lamps: [
        { lamp: 'led-shop-12-twin-42', x: 0.6, y: 0.14, face: 0.36 },
        { lamp: 'led-shop-12-twin-42', x: 0.6, y: 0.31, face: 0.36 },
      ],
      on_min: 360,
      lit_min: 480,
    };
    // The switch stood one range too low for most of them.
    const places = [0.42, 0.5, 0.6, 0.7, 0.78].map((x, i) => ({ x, y: 0.225, z: 0.1, slip: i === 2 || i === 4 ? 1 : 0.1 }));
    const site = withReadings(practiceSite(tier, today, tables), truth, places, noonOf(today - 6).getTime(), tables);
    return { site, truth, raised: raisedIn(tier) };
  },
};

/** Tubes that have burned for years. */
const oldTubes: Exercise = {
  id: 'old-tubes',
  level: 2,
  days: 14,
  awayFrom: null,
  goal: SOUND,
  start(seed, today, tables) {
    const chance = mulberry(seed);
    const lamp = 't8-12-2refl';
    const tier: PracticeTier = {
      kind: 'rack',
      name: 'Cellar rack',
      trays: [{ id: 'parsley', crop: 'parsley', in: 'cell-72', x: 0.6, age: 9 }],
      lamps: [
        { lamp, x: 0.6, y: 0.14, face: 0.28 },
        { lamp, x: 0.6, y: 0.31, face: 0.28 },
      ],
      on_min: 360,
      lit_min: 780,
    };
    return {
      site: practiceSite(tier, today, tables),
      truth: { ...AS_SAID, lamps: { [lamp]: between(chance, 0.58, 0.68) } },
      raised: raisedIn(tier),
    };
  },
};

/** Sides that are said to be white, and have gone grey. */
const greySides: Exercise = {
  id: 'grey-sides',
  level: 2,
  days: 14,
  awayFrom: null,
  goal: SOUND,
  start(seed, today, tables) {
    const chance = mulberry(seed);
    const tier: PracticeTier = {
      kind: 'rack',
      name: 'White cabinet',
      trays: [
        { id: 'sage', crop: 'sage', in: 'flat-half', x: 0.3, age: 9 },
        { id: 'snapdragon', crop: 'snapdragon', in: 'flat-half', x: 0.9, age: 9 },
      ],
      lamps: [{ lamp: 'led-shop-12-twin-38', x: 0.6, face: 0.34 }],
      faces: { floor: 'white-paint', ceiling: 'white-paint', left: 'white-paint', right: 'white-paint', back: 'white-paint', front: 'white-card' }, // prettier-ignore
      on_min: 360,
      lit_min: 780,
    };
    return { site: practiceSite(tier, today, tables), truth: { ...AS_SAID, sides: between(chance, 0.1, 0.25) }, raised: raisedIn(tier) };
  },
};

/** A red-and-blue panel, and a meter that sees little of it. */
const redBlue: Exercise = {
  id: 'red-blue',
  level: 2,
  days: 14,
  awayFrom: null,
  goal: SOUND,
  start(seed, today, tables) {
    const chance = mulberry(seed);
    const tier: PracticeTier = {
      kind: 'bench',
      name: 'Pink corner',
      trays: [{ id: 'tomatillo', crop: 'tomatillo', in: 'cell-50', x: 0.75, age: 6 }],
      lamps: [{ lamp: 'led-blurple-115', x: 0.75, face: 0.62 }],
      on_min: 360,
      lit_min: 960,
    };
    const lamps = { 'led-blurple-115': between(chance, 0.55, 0.68) };
    return { site: practiceSite(tier, today, tables), truth: { ...AS_SAID, lamps }, raised: raisedIn(tier) };
  },
};

/** A lamp that claims what no lamp can, and an honest one in the cupboard. */
const advert: Exercise = {
  id: 'advert',
  level: 2,
  days: 14,
  awayFrom: null,
  goal: SOUND,
  start(seed, today, tables) {
    const chance = mulberry(seed);
    const honest = tables.lamp('led-board-65-budget')!;
    const claimed: Lamp = {
      ...honest,
      id: 'practice-claimed',
      name: '"1500 W" panel from an advert',
      power: 65,
      ppf: 240,
      fluxBasis: 'ppf',
      sources: [],
    };
    const tier: PracticeTier = {
      kind: 'bench',
      name: 'Under the stairs',
      trays: [{ id: 'physalis', crop: 'physalis', in: 'cell-72', x: 0.75, age: 7 }],
      lamps: [{ lamp: claimed.id, x: 0.75, face: 0.62 }],
      on_min: 360,
      lit_min: 960,
    };
    const site = practiceSite(tier, today, tables, { lamps: [claimed], spares: [{ lampId: 'led-board-65', count: 1 }] });
    return { site, truth: { ...AS_SAID, lamps: { [claimed.id]: between(chance, 0.3, 0.38) } }, raised: raisedIn(tier) };
  },
};

/** One that wants a short day beside one that wants a long one, on one timer. */
const twoCrops: Exercise = {
  id: 'two-crops',
  level: 2,
  days: 14,
  awayFrom: null,
  goal: { ...SOUND, sound: 0.9 },
  start(_, today, tables) {
    const lamp = 'led-shop-12-twin-38';
    const tier: PracticeTier = {
      kind: 'rack',
      name: 'Shared shelf',
      trays: [
        { id: 'leek', crop: 'leek', in: 'flat-half', x: 0.36, age: 11 },
        { id: 'tomatillo', crop: 'tomatillo', in: 'flat-half', x: 0.84, age: 6 },
      ],
      lamps: [
        { lamp, x: 0.6, y: 0.13, face: 0.34 },
        { lamp, x: 0.6, y: 0.32, face: 0.34 },
      ],
      on_min: 240,
      lit_min: 1080,
    };
    return { site: practiceSite(tier, today, tables), truth: AS_SAID, raised: raisedIn(tier) };
  },
};

/** Seeds that come up while nobody is there; the lamp is still off. */
const away: Exercise = {
  id: 'away',
  level: 2,
  days: 14,
  awayFrom: 1,
  goal: SOUND,
  start(seed, today, tables) {
    const chance = mulberry(seed);
    const tier: PracticeTier = {
      kind: 'rack',
      name: 'Guest room rack',
      trays: [{ id: 'lettuce', crop: 'lettuce', in: 'cell-128', x: 0.6, sown: 2 }],
      lamps: [{ lamp: 'led-shop-12-twin-42', x: 0.6, face: 0.34 }],
      on_min: 360,
      lit_min: 0,
    };
    return {
      site: practiceSite(tier, today, tables),
      truth: { ...AS_SAID, late: { lettuce: Math.round(between(chance, -1, 2)) } },
      raised: {},
    };
  },
};

const SILL: Window = { ...USUAL_WINDOW, id: 'practice-window', name: 'South-east window', facing: radiansOf(135) };

/** A sill in January, a lamp for a few hours, a timer whose clock runs slow. */
const januarySill: Exercise = {
  id: 'january-sill',
  level: 3,
  days: 21,
  awayFrom: null,
  goal: { sound: 0.8, kWh: 9, alike: null },
  firstDay: (today) => nextTenthOfJanuary(today),
  start(seed, today, tables) {
    const chance = mulberry(seed);
    const tier: PracticeTier = {
      kind: 'sill',
      name: 'Sill in January',
      trays: [{ id: 'onion', crop: 'leek', in: 'trough-windowsill', x: 0.55, y: 0.11, age: 11 }],
      lamps: [{ lamp: 'led-shop-06-twin-20', x: 0.55, face: 0.62, by: 'cord' }],
      on_min: 600,
      lit_min: 300,
    };
    const bare = practiceSite(tier, today, tables);
    const placed: Site = {
      ...bare,
      place: { latitude: radiansOf(54), longitude: radiansOf(0) },
      climate: readyClimate('cloudy-coast'),
      windows: [SILL],
    };
    const site = standAtWindow(placed.stands[0]!.id, { windowId: SILL.id, side: 'back', gap: 0.05, along: 0, above: 0 })(placed);
    return { site, truth: { ...AS_SAID, lag_min: Math.round(between(chance, 15, 25)) }, raised: raisedIn(tier) };
  },
};

const nextTenthOfJanuary = (today: Day): Day => {
  const year = yearOfDay(today);
  const tenth = dayFrom(year, 1, 10);
  return tenth >= today ? tenth : dayFrom(year + 1, 1, 10);
};

/** A trial of two feeds whose trays stand so that it would measure the lamp. */
const fairTrial: Exercise = {
  id: 'fair-trial',
  level: 3,
  days: 14,
  awayFrom: null,
  goal: {
    sound: 0.8,
    kWh: null,
    alike: {
      arms: [
        ['a1', 'a2'],
        ['b1', 'b2'],
      ],
      within: 0.04,
    },
  },
  start(_, today, tables) {
    const at = [0.15, 0.45, 0.75, 1.05];
    const names = ['a1', 'a2', 'b1', 'b2'];
    const tier: PracticeTier = {
      kind: 'rack',
      name: 'Trial shelf',
      trays: names.map((id, i) => ({
        id,
        crop: 'lettuce',
        in: 'flat-half',
        x: at[i]!,
        age: 6,
        label: id.startsWith('a') ? `${id.toUpperCase()}: weak feed` : `${id.toUpperCase()}: strong feed`,
      })),
      lamps: [
        { lamp: 't5ho-06-4refl', x: 0.32, y: 0.12, face: 0.22 },
        { lamp: 't5ho-06-4refl', x: 0.36, y: 0.33, face: 0.22 },
      ],
      on_min: 360,
      lit_min: 960,
    };
    return { site: practiceSite(tier, today, tables), truth: AS_SAID, raised: raisedIn(tier) };
  },
};

/** A meter whose battery is almost empty, and old readings of a sound one. */
const tiredMeter: Exercise = {
  id: 'tired-meter',
  level: 3,
  days: 14,
  awayFrom: null,
  goal: SOUND,
  start(seed, today, tables) {
    const chance = mulberry(seed);
    const lamp = 'led-shop-12-twin-50';
    const truth: Truth = {
      ...AS_SAID,
      lamps: { [lamp]: between(chance, 0.93, 1) },
      meter: { kindId: 'lux-basic', factor: between(chance, 0.48, 0.58), filter: 'sound' },
    };
    const tier: PracticeTier = {
      kind: 'rack',
      name: 'Attic rack',
      trays: [{ id: 'snapdragon', crop: 'snapdragon', in: 'cell-72', x: 0.6, age: 10 }],
      lamps: [
        { lamp, x: 0.6, y: 0.14, face: 0.36 },
        { lamp, x: 0.6, y: 0.31, face: 0.36 },
      ],
      on_min: 360,
      lit_min: 480,
    };
    const places = [0.45, 0.6, 0.75].map((x) => ({ x, y: 0.225, z: 0.1, slip: 1 }));
    const site = withReadings(practiceSite(tier, today, tables), truth, places, noonOf(today - 40).getTime(), tables);
    return { site, truth, raised: raisedIn(tier) };
  },
};

const FREE_LAMPS = ['led-shop-12-twin-42', 'led-bar-12-white-24', 't5-12-2refl', 'led-shop-12-twin-38', 't8-12-2refl'];
const FREE_CROPS = ['basil', 'lettuce', 'celery', 'parsley', 'sage', 'snapdragon', 'tomatillo'];

/** Anything, by chance. */
const free: Exercise = {
  id: 'free',
  level: 3,
  days: 21,
  awayFrom: null,
  goal: SOUND,
  start(seed, today, tables) {
    const chance = mulberry(seed);
    const one = <T>(list: readonly T[]): T => list[Math.floor(chance() * list.length)]!;
    const [lamp, crop] = [one(FREE_LAMPS), one(FREE_CROPS)];
    const white = chance() < 0.5;
    const tier: PracticeTier = {
      kind: 'rack',
      name: 'Practice rack',
      trays: [{ id: 'plants', crop, in: 'cell-72', x: 0.6, sown: 3 }],
      lamps: [
        { lamp, x: 0.6, y: 0.14, face: 0.32 },
        { lamp, x: 0.6, y: 0.31, face: 0.32 },
      ],
      ...(white ? { faces: { left: 'white-card', right: 'white-card', back: 'white-card' } } : {}),
      on_min: 360,
      lit_min: 60 * Math.round(between(chance, 0, 12)),
    };
    const truth: Truth = {
      lamps: { [lamp]: between(chance, 0.55, 1.1) },
      sides: white && chance() < 0.6 ? between(chance, 0.2, 0.85) : null,
      meter: { kindId: one(['lux-basic', 'quantum-par', 'fc-digital']), factor: chance() < 0.25 ? between(chance, 0.55, 0.75) : between(chance, 0.97, 1.03), filter: chance() < 0.3 ? 'cheap' : 'sound' }, // prettier-ignore
      lag_min: 0,
      late: { plants: Math.round(between(chance, -2, 4)) },
    };
    return { site: practiceSite(tier, today, tables), truth, raised: {} };
  },
};

/** From easy to hard; the free one last. */
export const EXERCISES: readonly Exercise[] = [
  oneBulb,
  tooNear,
  twoTrays,
  wrongRange,
  oldTubes,
  greySides,
  redBlue,
  advert,
  twoCrops,
  away,
  januarySill,
  fairTrial,
  tiredMeter,
  free,
];

export const exerciseOf = (id: string): Exercise | undefined => EXERCISES.find((e) => e.id === id);
