'use client';
import { useCallback, useMemo } from 'react';
import type { TrayHad, Trial, TrialTrayRow } from '@/core/site/trial/Trial';
import { useWorkedOut } from '../parts/useWorkedOut';
import { useLitSite } from '../past/useLitSite';
import { useToday, useWorkspace } from '../shell/WorkspaceContext';

const NONE: ReadonlyMap<string, TrayHad> = new Map();

/** What each tray of a trial has been given until today, by its code; after a change the last answer stays until the next is known. */
export function useGivenInTrial(trial: Trial): ReadonlyMap<string, TrayHad> {
  const { givenInTrial } = useWorkspace();
  const today = useToday();
  const site = useLitSite();
  const { starts, ended, moves, factor } = trial;
  // What is measured of the plants, and typed letter by letter, has no part in it.
  const rows = JSON.stringify(trial.trays.map((row) => ({ ...row, values: [] })));
  const asked = useMemo(
    () => ({ site, trial: { starts, ended, moves, factor, trays: JSON.parse(rows) as TrialTrayRow[] }, today }),
    [site, starts, ended, moves, factor, rows, today],
  );
  const ask = useCallback(({ site: at, trial: of }: typeof asked) => givenInTrial(at, of), [givenInTrial]);
  return useWorkedOut(asked, ask)?.answer ?? NONE;
}
