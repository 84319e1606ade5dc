import fc from 'fast-check';
import { evenly } from '../../../../test/evenly';
import { lightOf } from '../../light/ppfdAtPoint';
import { lightFieldOf } from '../../light/scene/LightField';
import type { Emitter } from '../../light/emitters/Emitter';
import type { Room } from '../../light/room/Room';
import { lightThere } from '../../measure/reading/lightThere';
import { placeNow } from '../../measure/reading/takeReading';
import { BARE_SITE, BARE_STAND } from '../../site/stand/bare';
import { addFitting, addTray, changeFittings } from '../../site/stand/change';
import { emittersHung, sceneLampOf } from '../../site/stand/emittersHung';
import { bodyOutlineOf } from '../../site/stand/poseOf';
import type { Site } from '../../site/stand/Site';
import { standFrom, TEMPLATES } from '../../site/stand/templates';
import { FINEST_STEP, LONGEST_TRAVEL, stopsAlong, stopsOf, type Travel } from '../../things/lamp/Travel';
import { lampLibrary } from '../../things/lamp/lampLibrary';
import { tables } from '../../things/tables/libraryTables';
import { faultsOf } from '../faults/faults';
import { benchStandOf, leafTopsOf } from '../stand/benchStand';
import { planWalk } from '../walk/planWalk';
import { answerBench } from './answerBench';
import { questionOfStand } from './questionOfStand';

const bar = lampLibrary.find((l) => l.id === 'led-bar-12-white-24')!;
const bulb = lampLibrary.find((l) => l.shape === 'bulb-bare')!;
const travelOf = (along: Travel['along'], length: number): Travel => ({ along, length });

test('the shares of the time add up to one, the stops lie within the way and about its middle', () => {
  fc.assert(
    fc.property(evenly(-LONGEST_TRAVEL, LONGEST_TRAVEL), evenly(-2, 2), evenly(FINEST_STEP, 1), (x, y, step) => {
      const stops = stopsAlong(x, y, step);
      const sum = (of: (s: (typeof stops)[number]) => number) => stops.reduce((all, s) => all + of(s), 0);
      expect(sum((s) => s.share)).toBeWithin(1, { absolute: 1e-12 });
      expect(sum((s) => s.share * s.dx)).toBeWithin(0, { absolute: 1e-12 });
      expect(sum((s) => s.share * s.dy)).toBeWithin(0, { absolute: 1e-12 });
      for (const s of stops) expect([Math.abs(s.dx) <= Math.abs(x) / 2, Math.abs(s.dy) <= Math.abs(y) / 2]).toEqual([true, true]);
    }),
  );
  expect(stopsOf(undefined, 0.2)).toEqual([{ dx: 0, dy: 0, share: 1 }]);
});

// A strip that goes to and fro across its length lights like a panel as long as the strip and as wide as its way.
const strip = (length: number, x: number, y: number, z: number): Emitter => ({ kind: 'rect', x, y, z, ppf: 100, length, width: 0, turn: Math.PI / 2, cosinePower: 1 }); // prettier-ignore
const panel = (length: number, way: number, x: number, y: number, z: number): Emitter => ({ kind: 'rect', x, y, z, ppf: 100, length: way, width: length, turn: 0, cosinePower: 1 }); // prettier-ignore
const travelling = (e: Emitter, way: number, below: number): Emitter[] =>
  stopsOf(travelOf('width', way), below).map((s) => ({ ...e, x: e.x + s.dx, ppf: e.ppf * s.share }));

test('a strip that travels across its length gives what a panel of that size gives', () => {
  fc.assert(
    fc.property(evenly(0.1, 2), evenly(0.2, 1), evenly(0.1, 0.6), evenly(-1, 1), evenly(-0.5, 0.5), (way, length, height, x, y) => {
      const lights = travelling(strip(length, 0, 0, height), way, height).map(lightOf);
      const got = lights.reduce((sum, light) => sum + light(x * way, y, 0), 0);
      expect(got).toBeWithin(lightOf(panel(length, way, 0, 0, height))(x * way, y, 0), { relative: 0.005 });
    }),
  );
});

