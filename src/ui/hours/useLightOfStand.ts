'use client';
import { useEffect, useState } from 'react';
import type { BenchAnswer } from '@/core/answer/bench/BenchQuestion';
import type { BenchStand } from '@/core/answer/stand/benchStand';
import { useWorkedOut } from '../parts/useWorkedOut';
import { useWorkspace } from '../shell/WorkspaceContext';

/** The light of a stand as it is now; the last light stays while the next is worked out. */
export function useLightOfStand(stand: BenchStand): BenchAnswer | 'failed' | null {
  const told = useWorkedOut(stand, useWorkspace().lightOfStand);
  return told && (told.answer ?? 'failed');
}

/** The light of several stands, each as it becomes known. */
export function useLightOfStands(stands: readonly BenchStand[], view?: 'front'): ReadonlyMap<BenchStand, BenchAnswer> {
  const { lightOfStand } = useWorkspace();
  const [lights, setLights] = useState<ReadonlyMap<BenchStand, BenchAnswer>>(new Map());
  useEffect(() => {
    let isAsked = true;
    for (const stand of stands)
      lightOfStand(stand, view).then(
        (answer) => isAsked && setLights((known) => new Map([...known].filter(([s]) => stands.includes(s))).set(stand, answer)),
        () => undefined, // what is drawn of each says it when the light cannot be computed
      );
    return () => {
      isAsked = false;
    };
  }, [stands, view, lightOfStand]);
  return lights;
}
