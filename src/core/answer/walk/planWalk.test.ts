import { demoSite } from '../../../store/site/demoSite';
import { tables } from '../../things/tables/libraryTables';
import { benchStandOf } from '../stand/benchStand';
import { plantAreaOf } from '../../site/stand/footprint';
import { planWalk, type WalkPoint } from './planWalk';

const site = demoSite('en-GB');
const rack = benchStandOf(
  site,
  site.stands.find((s) => s.id === 'demo-rack')!,
  tables,
);
const white = rack.tiers[3]!;
const where = (points: readonly WalkPoint[]) => points.map((p) => p.where);

test('a usual walk has every middle first, corners or edges of each tray, and two points near a lamp at last', () => {
  const points = planWalk(white, 9);
  expect(points).toHaveLength(9);
  expect(points[0]!.where).toBe('middle');
  expect(where(points).slice(-2)).toEqual(['near-lamp', 'near-lamp']);
  for (const { tray } of white.trays) {
    const own = points.filter((p) => p.trayId === tray.id);
    expect(own.length).toBeGreaterThanOrEqual(3);
    expect(own.some((p) => p.where === 'corner' || p.where === 'edge')).toBe(true);
  }
});

test('points at the leaves are at the leaf tops, among the plants; those near a lamp are a hand below it and clear of them', () => {
  for (const p of planWalk(white, 13)) {
    if (p.where === 'near-lamp') {
      expect(white.lamps.some(({ fitting }) => Math.abs(fitting.face - 0.1 - p.z) < 1e-9)).toBe(true);
      expect(p.z).toBeGreaterThan(Math.max(...white.trays.map((t) => t.canopy)));
      continue;
    }
    const { tray, canopy } = white.trays.find((t) => t.tray.id === p.trayId)!;
    const r = plantAreaOf(tray);
    expect(p.z).toBe(canopy);
    expect(p.x).toBeWithin((r.x0 + r.x1) / 2, { absolute: (r.x1 - r.x0) / 2 });
    expect(p.y).toBeWithin((r.y0 + r.y1) / 2, { absolute: (r.y1 - r.y0) / 2 });
  }
});

test('no two points of a short walk are next to each other, and more points are a longer walk', () => {
  for (const tier of rack.tiers) {
    const short = planWalk(tier, 5);
    expect(short).toHaveLength(5);
    short.forEach((a, i) => short.slice(i + 1).forEach((b) => expect(Math.hypot(a.x - b.x, a.y - b.y, a.z - b.z)).toBeGreaterThan(0.069)));
    expect(planWalk(tier, 13).length).toBeGreaterThan(9);
  }
});

test('without a lamp there is nothing to walk to; without a tray the empty tier is walked', () => {
  expect(planWalk({ ...white, lamps: [] }, 9)).toEqual([]);
  const empty = planWalk({ ...white, trays: [] }, 5);
  expect(empty.length).toBeGreaterThanOrEqual(4);
  expect(empty[0]).toMatchObject({ where: 'middle', x: white.tier.width / 2 });
});
