'use client';
import { CirclePause, X } from 'lucide-react';
import { daylightOf } from '@/core/site/stand/Site';
import { setPause } from '@/core/site/stand/change';
import { blocksOf, litWithin, longestDark } from '@/core/units/LitTimes';
import { MINUTES_PER_DAY, showHours } from '@/core/units/clock';
import { lengthOf, type Span } from '@/core/units/Span';
import type { StandTimer } from '@/core/plan/timer/servedBy';
import { changeSite } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { focusHeadingIfLost } from '../shell/focusHeading';
import { useWorkspace } from '../shell/WorkspaceContext';
import { ClockField } from './ClockField';

/** To begin with: two hours in the middle of the lamps' day. */
const BEGIN_min = 120;

/** A stretch of so many minutes on the quarters of the clock. */
const spanAt = (from: number, long: number): Span => {
  const start = Math.round(from / 15) * 15;
  return { from_min: start % MINUTES_PER_DAY, to_min: (start + Math.round(long / 15) * 15) % MINUTES_PER_DAY };
};

/** The middle half of the daylight: more than two thirds of its dose, by half a sine wave. */
const brightHalf = ({ from_min, to_min }: Span): Span => spanAt(from_min + (to_min - from_min) / 4, (to_min - from_min) / 2);

/** A pause of a timer: two blocks in a day, for guests or around the daylight. */
export function PauseFields({ timer }: { timer: StandTimer }) {
  const { sites } = useWorkspace();
  const { on_min, lit_min, pause } = timer;
  const change = (next: Span | null) => {
    if (next && next.from_min === next.to_min) return;
    changeSite(sites, next ? 'set the pause' : 'remove the pause', setPause(timer.id, next));
  };
  const daylight = daylightOf(timer.tiers[0]!.tier);
  if (!pause) {
    if (lit_min <= BEGIN_min || lit_min >= MINUTES_PER_DAY) return null;
    const bright = daylight && daylight.dli > 0 ? brightHalf(daylight) : null;
    const offered = bright && litWithin(timer, bright) > 0 ? bright : spanAt(on_min + (lit_min - BEGIN_min) / 2, BEGIN_min);
    return (
      <Button kind="quiet" className="px-1!" onClick={() => change(offered)}>
        <CirclePause size={17} aria-hidden /> {offered === bright ? 'Lamps off while daylight is strongest' : 'Lamps off for a while'}
      </Button>
    );
  }
  const night = longestDark(timer, daylight);
  return (
    <div className="space-y-1" role="group" aria-label="Pause">
      <div className="flex flex-wrap items-end gap-3">
        <ClockField label="pause from" value={pause.from_min} onChange={(from_min) => change({ ...pause, from_min })} />
        <ClockField label="to" value={pause.to_min} onChange={(to_min) => change({ ...pause, to_min })} />
        <Button
          kind="quiet"
          aria-label="Remove the pause"
          onClick={() => {
            change(null);
            focusHeadingIfLost();
          }}
        >
          <X size={17} aria-hidden />
        </Button>
      </div>
      <p className="text-sm text-soft" data-testid="pause-words">
        {blocksOf(timer).length > 1
          ? `Lamps are off for ${showHours(lengthOf(pause))}. Plants that respond to day length measure the longest dark stretch, ${showHours(night)}: for them this is a day of ${showHours(MINUTES_PER_DAY - night)}.`
          : 'The lamps are off then in any case.'}{' '}
        The timer needs two on and off times a day.
      </p>
    </div>
  );
}
