'use client';
import { useMemo } from 'react';
import { changesOnTheWay } from '@/core/plan/past/changesOnTheWay';
import type { Trial } from '@/core/site/trial/Trial';
import { tables } from '@/core/things/tables/libraryTables';
import { OnTheWay } from '../past/OnTheWay';
import { useSite } from '../shell/WorkspaceContext';

/** What was set otherwise where the trays of a trial stand, since it began. */
export function TrialChanges({ trial }: { trial: Trial }) {
  const site = useSite((s) => s.site);
  const changes = useMemo(() => {
    const ids = new Set(trial.trays.map((row) => row.trayId));
    return changesOnTheWay(site, trial.starts, trial.ended ?? Infinity, (y) => ids.has(y.id), tables);
  }, [site, trial]);
  if (changes.length === 0) return null;
  return (
    <section aria-labelledby="on-the-way" className="space-y-2">
      <h2 id="on-the-way" className="text-xl font-semibold">
        Changed on the way
      </h2>
      <OnTheWay changes={changes} isOver={trial.ended !== null} />
    </section>
  );
}
