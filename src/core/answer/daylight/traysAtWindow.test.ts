import { BARE_SITE } from '../../site/stand/bare';
import { addFitting, addTray, changeTrays } from '../../site/stand/change';
import { addWindow, setPlace, standAtWindow } from '../../site/stand/changeWindows';
import { plantAreaOf } from '../../site/stand/footprint';
import { daylightOfTray, type Site, type Tier } from '../../site/stand/Site';
import { standFrom, TEMPLATES } from '../../site/stand/templates';
import { USUAL_WINDOW } from '../../site/window/Window';
import { readyClimate } from '../../sky/outdoors/climates';
import { dliSpreadOf } from '../../judge/dli/dliSpread';
import { dayAtPlace, receivedOf } from '../../judge/dli/LightDay';
import { MOL_SECONDS } from '../../judge/dli/dli';
import { shareBetween } from '../../judge/dli/LightSpread';
import { spreadOfMap } from '../../judge/dli/spreadOfMap';
import { shareInBand, wrongIn } from '../../judge/verdict/loss';
import { shareInBandOf } from '../../judge/verdict/shareOfMap';
import { coverLibrary, throughCover } from '../../things/container/coverLibrary';
import { containerLibrary } from '../../things/container/containerLibrary';
import { lampLibrary } from '../../things/lamp/lampLibrary';
import { tables } from '../../things/tables/libraryTables';
import { minutesAhead } from '../../units/clockChanges';
import { isLitAt } from '../../units/LitTimes';
import { sillLight } from '../../sky/window/sillLight';
import { nineSpotsOf } from '../../site/stand/nineSpots';
import { dayFrom } from '../../units/day';
import { answerBench } from '../bench/answerBench';
import { judgeTray } from '../bench/judgeTray';
import { questionOfStand } from '../bench/questionOfStand';
import { benchStandOf } from '../stand/benchStand';
import { advise } from '../../plan/advice/advise';
import { habitsOf } from '../../plan/advice/habitsOf';
import { applyMoves } from '../../plan/advice/applyMove';
import { resultsOf } from '../../plan/advice/Effect';
import { rotatedLight } from '../../plan/rotation/rotationEffect';
import { daylightAt, momentsOf, skyOfDay } from './daylightAt';
import { canopyOfTray, litByWindow } from './litByWindow';
import { askedOfPoint, sillFrom } from './sillsOf';

const PLACE = { latitude: (52 * Math.PI) / 180, longitude: 0 };
const SOUTH = { ...USUAL_WINDOW, id: 'w', name: 'South', facing: Math.PI };
const DAY = dayFrom(2027, 3, 21);

/** An open shelf whose back is turned to a south window; a tray near the glass and one behind it, and a lamp where wanted. */
function shelf({ lamp = false } = {}): Site {
  let n = 0;
  const ids = () => `t${n++}`;
  const { stand, timer } = standFrom({ ...TEMPLATES.find((t) => t.kind === 'bench')!, width: 1, depth: 0.8 }, 1, 'Shelf', ids);
  const tier = stand.tiers[0]!.id;
  const flat = containerLibrary.find((c) => c.id === 'cell-72')!;
  const seedlings = { cropId: 'lettuce', stage: 'seedling' } as const;
  const site: Site = { ...BARE_SITE, currency: 'EUR', price_per_kWh: 0.3, stands: [stand], timers: [timer], timeZone: 'UTC', climate: readyClimate('cloudy-coast') }; // prettier-ignore
  const all = [
    setPlace(PLACE),
    addWindow(SOUTH),
    standAtWindow(stand.id, { windowId: 'w', side: 'back', gap: 0.05, along: 0, above: 0 }),
    addTray(tier, flat, seedlings, { x: 0.3, y: 0.6 }, ids),
    addTray(tier, flat, seedlings, { x: 0.3, y: 0.2 }, ids),
    ...(lamp
      ? [
          addFitting(
            tier,
            lampLibrary.find((l) => l.id === 'led-bar-12-white-24')!,
            { x: 0.5, y: 0.4, face: 0.4 },
            'lamp',
          ),
        ]
      : []),
  ];
  return all.reduce((s, change) => change(s), site);
}
const litShelf = (of?: Parameters<typeof shelf>[0]) => litByWindow(shelf(of), DAY, tables);
const tierOf = (site: Site): Tier => site.stands[0]!.tiers[0]!;
const standIn = (site: Site) => benchStandOf(site, site.stands[0]!, tables);

