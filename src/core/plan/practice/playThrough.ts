import { answerBench } from '../../answer/bench/answerBench';
import { questionOfStand } from '../../answer/bench/questionOfStand';
import { createCache } from '../../light/scene/Cache';
import type { Site } from '../../site/stand/Site';
import type { Tables } from '../../things/tables/Tables';
import type { Day } from '../../units/day';
import type { Exercise } from './Exercise';
import { outcomeOf, type Outcome } from './outcomeOf';
import { begin, isAway, passDay } from './passDay';
import { trueStands } from './trueStands';
import type { Session } from './Session';

/**
 * Plays an exercise through to its end.
 *
 * @param setsClock  whether they set the clocks of the timers right on a day
 * @param act  what the person does on a day, with the site as it is then; called on no day on which they are away
 */
export function playThrough(
  exercise: Exercise,
  seed: number,
  today: Day,
  tables: Tables,
  act: (site: Site, day: number, session: Session) => Site,
  setsClock: (day: number) => boolean = () => false,
): { session: Session; outcome: Outcome } {
  const first = exercise.firstDay?.(today) ?? today;
  const start = exercise.start(seed, first, tables);
  let session = begin(exercise, seed, start, first, tables);
  let { site } = start;
  const cache = createCache(64);
  while (!session.ended) {
    const day = session.today - session.first;
    if (!isAway(exercise, day)) {
      site = act(site, day, session);
      if (setsClock(day)) session = { ...session, clockSet: session.today };
    }
    const stands = trueStands(site, start, session, tables);
    const lights = stands.map((stand) => answerBench(questionOfStand(stand, null), cache));
    ({ session } = passDay(session, exercise, start, stands, lights, tables));
  }
  return { session, outcome: outcomeOf(session, exercise, start, tables) };
}
