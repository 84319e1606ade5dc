import { changeTrays, setTimes, withTier } from '../../site/stand/change';
import type { Site } from '../../site/stand/Site';
import { tables } from '../../things/tables/libraryTables';
import { dayFrom } from '../../units/day';
import type { ExerciseId } from './Exercise';
import { EXERCISES, exerciseOf } from './exercises';
import { passDay } from './passDay';
import { playThrough } from './playThrough';
import { heightOf } from './trueStands';
import type { Session } from './Session';

const TODAY = dayFrom(2026, 11, 28);

/** What a person does on a day: lamps so far over the tallest plants, hours, and whatever else. */
interface Deed {
  readonly over?: number;
  readonly on_min?: number;
  readonly hours?: number;
  /** Where along the shelf the lamps hang, in their order. */
  readonly xs?: readonly number[];
  readonly trays?: Readonly<Record<string, number>>;
  readonly risers?: Readonly<Record<string, number>>;
  /** Swaps every lamp for another. */
  readonly lamp?: string;
}

const acting =
  ({ over, on_min = 360, hours, xs, trays = {}, risers = {}, lamp }: Deed) =>
  (site: Site, _day: number, session: Session): Site => {
    const tier = site.stands[0]!.tiers[0]!;
    const rim = Math.max(...tier.trays.map((t) => t.height + (risers[t.id] ?? 0) * t.riserHeight));
    const top = rim + Math.max(0, ...Object.values(session.trays).map(heightOf));
    const steps = [
      withTier(tier.id, (t) => ({
        ...t,
        fittings: t.fittings.map((f, i) => ({
          ...f,
          lampId: lamp ?? f.lampId,
          face: over === undefined ? f.face : top + over,
          x: xs?.[i] ?? f.x,
        })),
      })),
      ...Object.entries(trays).map(([id, at]) => changeTrays(tier.id, [id], () => ({ x: at }))),
      ...Object.entries(risers).map(([id, n]) => changeTrays(tier.id, [id], () => ({ risers: n }))),
      ...(hours === undefined ? [] : [setTimes(tier.timerId, on_min, hours * 60)]),
    ];
    return steps.reduce((now, step) => step(now), site);
  };

/** One way to win each, whatever the seed. */
const WINS: Readonly<Record<ExerciseId, Deed>> = {
  'one-bulb': { over: 0.35, hours: 14 },
  'too-near': { over: 0.42, hours: 14 },
  'two-trays': { over: 0.08, hours: 18, xs: [0.58] },
  'wrong-range': { over: 0.2, hours: 14 },
  'old-tubes': { over: 0.06, hours: 16 },
  'grey-sides': { over: 0.08, hours: 15 },
  'red-blue': { over: 0.27, hours: 16 },
  advert: { over: 0.27, hours: 16 },
  'two-crops': { over: 0.1, hours: 14 },
  away: { over: 0.12, hours: 16 },
  'january-sill': { over: 0.11, hours: 12 },
  'fair-trial': { over: 0.18, hours: 16, xs: [0.32, 0.88] },
  'tired-meter': { over: 0.2, hours: 12 },
  free: { over: 0.14, hours: 14 },
};

/** One way to lose each: what somebody does who believes what is said, or does nothing. */
const LOSSES: Readonly<Record<ExerciseId, Deed>> = {
  'one-bulb': {},
  'too-near': {},
  'two-trays': { over: 0.12, hours: 16 },
  'wrong-range': { over: 0.03, hours: 16 },
  'old-tubes': { over: 0.15, hours: 14 },
  'grey-sides': { over: 0.22, hours: 14 },
  'red-blue': { over: 0.45, hours: 16 },
  advert: { over: 0.5, hours: 16 },
  'two-crops': { over: 0.1, hours: 17 },
  away: {},
  'january-sill': {},
  'fair-trial': { over: 0.1, hours: 17 },
  'tired-meter': { over: 0.04, hours: 16 },
  free: { over: 0.3, hours: 6 },
};

const play = (id: ExerciseId, seed: number, deed: Deed) => playThrough(exerciseOf(id)!, seed, TODAY, tables, acting(deed)).outcome;

describe.each(EXERCISES.map((e) => [e.id] as const))('%s', (id) => {
  test.each([1, 2, 3])('can be won, with seed %i', (seed) => {
    const outcome = play(id, seed, WINS[id]);
    expect({ id, seed, won: outcome.won, missed: outcome.missedGoals, points: outcome.points }).toMatchObject({ won: true, missed: [] });
  });
  test('can be lost', () => {
    expect(play(id, 1, LOSSES[id])).toMatchObject({ won: false });
  });
});

test('the same seed and the same deeds come to the same, another seed to another truth', () => {
  const exercise = exerciseOf('old-tubes')!;
  const [a, b] = [1, 1].map((seed) => playThrough(exercise, seed, TODAY, tables, acting(LOSSES['old-tubes'])));
  expect(a).toEqual(b);
  const truths = new Set(Array.from({ length: 20 }, (_, seed) => JSON.stringify(exercise.start(seed, TODAY, tables).truth)));
  expect(truths.size).toBeGreaterThan(5);
});

test('lamps that nobody has stay dark, and a tray that was taken away is lost', () => {
  const bought = playThrough(exerciseOf('away')!, 1, TODAY, tables, (site, day, session) => acting({ ...WINS.away, lamp: 'led-board-240' })(site, day, session)); // prettier-ignore
  expect(bought.outcome.points).toBe(0);
  const gone = playThrough(exerciseOf('too-near')!, 1, TODAY, tables, (site) => withTier(site.stands[0]!.tiers[0]!.id, (t) => ({ ...t, trays: [] }))(site)); // prettier-ignore
  expect(gone.outcome).toMatchObject({ won: false, points: 0 });
});

test('a clock that runs slow is no trouble for somebody who sets it', () => {
  const exercise = exerciseOf('january-sill')!;
  const deed = { ...WINS['january-sill'], hours: 14 };
  expect(playThrough(exercise, 1, TODAY, tables, acting(deed)).outcome.won).toBe(false);
  expect(playThrough(exercise, 1, TODAY, tables, acting(deed), () => true).outcome.won).toBe(true);
});

test('a day in January is played in January', () => {
  expect(exerciseOf('january-sill')!.firstDay!(TODAY)).toBe(dayFrom(2027, 1, 10));
  expect(exerciseOf('january-sill')!.firstDay!(dayFrom(2027, 1, 10))).toBe(dayFrom(2027, 1, 10));
});

test('what has ended goes on no more', () => {
  const exercise = exerciseOf('too-far' as ExerciseId) ?? EXERCISES[0]!;
  const { session } = playThrough(exercise, 1, TODAY, tables, (site) => site);
  expect(session.ended).toBe(true);
  const start = exercise.start(1, session.first, tables);
  const after = passDay(session, exercise, start, [], [], tables);
  expect(after.session).toBe(session);
  expect(after.seen).toEqual([]);
});
