import { useStore } from 'zustand';
import type { Run } from '@/store/practice/Practice';
import { useWorkspace } from '../shell/WorkspaceContext';

/** The exercise of this house; null in one's own and in the demo. */
export const useRun = (): Run | null => useStore(useWorkspace().practice.runs, (s) => s.run);
