import fc from 'fast-check';
import { removeThings } from '../stand/change';
import { dayFrom } from '../../units/day';
import { demoSite } from '../../../store/site/demoSite';
import { correctLogged, logIt, MOST_CORRECTIONS, MOST_LOGGED } from './changeGrowth';
import { unsoundIn } from '../../../store/form/unsoundIn';
import type { Logged, LoggedBefore } from '../stand/Logged';
import { airLately } from './airLately';
import { latestLogged } from './latestLogged';
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

test('air, EC and what leaves showed are set right too, and what they said is kept', () => {
  const put = (more: Partial<Logged>) => logIt(tray.batchId, { id: 'x', day, what: 'air', height: null, stage: null, ...more } as Logged);
  const correct = (now: Partial<LoggedBefore>) => correctLogged(tray.batchId, 'x', { day, height: null, ...now });
  const [wrong, right] = [{ low: 17, high: 91, humidity: null }, { low: 17, high: 19, humidity: 60 }]; // prettier-ignore
  expect(entryIn(correct({ air: right })(put({ air: wrong })(site)), 'x')).toMatchObject({ air: right, was: [{ day, air: wrong }] });
  const solution = { ec: 12, ph: 6 };
  const thinner = entryIn(correct({ solution: { ...solution, ec: 1.2 } })(put({ what: 'solution', solution })(site)), 'x');
  expect(thinner).toMatchObject({ solution: { ec: 1.2, ph: 6 }, was: [{ day, solution }] });
  const shown = put({ what: 'trouble', sign: 'pale', place: 4 })(site);
  expect(entryIn(correct({ sign: 'leaning' })(shown), 'x')).toMatchObject({ sign: 'leaning', was: [{ sign: 'pale', place: 4 }] });
  expect(entryIn(correct({ sign: 'leaning' })(shown), 'x')).not.toHaveProperty('place');
  // As another kind of entry it shows nothing of leaves any more.
  expect(entryIn(correct({ what: 'watered' })(shown), 'x')).toMatchObject({ what: 'watered', was: [{ what: 'trouble', sign: 'pale' }] });
  expect(entryIn(correct({ what: 'watered' })(shown), 'x')).not.toHaveProperty('sign');
  // A height that was typed is not one off a photo.
  const tall = put({ what: 'height', height: 0.05, heightSd: 0.004 })(site);
  expect(entryIn(correct({ height: 0.06 })(tall), 'x')).not.toHaveProperty('heightSd');
  expect(entryIn(correct({ height: 0.05, text: 'by the label' })(tall), 'x').heightSd).toBe(0.004);
});

test('a second word of the day takes the place of the first and loses nothing of it', () => {
  const logOf = (s: typeof site) => s.batches.find((b) => b.id === tray.batchId)!.log.filter((l) => l.day === day);
  const put = (id: string, more: Partial<Logged>) => logIt(tray.batchId, { id, day, what: 'fed', height: null, stage: null, ...more });
  // Fed with a word about it; the job is ticked off afterwards, which says nothing.
  let s = put('b', {})(put('a', { text: 'half strength' })(site));
  expect(logOf(s)).toEqual([{ id: 'b', day, what: 'fed', height: null, stage: null, text: 'half strength' }]);
  s = put('c', { text: 'a quarter' })(s);
  expect(logOf(s)).toMatchObject([{ id: 'c', text: 'a quarter', was: [{ day, text: 'half strength' }] }]);
  // Temperatures in the morning, humidity at noon, the highest again in the evening.
  const air = (low: number | null, high: number | null, humidity: number | null) =>
    put(`air ${low} ${high} ${humidity}`, { what: 'air', air: { low, high, humidity } });
  s = air(null, 26, null)(air(null, null, 55)(air(17, 24, null)(site)));
  expect(logOf(s)).toMatchObject([{ air: { low: 17, high: 26, humidity: 55 }, was: [{ air: { low: 17, high: 24, humidity: 55 } }] }]);
  // A height off a photo, then off a rule: the photo stays.
  s = put('rule', { what: 'height', height: 0.06 })(put('photo', { what: 'height', height: 0.05, heightSd: 0.004, photoId: 'p' })(site));
  expect(logOf(s)).toMatchObject([{ what: 'photo', photoId: 'p' }, { id: 'rule', what: 'height', height: 0.06 }]); // prettier-ignore
  expect(logOf(s)[1]).not.toHaveProperty('heightSd');
});

test('the latest is the one of the latest day, in whatever order days were written down', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 0, max: 9 }), { maxLength: 12 }), fc.integer({ min: 0, max: 9 }), (days, until) => {
      const log = days.map((d, i): Logged => ({ id: String(i), day: d, what: i % 3 ? 'fed' : 'watered', height: null, stage: null }));
      const found = latestLogged(log, until, (l) => l.what === 'fed');
      const all = log.filter((l) => l.what === 'fed' && l.day <= until);
      if (all.length === 0) expect(found).toBeNull();
      else expect(all.every((l) => l.day < found!.day || (l.day === found!.day && Number(l.id) <= Number(found!.id)))).toBe(true);
    }),
  );
  const heard = (d: number, low: number) => logIt(tray.batchId, { id: `a${d}`, day: d, what: 'air', height: null, stage: null, air: { low, high: null, humidity: null } }); // prettier-ignore
  // Last week's nights are written down after last night's.
  const batch = heard(day - 6, 9)(heard(day - 1, 18)(site)).batches.find((b) => b.id === tray.batchId)!;
  expect(airLately(batch, day).low).toBe(18);
});

test('a full journal loses the oldest of what is done again and again, and nothing that somebody wrote', () => {
  const entry = (i: number, what: Logged['what'], text?: string): Logged => ({ id: `e${i}`, day: day - MOST_LOGGED + i, what, height: null, stage: null, ...(text ? { text } : {}) }); // prettier-ignore
  const full = (of: (i: number) => Logged) => ({
    ...site,
    batches: site.batches.map((b) => (b.id === tray.batchId ? { ...b, log: Array.from({ length: MOST_LOGGED }, (_, i) => of(i)) } : b)),
  });
  const add = logIt(tray.batchId, entry(MOST_LOGGED, 'note', 'one more'));
  const ids = (s: typeof site) => s.batches.find((b) => b.id === tray.batchId)!.log.map((l) => l.id);
  const daily = ids(
    add(full((i) => (i === 2 ? entry(i, 'watered') : i === 1 ? entry(i, 'watered', 'from below') : entry(i, 'note', 'seen')))),
  );
  expect([daily.length, daily.slice(0, 4), daily.at(-1)]).toEqual([MOST_LOGGED, ['e0', 'e1', 'e3', 'e4'], `e${MOST_LOGGED}`]);
  // Every entry says something: one more is refused where it is kept, by name.
  const words = full((i) => entry(i, 'note', 'seen'));
  expect(ids(add(words))).toHaveLength(MOST_LOGGED + 1);
  expect(unsoundIn(words, add(words)).map((p) => p.code)).toEqual(['site/arrayMaxSize']);
});
