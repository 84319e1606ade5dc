'use client';
import { correctionOf } from '@/core/answer/daylight/correctionOf';
import type { YearAtPlace } from '@/core/answer/daylight/yearOf';
import type { BenchStand } from '@/core/answer/stand/benchStand';
import { hoursByMonth, type TopUp } from '@/core/plan/daylight/topUp';
import { setDaylight } from '@/core/site/stand/changeOutlets';
import type { Window } from '@/core/site/window/Window';
import { changeSite } from '@/store/site/siteStore';
import { trayName } from '../bench/benchWords';
import { Button } from '../parts/Button';
import { Segments } from '../parts/Segments';
import { useSite, useWorkspace } from '../shell/WorkspaceContext';
import { Term } from '../terms/Term';
import { stageWords } from '../verdict/words';
import { MonthTable } from './MonthTable';
import { nameAtWindow } from './placeWords';
import { PlacesFor } from './PlacesFor';
import { SuitsList } from './SuitsList';
import { TimerOverYear } from './TimerOverYear';
import type { TrayAtWindow } from './useDaylight';
import type { LookedAt } from './useLookedAt';
import { WindowSheets } from './WindowSheets';
import { YearAnswer } from './YearAnswer';

interface AnswersAtWindowProps {
  stand: BenchStand;
  window: Window;
  trays: readonly TrayAtWindow[];
  chosen: number;
  onTray(index: number): void;
  /** Null while it is worked out. */
  year: YearAtPlace | null;
  /** What the lamps over the tray add; none without lamps. */
  topUps: readonly TopUp[];
  moment: LookedAt;
}

/** Whether a plant has enough light at its window, month by month; what the timer makes up for, and where or what would do better. */
export function AnswersAtWindow({ stand, window, trays, chosen, onTray, year, topUps, moment }: AnswersAtWindowProps) {
  const { sites } = useWorkspace();
  const place = useSite((s) => s.site.place)!;
  const tray = trays[chosen]!;
  const { stage, tier } = tray;
  const stated = tier.tier.daylight;
  const onTimer = topUps[0]?.results.length ?? 0;
  return (
    <div className="w-full shrink-0 space-y-6 bg-sheet px-5 py-5 lg:w-[400px] lg:overflow-y-auto lg:border-l lg:border-line">
      <WindowSheets stand={stand} window={window} tray={tray} trays={trays} />
      {trays.length > 1 && (
        <Segments
          label="Plant"
          value={tray.tray.id}
          options={trays.map((t) => ({ value: t.tray.id, label: nameAtWindow(t, trays) }))}
          onChange={(id) => onTray(trays.findIndex((t) => t.tray.id === id))}
        />
      )}
      <p className="text-sm text-soft">
        {nameAtWindow(tray, trays)}, {stageWords(stage)}: needs {stage.dliMin}–{stage.dliMax} <Term id="dli">mol/m²/day</Term> (
        {stage.basis === 'consensus' ? 'growers’ consensus' : stage.basis})
      </p>
      {stated && (
        <p className="rounded-md bg-copper-wash px-3 py-2">
          {stated.dli} mol/m²/day were stated by hand for this tier; they count in verdicts and hours instead of what is computed here.{' '}
          <Button className="mt-1" onClick={() => changeSite(sites, 'use the window’s light', setDaylight(tier.timer.id, null))}>
            Use computed daylight
          </Button>
        </p>
      )}
      {year && (
        <>
          <YearAnswer months={year.months} tray={tray} topUps={topUps} lit={tier.lamps.length > 0} curtained={window.curtain < 1} />
          <MonthTable
            months={year.months}
            stage={stage}
            lampHours={topUps.length > 0 ? hoursByMonth(topUps) : null}
            month={moment.month}
            onMonth={moment.setMonth}
          />
          <p className="text-sm text-soft">
            Bars run from a grey to a clear day, the mark is the month’s mean; sun in hours of direct rays on a clear day. The window’s own
            share is good to about ±{Math.round(correctionOf(window, place).uncertainty * 100)} %.
            {onTimer > 1 && ` Lamp hours suit all ${onTimer} trays on its timer together.`}
          </p>
        </>
      )}
      <TimerOverYear standId={stand.stand.id} topUps={topUps} trayId={tray.tray.id} />
      {year && <PlacesFor plant={trayName(tray)} cropId={tray.crop.id} stage={stage} />}
      {year && <SuitsList months={year.months} />}
    </div>
  );
}
