'use client';
import { Sun, X } from 'lucide-react';
import type { Daylight } from '@/core/site/stand/Daylight';
import { setDaylight } from '@/core/site/stand/changeOutlets';
import { showClock } from '@/core/units/clock';
import type { StandTimer } from '@/core/plan/timer/servedBy';
import { changeSite } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { NumberField } from '../parts/NumberField';
import { useSettings, useWorkspace } from '../shell/WorkspaceContext';
import { dliNumber } from '../drawing/lightWords';
import { Link } from '../parts/Link';
import { standPath } from '../stands/places';
import { ClockField } from './ClockField';

/** A sill in the middle of a year, to begin with: growers' consensus, to be put right. */
const TO_BEGIN_WITH: Daylight = { dli: 2, from_min: 8 * 60, to_min: 17 * 60 };

/** Daylight on the plants of a timer, as the person states it: the lamps have so much less to give. */
export function DaylightFields({ timer, standId }: { timer: StandTimer; standId: string }) {
  const { sites } = useWorkspace();
  const { clock } = useSettings();
  const { daylight, sun } = timer.tiers[0]!.tier;
  const change = (next: Daylight | null) => changeSite(sites, 'state the daylight', setDaylight(timer.id, next));
  if (!daylight && sun)
    return (
      <p className="flex flex-wrap items-center gap-x-3 text-[0.9375rem]">
        <span>
          <Sun size={17} aria-hidden className="mr-1.5 inline" />
          {dliNumber(sun.dli)} mol/m²/day from the window, {showClock(sun.from_min, clock)} to {showClock(sun.to_min, clock)}
        </span>
        <Link
          href={standPath(standId, 'daylight')}
          className="inline-flex min-h-9 items-center font-semibold underline underline-offset-4 max-md:min-h-11"
        >
          Where from
        </Link>
        <Button kind="quiet" onClick={() => change({ dli: Math.round(sun.dli * 10) / 10, from_min: sun.from_min, to_min: sun.to_min })}>
          State it by hand
        </Button>
      </p>
    );
  if (!daylight)
    return (
      <Button kind="quiet" className="px-1!" onClick={() => change(TO_BEGIN_WITH)}>
        <Sun size={17} aria-hidden /> Daylight comes in too
      </Button>
    );
  return (
    <div className="flex flex-wrap items-end gap-3" role="group" aria-label="Daylight">
      <NumberField
        label="daylight"
        unit="mol/m²/day"
        value={daylight.dli}
        min={0}
        max={80}
        inputClassName="w-16"
        onChange={(dli) => change({ ...daylight, dli })}
      />
      <ClockField
        label="light from"
        value={daylight.from_min}
        refuse={(m) => (m < daylight.to_min ? null : 'The start time must be before the end time.')}
        onChange={(from_min) => change({ ...daylight, from_min })}
      />
      <ClockField
        label="until"
        value={daylight.to_min}
        refuse={(m) => (m > daylight.from_min ? null : 'The end time must be after the start time.')}
        onChange={(to_min) => change({ ...daylight, to_min })}
      />
      <Button kind="quiet" aria-label="No daylight" title="No daylight" onClick={() => change(null)}>
        <X size={17} aria-hidden />
      </Button>
    </div>
  );
}
