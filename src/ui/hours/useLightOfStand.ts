'use client';
import { useEffect, useState } from 'react';
import type { BenchAnswer } from '@/core/answer/bench/BenchQuestion';
import type { BenchStand } from '@/core/answer/stand/benchStand';
import { useWorkspace } from '../shell/WorkspaceContext';

/** The light of a stand as it is now; the last light stays while the next is worked out. */
export function useLightOfStand(stand: BenchStand): BenchAnswer | 'failed' | null {
  const { lightOfStand } = useWorkspace();
  const [light, setLight] = useState<BenchAnswer | 'failed' | null>(null);
  useEffect(() => {
    let gone = false;
    lightOfStand(stand).then(
      (answer) => !gone && setLight(answer),
      () => !gone && setLight('failed'),
    );
    return () => {
      gone = true;
    };
  }, [lightOfStand, stand]);
  return light;
}
