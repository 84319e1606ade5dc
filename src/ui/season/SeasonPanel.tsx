'use client';
import type { BatchCourse } from '@/core/plan/season/batchCourse';
import type { SeasonPlan } from '@/core/site/season/SeasonPlan';
import type { SeasonAnswer } from '@/workers/season/season.api';
import { Button } from '../parts/Button';
import { NextDates } from './NextDates';
import { NotAsPlanned } from './NotAsPlanned';
import { PlacesThisWeek } from './PlacesThisWeek';
import { SearchLonger } from './SearchLonger';
import { SeasonRoom } from './SeasonRoom';
import type { useImproved } from './useSeason';
import { WarmthForSeed } from './WarmthForSeed';
import { WaysOut } from './WaysOut';

interface SeasonPanelProps {
  season: SeasonPlan;
  courses: readonly BatchCourse[];
  answer: SeasonAnswer | null;
  solver: ReturnType<typeof useImproved>;
  isWorking: boolean;
  failed: boolean;
  onChoose(id: string): void;
  onAdd(): void;
}

/** What the season holds: where it overflows, ways out, what goes otherwise, and what comes next. */
export function SeasonPanel({ season, courses, answer, solver, isWorking, failed, onChoose, onAdd }: SeasonPanelProps) {
  if (courses.length === 0)
    return (
      <div className="space-y-3">
        <h2 className="text-xl font-semibold">Nothing to sow yet</h2>
        <p>Add the first batch: a crop, how many, and when it should go out. Its dates are counted back for you.</p>
        <Button kind="main" onClick={onAdd}>
          Add a batch
        </Button>
      </div>
    );
  return (
    <div className="space-y-6">
      <SeasonRoom look={answer?.look ?? null} isWorking={isWorking} failed={failed} carries={answer?.carries.length ?? 0} />
      {answer && answer.look.over > 0 && <SearchLonger look={answer.look} solver={solver} />}
      {answer && answer.look.over > 0 && <WaysOut season={season} look={answer.look} />}
      <NotAsPlanned season={season} courses={courses} onChoose={onChoose} />
      <WarmthForSeed courses={courses} />
      {answer && <PlacesThisWeek look={answer.look} isOld={isWorking || failed} />}
      <NextDates courses={courses} onChoose={onChoose} />
    </div>
  );
}
