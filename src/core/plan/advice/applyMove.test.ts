import { dayFrom } from '../../units/day';
import { plainOwnLamp } from '../../site/ownLamps/changeOwnLamps';
import { knowOwnLamps } from '../../site/ownLamps/hangingOf';
import { demoSite } from '../../../store/site/demoSite';
import { tables } from '../../things/tables/libraryTables';
import type { Fitting, Site, Tier, Tray } from '../../site/stand/Site';
import { applyMove, applyMoves, canMove, stepsFor, toBuyFor } from './applyMove';
import type { Move } from './Move';

/** What each move does to the things themselves: nothing else may change. */

const DAY = dayFrom(2027, 2, 20);
const BAR = 'led-bar-12-white-24';
const site: Site = { ...demoSite('en-GB', dayFrom(2027, 2, 20)), ownLamps: [], spares: [{ lampId: BAR, count: 3 }] };
const rack = site.stands.find((s) => s.id === 'demo-rack')!;
const [first, second] = [rack.tiers[0]!, rack.tiers[1]!];
const tierIn = (s: Site, id: string): Tier => s.stands.flatMap((x) => x.tiers).find((t) => t.id === id)!;
const trayIn = (s: Site, id: string): Tray => s.stands.flatMap((x) => x.tiers.flatMap((t) => t.trays)).find((y) => y.id === id)!;
const after = (move: Move, from = site) => applyMove(from, move, tables);
const hungBy = (change: Partial<Fitting['hanger']>, tier = first): Site => ({
  ...site,
  stands: site.stands.map((s) => ({
    ...s,
    tiers: s.tiers.map((t) =>
      t.id === tier.id ? { ...t, fittings: t.fittings.map((f) => ({ ...f, hanger: { ...f.hanger, ...change } })) } : t,
    ),
  })),
});
const spares = (s: Site, id = BAR) => s.spares.find((p) => p.lampId === id)?.count ?? 0;

test('lamps go up and down by whole steps of their hangers, all of the tier and no other', () => {
  const from = hungBy({ kind: 'chain', step: 0.02 });
  for (const [lift, moved] of [
    [0.05, 0.06],
    [-0.029, -0.02],
    [0.009, 0],
    [0.011, 0.02],
  ] as const) {
    const to = after({ do: 'hang', tierId: first.id, lift }, from);
    tierIn(to, first.id).fittings.forEach((f, i) => expect(f.face).toBeWithin(first.fittings[i]!.face + moved, { absolute: 1e-9 }));
    expect(tierIn(to, second.id)).toBe(tierIn(from, second.id));
    expect(canMove(from, { do: 'hang', tierId: first.id, lift })).toBe(moved !== 0);
  }
  expect(stepsFor({ hanger: { kind: 'fixed', step: 0.02, load: null } }, 0.2)).toBe(0);
});

test('what is screwed on stays where it is, in every way', () => {
  const from = hungBy({ kind: 'fixed' });
  const moves: Move[] = [
    { do: 'hang', tierId: first.id, lift: 0.1 },
    { do: 'shift', tierId: first.id, dx: 0.1, dy: 0 },
    { do: 'gap', tierId: first.id, gap: 0.1 },
    { do: 'swap-lamp', tierId: first.id, lampId: BAR },
  ];
  for (const move of moves) expect([move.do, canMove(from, move), canMove(site, move)]).toEqual([move.do, false, true]);
  // A tray can go to a tier whose lamps are screwed on.
  expect(canMove(from, { do: 'tray-to-tier', trayId: second.trays[0]!.id, tierId: first.id, x: 0.2, y: 0.2 })).toBe(true);
  const bare: Site = { ...site, stands: site.stands.map((s) => ({ ...s, tiers: s.tiers.map((t) => ({ ...t, fittings: [] })) })) };
  for (const move of moves) expect([move.do, canMove(bare, move)]).toEqual([move.do, false]);
  const one: Site = {
    ...site,
    stands: site.stands.map((s) => ({ ...s, tiers: s.tiers.map((t) => ({ ...t, fittings: t.fittings.slice(0, 1) })) })),
  };
  expect(canMove(one, moves[2]!)).toBe(false); // one lamp has no gap
  expect(canMove(one, moves[1]!)).toBe(true);
});

