'use client';
import { changesOnTheWay } from '@/core/plan/trial/changesOnTheWay';
import { asAllAlong } from '@/core/site/trial/rememberTiers';
import type { Trial } from '@/core/site/trial/Trial';
import { changeSite, undo } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { dayWords } from '../season/dayWords';
import { tierName } from '../season/seasonWords';
import { focusHeadingIfLost } from '../shell/focusHeading';
import { say } from '../shell/toastStore';
import { useSettings, useSite, useWorkspace } from '../shell/WorkspaceContext';
import { changeWords } from './changeWords';

/** What was set otherwise on the tiers of a trial since it began: counted from its day on, unless it only put the drawing right. */
export function OnTheWay({ trial }: { trial: Trial }) {
  const { sites } = useWorkspace();
  const { lengthUnit } = useSettings();
  const site = useSite((s) => s.site);
  const changes = changesOnTheWay(site, trial);
  if (changes.length === 0) return null;
  return (
    <section aria-labelledby="on-the-way" className="space-y-2">
      <h2 id="on-the-way" className="text-xl font-semibold">
        Changed on the way
      </h2>
      <ul className="divide-y divide-line border-y border-line">
        {changes.map((c) => {
          const what = `${tierName(site, c.tierId)}: ${changeWords(c, lengthUnit)}`;
          return (
            <li key={`${c.tierId} ${c.day}`} className="flex flex-wrap items-center gap-x-3 gap-y-1 py-1.5">
              <span className="min-w-0 flex-1">
                {what} <span className="text-sm whitespace-nowrap text-soft">since {dayWords(c.day)}</span>
              </span>
              {trial.ended === null && (
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
      <p className="text-sm text-soft">
        What the trays were given is counted with each from its day on. If you only put the drawing right, say “So all along”.
      </p>
    </section>
  );
}