test('so it does between pale sides, at every place of a tier', () => {
  const face = { reflectance: 0.85, transmittance: 0 };
  const faces = { floor: { reflectance: 0.2, transmittance: 0 }, ceiling: face, left: face, right: face, front: face, back: face };
  const room: Room = { x: 0, y: 0, z: 0, width: 1.2, depth: 0.5, height: 0.6, faces };
  const fieldOf = (emitters: readonly Emitter[]) => lightFieldOf({ lamps: [{ id: 'l', emitters }], rooms: [room], obstructions: [] });
  const [moving, still] = [fieldOf(travelling(strip(0.4, 0.6, 0.25, 0.5), 0.8, 0.2)), fieldOf([panel(0.4, 0.8, 0.6, 0.25, 0.5)])];
  for (const x of [0.02, 0.2, 0.4, 0.6, 0.9, 1.18])
    for (const y of [0.02, 0.25, 0.4])
      for (const z of [0, 0.15, 0.3]) expect(moving.ppfdAt(x, y, z)).toBeWithin(still.ppfdAt(x, y, z), { relative: 0.005 });
});

test('the mean of the smallest lamp is right within 0.5 % at the height it is asked for and below, from 10 cm on', () => {
  const exactly = (n: number, way: number, x: number, height: number) => {
    let sum = 0;
    for (let i = 0; i < n; i++) {
      const dx = ((i + 0.5) / n - 0.5) * way;
      sum += lightOf({ kind: 'point', x: dx, y: 0, z: height, ppf: 100 / n, cosinePower: null })(x, 0.03, 0);
    }
    return sum;
  };
  for (const below of [0.1, 0.14, 0.3, 0.5])
    for (const way of [0.1, 0.2, 0.5, 1, 2])
      for (const height of [below, 1.5 * below]) {
        const lights = travelling({ kind: 'point', x: 0, y: 0, z: height, ppf: 100, cosinePower: null }, way, below).map(lightOf);
        for (const x of [0, 0.3, 0.5, 0.55].map((u) => u * way))
          expect(lights.reduce((sum, light) => sum + light(x, 0.03, 0), 0)).toBeWithin(exactly(5000, way, x, height), { relative: 0.005 });
      }
});

/** A shelf of a rack with one lamp, and a tray at either end. */
function shelf(travel: Travel | undefined, { lamp = bar, turn = 0, face = 0.24 } = {}): Site {
  let n = 0;
  const { stand, timer } = standFrom(
    TEMPLATES.find((t) => t.kind === 'rack')!,
    1,
    'Rack',
    () => `t${n++}`,
  );
  const id = stand.tiers[0]!.id;
  const pot = tables.container('pot-9')!;
  const grow = { cropId: 'lettuce', stage: 'seedling' } as const;
  const ids = (name: string) => {
    let k = 0;
    return () => `${name}${['-batch', ''][k++ % 2]}`;
  };
  const steps = [
    addFitting(id, lamp, { x: 0.6, y: 0.225, face }, 'lamp'),
    addTray(id, pot, grow, { x: 0.1, y: 0.225 }, ids('left')),
    addTray(id, pot, grow, { x: 1.1, y: 0.225 }, ids('right')),
    changeFittings(id, ['lamp'], () => ({ turn, ...(travel && { travel }) })),
  ];
  return steps.reduce((site, step) => step(site), {
    ...BARE_SITE,
    currency: 'EUR',
    price_per_kWh: 0.3,
    stands: [{ ...stand, ...BARE_STAND }],
    timers: [timer],
  } as Site);
}
const standOf = (site: Site) => benchStandOf(site, site.stands[0]!, tables);
const traysOf = (site: Site) => {
  const stand = standOf(site);
  return answerBench(questionOfStand(stand, null)).tiers[stand.tiers[0]!.tier.id]!.trays;
};