test('lamps shift together; a gap is opened about their middle, in the order in which they hang', () => {
  const shifted = tierIn(after({ do: 'shift', tierId: first.id, dx: 0.05, dy: -0.03 }), first.id);
  shifted.fittings.forEach((f, i) => {
    expect(f.x).toBeWithin(first.fittings[i]!.x + 0.05, { absolute: 1e-9 });
    expect(f.y).toBeWithin(first.fittings[i]!.y - 0.03, { absolute: 1e-9 });
  });
  const middle = (t: Tier) => t.fittings.reduce((sum, f) => sum + f.y, 0) / t.fittings.length;
  const pitchOf = (gap: number) => {
    const t = tierIn(after({ do: 'gap', tierId: first.id, gap }), first.id);
    expect(middle(t)).toBeWithin(middle(first), { absolute: 1e-9 });
    expect(t.fittings.map((f) => f.id)).toEqual(first.fittings.map((f) => f.id));
    const order = (x: Tier) => [...x.fittings].sort((a, b) => a.y - b.y).map((f) => f.id);
    expect(order(t)).toEqual(order(first));
    const ys = t.fittings.map((f) => f.y).sort((a, b) => a - b);
    return ys[1]! - ys[0]!;
  };
  expect(first.fittings.length).toBeGreaterThan(1);
  expect(pitchOf(0.1) - pitchOf(0)).toBeWithin(0.1, { absolute: 1e-9 });
  expect(pitchOf(0)).toBeGreaterThan(0.01);
});

test('a lamp out of the cupboard hangs in the middle, as high as the others, and is one fewer there', () => {
  const move: Move = { do: 'add-lamp', tierId: first.id, lampId: BAR, y: 0.11 };
  const to = after(move);
  const t = tierIn(to, first.id);
  const added = t.fittings.find((f) => !first.fittings.some((g) => g.id === f.id))!;
  expect(added).toMatchObject({ lampId: BAR, y: 0.11, face: first.fittings[0]!.face });
  expect(added.x).toBeWithin(first.width / 2, { absolute: 1e-9 });
  expect([spares(site), spares(to)]).toEqual([3, 2]);
  // A second one has an id of its own, and the last one empties the shelf.
  const three = applyMoves(to, [move, move], tables);
  expect(new Set(tierIn(three, first.id).fittings.map((f) => f.id)).size).toBe(first.fittings.length + 3);
  expect([spares(three), canMove(three, move), canMove(site, move)]).toEqual([0, false, true]);
  expect(canMove(site, { ...move, lampId: 'led-bar-06-white-10' })).toBe(false);
  // Where none hangs yet: under the shelf above, and never on the floor.
  const bare: Site = { ...site, stands: site.stands.map((s) => ({ ...s, tiers: s.tiers.map((x) => ({ ...x, fittings: [] })) })) };
  expect(tierIn(after(move, bare), first.id).fittings[0]!.face).toBeWithin(Math.max(0.1, first.enclosure.height - 0.08), {
    absolute: 1e-9,
  });
});

test('lamps that are swapped go to the cupboard, those that lie there are hung, and only the rest is bought', () => {
  const n = first.fittings.length;
  const move: Move = { do: 'swap-lamp', tierId: first.id, lampId: BAR };
  const was = first.fittings[0]!.lampId;
  expect(was).not.toBe(BAR);
  for (const have of [0, 1, n, n + 2]) {
    const from: Site = { ...site, spares: have > 0 ? [{ lampId: BAR, count: have }] : [] };
    const to = after(move, from);
    expect(tierIn(to, first.id).fittings.map((f) => f.lampId)).toEqual(first.fittings.map(() => BAR));
    expect(toBuyFor(from, move)).toBe(Math.max(0, n - have));
    expect([spares(to), spares(to, was)]).toEqual([Math.max(0, have - n), n]);
  }
  expect(toBuyFor(site, { do: 'hang', tierId: first.id, lift: 0.1 })).toBe(0);
  // A longer lamp is moved in so that it does not stick out; one that is too long hangs in the middle.
  const edge: Site = { ...site, stands: site.stands.map((s) => ({ ...s, tiers: s.tiers.map((t) => (t.id === first.id ? { ...t, fittings: t.fittings.map((f) => ({ ...f, x: 0.05 })) } : t)) })) }; // prettier-ignore
  const long = tierIn(after(move, edge), first.id);
  for (const f of long.fittings) expect(f.x - 0.05).toBeGreaterThan(0);
  const narrow: Site = { ...edge, stands: edge.stands.map((s) => ({ ...s, tiers: s.tiers.map((t) => ({ ...t, width: 0.8 })) })) };
  for (const f of tierIn(after(move, narrow), first.id).fittings) expect(f.x).toBe(0.4);
});

