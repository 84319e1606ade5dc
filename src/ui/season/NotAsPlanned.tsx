import { useState } from 'react';
import type { BatchCourse } from '@/core/plan/season/batchCourse';
import { litBatches } from '@/core/plan/season/litBatches';
import { offPlanOf } from '@/core/plan/season/offPlan';
import type { SeasonPlan } from '@/core/site/season/SeasonPlan';
import { changePlanned } from '@/core/site/stand/changeSeason';
import { changeSite, undo } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { focusHeadingIfLost } from '../shell/focusHeading';
import { say } from '../shell/toastStore';
import { useSite, useToday, useWorkspace } from '../shell/WorkspaceContext';
import { nameOf, otherwiseWords } from './seasonWords';

const MOST_OTHERWISE = 4;

interface NotAsPlannedProps {
  season: SeasonPlan;
  courses: readonly BatchCourse[];
  onChoose(id: string): void;
}

/** What goes otherwise than planned, batch by batch, with the change that puts it right. */
export function NotAsPlanned({ season, courses, onChoose }: NotAsPlannedProps) {
  const { sites } = useWorkspace();
  const site = useSite((s) => s.site);
  const today = useToday();
  const [showsAll, setShowsAll] = useState(false);
  const all = offPlanOf(courses, season, today, site.visits.away, litBatches(site));
  if (all.length === 0) return null;
  return (
    <section aria-labelledby="otherwise" className="space-y-1">
      <h3 id="otherwise" className="text-lg font-semibold">
        Not as planned
      </h3>
      <ul className="divide-y divide-line">
        {all.slice(0, showsAll ? undefined : MOST_OTHERWISE).map((o) => {
          const batch = season.batches.find((b) => b.id === o.id)!;
          const { says, does } = otherwiseWords(site, o, batch);
          return (
            <li key={`${o.id} ${o.kind.kind}`} className="flex items-start gap-3 py-2.5">
              <div className="flex-1">
                <p>{says}</p>
                {does && <p className="font-narrow text-sm font-semibold text-verdigris">{does}</p>}
              </div>
              {o.change ? (
                <Button
                  aria-label={`Apply: ${nameOf(site, batch)}, ${does ?? ''}`}
                  onClick={() => {
                    const changed = changePlanned(o.id, () => o.change!);
                    if (!changeSite(sites, 'adjust the plan', changed)) return;
                    say(`${does ?? 'Changed'}.`, { label: 'Undo', run: () => undo(sites) });
                    focusHeadingIfLost('otherwise');
                  }}
                >
                  Apply
                </Button>
              ) : (
                <Button aria-label={`Open ${nameOf(site, batch)}`} onClick={() => onChoose(o.id)}>
                  Open
                </Button>
              )}
            </li>
          );
        })}
      </ul>
      {!showsAll && all.length > MOST_OTHERWISE && (
        <Button
          onClick={() => {
            setShowsAll(true);
            focusHeadingIfLost('otherwise');
          }}
        >
          Show all {all.length}
        </Button>
      )}
    </section>
  );
}
