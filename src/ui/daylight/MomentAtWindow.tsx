'use client';
import clsx from 'clsx';
import { changeWindow } from '@/core/site/stand/changeWindows';
import type { Window } from '@/core/site/window/Window';
import { directionOf } from '@/core/sky/place/facing';
import { showClock } from '@/core/units/clock';
import type { Ppfd } from '@/core/units/quantities';
import { beginGesture, changeSite, endGesture } from '@/store/site/siteStore';
import { useSettings, useWorkspace } from '../shell/WorkspaceContext';
import { MONTHS } from './daylightWords';
import { PanePicture } from './PanePicture';
import { nameAtWindow } from './placeWords';
import { planDepth, SillPlan } from './SillPlan';
import type { TrayAtWindow } from './useDaylight';
import type { LookedAt } from './useLookedAt';

interface MomentAtWindowProps {
  window: Window;
  trays: readonly TrayAtWindow[];
  chosen: number;
  moment: LookedAt;
  sky: 'mean' | 'clear';
  /** The daylight at its leaves then, in whole figures; null while the year is worked out. */
  strength: Ppfd | null;
  onTray(index: number): void;
}

const RANGE = 'w-full accent-lit max-md:min-h-11';
const OUTSIDE = 'draw what stands outside';

/** What one sees from a plant through its window at an hour of a month, where the sun is, and how strong its light. */
export function MomentAtWindow({ window, trays, chosen, moment, sky, strength, onTray }: MomentAtWindowProps) {
  const { sites } = useWorkspace();
  const { clock } = useSettings();
  const { month, minute, sun, paths, setMonth, setMinute } = moment;
  const tray = trays[chosen]!;
  return (
    <>
      <p className="text-night-soft">
        {window.name}, looks {directionOf(window.facing)}: the view from {nameAtWindow(tray, trays)}, and the sill from above
      </p>
      <div className="grid grid-cols-1 items-start gap-x-6 gap-y-3 sm:grid-cols-[1fr_11rem]">
        <PanePicture
          window={window}
          at={tray.asked.at}
          beside={tray.asked.beside}
          paths={paths}
          now={sun}
          time={showClock(minute, clock)}
          below={planDepth(trays)}
          onHorizon={(horizon) =>
            changeSite(
              sites,
              OUTSIDE,
              changeWindow(window.id, () => ({ horizon })),
            )
          }
          onGesture={(on) => (on ? beginGesture(sites, OUTSIDE) : endGesture(sites))}
        >
          <SillPlan window={window} trays={trays} chosen={chosen} sun={sun} onChoose={onTray} />
        </PanePicture>
        <div aria-live="polite" data-testid="moment" className="space-y-1">
          <p className="text-lg font-semibold tabular-nums">
            21 {MONTHS[month]}, {showClock(minute, clock)}
          </p>
          <p className="text-night-soft">
            {sun.elevation > 0
              ? `sun ${Math.round((sun.elevation * 180) / Math.PI)}° up in the ${directionOf(sun.azimuth)}`
              : 'the sun is down'}
          </p>
          {strength !== null && (
            <p>
              <span className={clsx('block text-4xl font-semibold tabular-nums', strength > tray.stage.ppfdMax && 'text-ember')}>
                {strength}
              </span>
              <span className="text-night-soft">
                µmol/m²/s at its leaves, {sky === 'clear' ? 'on a clear day' : 'mean of the month’s days'}
              </span>
            </p>
          )}
        </div>
      </div>
      <div className="grid grid-cols-1 gap-x-6 gap-y-2 sm:grid-cols-2">
        <label className="block text-sm text-night-soft">
          hour, {showClock(minute, clock)}
          <input
            type="range"
            className={RANGE}
            min={0}
            max={1430}
            step={10}
            value={minute}
            aria-label="Hour"
            aria-valuetext={showClock(minute, clock)}
            onChange={(e) => setMinute(Number(e.target.value))}
          />
        </label>
        <label className="block text-sm text-night-soft">
          month, {MONTHS[month]}
          <input
            type="range"
            className={RANGE}
            min={0}
            max={11}
            step={1}
            value={month}
            aria-label="Month"
            aria-valuetext={MONTHS[month]!}
            onChange={(e) => setMonth(Number(e.target.value))}
          />
        </label>
      </div>
    </>
  );
}