/** What daylight gives at one point of a tray, by itself. */
function dliAt(site: Site, x: number, y: number): number {
  const tier = tierOf(site);
  const z = canopyOfTray(site, tier.trays[0]!, tables);
  const sky = skyOfDay(PLACE, site.climate, DAY, minutesAhead(site.timeZone)(DAY));
  return daylightAt([sillFrom(askedOfPoint(site, site.stands[0]!, tier, { x, y, z })!)], sky, null)!.dli;
}

test('a tray at the glass gets more than one behind it; each is what its places get, one by one', () => {
  const site = litShelf();
  const tier = tierOf(site);
  const [near, far] = tier.trays.map((y) => daylightOfTray(tier, y)!);
  expect(near!.dli).toBeGreaterThan(1.4 * far!.dli);
  expect(tier.sun!.dli).toBeWithin((near!.dli + far!.dli) / 2, { relative: 1e-9 });
  expect(tier.sun!.course!.peak).toBe(near!.course!.peak);
  tier.trays.forEach((tray, i) => {
    const daylight = [near, far][i]!;
    const { x0, x1, y0, y1 } = plantAreaOf(tray);
    const cells = Array.from({ length: 60 }, (_, k) => [((k % 10) + 0.5) / 10, (Math.floor(k / 10) + 0.5) / 6] as const);
    const doses = cells.map(([u, v]) => dliAt(site, x0 + u * (x1 - x0), y0 + v * (y1 - y0)));
    const mean = doses.reduce((a, b) => a + b, 0) / doses.length;
    expect(daylight.dli).toBeWithin(mean, { relative: 0.01 });
    // Between the nine spots by straight lines.
    const day = { on_min: 0, lit_min: 0, pause: null, daylight };
    cells.forEach(([u, v], k) => expect(dayAtPlace(day, u, v).daylight!.dli).toBeWithin(doses[k]!, { relative: 0.07 }));
    const received = receivedOf({ weakest: 0, mean: 0, strongest: 0, nine: Array<number>(9).fill(0) }, day);
    expect(received.weakest).toBeLessThanOrEqual(Math.min(...doses) * 1.001);
    expect(received.weakest).toBeWithin(Math.min(...doses), { relative: 0.08 }); // cells end before the rim
    expect(received.strongest).toBeWithin(Math.max(...doses), { relative: 0.08 });
    expect(received.mean).toBeWithin(mean, { relative: 0.01 });
  });
});

test('a taller tray takes daylight from what stands behind it, whichever way the window is; none from what stands before it', () => {
  const dosesOf = (side: 'back' | 'front' | 'left' | 'right', risers: number) => {
    const site = shelf();
    const stand = site.stands[0]!;
    const tier = stand.tiers[0]!;
    const [a, b] = tier.trays.map((y) => y.id) as [string, string];
    const at = { back: [[0.5, 0.65], [0.5, 0.3]], front: [[0.5, 0.15], [0.5, 0.5]], left: [[0.3, 0.4], [0.7, 0.4]], right: [[0.7, 0.4], [0.3, 0.4]] }[side]; // prettier-ignore
    const turned = side === 'left' || side === 'right';
    const steps = [
      standAtWindow(stand.id, { windowId: 'w', side, gap: 0.05, along: 0, above: 0 }),
      changeTrays(tier.id, [a], () => ({ x: at[0]![0]!, y: at[0]![1]!, turned, risers, riserHeight: 0.2 })),
      changeTrays(tier.id, [b], () => ({ x: at[1]![0]!, y: at[1]![1]!, turned })),
    ];
    const lit = tierOf(litByWindow(steps.reduce((s, change) => change(s), site), DAY, tables)); // prettier-ignore
    return [a, b].map(
      (id) =>
        daylightOfTray(
          lit,
          lit.trays.find((y) => y.id === id)!,
        )!.dli,
    ) as [number, number];
  };
  for (const side of ['back', 'front', 'left', 'right'] as const) {
    const [level, raised] = [dosesOf(side, 0), dosesOf(side, 1)];
    expect(raised[1]).toBeLessThan(0.85 * level[1]);
    expect(raised[1]).toBeGreaterThan(0.1 * level[1]);
  }
  // Behind the others it takes nothing from them.
  const site = shelf();
  const tier = tierOf(site);
  const [near, far] = tier.trays;
  const high = changeTrays(tier.id, [far!.id], () => ({ risers: 1, riserHeight: 0.2 }))(site);
  const doseOf = (s: Site) => {
    const t = tierOf(litByWindow(s, DAY, tables));
    return daylightOfTray(
      t,
      t.trays.find((y) => y.id === near!.id)!,
    )!.dli;
  };
  expect(doseOf(high)).toBe(doseOf(site));
});

