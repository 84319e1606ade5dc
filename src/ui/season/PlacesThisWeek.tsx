import { useMemo } from 'react';
import { mondayOf, type SeasonLook } from '@/core/plan/season/seasonLook';
import { takeToStands } from '@/core/plan/season/toStands';
import { runningWith } from '@/core/plan/trial/runningWith';
import { tables } from '@/core/things/tables/libraryTables';
import { changeSite, undo } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { joined } from '../parts/joined';
import { focusHeadingIfLost } from '../shell/focusHeading';
import { say } from '../shell/toastStore';
import { useSite, useToday, useWorkspace } from '../shell/WorkspaceContext';
import { inTrialWords } from '../today/inTrialWords';
import { nameOf, tierName, traysWords } from './seasonWords';

interface PlacesThisWeekProps {
  look: SeasonLook;
  /** The look is of the site as it was before its last change. */
  isOld: boolean;
}

/** Where everything stands best this week, taken to the stands by one press. */
export function PlacesThisWeek({ look, isOld }: PlacesThisWeekProps) {
  const { sites } = useWorkspace();
  const site = useSite((s) => s.site);
  const today = useToday();
  const week = look.weeks.findIndex((w) => w.from === mondayOf(today));
  const taken = useMemo(() => (week < 0 ? null : takeToStands(site, look, week, tables)), [site, look, week]);
  if (!taken) return null;
  const count = taken.trays + taken.lamps + taken.timers;
  const steps = [
    taken.trays > 0 ? `move ${traysWords(taken.trays)}` : '',
    taken.lamps > 0 ? `hang ${taken.lamps} ${taken.lamps === 1 ? 'lamp' : 'lamps'} anew` : '',
    taken.timers > 0 ? `set ${taken.timers} ${taken.timers === 1 ? 'timer' : 'timers'}` : '',
  ].filter(Boolean);
  const changed = taken.site.stands.flatMap((s, i) => (s === site.stands[i] ? [] : s.tiers.flatMap((t) => t.trays.map((y) => y.id))));
  const running = runningWith(site, new Set(changed), today);
  return (
    <section aria-labelledby="placing" className="space-y-2">
      <h3 id="placing" className="text-lg font-semibold">
        Best places this week
      </h3>
      {count === 0 && taken.stuck === 0 ? (
        <p className="text-soft">Everything stands where it gets the most of the light you have.</p>
      ) : (
        <>
          <ul className="space-y-1">
            {taken.moves.slice(0, 5).map((m) => (
              <li key={`${m.id} ${m.from}`} className="text-sm">
                <b>{nameOf(site, look.courses.find((c) => c.batch.id === m.id)!.batch)}</b>: {tierName(site, m.from)} →{' '}
                {tierName(site, m.to)}
              </li>
            ))}
            {taken.moves.length > 5 && <li className="text-sm text-soft">and {taken.moves.length - 5} more</li>}
          </ul>
          <p className="text-sm text-soft">
            {steps.length > 0 && `To do: ${joined(steps)}.`}
            {taken.stuck > 0 &&
              ` For ${traysWords(taken.stuck)} there is no free place on the drawing: move ${taken.stuck === 1 ? 'it' : 'them'} by hand on the bench.`}
          </p>
          {running.length > 0 && <p className="text-copper">{inTrialWords(running)}</p>}
          <Button
            disabled={isOld || count === 0}
            onClick={() => {
              if (!changeSite(sites, 'use these places', (s) => takeToStands(s, look, week, tables).site)) return;
              say('Bench, hang chart and timers follow the plan of this week.', { label: 'Undo', run: () => undo(sites) });
              focusHeadingIfLost();
            }}
          >
            Apply to the stands
          </Button>
        </>
      )}
    </section>
  );
}
