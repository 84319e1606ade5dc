'use client';
import { useCallback, useMemo } from 'react';
import type { Site } from '@/core/site/stand/Site';
import { BARE_SITE } from '@/core/site/stand/bare';
import type { TrayHad, Trial, TrialTrayRow } from '@/core/site/trial/Trial';
import { useWorkedOut } from '../parts/useWorkedOut';
import { useSite, useToday, useWorkspace } from '../shell/WorkspaceContext';

const NONE: ReadonlyMap<string, TrayHad> = new Map();

/** What each tray of a trial has been given until today, by its code; after a change the last answer stays until the next is known. */
export function useGivenInTrial(trial: Trial): ReadonlyMap<string, TrayHad> {
  const { givenInTrial } = useWorkspace();
  const today = useToday();
  const { stands, batches, timers, lamps, crops, ownLamps, meters, place, climate, windows, earlier } = useSite((s) => s.site);
  const { starts, ended, moves, factor } = trial;
  // What is measured of the plants, and typed letter by letter, has no part in it.
  const rows = JSON.stringify(trial.trays.map((row) => ({ ...row, values: [] })));
  const asked = useMemo(() => {
    const known = { stands, batches, timers, lamps, crops, ownLamps, meters, place, climate, windows, earlier };
    const site: Site = { ...BARE_SITE, currency: '', price_per_kWh: 0, ...known };
    return { site, trial: { starts, ended, moves, factor, trays: JSON.parse(rows) as TrialTrayRow[] }, today };
  }, [
    stands,
    batches,
    timers,
    lamps,
    crops,
    ownLamps,
    meters,
    place,
    climate,
    windows,
    earlier,
    starts,
    ended,
    moves,
    factor,
    rows,
    today,
  ]);
  const ask = useCallback(({ site, trial: of }: typeof asked) => givenInTrial(site, of), [givenInTrial]);
  return useWorkedOut(asked, ask)?.answer ?? NONE;
}
