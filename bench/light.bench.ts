import { daylightAt, skyOfDay } from '../src/core/answer/daylight/daylightAt';
import { sillAt } from '../src/core/answer/daylight/sillsOf';
import { yearOf } from '../src/core/answer/daylight/yearOf';
import { houseOpposite, USUAL_WINDOW } from '../src/core/site/window/Window';
import { readyClimate } from '../src/core/sky/outdoors/climates';
import { advise } from '../src/core/plan/advice/advise';
import { answerBench } from '../src/core/answer/bench/answerBench';
import { questionOfStand } from '../src/core/answer/bench/questionOfStand';
import { tables } from '../src/core/things/tables/libraryTables';
import { fitTier } from '../src/core/measure/fit/fitTier';
import { litOf } from '../src/core/site/reading/Reading';
import { aroundOf } from '../src/core/site/stand/roomOf';
import { planWalk } from '../src/core/answer/walk/planWalk';
import { benchStandOf } from '../src/core/answer/stand/benchStand';
import { lampsOf } from '../src/core/answer/stand/comparedIn';
import { changeFittings } from '../src/core/site/stand/change';
import type { Site } from '../src/core/site/stand/Site';
import { createChartMemory } from '../src/core/plan/hang/ChartMemory';
import { hangChartOf, workAhead } from '../src/core/plan/hang/hangChartOf';
import { dayFrom } from '../src/core/units/day';
import { demoSite } from '../src/store/site/demoSite';
import { answerLight } from '../src/core/answer/check/answerLight';
import { lampLibrary } from '../src/core/things/lamp/lampLibrary';
import { emittersOf } from '../src/core/things/lamp/emittersOf';
import type { Emitter, TubeEmitter } from '../src/core/light/emitters/Emitter';
import { FACES, type Face, type FaceName, type Room } from '../src/core/light/room/Room';
import { lightFieldOf } from '../src/core/light/scene/LightField';
import { createCache, type Cache } from '../src/core/light/scene/Cache';

const area = { x0: 0, x1: 1.2, y0: 0, y1: 0.6 };
const tubes: TubeEmitter[] = [0.12, 0.24, 0.36, 0.48].map((y) => ({ kind: 'tube', x: 0.6, y, z: 0.3, ppf: 28, length: 1.15, turn: 0 }));

/** A tall rack whose shelves let light through: all of it worked out at once, as by the door for scripts. */
function wireRack(): () => void {
  const [open, shelf] = [
    { reflectance: 0, transmittance: 1 },
    { reflectance: 0.15, transmittance: 0.7 },
  ];
  const faces = { floor: shelf, ceiling: shelf, left: open, right: open, front: open, back: { reflectance: 0.8, transmittance: 0 } };
  const rooms = Array.from({ length: 10 }, (_, i): Room => ({ x: 0, y: 0, z: 0.42 * i, width: 1.2, depth: 0.6, height: 0.4, faces }));
  const lamps = rooms.map(({ z }) => ({ id: `${z}`, emitters: [tubes[0]!, tubes[3]!].map((t) => ({ ...t, z: z + 0.34 })) }));
  return () => {
    const field = lightFieldOf({ rooms, lamps, obstructions: [] }, createCache(4096));
    for (const { z } of rooms) field.map(area, z + 0.06, 0.01);
  };
}

function median(times: number, work: () => void): number {
  for (let i = 0; i < 8; i++) work();
  const took = Array.from({ length: times }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  }).sort((a, b) => a - b);
  return took[Math.floor(times / 2)]!;
}

/** The plain way: each tube as a hundred points, added up at each cell. */
function plainLoop(): number {
  let sum = 0;
  for (let row = 0; row < 60; row++) {
    for (let column = 0; column < 120; column++) {
      const x = (column + 0.5) / 100;
      const y = (row + 0.5) / 100;
      for (const t of tubes) {
        for (let i = 0; i < 100; i++) {
          const dx = t.x + ((i + 0.5) / 100 - 0.5) * t.length - x;
          const d2 = dx * dx + (t.y - y) ** 2 + t.z * t.z;
          const sin = Math.sqrt(Math.max(0, 1 - (dx * dx) / d2));
          sum += (sin * t.z) / (d2 * Math.sqrt(d2));
        }
      }
    }
  }
  return sum;
}

const inTheOpen = (emitters: readonly Emitter[]) => lightFieldOf({ lamps: [{ id: 'lamps', emitters }], rooms: [], obstructions: [] });

const print = (line: string) => process.stdout.write(`${line}\n`);

