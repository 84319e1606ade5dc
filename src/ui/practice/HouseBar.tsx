'use client';
import { Eye } from 'lucide-react';
import dynamic from 'next/dynamic';
import { Button } from '../parts/Button';
import { useWorkspace } from '../shell/WorkspaceContext';
import { goHome } from './goHouse';
import { useRun } from './useRun';

/** Comes with the first exercise. */
const PracticeDay = dynamic(() => import('./PracticeDay').then((m) => m.PracticeDay));

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
        <PracticeDay />
      )}
      <Button kind="quiet" className="hover:bg-night-raised!" onClick={() => goHome(house.kind === 'demo' ? '/today' : undefined)}>
        {house.kind === 'demo' ? 'Back to my data' : 'Leave'}
      </Button>
    </aside>
  );
}