test('lamps and daylight are added up spot by spot: the verdict is that of the two maps together', () => {
  const site = litShelf({ lamp: true });
  const stand = standIn(site);
  const answer = answerBench(questionOfStand(stand, null));
  const tier = stand.tiers[0]!;
  for (const tray of tier.trays) {
    const light = answer.tiers[tier.tier.id]!.trays[tray.tray.id]!;
    const area = plantAreaOf(tray.tray);
    const { map } = light;
    const doses: number[] = [];
    for (let row = 0; row < map.rows; row++)
      for (let column = 0; column < map.columns; column++) {
        const x = map.area.x0 + ((column + 0.5) * (map.area.x1 - map.area.x0)) / map.columns;
        const y = map.area.y0 + ((row + 0.5) * (map.area.y1 - map.area.y0)) / map.rows;
        if (x < area.x0 || x > area.x1 || y < area.y0 || y > area.y1) continue;
        const at = dayAtPlace(tray.day, (x - area.x0) / (area.x1 - area.x0), (y - area.y0) / (area.y1 - area.y0));
        doses.push(map.ppfd[row * map.columns + column]! * tier.hours * MOL_SECONDS + at.daylight!.dli);
      }
    const { verdict } = judgeTray(tier, tray, light);
    expect(verdict.received.weakest).toBeWithin(Math.min(...doses), { relative: 0.03 });
    expect(verdict.received.strongest).toBeWithin(Math.max(...doses), { relative: 0.03 });
    // At any band, not only its own: cut in the middle of what there is.
    const sorted = [...doses].sort((a, b) => a - b);
    for (const q of [0.25, 0.5, 0.75]) {
      const stage = { ...tray.stage, dliMin: sorted[Math.floor(q * sorted.length)]!, dliMax: 1e3, ppfdMax: 1e6 };
      expect(shareInBandOf(map, [area], stage, tray.day)).toBeWithin(1 - q, { absolute: 0.01 });
      expect(shareInBand(spreadOfMap(map, [area]), stage, tray.day)).toBeWithin(1 - q, { absolute: 0.13 });
    }
  }
});

test('where lamps and a clear sky are strongest together, no leaf gets more, and in the shade of the house some leaf nearly that', () => {
  for (const facing of [0, Math.PI]) {
    const window = { ...SOUTH, facing };
    const site = litByWindow({ ...shelf({ lamp: true }), windows: [window] }, DAY, tables);
    const stand = standIn(site);
    const tier = stand.tiers[0]!;
    const answer = answerBench(questionOfStand(stand, null));
    const moments = momentsOf(DAY, PLACE, 0).filter((_, i) => isLitAt(tier.timer, i * 15 + 7));
    for (const tray of tier.trays) {
      const { map, stats } = answer.tiers[tier.tier.id]!.trays[tray.tray.id]!;
      const light = spreadOfMap(map, [plantAreaOf(tray.tray)]);
      const { strongestPpfd } = receivedOf(light, tray.day);
      const z = tray.canopy;
      let most = 0;
      nineSpotsOf(plantAreaOf(tray.tray)).forEach(([x, y], i) => {
        const sill = sillFrom(askedOfPoint(site, stand.stand, tier.tier, { x, y, z })!);
        for (const moment of moments) most = Math.max(most, light.nine![i]! + sillLight(moment, sill).clear.up);
      });
      expect(strongestPpfd).toBeGreaterThanOrEqual(most - 1e-9);
      const above = stats.strongest.ppfd - Math.max(...light.nine!);
      if (facing === 0) expect(strongestPpfd).toBeLessThanOrEqual((most + above) * 1.02);
    }
  }
});

