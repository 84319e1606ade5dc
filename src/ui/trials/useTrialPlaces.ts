'use client';
import { useMemo } from 'react';
import { traysInPlace, type TrayInPlace } from '@/core/answer/bench/traysInPlace';
import type { Trial } from '@/core/site/trial/Trial';
import { benchStandIn } from '@/store/bench/benchStandIn';
import { useLightOfStands } from '../hours/useLightOfStand';
import { useSite } from '../shell/WorkspaceContext';

/** The trays of a trial where they stand, with their light as it becomes known. */
export function useTrialPlaces(trial: Trial): ReadonlyMap<string, TrayInPlace> {
  const site = useSite((s) => s.site);
  const wanted = trial.trays.map((t) => t.trayId).join();
  const stands = useMemo(() => {
    const ids = new Set(wanted.split(','));
    return site.stands.filter((s) => s.tiers.some((t) => t.trays.some((y) => ids.has(y.id)))).map((s) => benchStandIn(site, s));
  }, [site, wanted]);
  const lights = useLightOfStands(stands);
  return useMemo(() => traysInPlace(stands.map((stand) => ({ stand, answer: lights.get(stand) ?? null }))), [stands, lights]);
}
