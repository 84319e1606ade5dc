import { logIt } from '../../core/site/growth/changeGrowth';
import type { Logged } from '../../core/site/stand/Logged';
import { dayFrom } from '../../core/units/day';
import { demoSite } from '../site/demoSite';
import { journalCsv } from './journalCsv';
import { journalJson, readJournal, withJournal } from './journalFile';

const TODAY = dayFrom(2027, 2, 20);
const demo = demoSite('en-GB', TODAY);
const { id: batchId } = demo.batches.find((b) => b.sown !== null)!;
const plain = { height: null, stage: null } as const;
const entries: readonly Logged[] = [
  { ...plain, id: 'a', day: TODAY - 3, what: 'note', text: '=SUM(A1), "quoted"; new\nline' },
  { ...plain, id: 'b', day: TODAY - 2, what: 'trouble', sign: 'burnt-tips', place: 8 },
  { ...plain, id: 'c', day: TODAY - 2, what: 'harvest', weight_g: 120.5, text: '12 plants' },
  { ...plain, id: 'd', day: TODAY - 1, what: 'height', height: 0.0512 },
  { ...plain, id: 'e', day: TODAY - 1, what: 'air', air: { low: 14, high: null, humidity: 60 } },
  { ...plain, id: 'f', day: TODAY, what: 'solution', solution: { ec: 1.2, ph: null } },
  // Beside another of the same day: other leaves, another measurement.
  { ...plain, id: 'g', day: TODAY - 2, what: 'trouble', sign: 'pale', place: 0 },
  { ...plain, id: 'h', day: TODAY, what: 'solution', solution: { ec: 0.9, ph: 6.1 } },
];
const site = entries.reduce((now, l) => logIt(batchId, l)(now), demo);
let n = 0;
const read = (text: string, of = demo) => {
  const result = readJournal(text, of, () => `new-${n++}`);
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return result.value;
};
const codes = (text: string) => {
  const result = readJournal(text, demo, () => 'new');
  return result.ok ? [] : result.problems.map((p) => `${p.code} ${p.at}`);
};

for (const [name, write] of [
  ['JSON', journalJson],
  ['CSV', journalCsv],
] as const) {
  test(`a journal goes out as ${name} and comes back entry by entry; a second time nothing is new`, () => {
    const opened = read(write(site));
    expect(opened.added.map((a) => a.entry)).toEqual(expect.arrayContaining(entries.map((e) => e)));
    expect(opened.added).toHaveLength(entries.length);
    expect(opened.known).toBe(demo.batches.reduce((sum, b) => sum + b.log.length, 0));
    const after = withJournal(opened)(demo);
    for (const b of after.batches) expect([...b.log].sort(byId)).toEqual([...site.batches.find((o) => o.id === b.id)!.log].sort(byId));
    expect(read(write(site), after).added).toEqual([]);
  });
}
const byId = (a: Logged, b: Logged) => a.id.localeCompare(b.id);

test('a table typed by hand: no ids, batches by their crop, dates with words', () => {
  const crop = demo.batches.find((b) => demo.batches.filter((o) => o.cropId === b.cropId).length === 1 && b.sown !== null)!;
  const opened = read(`day;batch;crop;what;text\n2027-02-19;;${crop.cropId};note;typed by hand\n`);
  expect(opened.added).toMatchObject([{ batchId: crop.id, entry: { what: 'note', text: 'typed by hand', day: TODAY - 1 } }]);
  expect(opened.added[0]!.entry.id).toMatch(/^new-/);
});

test('two rows of one name are two entries, each with a name of its own', () => {
  const row = (text: string) => `same,2027-02-19,${batchId},note,${text}`;
  const opened = read(['id,day,batch,what,text', row('one'), row('two'), row('one')].join('\n'));
  expect(opened.added.map((a) => a.entry.text)).toEqual(['one', 'two']);
  expect(opened.added[0]!.entry.id).toBe('same');
  expect(opened.added[1]!.entry.id).toMatch(/^new-/);
});

test('what a day has one of is not written over: the height that is here stays', () => {
  const here = logIt(batchId, { ...plain, id: 'mine', day: TODAY - 1, what: 'height', height: 0.09 })(demo);
  const opened = read(journalJson(site), here);
  expect(opened.added.some((a) => a.entry.what === 'height' && a.entry.day === TODAY - 1)).toBe(false);
});

test('broken journals are refused whole, each fault with its place', () => {
  expect(codes('{"format":"else"}')).toEqual(['journal/foreign format']);
  expect(codes('{"format":"copper-noon/journal","version":2,"entries":[]}')).toEqual(['site/newer version']);
  expect(codes('{"format":"copper-noon/journal","version":1,"entries":[[]]}')).toEqual(['file/list-in-list entries[0]']);
  expect(codes('{"format":"copper-noon/journal","version":1,"entries":[null]}')).toEqual(['journal/isObject entries[0]']);
  const entry = { id: 'z', day: '2027-02-19', batch: batchId, what: 'note', text: 'x' };
  const asJson = (one: object) => JSON.stringify({ format: 'copper-noon/journal', version: 1, entries: [one] });
  expect(codes(asJson(entry))).toEqual([]);
  expect(codes(asJson({ ...entry, colour: 'red' }))).toEqual(['journal/whitelistValidation entries[0].colour']);
  expect(codes('')).toEqual(['table/empty ']);
  expect(codes('day,what\n2027-02-19,note\n')).toEqual(['journal/no-column line 1']);
  expect(codes(`day,batch,what\n2027-02-19,nobody,note\n`)).toEqual(['journal/no-batch entries[0].batch']);
  expect(codes(`day,batch,what,height_m\n2027-13-40,${batchId},height,tall\n`).map((c) => c.split(' ')[1])).toEqual(
    expect.arrayContaining(['entries[0].day', 'entries[0].height_m']),
  );
  expect(codes(`day,batch,what,place\n2027-02-19,${batchId},trouble,9\n`)).toEqual(['journal/max entries[0].place']);
});

test('an entry that quotes without end is named by the line in which its row stands', () => {
  expect(codes(`day,batch,what,text\n2027-02-19,${batchId},"ok,\nin two lines"\n\n2027-02-19,${batchId},note,"open\n`)).toEqual([
    'table/quotes line 5',
  ]);
});