test('where daylight makes up for a lamp that hangs to one side, it is more even than either', () => {
  const day = litShelf().stands[0]!.tiers[0]!.suns!;
  const daylight = Object.values(day)[0]!.daylight!;
  const of = (nine: readonly number[]) => ({ weakest: Math.min(...nine), mean: nine.reduce((a, b) => a + b, 0) / 9, strongest: Math.max(...nine), parts: [...nine].slice(0, 8).sort((a, b) => a - b), nine }); // prettier-ignore
  const lit = { on_min: 360, lit_min: 720, pause: null, daylight };
  const sky = daylight.course!.nine!;
  const against = of(sky.map((v) => 100 * (2 - v)));
  const along = of(sky.map((v) => 100 * v));
  const evenness = (light: ReturnType<typeof of>) => receivedOf(light, lit).weakest / receivedOf(light, lit).strongest;
  expect(evenness(against)).toBeGreaterThan(evenness(along) + 0.1);
  const doses = dliSpreadOf(against, lit);
  expect(doses.parts).toEqual([...doses.parts].sort((a, b) => a - b));
  expect(shareBetween(doses, doses.weakest, doses.strongest)).toBe(1);
});

test('under a lid there is less of it, as of the lamps, and a lid taken off lets it in again', () => {
  const site = litShelf();
  const tier = tierOf(site);
  const [near] = tier.trays;
  const cover = coverLibrary.find((c) => throughCover({ coverId: c.id }) < 0.95)!;
  const covered = litByWindow(changeTrays(tier.id, [near!.id], () => ({ coverId: cover.id }))(site), DAY, tables);
  const under = daylightOfTray(tierOf(covered), tierOf(covered).trays[0]!)!;
  const open = daylightOfTray(tier, near!)!;
  const through = throughCover({ coverId: cover.id });
  expect(under.dli).toBeWithin(open.dli * through, { relative: 1e-9 });
  expect(under.course!.peak).toBeWithin(open.course!.peak * through, { relative: 1e-9 });
  expect(under.course!.nine).toEqual(open.course!.nine);
  const bare = litByWindow(changeTrays(tier.id, [near!.id], () => ({ coverId: null }))(covered), DAY, tables);
  expect(daylightOfTray(tierOf(bare), tierOf(bare).trays[0]!)!.dli).toBe(open.dli);
});

test('a tray that is moved takes the daylight of its tier until its own is worked out, and that is then what it gets there', () => {
  const site = litShelf();
  const [near] = tierOf(site).trays;
  const moved = changeTrays(tierOf(site).id, [near!.id], () => ({ x: 0.7 }))(site);
  const tier = tierOf(moved);
  expect(daylightOfTray(tier, tier.trays[0]!)).toBe(tier.sun);
  const again = tierOf(litByWindow(moved, DAY, tables));
  expect(daylightOfTray(again, again.trays[0]!)!.dli).toBeGreaterThan(daylightOfTray(again, again.trays[1]!)!.dli);
  // What the person states counts for all of them.
  const stated = { dli: 3, from_min: 480, to_min: 960 };
  expect(again.trays.map((y) => daylightOfTray({ ...again, daylight: stated }, y))).toEqual([stated, stated]);
});

test('what advice promises of a tray that is moved before the window is what it gets there', async () => {
  const site = litShelf();
  const stand = standIn(site);
  const answer = answerBench(questionOfStand(stand, null));
  const { offers } = await advise({ site, standId: stand.stand.id, scope: { of: 'stand' }, answer, day: DAY }, tables);
  const moving = offers.filter((o) => o.moves.some((m) => m.do === 'shift-tray' || m.do === 'swap-trays'));
  for (const { moves, after } of moving) {
    const then = litByWindow(applyMoves(site, moves, tables), DAY, tables);
    const there = standIn(then);
    const got = resultsOf(there, answerBench(questionOfStand(there, null)));
    for (const r of after.results) expect(got.find((g) => g.trayId === r.trayId)!.weakest).toBeWithin(r.weakest, { relative: 0.01 });
  }
});

