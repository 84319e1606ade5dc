'use client';
import type { SetUp } from '@/core/answer/stand/setUp';
import { showHours } from '@/core/units/clock';
import { litBetween, longestDark, offAt } from '@/core/units/LitTimes';
import { changeSite } from '@/store/site/siteStore';
import { setHours } from '@/store/site/setUpVerbs';
import { Fold } from '../parts/Fold';
import { useSettings, useSite, useWorkspace } from '../shell/WorkspaceContext';
import { ClockField } from './ClockField';
import { DliChart } from './DliChart';
import { HoursStrip } from './HoursStrip';
import { Schools } from './Schools';

/** The lamp's day of a set-up: as a strip, as times, and what adds up through it. */
export function DayStrip({ setUp }: { setUp: SetUp }) {
  const { sites } = useWorkspace();
  const { timerStep_min } = useSettings();
  const quiet = useSite((s) => s.site.quiet);
  const cheap = useSite((s) => s.site.cheap);
  const { timer, stage, stand } = setUp;
  const { on_min, lit_min, pause } = timer;
  const off_min = offAt(timer);
  const change = (on: number, lit: number) => changeSite(sites, 'change the hours', setHours(stand.id, on, lit));
  const outside = setUp.hours < stage.hoursMin || setUp.hours > stage.hoursMax;
  return (
    <section aria-labelledby="hours" className="space-y-2">
      <div className="flex items-baseline justify-between gap-3">
        <h2 id="hours" className="text-lg font-semibold" data-testid="hours">
          {showHours(lit_min)} a day
        </h2>
        <p className={outside ? 'text-copper' : 'text-soft'}>
          usual for it: {stage.hoursMin}–{stage.hoursMax} h
        </p>
      </div>
      <HoursStrip times={timer} onChange={change} step_min={timerStep_min} quiet={quiet} cheap={cheap} />
      <div className="flex gap-4">
        <ClockField label="lamp on" value={on_min} onChange={(on) => change(on, litBetween(on, off_min, pause, lit_min))} />
        <ClockField label="lamp off" value={off_min} onChange={(off) => change(on_min, litBetween(on_min, off, pause, lit_min))} />
        <p className="self-end pb-1.5 text-soft">dark for {showHours(longestDark(timer, null))}</p>
      </div>
      <Fold title="Other ways to set the hours" says="DLI through the day, cost">
        <DliChart setUp={setUp} />
        <Schools setUp={setUp} />
      </Fold>
    </section>
  );
}
