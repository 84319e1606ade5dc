import localforage from 'localforage';
import { createStore, type StoreApi } from 'zustand/vanilla';
import type { BenchAnswer } from '../../core/answer/bench/BenchQuestion';
import type { BenchStand } from '../../core/answer/stand/benchStand';
import type { Exercise, ExerciseId, Start } from '../../core/plan/practice/Exercise';
import { exerciseOf } from '../../core/plan/practice/exercises';
import { outcomeOf, type Outcome } from '../../core/plan/practice/outcomeOf';
import { begin, isAway, passDay, type Seen } from '../../core/plan/practice/passDay';
import { dayNumberOf, type Session } from '../../core/plan/practice/Session';
import { trueStands } from '../../core/plan/practice/trueStands';
import { tables } from '../../core/things/tables/libraryTables';
import type { Day } from '../../core/units/day';
import type { DayStore } from '../day/dayStore';
import { NAME, nameOfHouse, type House } from '../house/house';
import { changeSite, type SiteStore } from '../site/siteStore';
import { logSeen } from './logSeen';

/** An exercise under way, as a screen shows it. */
export interface Run {
  readonly exercise: Exercise;
  readonly start: Start;
  readonly session: Session;
  /** Days are passing: so many are done of so many. */
  readonly passing: { readonly done: number; readonly of: number } | null;
  /** What was seen as the last days passed. */
  readonly seen: readonly Seen[];
  /** Why the last days did not pass; null: they did. */
  readonly trouble: string | null;
}

export interface Practice {
  /** null in every house but that of practice. */
  readonly runs: StoreApi<{ readonly run: Run | null }>;
  /** Brings back the exercise of this house, or begins it. Resolves before any document is opened. */
  open(today: Day): Promise<Run | null>;
  /** Lets days pass, one after the other, by the light that really falls. */
  pass(days: number): Promise<void>;
  /** Sets the clocks of the timers right. */
  setClock(): Promise<void>;
}

interface Deps {
  readonly sites: SiteStore;
  readonly days: DayStore;
  lightOfStand(stand: BenchStand): Promise<BenchAnswer>;
}

const sessions = () => localforage.createInstance({ name: nameOfHouse({ kind: 'practice' }), storeName: 'session' });

/** The practice of a house. */
export function createPractice(house: House, { sites, days, lightOfStand }: Deps): Practice {
  const runs = createStore<{ readonly run: Run | null }>(() => ({ run: null }));
  const show = (change: Partial<Run>) => runs.setState(({ run }) => ({ run: run && { ...run, ...change } }));
  const keepSession = (session: Session) => sessions().setItem('session', session).then(() => undefined, () => undefined); // prettier-ignore

  async function passOne(run: Run): Promise<readonly Seen[]> {
    const { exercise, start, session } = run;
    const stands = trueStands(sites.getState().site, start, session, tables);
    const lights = await Promise.all(stands.map((stand) => lightOfStand(stand)));
    const next = passDay(session, exercise, start, stands, lights, tables);
    await keepSession(next.session);
    show({ session: next.session });
    days.setState({ today: next.session.today });
    if (!isAway(exercise, dayNumberOf(next.session)))
      changeSite(sites, 'see how they grow', logSeen(next.session, start, next.seen, tables));
    if (next.session.ended) await keepResult(exercise, next.session, start);
    return next.seen;
  }

  return {
    runs,
    async open(today) {
      if (house.kind !== 'practice') return null;
      const exercise = exerciseOf(house.exerciseId)!;
      const kept = await sessions().getItem<Session>('session').catch(() => null); // prettier-ignore
      const isIt = kept?.exerciseId === exercise.id && kept.seed === house.seed;
      const first = isIt ? kept.first : (exercise.firstDay?.(today) ?? today);
      const start = exercise.start(house.seed, first, tables);
      const session = isIt ? kept : begin(exercise, house.seed, start, first, tables);
      const run: Run = { exercise, start, session, passing: null, seen: [], trouble: null };
      runs.setState({ run });
      return run;
    },
    async pass(count) {
      const first = runs.getState().run;
      if (!first || first.passing || first.session.ended) return;
      const seen: Seen[] = [];
      try {
        for (let done = 0; done < count; done++) {
          const { run } = runs.getState();
          if (!run || run.session.ended) break;
          show({ passing: { done, of: count }, trouble: null });
          seen.push(...(await passOne(run)));
        }
        show({ passing: null, seen });
      } catch (error) {
        show({ passing: null, seen, trouble: error instanceof Error ? error.message : String(error) });
      }
    },
    async setClock() {
      const { run } = runs.getState();
      if (!run || run.session.ended) return;
      const session = { ...run.session, clockSet: run.session.today };
      show({ session });
      await keepSession(session);
    },
  };
}

/** Empties what an exercise before has left, so that the next one begins from its own start. */
export async function clearPractice(): Promise<void> {
  const name = nameOfHouse({ kind: 'practice' });
  const rooms = [
    [name, 'workspace'],
    [name, 'session'],
    [`${name}-readings`, 'pages'],
    [`${name}-aside`, 'whole'],
    [`${name}-snapshots`, 'lines'],
    [`${name}-snapshot-files`, 'files'],
    [`${name}-photos`, 'photos'],
    [`${name}-shared`, 'states'],
  ] as const;
  const hurried = localforage.createInstance({ name, storeName: 'hurried', driver: localforage.LOCALSTORAGE });
  await Promise.all([hurried.clear(), ...rooms.map(([n, storeName]) => localforage.createInstance({ name: n, storeName }).clear())]);
}

/** How an exercise came out once. */
export interface PracticeResult {
  readonly exerciseId: ExerciseId;
  readonly seed: number;
  readonly points: number;
  readonly won: boolean;
  readonly at: string;
}

const results = () => localforage.createInstance({ name: `${NAME}-practised`, storeName: 'results' });

async function keepResult(exercise: Exercise, session: Session, start: Start): Promise<void> {
  const { points, won }: Outcome = outcomeOf(session, exercise, start, tables);
  const at = new Date().toISOString();
  const result: PracticeResult = { exerciseId: exercise.id, seed: session.seed, points, won, at };
  await results().setItem(at, result).catch(() => undefined); // prettier-ignore
}

/** Everything that was practised in this browser, the oldest first. */
export async function practised(): Promise<readonly PracticeResult[]> {
  const found: PracticeResult[] = [];
  await results().iterate<PracticeResult, void>((r) => void found.push(r)).catch(() => undefined); // prettier-ignore
  return found.sort((a, b) => (a.at < b.at ? -1 : 1));
}
