import { BARE_SITE, BARE_TIMER } from '../../site/stand/bare';
import fc from 'fast-check';
import { evenly } from '../../../../test/evenly';
import { lampLibrary } from '../../things/lamp/lampLibrary';
import { containerLibrary } from '../../things/container/containerLibrary';
import { tables } from '../../things/tables/libraryTables';
import { lightFieldOf } from '../../light/scene/LightField';
import { createCache } from '../../light/scene/Cache';
import { turnScene } from '../../light/scene/turnScene';
import { answerLight } from '../check/answerLight';
import { benchStandOf } from '../stand/benchStand';
import { addFitting, addTray } from '../../site/stand/change';
import { standFrom, TEMPLATES } from '../../site/stand/templates';
import type { Site } from '../../site/stand/Site';
import { answerBench } from './answerBench';
import { sceneOfTiers } from './benchScene';
import { MAPS_WITHIN, mapsOfTrays } from './mapsOfTrays';
import { askedTier, questionOfStand } from './questionOfStand';

let next = 0;
const ids = () => `id-${next++}`;
const bar = lampLibrary.find((l) => l.id === 'led-bar-12-white-24')!;
const shop = lampLibrary.find((l) => l.id === 'led-shop-12-twin-42')!;
const cells = containerLibrary.find((c) => c.id === 'cell-72')!;

/** A rack with a tray and lamps on every tier; the faces of the tiers may be changed. */
function rack(tiers: number, floor = 'wire', lamps = [bar, shop], ceiling = floor): Site {
  const template = TEMPLATES.find((t) => t.kind === 'rack')!;
  const { stand, timer } = standFrom({ ...template, faces: { ...template.faces, floor, ceiling } }, tiers, 'Rack', ids);
  let site: Site = {
    ...BARE_SITE,
    currency: 'EUR',
    price_per_kWh: 0.3,
    stands: [stand],
    timers: [timer],
  };
  for (const [i, tier] of stand.tiers.entries()) {
    site = addTray(tier.id, cells, { cropId: 'celery', stage: 'seedling' }, { x: 0.35, y: 0.2 }, ids)(site);
    site = addFitting(tier.id, lamps[i % lamps.length]!, { x: 0.55, y: 0.2, face: 0.3, turn: i % 2 ? 0.2 : 0 }, ids())(site);
  }
  return site;
}
const standOf = (site: Site) => benchStandOf(site, site.stands[0]!, tables);

test('every tray of a rack has the light that the whole scene gives at its leaf tops', () => {
  const stand = standOf(rack(3));
  expectAsWhole(stand);
  const answer = answerBench(questionOfStand(stand, null));
  // The lowest tier gets light through the wire from above, the highest from nowhere above it.
  const lowest = stand.tiers.find((t) => t.number === 3)!;
  expect(answer.tiers[lowest.tier.id]!.trays[lowest.trays[0]!.tray.id]!.spillShare).toBeGreaterThan(0.005);
});

test('where the wire above lets out what the ceiling of a tier would send back, its trays have that much less', () => {
  const site = rack(2, 'wire', [bar, shop], 'white-card');
  const faces = { left: 'white-card', right: 'white-card', back: 'white-card', front: 'white-card' };
  const stand = standOf({
    ...site,
    // The lamps above hardly burn: what they add doesn't hide the loss.
    timers: [...site.timers, { id: 'short', on_min: 0, lit_min: 1, ...BARE_TIMER }],
    stands: site.stands.map((s) => ({
      ...s,
      tiers: s.tiers.map((t, i) => ({
        ...t,
        timerId: i === 0 ? 'short' : t.timerId,
        enclosure: { ...t.enclosure, faces: { ...t.enclosure.faces, ...faces } },
      })),
    })),
  });
  expectAsWhole(stand, stand.tiers[1]!.hours);
});

