'use client';
import type { TierChange } from '@/core/plan/past/changesOnTheWay';
import { asAllAlong } from '@/core/site/past/noteSettings';
import { changeSite, undo } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { dayWords } from '../season/dayWords';
import { tierName } from '../season/seasonWords';
import { focusHeadingIfLost } from '../shell/focusHeading';
import { say } from '../shell/toastStore';
import { useSettings, useSite, useWorkspace } from '../shell/WorkspaceContext';
import { changeWords } from './changeWords';

/** What was set otherwise on tiers on the way: counted from its day on, unless it only put the drawing right. @param isOver nothing is counted anew */
export function OnTheWay({ changes, isOver }: { changes: readonly TierChange[]; isOver: boolean }) {
  const { sites } = useWorkspace();
  const { lengthUnit } = useSettings();
  const site = useSite((s) => s.site);
  return (
    <>
      <ul className="divide-y divide-line border-y border-line">
        {changes.map((c) => {
          const what = `${tierName(site, c.tierId)}: ${changeWords(c, lengthUnit)}`;
          return (
            <li key={`${c.tierId} ${c.day}`} className="flex flex-wrap items-center gap-x-3 gap-y-1 py-1.5">
              <span className="min-w-0 flex-1">
                {what} <span className="text-sm whitespace-nowrap text-soft">since {dayWords(c.day)}</span>
              </span>
              {!isOver && (
                <Button
                  className="print:hidden"
                  aria-label={`It was so all along: ${what}`}
                  onClick={() => {
                    changeSite(sites, 'count it as so all along', asAllAlong(c.day, [c.tierId]));
                    focusHeadingIfLost();
                    say('Counted as so all along.', { label: 'Undo', run: () => undo(sites) });
                  }}
                >
                  So all along
                </Button>
              )}
            </li>
          );
        })}
      </ul>
      {!isOver && (
        <p className="text-sm text-soft print:hidden">
          Each is counted from its day on. If you only put the drawing right, say “So all along”.
        </p>
      )}
    </>
  );
}