{
  const ours = median(60, () => void inTheOpen(tubes).map(area, 0, 0.01));
  const plain = median(9, () => void plainLoop());
  print(
    `map 1.2 × 0.6 m, 1 cm, four tubes: ${ours.toFixed(2)} ms (goal 5); plain loop over 100 points a tube: ${plain.toFixed(1)} ms, ${(plain / ours).toFixed(0)} times as long`,
  );
}

// What one move of the lamp asks, for each kind of lamp.
{
  for (const id of ['t8-12-2refl', 'led-shop-12-twin-42', 'led-board-100', 'led-a-14-clamp', 'led-a-14']) {
    const lamp = lampLibrary.find((l) => l.id === id)!;
    const emitters = [0.2, 0.4].flatMap((y) => emittersOf(lamp, { x: 0.6, y, face: 0.3, turn: 0 }));
    const took = median(
      25,
      () =>
        void answerLight({
          scene: { lamps: [{ id: 'lamps', emitters }], rooms: [], obstructions: [] },
          width: 1.2,
          depth: 0.6,
          canopy: 0.1,
          sliceTop: 0.5,
          sliceMargin: 0.04,
          plantAreas: [area],
          cell: 0.01,
          sliceCell: 0.02,
        }),
    );
    print(`one move, map and slice, two × ${lamp.name}: ${took.toFixed(2)} ms (goal 5)`);
  }
}

// A tier of a rack with five pale faces (open at the front), four real tubes, a map of a centimetre.
{
  const pale: Face = { reflectance: 0.8, transmittance: 0 };
  const faces = Object.fromEntries(FACES.map((n) => [n, n === 'front' ? { reflectance: 0, transmittance: 1 } : pale])) as Record<
    FaceName,
    Face
  >;
  const tier = (level: number): Room => ({ x: 0, y: 0, z: 0.5 * level, width: 1.2, depth: 0.6, height: 0.45, faces });
  const lampsOf = (level: number, moved: number) =>
    tubes.map((t, i) => ({
      id: `${level}-${i}`,
      emitters: [{ ...t, diameter: 0.026, z: 0.5 * level + (i === 0 ? 0.3 + moved : 0.3) }],
    }));
  const one = (level: number, moved: number, cache: Cache) =>
    lightFieldOf({ rooms: [tier(level)], lamps: lampsOf(level, moved), obstructions: [] }, cache).map(area, 0.5 * level + 0.08, 0.01);
  let frame = 0;
  const first = median(15, () => void one(0, 0, createCache()));
  const cache = createCache();
  const later = median(40, () => void one(0, (++frame % 97) / 1000, cache));
  const caches = [0, 1, 2, 3, 4].map(() => createCache());
  const five = median(20, () => caches.forEach((r, level) => void one(level, (++frame % 97) / 1000, r)));
  const wire = wireRack();
  print(`ten tiers of wire, 20 tubes, a map of each, nothing kept: ${median(3, wire).toFixed(0)} ms (goal 1000)`);
  const upright = { x0: 0, x1: 1.2, z0: 0, z1: 0.45, y: 0.3 };
  /** Only the slice is timed: in a frame its field has been settled for the map. */
  const sliceOf = (rooms: readonly Room[]) => {
    const fields = Array.from({ length: 60 }, (_, k) => lightFieldOf({ rooms, lamps: lampsOf(0, k / 1000), obstructions: [] }, cache));
    return median(40, () => void fields[++frame % 60]!.slice(upright, 0.01));
  };
  const [slice, bare] = [sliceOf([tier(0)]), sliceOf([])];
  print(
    `tier with five pale faces, four tubes, 1 cm map: first ${first.toFixed(1)} ms (goal 60), each move of a lamp ${later.toFixed(1)} ms (goal 8)`,
  );
  print(`five such tiers, a lamp moved in each: ${five.toFixed(1)} ms (goal 40)`);
  print(`slice 1.2 × 0.45 m, 1 cm, a lamp moved: ${slice.toFixed(1)} ms with reflections, ${bare.toFixed(1)} ms in the open (goal 5)`);
  const whole = (lamps: number, cell: number, finer: number) => {
    const many = Array.from({ length: lamps / 4 }, (_, k) => lampsOf(0, k / 100)).flat();
    return median(
      9,
      () => void lightFieldOf({ rooms: [tier(0)], lamps: many, obstructions: [] }, createCache(), finer).map(area, 0.08, cell),
    );
  };
  const plain = whole(4, 0.01, 1);
  print(`how the first solve grows (${plain.toFixed(1)} ms):`);
  for (const [what, took] of [
    ['four times the cells', whole(4, 0.005, 1)],
    ['twice the lamps', whole(8, 0.01, 1)],
    ['four times the patches', whole(4, 0.01, 2)],
  ] as const)
    print(`  ${what}: ${took.toFixed(1)} ms, ${(took / plain).toFixed(1)} times`);
}

