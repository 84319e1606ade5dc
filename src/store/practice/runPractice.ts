import localforage from 'localforage';
import type { Exercise, Start } from '../../core/plan/practice/Exercise';
import { exerciseOf } from '../../core/plan/practice/exercises';
import { outcomeOf } from '../../core/plan/practice/outcomeOf';
import { begin, isAway, passDay, type Seen } from '../../core/plan/practice/passDay';
import { dayNumberOf, type Session } from '../../core/plan/practice/Session';
import { trueStands } from '../../core/plan/practice/trueStands';
import { tables } from '../../core/things/tables/libraryTables';
import { nameOfHouse } from '../house/house';
import { changeSite } from '../site/siteStore';
import { logSeen } from './logSeen';
import { keepResult } from './practised';
import type { Practice, PracticeDeps, PracticeHouse, Run } from './Practice';

const sessions = () => localforage.createInstance({ name: nameOfHouse({ kind: 'practice' }), storeName: 'session' });

/** Runs the exercises of the house of practice. */
export function runPractice(
  house: PracticeHouse,
  runs: Practice['runs'],
  { sites, days, lightOfStand }: PracticeDeps,
): Omit<Practice, 'runs'> {
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
    if (next.session.ended) await keepOutcome(exercise, next.session, start);
    return next.seen;
  }

  return {
    async open(today) {
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

function keepOutcome(exercise: Exercise, session: Session, start: Start): Promise<void> {
  const { points, won } = outcomeOf(session, exercise, start, tables);
  return keepResult({ exerciseId: exercise.id, seed: session.seed, points, won, at: new Date().toISOString() });
}