test('sides, risers, turns and places of trays', () => {
  const tray = first.trays[0]!;
  const lined = tierIn(after({ do: 'line', tierId: first.id, faces: ['back', 'left'] }), first.id).enclosure.faces;
  expect(lined).toEqual({ ...first.enclosure.faces, back: 'white-card', left: 'white-card' });
  expect(trayIn(after({ do: 'riser', trayId: tray.id, risers: 3 }), tray.id)).toEqual({ ...tray, risers: 3 });
  const turned = after({ do: 'turn-tray', trayId: tray.id });
  expect(trayIn(turned, tray.id).turned).toBe(!tray.turned);
  expect(trayIn(applyMove(turned, { do: 'turn-tray', trayId: tray.id }, tables), tray.id)).toEqual(tray);
  const moved = trayIn(after({ do: 'shift-tray', trayId: tray.id, dx: -0.02, dy: 0.04 }), tray.id);
  expect([moved.x, moved.y]).toEqual([tray.x - 0.02, tray.y + 0.04]);
  const other = second.trays[0]!;
  const swapped = after({ do: 'swap-trays', trayId: tray.id, otherId: other.id });
  expect(tierIn(swapped, second.id).trays[0]).toMatchObject({ id: tray.id, batchId: tray.batchId, x: other.x, y: other.y });
  expect(tierIn(swapped, first.id).trays[0]).toMatchObject({ id: other.id, batchId: other.batchId, x: tray.x, y: tray.y });
  const beside = first.trays[1]!;
  const within = tierIn(after({ do: 'swap-trays', trayId: tray.id, otherId: beside.id }), first.id).trays;
  expect(within.map((y) => [y.id, y.x])).toEqual([
    [beside.id, tray.x],
    [tray.id, beside.x],
    ...first.trays.slice(2).map((y) => [y.id, y.x]),
  ]);
  expect(after({ do: 'swap-trays', trayId: tray.id, otherId: 'gone' })).toBe(site);
  const carried = after({ do: 'tray-to-tier', trayId: tray.id, tierId: second.id, x: 0.21, y: 0.19 });
  expect(tierIn(carried, first.id).trays.map((y) => y.id)).toEqual(first.trays.slice(1).map((y) => y.id));
  expect(tierIn(carried, second.id).trays.find((y) => y.id === tray.id)).toMatchObject({ x: 0.21, y: 0.19, batchId: tray.batchId });
});

test('lamps that are things of their own go to the cupboard and come out of it as themselves', () => {
  const [now] = first.fittings;
  const old = { ...plainOwnLamp('old', now!.lampId, 'Old'), fittingId: now!.id, counted: { hours: 9000, on: DAY } };
  const spare = { ...plainOwnLamp('spare', 'led-tube-12', 'Spare'), counted: { hours: 40, on: DAY } };
  const lampId = spare.lampId;
  const from = knowOwnLamps({ ...site, spares: [], ownLamps: [old, spare] }, DAY);
  const one: Site = {
    ...from,
    stands: from.stands.map((s) => ({
      ...s,
      tiers: s.tiers.map((t) => (t.id === first.id ? { ...t, fittings: t.fittings.slice(0, 1) } : t)),
    })),
  };
  const to = after({ do: 'swap-lamp', tierId: first.id, lampId }, one);
  expect(toBuyFor(one, { do: 'swap-lamp', tierId: first.id, lampId })).toBe(0);
  expect(to.ownLamps.map((o) => o.fittingId)).toEqual([null, now!.id]);
  expect(to.spares).toEqual([]);
  // What it knows of its lamp is what the day's settling says of it.
  expect(tierIn(to, first.id).fittings[0]!.own?.used_h).toBe(40);
  expect(knowOwnLamps(to, DAY).stands).toEqual(to.stands);
});

test('dimmed together, each to the nearest setting that it has; a tier with a lamp that has no dimmer is left alone', () => {
  const ids = first.fittings.map((f) => f.id);
  const named = ids.map((id, i) => ({ ...plainOwnLamp(id + ' it', first.fittings[i]!.lampId, id), fittingId: id }));
  const dimmers = [
    { steps: [0.25, 0.5, 0.75], points: [] },
    { steps: [], points: [] },
  ];
  const all = knowOwnLamps({ ...site, ownLamps: named.map((o, i) => ({ ...o, dimmer: dimmers[i % 2]! })) }, DAY);
  const some = knowOwnLamps({ ...site, ownLamps: named.map((o, i) => ({ ...o, dimmer: i === 0 ? dimmers[0]! : null })) }, DAY);
  const move: Move = { do: 'dim', tierId: first.id, to: 0.6 };
  expect(tierIn(after(move, all), first.id).fittings.map((f) => f.dim)).toEqual(ids.map((_, i) => (i % 2 === 0 ? 0.5 : 0.6)));
  expect(canMove(all, move)).toBe(true);
  expect(canMove(all, { ...move, to: 1 })).toBe(false);
  if (ids.length > 1) expect(canMove(some, move)).toBe(false);
  expect(canMove(site, move)).toBe(false);
});