// Readings: a fit of a tier between white sides, and the points of a walk over it.
{
  const site = demoSite('en-GB');
  const rack = site.stands.find((s) => s.id === 'demo-rack')!;
  const tier = rack.tiers[3]!;
  const others = rack.tiers.filter((t) => t !== tier).map((t) => ({ lit: litOf(t), around: aroundOf(t) }));
  const white = benchStandOf(site, rack, tables).tiers[3]!;
  const fit = median(5, () => void fitTier(tier, lampsOf(site, tables), others, 'fit', Date.UTC(2026, 2, 16)));
  const walk = median(5, () => void planWalk(white, 9));
  print(
    `readings: a fit of ${tier.readings.length} between white sides in ${fit.toFixed(0)} ms (goal 100), nine points of a walk chosen in ${walk.toFixed(0)} ms (goal 100)`,
  );
}

// The hang chart: 58 days of the rack's nine trays, from the light at every height to the list of visits.
{
  const today = dayFrom(2027, 2, 10);
  const site = demoSite('en-GB', today);
  const rack = site.stands.find((s) => s.id === 'demo-rack')!;
  const answer = answerBench(questionOfStand(benchStandOf(site, rack, tables), null));
  const question = { site, standId: rack.id, answer, from: today, timerStep_min: 15 };
  const { visits } = hangChartOf(question, tables);
  const firsts: number[] = [];
  const took = median(3, () => {
    const from = performance.now();
    let first: number | null = null;
    // As in the application: what the lamps give by themselves has been worked out beside the light of the stand.
    const memory = createChartMemory();
    workAhead(question, tables, memory);
    const ahead = performance.now() - from;
    hangChartOf(question, tables, (_, soFar) => soFar.length > 0 && (first ??= performance.now() - from - ahead), memory);
    firsts.push(first!);
  });
  print(
    `hang chart: five tiers, ${visits.length} visits in ${took.toFixed(0)} ms; the first visit ${Math.min(...firsts).toFixed(0)} ms after the light of the stand`,
  );
}

// A year of daylight in ten-minute steps at ten places, and one day for a slider.
{
  const window = {
    ...USUAL_WINDOW,
    id: 'w',
    name: 'w',
    facing: Math.PI / 4,
    horizon: houseOpposite({ height: 4, distance: 12, width: 9, along: 2 }),
  };
  const place = { latitude: 0.94, longitude: 0 };
  const at = (i: number) => ({ sill: sillAt(window, { depth: 0.1 + 0.1 * i, along: 0, over: 0.1 }), blind: null });
  const ten = Array.from({ length: 10 }, (_, i) => at(i));
  const asked = { year: 2027, place, climate: readyClimate('cloudy-coast'), timeZone: 'UTC' };
  const year = median(7, () => void yearOf(asked, ten));
  const day = median(50, () => void daylightAt([at(3).sill], skyOfDay(place, asked.climate, 20_000, 0), null));
  print(
    `daylight: a year in ten-minute steps at ten places in ${year.toFixed(0)} ms (goal 150), a day at one in ${day.toFixed(2)} ms (goal 8)`,
  );
}

// The bench: a rack of five tiers as the demo has it, and the search for what would help.
{
  const site = demoSite('en-GB');
  const stand = (s: Site) => benchStandOf(s, s.stands[0]!, tables);
  const tier = site.stands[0]!.tiers[1]!;
  const hung = (face: number) => stand(changeFittings(tier.id, tier.fittings.map((f) => f.id), () => ({ face }))(site)); // prettier-ignore
  const cache = createCache(2048);
  answerBench(questionOfStand(stand(site), 'front'), cache);
  let n = 0;
  const face = () => 0.16 + 0.001 * (n++ % 60);
  const move = median(20, () => void answerBench(questionOfStand(hung(face()), 'front', tier.id), cache));
  const whole = median(8, () => void answerBench(questionOfStand(hung(face()), 'front'), cache));
  print(`bench, five tiers: ${move.toFixed(1)} ms for a move of a hand on one of them, ${whole.toFixed(0)} ms for all when it lets go`);
  const answer = answerBench(questionOfStand(stand(site), null), cache);
  // One after the other: they share a thread here.
  void (async () => {
    for (const scope of [{ of: 'tier', id: tier.id }, { of: 'stand' }] as const) {
      const start = performance.now();
      const { judged, offers } = await advise({ site, standId: site.stands[0]!.id, scope, answer }, tables);
      const took = performance.now() - start;
      print(
        `advice for a ${scope.of}: ${judged} moves judged and ${offers.length} worked out in full in ${took.toFixed(0)} ms, ${((judged / took) * 1000).toFixed(0)} a second (goal 200)`,
      );
    }
  })();
}