/** Holds a few places of every tray that is lit for some hours against the whole stand as one scene. */
function expectAsWhole(stand: ReturnType<typeof standOf>, hours: number | null = null): void {
  const answer = answerBench(questionOfStand(stand, null));
  const whole = lightFieldOf(
    sceneOfTiers(
      stand.tiers.map((t) => askedTier(t)),
      hours,
    ),
  );
  for (const t of stand.tiers) {
    if (hours !== null && t.hours !== hours) continue;
    const { map, stats } = answer.tiers[t.tier.id]!.trays[t.trays[0]!.tray.id]!;
    const z = t.trays[0]!.canopy + t.z;
    const { x0, x1, y0, y1 } = map.area;
    for (const [i, j] of [
      [0, 0],
      [20, 13],
      [map.columns - 1, map.rows - 1],
      [7, 22],
    ] as const) {
      const truth = whole.ppfdAt(x0 + ((i + 0.5) / map.columns) * (x1 - x0) + t.x, y0 + ((j + 0.5) / map.rows) * (y1 - y0), z);
      expect(map.ppfd[i + map.columns * j]!).toBeWithin(truth, { relative: 0.004 });
    }
    expect(whole.ppfdAt(stats.weakest.x, stats.weakest.y, z)).toBeWithin(stats.weakest.ppfd, { relative: 0.008 });
  }
}

test('solid shelves keep the tiers apart, but for what goes round by the open sides', () => {
  const spill = (floor: string) => {
    const stand = standOf(rack(2, floor));
    const lowest = stand.tiers[1]!;
    return answerBench(questionOfStand(stand, null)).tiers[lowest.tier.id]!.trays[lowest.trays[0]!.tray.id]!.spillShare;
  };
  expect(spill('dark')).toBeLessThan(1e-6);
  expect(spill('wire')).toBeGreaterThan(0.005);
});

test('a stand of one tier has the light that the quick check shows', () => {
  const stand = standOf(rack(1));
  const [t] = stand.tiers;
  const tray = t!.trays[0]!;
  const question = questionOfStand(stand, 'front');
  const answer = answerBench(question).tiers[t!.tier.id]!;
  const asked = askedTier(t!);
  const check = answerLight({
    scene: { lamps: asked.lamps, rooms: [asked.room!], obstructions: [] },
    width: asked.width,
    depth: asked.depth,
    canopy: tray.canopy,
    sliceTop: asked.height,
    sliceMargin: 0,
    plantAreas: [asked.trays[0]!.plantArea],
    cell: 0.01,
    sliceCell: 0.015,
  });
  expect(answer.trays[tray.tray.id]!.stats.mean).toBeWithin(check.stats.mean, { relative: 0.003 });
  expect(answer.map!.ppfd).toEqual(check.map.ppfd);
});

test('light of a tier with other hours counts by its dose', () => {
  const site = rack(2);
  const [upper, lower] = site.stands[0]!.tiers;
  const timers = [{ id: 'long', on_min: 0, lit_min: 1200, ...BARE_TIMER }, { id: 'short', on_min: 0, lit_min: 600, ...BARE_TIMER }]; // prettier-ignore
  const timed = (up: string) => ({
    ...site,
    timers,
    stands: [
      {
        ...site.stands[0]!,
        tiers: [
          { ...upper!, timerId: up },
          { ...lower!, timerId: 'short' },
        ],
      },
    ],
  });
  const light = (s: Site) => {
    const stand = standOf(s);
    const t = stand.tiers[1]!;
    return answerBench(questionOfStand(stand, null)).tiers[t.tier.id]!.trays[t.trays[0]!.tray.id]!;
  };
  const [same, twice] = [light(timed('short')), light(timed('long'))];
  const spill = same.stats.mean * same.spillShare;
  expect(twice.stats.mean - same.stats.mean).toBeWithin(spill, { relative: 0.03 });
});

test('while a hand moves a lamp, its tier alone is answered, with the light of the others as it was', () => {
  const cache = createCache(1024);
  const site = rack(3);
  const stand = standOf(site);
  const full = answerBench(questionOfStand(stand, 'front'), cache);
  const id = stand.tiers[2]!.tier.id;
  const quick = answerBench(questionOfStand(stand, 'front', id), cache);
  expect(Object.keys(quick.tiers)).toEqual([id]);
  const tray = stand.tiers[2]!.trays[0]!.tray.id;
  expect(quick.tiers[id]!.trays[tray]!.stats).toEqual(full.tiers[id]!.trays[tray]!.stats);
});

