import { removeThings } from '../stand/change';
import { dayFrom } from '../../units/day';
import { demoSite } from '../../../store/site/demoSite';
import { correctLogged, logIt, MOST_CORRECTIONS } from './changeGrowth';
import { nextTimeOf } from './nextTimeOf';

const day = dayFrom(2027, 3, 1);
const site = demoSite('en-GB', null);
const tray = site.stands.flatMap((s) => s.tiers.flatMap((t) => t.trays))[0]!;
const note = (id: string, at = day) =>
  logIt(tray.batchId, { id, day: at, what: 'next-time', height: null, stage: null, text: `sow later ${id}` });
const entryIn = (s: typeof site, id: string) => s.batches.find((b) => b.id === tray.batchId)!.log.find((l) => l.id === id)!;

test('what was written down of a batch stays when its tray is taken away, and comes back for the same crop', () => {
  const crop = site.batches.find((b) => b.id === tray.batchId)!.cropId;
  const gone = removeThings([tray.id])(note('b', day + 5)(note('a')(site)));
  expect(gone.stands.flatMap((s) => s.tiers.flatMap((t) => t.trays)).some((y) => y.batchId === tray.batchId)).toBe(false);
  expect(nextTimeOf(gone, crop).map((l) => l.id)).toEqual(['b', 'a']);
  expect(nextTimeOf(gone, 'another')).toEqual([]);
});

test('a batch of which nothing is written down goes with its tray', () => {
  const bare = { ...site, batches: site.batches.map((b) => (b.id === tray.batchId ? { ...b, log: [] } : b)) };
  expect(removeThings([tray.id])(bare).batches.some((b) => b.id === tray.batchId)).toBe(false);
});

test('a correction keeps what stood there, the last ten', () => {
  let s = logIt(tray.batchId, { id: 'h', day, what: 'harvest', height: null, stage: null, weight_g: 1, text: 'cut' })(site);
  s = correctLogged(tray.batchId, 'h', { day: day + 1, height: null, weight_g: 2 })(s);
  expect(entryIn(s, 'h')).toMatchObject({ day: day + 1, weight_g: 2, was: [{ day, weight_g: 1, text: 'cut' }] });
  expect(entryIn(s, 'h').text).toBeUndefined();
  for (let i = 0; i < 20; i++) s = correctLogged(tray.batchId, 'h', { day, height: null, weight_g: i })(s);
  expect(entryIn(s, 'h').was).toHaveLength(MOST_CORRECTIONS);
  expect(entryIn(s, 'h').was!.at(-1)!.weight_g).toBe(18);
});
