'use client';
import { useEffect, useRef, useState } from 'react';
import type { BenchStand } from '@/core/answer/stand/benchStand';
import type { Window } from '@/core/site/window/Window';
import { useLightOfStand } from '../hours/useLightOfStand';
import { Segments } from '../parts/Segments';
import { AnswersAtWindow } from './AnswersAtWindow';
import { CarpetKey } from './CarpetKey';
import { MomentAtWindow } from './MomentAtWindow';
import { nameAtWindow } from './placeWords';
import { SCREEN_PARTS, useDaylightYear, type TrayAtWindow } from './useDaylight';
import { useLookedAt } from './useLookedAt';
import { YearCarpet } from './YearCarpet';

interface YearAtWindowProps {
  stand: BenchStand;
  window: Window;
  /** One at least. */
  trays: readonly TrayAtWindow[];
  chosen: number;
  onTray(index: number): void;
}

/** The year of one plant at the window of its stand: an hour of it, all of it as a picture, and what follows. */
export function YearAtWindow({ stand, window, trays, chosen, onTray }: YearAtWindowProps) {
  const moment = useLookedAt();
  const [sky, setSky] = useState<'mean' | 'clear'>('clear');
  const heading = useRef<HTMLHeadingElement>(null);
  // Whoever chose the window pressed a button that is gone now.
  useEffect(() => {
    if (document.activeElement === document.body) heading.current?.focus();
  }, []);
  const light = useLightOfStand(stand);
  const { answer, isWorking, failed } = useDaylightYear(stand, trays, chosen, light === 'failed' ? null : light);
  const tray = trays[chosen]!;
  const place = answer?.year.places[chosen] ?? null;
  const topUps = tray.tier.lamps.length > 0 ? (answer?.topUps ?? []) : [];
  const { day, minute } = moment;

  function strengthNow() {
    if (!answer || !place) return null;
    const part = Math.min(SCREEN_PARTS - 1, Math.floor(minute / (1440 / SCREEN_PARTS)));
    return Math.round((sky === 'clear' ? place.clearCourse : place.course)[(day - answer.year.from) * SCREEN_PARTS + part]!);
  }

  return (
    <div className="flex min-h-0 flex-1 flex-col lg:flex-row" data-testid="daylight" aria-busy={isWorking}>
      <div className="night min-w-0 bg-night px-4 py-4 text-night-ink md:px-8 lg:flex-1 lg:overflow-y-auto print:bg-transparent print:text-ink">
        <h1 ref={heading} tabIndex={-1} className="sr-only">
          Daylight
        </h1>
        <div className="mx-auto max-w-3xl space-y-3">
          <MomentAtWindow
            window={window}
            trays={trays}
            chosen={chosen}
            moment={moment}
            sky={sky}
            strength={strengthNow()}
            onTray={onTray}
          />
          <div className="flex flex-wrap items-center justify-between gap-2 pt-2">
            <h2 className="font-semibold">The year at {nameAtWindow(tray, trays)}: a column a day, hours down</h2>
            <Segments
              night
              label="Sky"
              value={sky}
              options={[
                { value: 'clear', label: 'clear days' },
                { value: 'mean', label: 'mean of the month' },
              ]}
              onChange={(v) => setSky(v)}
            />
          </div>
          {answer && place ? (
            <YearCarpet year={answer.year} place={place} stage={tray.stage} topUps={topUps} sky={sky} day={day} minute={minute} />
          ) : (
            <p role="status" className="h-44">
              {failed ? 'The year could not be computed. Reload the page to try again.' : 'Working out the year…'}
            </p>
          )}
          <CarpetKey hasLamps={topUps.length > 0} />
        </div>
      </div>
      <AnswersAtWindow
        stand={stand}
        window={window}
        trays={trays}
        chosen={chosen}
        onTray={onTray}
        year={place}
        topUps={topUps}
        moment={moment}
      />
    </div>
  );
}
