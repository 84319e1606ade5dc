'use client';
import { Eye, GraduationCap } from 'lucide-react';
import Link from 'next/link';
import { dayNumberOf } from '@/core/plan/practice/Session';
import { Button } from '../parts/Button';
import { useWorkspace } from '../shell/WorkspaceContext';
import { EXERCISE_WORDS } from './exerciseWords';
import { goHome } from './goHouse';
import { PassDays } from './PassDays';
import { useRun } from './useRun';

/** Says on every screen whose data this is, where it is not one's own, and leads back. */
export function HouseBar() {
  const { house } = useWorkspace();
  const run = useRun();
  if (house.kind === 'own') return null;
  return (
    <aside
      aria-label={house.kind === 'demo' ? 'Demo' : 'Practice'}
      className="night flex flex-wrap items-center gap-x-4 gap-y-1 border-b-3 border-ember bg-night px-4 py-1.5 text-night-ink print:hidden"
    >
      {house.kind === 'demo' || !run ? (
        <p className="flex min-w-0 flex-1 items-center gap-2">
          <Eye size={18} className="shrink-0" aria-hidden /> The demo. Change what you like: your own data stays as it is.
        </p>
      ) : (
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
      )}
      <Button kind="quiet" className="hover:bg-night-raised!" onClick={() => goHome(house.kind === 'demo' ? '/today' : undefined)}>
        {house.kind === 'demo' ? 'Back to my data' : 'Leave'}
      </Button>
    </aside>
  );
}
