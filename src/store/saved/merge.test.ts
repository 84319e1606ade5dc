import fc from 'fast-check';
import { mergeInto, putAt, type Clash } from './merge';

interface Thing {
  readonly id: string;
  readonly n: number;
  readonly inner: readonly { readonly id: string; readonly x: number }[];
}
interface Doc {
  readonly price: number;
  readonly list: readonly Thing[];
}
/** Documents are plain objects. */
const PLAIN = { noNullPrototype: true } as const;
const inner = fc.uniqueArray(fc.record({ id: fc.constantFrom('p', 'q', 'r'), x: fc.integer({ min: 0, max: 3 }) }, PLAIN), {
  selector: (t) => t.id,
});
const thing = fc.record({ id: fc.constantFrom('a', 'b', 'c', 'd', 'e'), n: fc.integer({ min: 0, max: 3 }), inner }, PLAIN);
const doc: fc.Arbitrary<Doc> = fc.record(
  { price: fc.integer({ min: 0, max: 3 }), list: fc.uniqueArray(thing, { selector: (t) => t.id }) },
  PLAIN,
);
const merge = (base: Doc, theirs: Doc, mine: Doc, stands: 'mine' | 'theirs' = 'mine') => {
  const clashes: Clash[] = [];
  return { out: mergeInto(base, theirs, stands, (c) => clashes.push(c))(mine), clashes };
};

test('what only one of the two changed is as that one left it', () => {
  fc.assert(
    fc.property(doc, doc, (base, other) => {
      expect(merge(base, base, other).out).toBe(other);
      expect(merge(base, other, base)).toEqual({ out: other, clashes: [] });
      expect(merge(base, other, other)).toEqual({ out: other, clashes: [] });
    }),
  );
});

test('every field is the one or the other, a change is never lost without a word, and nothing comes back that both took away', () => {
  fc.assert(
    fc.property(doc, doc, doc, (base, theirs, mine) => {
      const { out, clashes } = merge(base, theirs, mine);
      const clashed = new Set(clashes.map((c) => c.path.join('/')));
      const of = (d: Doc, id: string) => d.list.find((t) => t.id === id);
      expect(new Set(out.list.map((t) => t.id)).size).toBe(out.list.length);
      for (const id of ['a', 'b', 'c', 'd', 'e']) {
        const [b, t, m, o] = [base, theirs, mine, out].map((d) => of(d, id));
        if (b && !t && !m) expect(o).toBeUndefined();
        if (!b && (t || m)) expect(o).toBeDefined();
        if (t && m) {
          expect([t.n, m.n]).toContain(o!.n);
          if (b && b.n === m.n) expect(o!.n).toBe(t.n);
          if (b && b.n === t.n) expect(o!.n).toBe(m.n);
          if (b && b.n !== t.n && b.n !== m.n && t.n !== m.n) expect(clashed).toContain(`list/${id}/n`);
        }
      }
    }),
    { numRuns: 500 },
  );
});

test('a step of the way back takes theirs where both changed, and does not bring back what they took away', () => {
  const base: Doc = { price: 2, list: [{ id: 'a', n: 2, inner: [] }, { id: 'b', n: 1, inner: [] }] }; // prettier-ignore
  const step: Doc = { price: 1, list: [{ id: 'a', n: 1, inner: [] }, { id: 'b', n: 0, inner: [] }] }; // prettier-ignore
  const theirs: Doc = { price: 3, list: [{ id: 'a', n: 2, inner: [] }] };
  expect(merge(base, theirs, step, 'theirs').out).toEqual({ price: 3, list: [{ id: 'a', n: 1, inner: [] }] });
});

test('new things stand where they were put, in the order of the list', () => {
  const of = (...ids: string[]): Doc => ({ price: 0, list: ids.map((id) => ({ id, n: 0, inner: [] })) });
  const order = (d: Doc) => d.list.map((t) => t.id).join('');
  expect(order(merge(of('a', 'b'), of('a', 'c', 'b'), of('a', 'b', 'd')).out)).toBe('acbd');
  expect(order(merge(of('a', 'b', 'c'), of('c', 'b', 'a'), of('a', 'b', 'c', 'd')).out)).toBe('cdba');
  expect(order(merge(of('a', 'b', 'c'), of('a', 'b', 'c'), of('c', 'a', 'b')).out)).toBe('cab');
});

test('parts that nobody changed stay the same objects', () => {
  const base: Doc = { price: 1, list: [{ id: 'a', n: 1, inner: [] }, { id: 'b', n: 1, inner: [] }] }; // prettier-ignore
  const theirs = structuredClone({ ...base, list: [base.list[0]!, { ...base.list[1]!, n: 2 }] });
  const { out } = merge(base, theirs, base);
  expect(out.list[0]).toBe(base.list[0]);
  expect(out.list[1]).toEqual({ id: 'b', n: 2, inner: [] });
});

test('what a clash names can be put in place of what stands', () => {
  const base: Doc = { price: 1, list: [{ id: 'a', n: 1, inner: [{ id: 'p', x: 1 }] }] };
  const theirs: Doc = { price: 1, list: [{ id: 'a', n: 1, inner: [{ id: 'p', x: 2 }] }] };
  const mine: Doc = { price: 1, list: [{ id: 'a', n: 1, inner: [{ id: 'p', x: 3 }] }] };
  const { out, clashes } = merge(base, theirs, mine);
  expect(out).toEqual(mine);
  expect(clashes.reduce((d, c) => putAt(d, c.path, c.theirs), out)).toEqual(theirs);
  expect(putAt(mine, ['list', 'a'], undefined).list).toEqual([]);
  expect(putAt(mine, ['list', 'z', 'n'], 4)).toEqual(mine);
});

test('one object that stands in two places is put together in each by itself', () => {
  const none: readonly { readonly id: string }[] = [];
  const base = { list: [{ id: 'a', log: none }, { id: 'b', log: none }] }; // prettier-ignore
  const theirs = { list: [{ id: 'a', log: [{ id: 'x' }] }, { id: 'b', log: [{ id: 'y' }] }] }; // prettier-ignore
  const mine = { list: [...base.list, { id: 'c', log: none }] };
  const { list } = mergeInto<{ list: { id: string; log: readonly { id: string }[] }[] }>(base, theirs, 'mine')(mine);
  expect(list.map((t) => t.log.map((l) => l.id).join())).toEqual(['x', 'y', '']);
});