test('on the bench: trays at both ends get more and alike light; for a moment each gets more than on the whole', () => {
  const panelLamp = lampLibrary.find((l) => l.id === 'led-board-65')!;
  const still = traysOf(shelf(undefined, { lamp: panelLamp }));
  const moving = traysOf(shelf(travelOf('width', 0.9), { lamp: panelLamp }));
  const ids = Object.keys(still);
  expect(ids).toHaveLength(2);
  for (const id of ids) {
    expect(still[id]!.passing).toBeNull();
    expect(moving[id]!.stats.mean).toBeGreaterThan(1.5 * still[id]!.stats.mean);
    expect(moving[id]!.passing!).toBeGreaterThan(1.3 * moving[id]!.stats.strongest.ppfd);
  }
  expect(moving[ids[0]!]!.stats.mean).toBeWithin(moving[ids[1]!]!.stats.mean, { relative: 1e-3 });
});

test('what plants get for a moment is what they would get if the lamp stood there, where sides send nothing back', () => {
  const panelLamp = lampLibrary.find((l) => l.id === 'led-board-65')!;
  const open = (site: Site): Site => ({
    ...site,
    stands: site.stands.map((s) => ({
      ...s,
      tiers: s.tiers.map((t) => ({ ...t, enclosure: { ...t.enclosure, faces: { floor: 'open', ceiling: 'open', left: 'open', right: 'open', front: 'open', back: 'open' } } })), // prettier-ignore
    })),
  });
  const moving = traysOf(open(shelf(travelOf('width', 0.9), { lamp: panelLamp })));
  const there = open(shelf(undefined, { lamp: panelLamp }));
  const strongest = (x: number, id: string) => traysOf(changeFittings(there.stands[0]!.tiers[0]!.id, ['lamp'], () => ({ x }))(there))[id]!.stats.strongest.ppfd; // prettier-ignore
  const id = Object.keys(moving)[0]!;
  const most = Math.max(...Array.from({ length: 10 }, (_, i) => strongest(0.15 + 0.1 * i, id)));
  expect(moving[id]!.passing!).toBeWithin(most, { relative: 0.03 });
});

test('heat and the sides of a tier hold for the whole way of a lamp', () => {
  const kinds = (site: Site) => faultsOf(standOf(site)).map((f) => f.why);
  // A bulb that comes too near to the pots at the ends, though not in the middle.
  expect(kinds(shelf(undefined, { lamp: bulb, face: 0.14 }))).toEqual([]);
  expect(kinds(shelf(travelOf('width', 0.9), { lamp: bulb, face: 0.14 }))).toContain('leaves-in-heat');
  expect(kinds(shelf(travelOf('width', 2), { lamp: bulb, face: 0.24 }))).toContain('lamp-beyond-tier');
  const fitting = standOf(shelf(travelOf('depth', 0.3), { lamp: bulb })).tiers[0]!.lamps[0]!.fitting;
  const r = bodyOutlineOf(fitting, bulb);
  expect([r.x1 - r.x0, r.y1 - r.y0].map((v) => Math.round(v * 1000))).toEqual([bulb.width, bulb.width + 0.3].map((v) => Math.round(v * 1000))); // prettier-ignore
});

test('readings remember the way, and expect the mean over it; no walk asks for one close below a lamp that moves', () => {
  const site = shelf(travelOf('width', 0.6), { lamp: bulb });
  const tier = standOf(site).tiers[0]!;
  const at = placeNow(tier.tier, { x: 0.9, y: 0.2, z: 0.05 }, leafTopsOf(tier));
  expect(at.lit.map((l) => l.travel)).toEqual([travelOf('width', 0.6)]);
  const { ppfd } = lightThere(at, () => bulb);
  const field = lightFieldOf({ lamps: [sceneLampOf('l', bulb, tier.tier.fittings[0]!, 0.05)], rooms: tier.room ? [tier.room] : [], obstructions: [] }); // prettier-ignore
  expect(ppfd).toBeWithin(field.ppfdAt(0.9, 0.2, 0.05), { relative: 1e-6 });
  expect(planWalk(tier, 9).some((p) => p.where === 'near-lamp')).toBe(false);
});

test('all light of a lamp that travels adds up to its flux', () => {
  for (const lamp of lampLibrary) {
    const emitters = emittersHung(lamp, { x: 0, y: 0, face: 0.5, turn: 0.3, tilt: 0.2, travel: travelOf('depth', 0.5) }, 0.2);
    expect(emitters.reduce((sum, e) => sum + e.ppf, 0)).toBeWithin(lamp.ppf, { relative: 1e-9 });
  }
});
