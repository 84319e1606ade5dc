import type { Move } from '@/core/plan/advice/Move';
import { tables } from '@/core/things/tables/libraryTables';
import { benchStandOf, lowestOf } from '@/core/answer/stand/benchStand';
import { rememberTiers } from '@/core/answer/stand/rememberTiers';
import { changeTrays } from '@/core/site/stand/change';
import { hangerOf } from '@/core/site/stand/Hanger';
import type { Fault } from '@/core/answer/faults/faults';
import { dayFrom } from '@/core/units/day';
import { demoSite } from '@/store/site/demoSite';
import { alikeLamps } from './alikeLamps';
import { stretchesOf } from './bands';
import { benchFrame, measuresOf, tierAt } from './benchFrame';
import { faultsWords, faultWords, hangWords, tiltWords, riserWords, stepWords, trayName, trayNameIn } from './benchWords';
import { moveWords, movesWords } from './moveWords';

const site = demoSite('en-GB');
const rack = benchStandOf(site, site.stands[0]!, tables);
const [first, second, third] = rack.tiers;
const tray = (t: typeof first, i = 0) => t!.trays[i]!.tray.id;

test.each([
  [hangerOf('chain'), -3, '3 links down'],
  [hangerOf('notch'), 1, '1 notch up'],
  [hangerOf('ratchet'), -1, '1 click down'],
  [hangerOf('cord'), -4, '2 cm down'],
] as const)('steps are said as the hanger has them: %j by %d', (hanger, steps, words) =>
  expect(stepWords(hanger, steps, 'cm')).toBe(words),
);

test('how a lamp hangs is counted from the shelf above', () => {
  expect(hangWords(second!, second!.lamps[0]!.fitting, 'cm')).toBe('8 notches'); // 20 cm under the shelf above, an inch each
  expect(hangWords(third!, third!.lamps[0]!.fitting, 'cm')).toBe('cord');
  const tilted = { ...third!.lamps[0]!.fitting, tilt: 0.5 };
  expect(hangWords(third!, tilted, 'cm')).toBe('cord, tilted 29° to the back');
  expect(hangWords(third!, { ...tilted, travel: { along: 'width', length: 0.6 } }, 'cm')).toBe(
    'cord, tilted 29° to the back, travels 60 cm from left to right',
  );
  expect([0, 1, 2, 5].map(riserWords)).toEqual(['', 'one riser', 'two risers', '5 risers']);
});

test.each<[Move, string]>([
  [{ do: 'hang', tierId: first!.tier.id, lift: -0.06 }, 'Lower the lamps on tier 1: 3 links down'],
  [{ do: 'hours', timerId: second!.timer.id, on_min: 360, lit_min: 900 }, '15 h a day instead of 16 h on tier 2, on at 06:00'],
  [{ do: 'shift', tierId: second!.tier.id, dx: 0.07, dy: 0 }, 'Slide the lamps on tier 2 7 cm to the right'],
  [{ do: 'shift', tierId: second!.tier.id, dx: 0, dy: -0.03 }, 'Slide the lamps on tier 2 3 cm to the front'],
  [{ do: 'gap', tierId: second!.tier.id, gap: 0.1 }, 'Hang the lamps on tier 2 10 cm apart'],
  [{ do: 'line', tierId: second!.tier.id, faces: ['left', 'right', 'back'] }, 'White card on the back and both sides on tier 2'],
  [{ do: 'line', tierId: second!.tier.id, faces: ['left'] }, 'White card on the left side on tier 2'],
  [{ do: 'riser', trayId: tray(second), risers: 2 }, 'Put Celery, early on two risers'],
  [{ do: 'swap-trays', trayId: tray(second), otherId: tray(second, 1) }, 'Swap Celery, early and Celery, late'],
  [{ do: 'swap-trays', trayId: tray(first), otherId: tray(second, 1) }, 'Swap Leek (tier 1) and Celery, late (tier 2)'],
  [{ do: 'tray-to-tier', trayId: tray(first), tierId: third!.tier.id, x: 0, y: 0 }, 'Move Leek to tier 3'],
  [{ do: 'turn-tray', trayId: tray(first) }, 'Turn Leek by a quarter'],
  [
    { do: 'add-lamp', tierId: first!.tier.id, lampId: 'led-bar-12-white-24', y: 0.1 },
    'Hang up the spare LED linkable bar 1.2 m, white, 24 W on tier 1, 10 cm from the front',
  ],
])('a move is said as one would say it at the rack: %j', (move, words) =>
  expect(moveWords(move, rack, [], { lengthUnit: 'cm', clock: '24' })).toBe(words),
);

