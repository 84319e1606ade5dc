'use client';
import { daylightOf } from '@/core/site/stand/Site';
import clsx from 'clsx';
import { useMemo } from 'react';
import type { BenchStand } from '@/core/answer/stand/benchStand';
import { timersOf } from '@/core/plan/timer/servedBy';
import { showClock } from '@/core/units/clock';
import { useStand } from '../bench/useBench';
import { Link } from '../parts/Link';
import { useSettings, useSite } from '../shell/WorkspaceContext';
import { HoursHead } from './HoursHead';
import { NoStand } from './NoStand';
import { useLightOfStand } from './useLightOfStand';
import { TimerCard } from './TimerCard';

/** All timers of a stand: when the lamps burn, what that gives each tray, and when they had better burn. */
export function HoursView() {
  const stand = useStand();
  if (!stand)
    return (
      <NoStand title="No timer yet.">Timers belong to a stand with its lamps. Put one on the bench, or begin with the quick check.</NoStand>
    );
  return <OfStand key={stand.stand.id} stand={stand} />;
}

function OfStand({ stand }: { stand: BenchStand }) {
  const { clock } = useSettings();
  const { quiet, cheap } = useSite((s) => s.site);
  const light = useLightOfStand(stand);
  const timers = useMemo(() => timersOf(stand), [stand]);
  return (
    <div className="min-h-0 flex-1 lg:overflow-y-auto">
      <div className="mx-auto w-full max-w-6xl px-4 py-5 md:px-6">
        <HoursHead title="Hours" />
        <ul className="flex flex-wrap items-center gap-x-4 pb-4 text-[0.9375rem] text-soft">
          <Key swatch="h-3 rounded-sm bg-lit">lamps on</Key>
          {stand.tiers.some((t) => daylightOf(t.tier)) && <Key swatch="h-1.5 bg-[#c9b458]">daylight</Key>}
          {quiet && (
            <Key swatch="h-3 bg-slate/25">
              quiet, {showClock(quiet.from_min, clock)} to {showClock(quiet.to_min, clock)}
            </Key>
          )}
          {cheap && (
            <Key swatch="h-1.5 bg-verdigris">
              cheap, {showClock(cheap.from_min, clock)} to {showClock(cheap.to_min, clock)}
            </Key>
          )}
          <li>
            <Link href="/settings" className="inline-flex min-h-9 items-center font-semibold underline underline-offset-4 max-md:min-h-11">
              {quiet || cheap ? 'Change these' : 'Quiet or cheap hours, steps of the timers'}
            </Link>
          </li>
        </ul>
        {light === null && <p role="status">Working out the light…</p>}
        {light === 'failed' && (
          <p role="alert" className="text-copper">
            The light could not be computed. Reload the page to try again.
          </p>
        )}
        {light !== null &&
          light !== 'failed' &&
          timers.map((timer) => (
            <TimerCard key={timer.id} timer={timer} alone={timers.length === 1} standId={stand.stand.id} lights={light.tiers} />
          ))}
        <p className="border-t border-line pt-4 text-sm text-soft">
          Timers and power strips can overheat. For continuous load use at most 80 % of the rating. Water near mains can kill: use a
          residual-current (GFCI) outlet. Follow local code; ask a licensed electrician.
        </p>
      </div>
    </div>
  );
}

/** What a colour of the strips stands for. */
function Key({ swatch, children }: { swatch: string; children: React.ReactNode }) {
  return (
    <li className="inline-flex min-h-9 items-center gap-1.5 whitespace-nowrap">
      <span className={clsx('w-5', swatch)} aria-hidden /> {children}
    </li>
  );
}
