'use client';
import { useMemo } from 'react';
import { stoodLately, type StoodUntil } from '@/core/plan/clinic/stoodLately';
import type { ClinicCase } from '@/core/site/clinic/ClinicCase';
import { tables } from '@/core/things/tables/libraryTables';
import { useLightOfStands } from '../hours/useLightOfStand';
import { useLitSite } from '../past/useLitSite';
import { useToday } from '../shell/WorkspaceContext';

/** How plants that look wrong stood before each change of late, with their light as it becomes known. */
export function useStoodLately({ since, opened }: ClinicCase, trayId: string): readonly StoodUntil[] {
  const site = useLitSite();
  const today = useToday();
  const stood = useMemo(() => stoodLately(site, since ?? opened, trayId, today, tables), [site, since, opened, trayId, today]);
  const stands = useMemo(() => stood.map((s) => s.stand), [stood]);
  const lights = useLightOfStands(stands);
  return useMemo(
    () => stood.map((s) => ({ ...s, light: lights.get(s.stand)?.tiers[s.tier.tier.id]?.trays[s.tray.tray.id] ?? null })),
    [stood, lights],
  );
}
