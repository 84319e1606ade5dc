'use client';
import { FastForward, Moon } from 'lucide-react';
import { dayNumberOf } from '@/core/plan/practice/Session';
import { Button } from '../parts/Button';
import { focusHeadingIfLost } from '../shell/focusHeading';
import { useSite, useWorkspace } from '../shell/WorkspaceContext';
import { batchName } from '../today/todayWords';
import { seenWords } from './exerciseWords';
import { useRun } from './useRun';

/** Time in an exercise: a day, three, or all that are left; then what was seen. */
export function PassDays() {
  const { practice } = useWorkspace();
  const site = useSite((s) => s.site);
  const run = useRun();
  if (!run) return null;
  const { exercise, session, passing, seen, trouble } = run;
  const day = dayNumberOf(session);
  const left = exercise.days - day;
  // Who leaves tomorrow can do nothing in between.
  const isLeaving = exercise.awayFrom !== null && day + 1 >= exercise.awayFrom;
  // The buttons rest while days pass, and go with the last one.
  const pass = (days: number) => void practice.pass(days).then(() => focusHeadingIfLost());
  const button = 'border-night-line! bg-night-raised! text-night-ink! hover:opacity-90';
  return (
    <div className="flex flex-wrap items-center gap-2">
      <p role="status" className="max-w-sm text-sm text-night-soft">
        {passing
          ? `Day ${passing.done + 1} of ${passing.of}…`
          : trouble
            ? `The days did not pass (${trouble}). Try again.`
            : session.ended
              ? 'It is over: see how it came out.'
              : seen
                  .slice(-2)
                  .map((s) => seenWords(s, batchName(site, s.batchId)))
                  .join('; ')}
      </p>
      {!session.ended && (
        <>
          {!isLeaving && (
            <Button className={button} disabled={passing !== null} onClick={() => pass(1)}>
              <Moon size={16} aria-hidden /> Next day
            </Button>
          )}
          {!isLeaving && left > 3 && (
            <Button className={button} disabled={passing !== null} onClick={() => pass(3)}>
              3 days
            </Button>
          )}
          <Button className={button} disabled={passing !== null} onClick={() => pass(left)}>
            <FastForward size={16} aria-hidden /> {isLeaving ? 'Leave until the end' : 'To the end'}
          </Button>
        </>
      )}
    </div>
  );
}
