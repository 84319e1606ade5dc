'use client';
import type { HangChart } from '@/core/plan/hang/HangChart';
import type { BenchStand } from '@/core/answer/stand/benchStand';
import { timersOf } from '@/core/plan/timer/servedBy';
import { timerName } from '../hours/timerWords';
import { RackCard } from './RackCard';
import { TimerPins } from './TimerPins';
import { TrayLabels } from './TrayLabels';

/** What hangs at the rack: the chart tier by tier, each timer with its pins, and a label for each tray. */
export function CardsPrint({ stand, chart }: { stand: BenchStand; chart: HangChart | null }) {
  if (!chart) return <p>The chart is still being worked out. Print again in a moment.</p>;
  const timers = timersOf(stand);
  return (
    <div className="mx-auto w-[660px] bg-white text-[11px] leading-snug text-black" data-testid="cards">
      <RackCard stand={stand} chart={chart} />
      <section className="break-before-page space-y-4 pt-2">
        <h1 className="border-b border-black pb-1 text-lg font-semibold">Timers of {stand.stand.name}</h1>
        {timers.map((t) => {
          const later = chart.visits.flatMap((v) =>
            v.hours.filter((h) => h.timerId === t.id).map((h) => ({ ...h, pause: t.pause, day: v.day })),
          );
          return <TimerPins key={t.id} name={timerName(t, timers.length === 1)} times={t} later={later} />;
        })}
      </section>
      <TrayLabels stand={stand} />
    </div>
  );
}
