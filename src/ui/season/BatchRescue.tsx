'use client';
import type { BatchCourse } from '@/core/plan/season/batchCourse';
import { frostAhead } from '@/core/plan/season/firstFrost';
import { restartOf, BURIED_DAYS } from '@/core/plan/season/offPlan';
import { leaveShelves } from '@/core/plan/today/leaveShelves';
import { plannedFor } from '@/core/plan/season/plannedFor';
import { addPlanned, changePlanned } from '@/core/site/stand/changeSeason';
import type { PlannedBatch, SeasonPlan } from '@/core/site/season/SeasonPlan';
import type { Site } from '@/core/site/stand/Site';
import { newId } from '@/store/names/newId';
import { changeSite, undo } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { focusHeadingIfLost } from '../shell/focusHeading';
import { say } from '../shell/toastStore';
import { useSite, useToday, useWorkspace } from '../shell/WorkspaceContext';
import { dayWords, daysWords } from './dayWords';
import { frostWords, nameOf } from './seasonWords';

/** Leggy, or lost: what can be done, what it costs in days, whether the date still holds. */
export function Rescue({ course, season }: { course: BatchCourse; season: SeasonPlan }) {
  const { sites } = useWorkspace();
  const site = useSite((s) => s.site);
  const today = useToday();
  const { batch, crop } = course;
  const name = nameOf(site, batch);
  const restart = restartOf(course, season, today);
  const frost = frostAhead(course, season);
  /** It takes no room from today on, in the plan and on the bench. */
  const lost = (s: Site): Site => {
    const planned = changePlanned(batch.id, () => ({ lost: today }))(s);
    return batch.batchId === null ? planned : leaveShelves(batch.batchId, today, newId, 'lost')(planned);
  };
  const again = (): PlannedBatch => {
    const fresh = plannedFor(crop, season, null, batch.cells, today, newId());
    return {
      ...fresh,
      label: `${name}, again`.slice(0, 120),
      goal: batch.goal,
      sown: today,
      out: Math.max(batch.out, restart.readyOn),
      containers: batch.containers,
      keepAtMost: batch.keepAtMost,
    };
  };
  return (
    <details className="border-t border-line pt-3">
      <summary className="min-h-9 font-semibold max-md:min-h-11">Leggy, or lost?</summary>
      <div className="space-y-2 pt-1">
        {restart.canBury ? (
          <p>
            {crop.name} can be potted on deeper,{' '}
            {crop.leggyRemedy === 'bury-stem' ? 'with the stem buried: it roots along it' : 'up to its seed leaves'}. That costs about{' '}
            {daysWords(BURIED_DAYS)} (growers’ consensus).
          </p>
        ) : (
          <p>{crop.name} does not root from a buried stem: sow again while there is time.</p>
        )}
        <p>
          Sown again today it is old enough on {dayWords(restart.readyOn)}:{' '}
          {restart.holds ? 'the date still holds' : `${daysWords(restart.daysLate)} late`}
          {frost !== null && restart.readyOn >= frost && `, and ${frostWords(restart.readyOn, frost)}`}.
        </p>
        <div className="flex flex-wrap gap-2">
          {restart.canBury && (
            <Button
              onClick={() => {
                changeSite(
                  sites,
                  `bury ${name}`,
                  changePlanned(batch.id, (b) => ({ out: b.out + BURIED_DAYS })),
                );
                say(`${name}: a week later.`, { label: 'Undo', run: () => undo(sites) });
              }}
            >
              Pot deeper, a week later
            </Button>
          )}
          <Button
            onClick={() => {
              if (!changeSite(sites, `start ${name} over`, (s) => addPlanned(again())(lost(s)))) return;
              say(`${name} is sown again in the plan. The lost trays are cleared from the shelves.`, {
                label: 'Undo',
                run: () => undo(sites),
              });
              focusHeadingIfLost();
            }}
          >
            Start over today
          </Button>
          <Button
            onClick={() => {
              if (!changeSite(sites, `${name} is lost`, lost)) return;
              say('Its room is free from today. Its trays are cleared from the shelves.', { label: 'Undo', run: () => undo(sites) });
              focusHeadingIfLost();
            }}
          >
            It is lost
          </Button>
        </div>
      </div>
    </details>
  );
}