test('trays of one name are told apart: by their place on the tier, by the tier where another has the like, and by what the plan calls them', () => {
  const [a, b] = [tray(first), tray(first, 1)];
  const label = (text: string) => changeTrays(first!.tier.id, [a, b], () => ({ label: text }));
  const standOf = (changed: typeof site) => benchStandOf(changed, changed.stands[0]!, tables);
  const twins = standOf(label('Sage')(site));
  expect(twins.tiers[0]!.trays.map(trayName)).toEqual(['Sage, left', 'Sage, right']);
  expect([trayNameIn(twins, a), trayNameIn(rack, a)]).toEqual(['Sage, left, tier 1', 'Leek']);
  expect(moveWords({ do: 'turn-tray', trayId: b }, twins, [], { lengthUnit: 'cm', clock: '24' })).toBe(
    'Turn Sage, right, tier 1 by a quarter',
  );
  // The tray has no name of its own, its batch has one in the plan.
  const dated = demoSite('en-GB', dayFrom(2027, 2, 10));
  const season = dated.season!;
  const renamed = { ...season, batches: season.batches.map((p) => (p.label === 'Physalis' ? { ...p, label: 'Lanterns' } : p)) };
  const look = rememberTiers();
  const called = (of: typeof site) => benchStandOf(of, of.stands[0]!, tables, look).tiers[2]!.trays.map((y) => y.called);
  expect([called(dated), called({ ...dated, season: renamed })]).toEqual([
    ['Tomatillo', 'Physalis'],
    ['Tomatillo', 'Lanterns'],
  ]);
});

test('lamps that hang alike are told as one, each other height and kind for itself', () => {
  const told = (t: typeof third) => alikeLamps(t!.lamps).map(({ lamp, count }) => [count, lamp.lamp.name, lamp.fitting.face]);
  const [bulb] = third!.lamps;
  expect(told(third)).toEqual([
    [2, bulb!.lamp.name, 0.33],
    [1, bulb!.lamp.name, 0.3],
  ]);
  expect(told(rack.tiers[4]).map(([count]) => count)).toEqual([1, 1]);
  expect(lowestOf(third!)).toBe(third!.lamps[2]);
  expect(lowestOf({ lamps: [] })).toBeUndefined();
});

test('several moves make one sentence', () =>
  expect(
    movesWords(
      [
        { do: 'turn-tray', trayId: tray(first) },
        { do: 'shift', tierId: first!.tier.id, dx: -0.1, dy: 0 },
      ],
      rack,
      [],
      { lengthUnit: 'in', clock: '24' },
    ),
  ).toBe('Turn Leek by a quarter, and slide the lamps on tier 1 4 in to the left'));

test.each<[Fault, string]>([
  [{ why: 'lamp-beyond-tier', thingId: first!.lamps[0]!.fitting.id, by: 0.12 }, 'sticks out 12 cm'],
  [
    { why: 'trays-overlap', thingId: tray(second), otherId: tray(second, 1), by: 0.02 },
    'Celery, early and Celery, late stand in the same place',
  ],
  [{ why: 'plants-too-tall', thingId: tray(first), by: 0.03 }, 'Leek grows 3 cm into the shelf above'],
  [
    { why: 'hanger-overloaded', thingId: first!.lamps[0]!.fitting.id, weight: 2.24, load: 2 },
    'weighs 2.2 kg; what it hangs by carries 2.0 kg',
  ],
  [{ why: 'strip-overloaded', thingId: rack.stand.id, power: 420.4, allowed: 368 }, 'needs 420 VA; the strip should carry at most 368 VA'],
  [{ why: 'lamp-in-shelf', thingId: first!.lamps[0]!.fitting.id, by: 0.02 }, '2 cm too high'],
  [
    { why: 'leaves-above-lamp', thingId: first!.lamps[0]!.fitting.id, trayId: tray(first), by: 0.01, least: 0.02 },
    'Leek reaches 1 cm above the face',
  ],
])('a mistake is said with how much: %j', (fault, words) => expect(faultWords(fault, rack, 'cm')).toContain(words));

