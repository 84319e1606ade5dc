'use client';
import { useEffect, useMemo, useState } from 'react';
import type { BatchCourse } from '@/core/plan/season/batchCourse';
import { coursesOf } from '@/core/plan/season/seasonLook';
import type { SeasonPlan } from '@/core/site/season/SeasonPlan';
import type { Site } from '@/core/site/stand/Site';
import { tables } from '@/core/things/tables/libraryTables';
import type { SeasonAnswer } from '@/workers/season/season.api';
import { newestWins } from '@/store/newestWins';
import { useSite, useToday, useWorkspace } from '../shell/WorkspaceContext';

const NO_COURSES: readonly BatchCourse[] = [];

/** The courses of the planned batches: dates and room, at once. */
export function useCourses(season: SeasonPlan | null): readonly BatchCourse[] {
  const site = useSite((s) => s.site);
  return useMemo(() => (season ? coursesOf(site, season, tables) : NO_COURSES), [site, season]);
}

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
