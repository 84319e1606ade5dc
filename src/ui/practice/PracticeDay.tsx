'use client';
import { GraduationCap } from 'lucide-react';
import { dayNumberOf } from '@/core/plan/practice/Session';
import { Link } from '../parts/Link';
import { EXERCISE_WORDS } from './exerciseWords';
import { PassDays } from './PassDays';
import { useRun } from './useRun';

/** Which exercise is being practised, on which of its days, and the way to the next. */
export function PracticeDay() {
  const run = useRun();
  if (!run) return null;
  return (
    <>
      <p className="flex min-w-40 flex-1 items-center gap-2">
        <GraduationCap size={18} className="shrink-0" aria-hidden />
        <span className="min-w-0">
          Practice:{' '}
          <Link href="/clinic/practice/run" className="font-semibold underline underline-offset-4">
            {EXERCISE_WORDS[run.exercise.id].title}
          </Link>{' '}
          <span className="whitespace-nowrap text-night-soft">
            day {dayNumberOf(run.session)} of {run.exercise.days}
          </span>
        </span>
      </p>
      <div className="max-md:order-last max-md:basis-full">
        <PassDays />
      </div>
    </>
  );
}