test('who has inches has pounds, and what is just too heavy does not read as what is carried', () => {
  const fault = { why: 'hanger-overloaded', thingId: first!.lamps[0]!.fitting.id, weight: 2.01, load: 2 } as const;
  expect(faultWords(fault, rack, 'in')).toContain('weighs 4.43 lb; what it hangs by carries 4.4 lb');
});

test('each stretch of a tier is shown in the band of the tray that stands there, and in one where all are alike', () => {
  const [leek, pea] = stretchesOf(first!, 'front', undefined);
  expect(leek!.from).toBe(0);
  expect(leek!.to).toBe(pea!.from);
  expect(pea!.to).toBe(1);
  expect(leek!.tray!.crop.id).toBe('leek');
  // Between the right edge of the one and the left edge of the other.
  expect(pea!.from * 1.2).toBeGreaterThan(0.31 + 0.27);
  expect(stretchesOf(second!, 'front', undefined)).toHaveLength(1);
  expect(stretchesOf(first!, 'front', first!.trays[1]).map((s) => s.tray!.crop.id)).toEqual(['sweet-pea']);
});

test('the drawing is to scale, each tier above the next, and a height of it tells its tier', () => {
  const frame = benchFrame(measuresOf(rack, 'front'), 'front', { width: 800, height: 650 }, 1, false);
  const [upper, lower] = [frame.boxOf(first!), frame.boxOf(second!)];
  expect(upper.width / upper.height).toBeWithin(1.2 / 0.4, { relative: 1e-9 });
  expect(upper.top + upper.height).toBeLessThan(lower.top);
  expect(frame.boxOf(rack.tiers[4]!).top + frame.boxOf(rack.tiers[4]!).height).toBeLessThanOrEqual(650);
  expect(tierAt(rack, frame, lower.top + 5).number).toBe(2);
  expect(tierAt(rack, frame, -50).number).toBe(1);
  // What hangs over an open shelf is in the picture, from the side as well.
  const open = {
    ...rack,
    tiers: rack.tiers.map((t, i) => (i > 0 ? t : { ...t, lamps: t.lamps.map((l) => ({ ...l, fitting: { ...l.fitting, face: 1.2 } })) })),
  };
  for (const view of ['front', 'side'] as const) {
    const room = { width: 800, height: 650 };
    const over = benchFrame(measuresOf(open, view), view, room, 1, false);
    expect(over.z(open.tiers[0]!, 1.2)).toBeGreaterThan(20);
    expect(over.boxOf(open.tiers[4]!).top + over.boxOf(open.tiers[4]!).height).toBeLessThanOrEqual(650);
    expect(over.scale).toBeLessThan(benchFrame(measuresOf(rack, view), view, room, 1, false).scale);
  }
  const twice = benchFrame(measuresOf(rack, 'side'), 'side', { width: 800, height: 650 }, 2, false);
  expect(twice.scale / frame.scale).toBeWithin(2, { relative: 1e-9 });
  expect(twice.boxOf(first!).width / twice.scale).toBeWithin(0.45, { relative: 1e-9 });
});

test.each([
  [0.5, 0, '29° to the back'],
  [-0.5, 0, '29° to the front'],
  [0.5, Math.PI / 2, '29° to the left'],
  [-0.5, Math.PI / 2, '29° to the right'],
  [0, 0, null],
])('a lamp tilted by %d, turned by %d, looks %s', (tilt, turn, words) => expect(tiltWords({ tilt, turn })).toBe(words));

test('what reads the same is told once, with how often it was found', () => {
  const [a, b] = rack.tiers[0]!.lamps.map((l) => l.fitting.id);
  const trayId = rack.tiers[0]!.trays[0]!.tray.id;
  const at = (thingId: string, by: number) => ({ why: 'leaves-above-lamp', thingId, trayId, by }) as Fault;
  const words = faultsWords([at(a!, 0.02), at(b!, 0.02), at(a!, 0.05)], rack, 'cm');
  expect(words).toHaveLength(2);
  expect(words[0]).toMatch(/ reaches 2 cm above .* Found 2 times\.$/);
  expect(words[1]).toBe(faultWords(at(a!, 0.05), rack, 'cm'));
});
