import fc from 'fast-check';
import { containerLibrary } from '../../things/container/containerLibrary';
import { lampLibrary } from '../../things/lamp/lampLibrary';
import { demoSite } from '../../../store/site/demoSite';
import { dayFrom } from '../../units/day';
import { faceSizeOf, outlineOf, outlineOfFitting } from './footprint';
import { lampRowOf, layOut, trayBlockOf } from './layOut';
import type { Tier, Tray } from './Site';

const laid = demoSite('en-GB', dayFrom(2027, 2, 20)).stands.find((s) => s.autoArranged)!.tiers[0]!;
const bare: Tier = { ...laid, fittings: [], trays: [], enclosure: { ...laid.enclosure, width: null, depth: null } };
const plain = laid.trays[0]!;
let next = 0;
const ids = () => `n${next++}`;

const asked = fc.record({
  lamp: fc.constantFrom(...lampLibrary),
  container: fc.constantFrom(...containerLibrary.filter((c) => c.length > 0 && c.width > 0)),
  row: fc.record({ count: fc.integer({ min: 1, max: 6 }), gap: fc.double({ min: 0, max: 0.5, noNaN: true }) }),
  block: fc.record({ across: fc.integer({ min: 1, max: 4 }), deep: fc.integer({ min: 1, max: 3 }), turned: fc.boolean() }),
  face: fc.double({ min: 0.1, max: 2, noNaN: true }),
});

test('what is laid out by numbers is read back as the same numbers, centred, and nothing sticks out or overlaps', () => {
  fc.assert(
    fc.property(asked, ({ lamp, container, row, block, face }) => {
      const tray: Tray = { ...plain, length: container.length, width: container.width };
      const tier = layOut(bare, lamp, row, tray, block, face, ids);
      expect(trayBlockOf(tier)).toEqual(block);
      const read = lampRowOf(tier, lamp, 0.123);
      expect(read.count).toBe(row.count);
      expect(read.gap).toBeWithin(row.count > 1 ? row.gap : 0.123, { absolute: 1e-9 });
      expect(tier.fittings.every((f) => f.face === face && f.lampId === lamp.id && f.x === tier.width / 2)).toBe(true);
      const trays = tier.trays.map(outlineOf);
      for (const box of [...trays, ...tier.fittings.map((f) => outlineOfFitting(f, lamp))]) {
        expect(Math.min(box.x0, box.y0, tier.width - box.x1, tier.depth - box.y1)).toBeGreaterThan(0.06 - 1e-9);
      }
      // Just wide enough: something stands at the margin.
      const reach = Math.max(...[...trays, ...tier.fittings.map((f) => outlineOfFitting(f, lamp))].map((b) => b.x1));
      expect(tier.width - reach).toBeWithin(0.06, { absolute: 1e-9 });
      const middle = (values: readonly number[]) => values.reduce((a, b) => a + b, 0) / values.length;
      expect(middle(tier.trays.map((t) => t.x))).toBeWithin(tier.width / 2, { absolute: 1e-9 });
      expect(middle(tier.trays.map((t) => t.y))).toBeWithin(tier.depth / 2, { absolute: 1e-9 });
      expect(middle(tier.fittings.map((f) => f.y))).toBeWithin(tier.depth / 2, { absolute: 1e-9 });
      // A finger's width between neighbours.
      for (let i = 1; i < block.across; i++) expect(trays[i]!.x0 - trays[i - 1]!.x1).toBeWithin(0.01, { absolute: 1e-9 });
      if (block.deep > 1) expect(trays[block.across]!.y0 - trays[0]!.y1).toBeWithin(0.01, { absolute: 1e-9 });
      const across = block.turned ? container.width : container.length;
      expect(trays[0]!.x1 - trays[0]!.x0).toBeWithin(across, { absolute: 1e-9 });
    }),
    { numRuns: 80 },
  );
});

test('what was there keeps its ids and hangers; sides that the person gave stand, unless something would stick out', () => {
  const lamp = lampLibrary.find((l) => l.id === 'led-bar-12-white-24')!;
  const row = { count: 2, gap: 0.1 };
  const block = { across: 1, deep: 1, turned: false };
  const first = layOut(bare, lamp, row, plain, block, 0.4, ids);
  const hung: Tier = { ...first, fittings: first.fittings.map((f) => ({ ...f, hanger: { kind: 'chain', step: 0.02, load: 5 } })) };
  const more = layOut(hung, lamp, { count: 3, gap: 0.05 }, plain, { ...block, across: 2 }, 0.5, ids);
  expect(more.fittings.slice(0, 2).map((f) => [f.id, f.hanger])).toEqual(hung.fittings.map((f) => [f.id, f.hanger]));
  expect(more.fittings[2]!.hanger.kind).toBe('cord');
  expect(more.trays[0]!.id).toBe(first.trays[0]!.id);
  const wide = layOut({ ...bare, enclosure: { ...bare.enclosure, width: 3, depth: 2 } }, lamp, row, plain, block, 0.4, ids);
  expect([wide.width, wide.depth]).toEqual([3, 2]);
  const tight = layOut({ ...bare, enclosure: { ...bare.enclosure, width: 0.1, depth: 0.01 } }, lamp, row, plain, block, 0.4, ids);
  expect(tight.width).toBeWithin(Math.max(faceSizeOf(lamp).length, plain.length), { absolute: 1e-9 });
  expect(trayBlockOf({ ...bare, trays: [] })).toEqual({ across: 1, deep: 1, turned: false });
  expect(lampRowOf({ ...bare, fittings: [] }, lamp)).toEqual({ count: 0, gap: 0.08 });
});