test('the shares of the lamps of a tray and of the other tiers make one', () => {
  const site = rack(2);
  const t = site.stands[0]!.tiers[1]!;
  const stand = standOf(addFitting(t.id, bar, { x: 0.8, y: 0.35, face: 0.3 }, 'second')(site));
  const light = answerBench(questionOfStand(stand, null)).tiers[t.id]!.trays[t.trays[0]!.id]!;
  expect(light.lamps).toHaveLength(2);
  expect(light.lamps.reduce((s, l) => s + l.share, light.spillShare)).toBeWithin(1, { relative: 1e-9 });
});

test('a turned scene has the same light at the turned place', () => {
  const stand = standOf(rack(2));
  const scene = sceneOfTiers(
    stand.tiers.map((t) => askedTier(t)),
    null,
  );
  const [field, turned] = [lightFieldOf(scene), lightFieldOf(turnScene(scene))];
  fc.assert(
    fc.property(evenly(0.02, 1.1), evenly(0.02, 0.4), evenly(0.02, 0.25), (x, y, z) => {
      // Faces are cut into patches along their own sides, so the reflected light agrees as patches do.
      expect(turned.ppfdAt(y, -x, z)).toBeWithin(field.ppfdAt(x, y, z), { relative: 0.02 });
    }),
    { numRuns: 25 },
  );
});

test('the slice from the side shows the light at its places', () => {
  const stand = standOf(rack(1));
  const { slice } = answerBench(questionOfStand(stand, 'side')).tiers[stand.tiers[0]!.tier.id]!;
  const field = lightFieldOf(
    sceneOfTiers(
      stand.tiers.map((t) => askedTier(t)),
      null,
    ),
  );
  const [c, r] = [9, 6];
  const [y, z] = [slice!.x0 + ((c + 0.5) / slice!.columns) * (slice!.x1 - slice!.x0), ((r + 0.5) / slice!.rows) * slice!.z1];
  expect(slice!.ppfd[c + slice!.columns * r]!).toBeWithin(field.ppfdAt(stand.tiers[0]!.tier.width / 2, y, z), { relative: 0.02 });
});

test.each(['wire', 'white-card', 'bright'])(
  'maps alone, with less care for the light of other tiers through %s, are as good as the same',
  (faces) => {
    const site = rack(4, 'wire', [bar, shop], faces === 'wire' ? 'wire' : 'white-card');
    const sides = Object.fromEntries(['left', 'right', 'back', 'front'].map((f) => [f, faces === 'bright' ? 'white-card' : 'open']));
    const stand = standOf({
      ...site,
      timers: [...site.timers, { ...BARE_TIMER, id: 'short', on_min: 600, lit_min: 240 }],
      stands: site.stands.map((s) => ({
        ...s,
        tiers: s.tiers.map((t, i) => ({
          ...t,
          // Little of its own: what comes from above counts most there.
          timerId: i === 2 ? 'short' : t.timerId,
          enclosure: { ...t.enclosure, faces: { ...t.enclosure.faces, ...sides } },
        })),
      })),
    });
    const question = questionOfStand(stand, null);
    const maps = mapsOfTrays(question, createCache());
    let most = 0;
    for (const [tierId, tier] of Object.entries(answerBench(question).tiers))
      for (const [trayId, { map, spillShare }] of Object.entries(tier.trays)) {
        const quick = maps[tierId]![trayId]!;
        most = Math.max(most, spillShare);
        for (let i = 0; i < map.ppfd.length; i++) expect(quick.ppfd[i]!).toBeWithin(map.ppfd[i]!, { relative: MAPS_WITHIN });
      }
    expect(most).toBeGreaterThan(0.01); // there is something to be right about
  },
);
