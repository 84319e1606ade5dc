'use client';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { BatchCourse } from '@/core/plan/season/batchCourse';
import { coursesOf } from '@/core/plan/season/seasonLook';
import type { SeasonPlan } from '@/core/site/season/SeasonPlan';
import type { Site } from '@/core/site/stand/Site';
import { tables } from '@/core/things/tables/libraryTables';
import type { SeasonAnswer, SeasonImproved } from '@/workers/season/season.api';
import { newestWins } from '@/store/newestWins';
import { focusHeadingIfLost } from '../shell/focusHeading';
import { useSite, useToday, useWorkspace } from '../shell/WorkspaceContext';

const NO_COURSES: readonly BatchCourse[] = [];

/** The courses of the planned batches: dates and room, at once. */
export function useCourses(season: SeasonPlan | null): readonly BatchCourse[] {
  const site = useSite((s) => s.site);
  return useMemo(() => (season ? coursesOf(site, season, tables) : NO_COURSES), [site, season]);
}

/** A solver's search for a better placing, while it goes on. */
export interface SolverSearch {
  readonly done: number;
  readonly over: number;
  stop(): void;
}

/** The season placed as well as a solver can, once it is asked for; it holds for the site it was asked of. */
export function useImproved(): { improved: SeasonImproved | null; search: SolverSearch | null; failed: boolean; start(): void } {
  const { improveSeason } = useWorkspace();
  const site = useSite((s) => s.site);
  const [found, setFound] = useState<{ of: Site; improved: SeasonImproved | null } | null>(null);
  const [search, setSearch] = useState<SolverSearch | null>(null);
  const running = useRef<{ stop(): void } | null>(null);
  useEffect(() => () => running.current?.stop(), [site]);
  function start() {
    const asked = improveSeason(site, (done, over) => setSearch({ done, over, stop: asked.stop }));
    running.current = asked;
    setSearch({ done: 0, over: NaN, stop: asked.stop });
    asked.better
      .then((improved) => setFound({ of: site, improved }))
      .catch((error: unknown) => setFound(isStopped(error) ? null : { of: site, improved: null }))
      .finally(() => {
        setSearch(null);
        focusHeadingIfLost('season-room');
      });
  }
  const mine = found?.of === site ? found : null;
  return { improved: mine?.improved ?? null, search, failed: mine !== null && mine.improved === null, start };
}

/** Whether a worker that answers no more was stopped on purpose. */
export const isStopped = (error: unknown): boolean => error instanceof Error && error.message.endsWith('was stopped');

/** The season looked at as a whole; the last look stays while the next is worked out. */
export function useSeasonLook(): { answer: SeasonAnswer | null; isWorking: boolean; failed: boolean } {
  const { lookAtSeason } = useWorkspace();
  const site = useSite((s) => s.site);
  const today = useToday();
  const [state, setState] = useState<{ asked: Site; answer: SeasonAnswer | null; failed: boolean } | null>(null);
  const [line, setLine] = useState<ReturnType<typeof newestWins<Site, SeasonAnswer | null>> | null>(null);
  useEffect(() => {
    const asking = newestWins(
      lookAtSeason,
      (answer, asked) => setState({ asked, answer, failed: false }),
      (asked) => setState((was) => ({ asked, answer: was?.answer ?? null, failed: true })),
    );
    // One line of questions for as long as the view stands.
    // eslint-disable-next-line react-hooks/set-state-in-effect
    setLine(asking);
    return () => asking.stop();
  }, [lookAtSeason]);
  useEffect(() => {
    if (site.season) line?.put(site);
  }, [line, site, today]);
  return {
    answer: site.season ? (state?.answer ?? null) : null,
    isWorking: site.season !== null && state?.asked !== site,
    failed: state?.failed === true && state.asked === site,
  };
}
