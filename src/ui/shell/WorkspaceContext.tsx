'use client';
import { createContext, useContext, useEffect } from 'react';
import { useStore } from 'zustand';
import type { Settings } from '@/store/settings/settingsStore';
import type { SiteState } from '@/store/site/siteStore';
import type { Profile } from '@/core/answer/solve/Profile';
import type { LightState } from '@/store/light/lightStore';
import type { Day } from '@/core/units/day';
import type { ChartState } from '@/store/bench/chartStore';
import type { Workspace } from '@/store/workspace';

export const WorkspaceContext = createContext<Workspace | null>(null);

export function useWorkspace(): Workspace {
  const workspace = useContext(WorkspaceContext);
  if (!workspace) throw new Error('useWorkspace needs the shell around it');
  return workspace;
}

export const useSite = <T,>(select: (state: SiteState) => T): T => useStore(useWorkspace().sites, select);
export const useSettings = (): Settings => useStore(useWorkspace().settings);
/** The light of the check at all distances, worked out while somebody looks. */
export function useProfile(): Profile | null {
  const { profiles, watchCheck } = useWorkspace();
  useEffect(() => watchCheck(), [watchCheck]);
  return useStore(profiles, (s) => s.profile);
}
export const useToday = (): Day => useStore(useWorkspace().days, (s) => s.today);
/** The hang chart of the stand on the bench, kept up to date for as long as it is looked at. */
export function useChart(): ChartState {
  const { charts, watchChart } = useWorkspace();
  useEffect(() => watchChart(), [watchChart]);
  return useStore(charts);
}
/** The light of the check, worked out while somebody looks. */
export function useLight(): LightState {
  const { lights, watchCheck } = useWorkspace();
  useEffect(() => watchCheck(), [watchCheck]);
  return useStore(lights);
}
