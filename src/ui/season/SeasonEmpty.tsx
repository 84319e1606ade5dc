'use client';
import { CalendarRange } from 'lucide-react';
import { yearToPlan } from '@/core/plan/season/seasonYear';
import { freshSeason, setSeason } from '@/core/site/stand/changeSeason';
import { changeSite } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { useSite, useToday, useWorkspace } from '../shell/WorkspaceContext';
import { ImportSeason } from './ImportSeason';

/** Nothing is planned yet: what a plan is good for, and how to begin. */
export function SeasonEmpty() {
  const { sites } = useWorkspace();
  const today = useToday();
  const latitude = useSite((s) => s.site.place?.latitude ?? null);
  return (
    <section className="m-auto max-w-xl space-y-4 p-6">
      <CalendarRange size={40} strokeWidth={1.4} className="text-verdigris" aria-hidden />
      <h1 className="text-2xl font-semibold">Plan a season</h1>
      <p>
        Say what you want to grow and when it should go out. You see when to sow, when the lamp must be on, and in which weeks your shelves
        have too little light for all of it, before you sow anything.
      </p>
      <div className="flex flex-wrap gap-3">
        <Button kind="main" onClick={() => changeSite(sites, 'plan a season', setSeason(freshSeason(yearToPlan(today, latitude))))}>
          Plan a season
        </Button>
        <ImportSeason />
      </div>
    </section>
  );
}
