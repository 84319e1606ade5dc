'use client';
import type { BenchAnswer } from '@/core/answer/bench/BenchQuestion';
import type { BenchStand } from '@/core/answer/stand/benchStand';
import { useWorkedOut } from '../parts/useWorkedOut';
import { useWorkspace } from '../shell/WorkspaceContext';

/** The light of a stand as it is now; the last light stays while the next is worked out. */
export function useLightOfStand(stand: BenchStand): BenchAnswer | 'failed' | null {
  const told = useWorkedOut(stand, useWorkspace().lightOfStand);
  return told && (told.answer ?? 'failed');
}