test('turning a tray at the window evens it, by the habit that is offered and by its rotation', () => {
  const stand = standIn(litShelf());
  const tier = stand.tiers[0]!;
  const answer = answerBench(questionOfStand(stand, null));
  const maps = Object.fromEntries(tier.trays.map((y) => [y.tray.id, answer.tiers[tier.tier.id]!.trays[y.tray.id]!.map]));
  const [stays, turns] = [null, 'turn' as const].map((kind) => rotatedLight(tier, kind, [maps])[0]!.received);
  expect(turns!.weakest).toBeGreaterThan(stays!.weakest * 1.05);
  expect(turns!.mean).toBeWithin(stays!.mean, { relative: 1e-9 });
  const [habit] = habitsOf(stand, answer, new Set(tier.trays.map((y) => y.tray.id))).filter((h) => h.do === 'half-turn');
  if (habit) expect(habit.weakest.after).toBeGreaterThan(habit.weakest.before);
  // Nothing is lost by it, and nothing is gained where daylight is alike everywhere.
  const { stage, limits, day } = tier.trays[0]!;
  const dark = { weakest: 0, mean: 0, strongest: 0, parts: Array<number>(8).fill(0) };
  expect(wrongIn({ ...dark, nine: Array<number>(9).fill(0) }, stage, limits, day)).toBeGreaterThanOrEqual(
    wrongIn(dark, stage, limits, day) - 1e-9,
  );
});

test('a tray that was moved off the light that is known of it is judged by its mean, not refused', () => {
  const stand = standIn(litShelf({ lamp: true }));
  const tier = stand.tiers[0]!;
  const [tray] = tier.trays;
  const light = answerBench(questionOfStand(stand, null)).tiers[tier.tier.id]!.trays[tray!.tray.id]!;
  const away = { ...tray!, tray: { ...tray!.tray, x: 5 } };
  const { received } = judgeTray(tier, away, light).verdict;
  expect(received.mean).toBeWithin(judgeTray(tier, tray!, light).verdict.received.mean, { relative: 1e-9 });
});

test('two trays that change places at the window share what falls on both places, the one of them that has less gains', () => {
  const lit = litShelf();
  const far = lit.stands[0]!.tiers[0]!.trays[1]!;
  // The tray farther from the glass first: its habit is told.
  const site = { ...lit, stands: lit.stands.map((s) => ({ ...s, tiers: s.tiers.map((t) => ({ ...t, trays: [...t.trays].reverse() })) })) };
  const stand = standIn(site);
  const answer = answerBench(questionOfStand(stand, null));
  const ids = new Set(stand.tiers[0]!.trays.map((y) => y.tray.id));
  const habit = habitsOf(stand, answer, ids).find((h) => h.do === 'change-places')!;
  expect(habit.trayId).toBe(far.id);
  const doses = tierOf(site).trays.map((y) => {
    const daylight = daylightOfTray(tierOf(site), y)!;
    return daylight.course!.nine!.map((times) => times * daylight.dli);
  });
  const shared = doses[0]!.map((v, i) => (v + doses[1]![i]!) / 2);
  expect(habit.weakest.before).toBeWithin(Math.min(...doses[0]!), { relative: 1e-6 });
  expect(habit.weakest.after).toBeWithin(Math.min(...shared), { relative: 1e-6 });
  expect(habit.strongest.after).toBeWithin(Math.max(...shared), { relative: 1e-6 });
});

test('the next tier takes the high sky like a lid of its own does, though its tier below is stated as open; wire does not', () => {
  const of = (t: Tier, faces: Partial<Tier['enclosure']['faces']>): Tier => ({
    ...t,
    enclosure: { ...t.enclosure, faces: { ...t.enclosure.faces, ...faces } },
  });
  /** The daylight of the tray behind, below a tier on a floor of this, or below none, with a lid of its own. */
  const under = (floor: string | null, ceiling: string) => {
    const site = shelf();
    const [tier] = site.stands[0]!.tiers;
    const above = floor === null ? [] : [of({ ...tier!, id: 'above', trays: [] }, { floor })];
    const stands = [{ ...site.stands[0]!, tiers: [...above, of(tier!, { ceiling })] }];
    const lit = litByWindow({ ...site, stands }, DAY, tables).stands[0]!.tiers.at(-1)!;
    return daylightOfTray(lit, lit.trays[1]!)!.dli;
  };
  const open = under(null, 'open');
  const lid = under(null, 'pale-wood');
  expect(lid).toBeLessThan(0.995 * open);
  expect(under('pale-wood', 'open')).toBeWithin(lid, { relative: 1e-9 });
  expect(under('wire', 'open')).toBeWithin(open, { relative: 1e-9 });
});
