'use client';
import type { HangChart } from '@/core/plan/hang/HangChart';
import type { BenchStand } from '@/core/answer/stand/benchStand';
import { generalNote } from '@/core/things/caution/cautionLibrary';
import { showLength } from '@/core/units/length';
import { alikeLamps } from '../bench/alikeLamps';
import { hangWords } from '../bench/benchWords';
import { jobsOf } from '../chart/jobWords';
import { timesWords } from '../hours/timerWords';
import { dayWords, longDayWords } from '../season/dayWords';
import { useSettings, useToday } from '../shell/WorkspaceContext';

/** The card of the rack: how each tier hangs now, and what is to be done when, with a box to tick. */
export function RackCard({ stand, chart }: { stand: BenchStand; chart: HangChart }) {
  const told = useSettings();
  const { lengthUnit } = told;
  const today = useToday();
  const cell = 'border-b border-neutral-400 py-0.5 pr-2 align-top';
  return (
    <article className="space-y-3">
      <h1 className="border-b border-black pb-1 text-lg font-semibold">{stand.stand.name}</h1>
      <p>As it hangs on {longDayWords(today)}:</p>
      <table className="w-full text-left [&_th]:pr-2">
        <thead>
          <tr>
            <th>tier</th>
            <th>lamps</th>
            <th>hours</th>
            <th>trays</th>
          </tr>
        </thead>
        <tbody>
          {stand.tiers.map((t) => (
            <tr key={t.tier.id}>
              <td className={cell}>{t.number}</td>
              <td className={cell}>
                {alikeLamps(t.lamps).map(({ lamp: { fitting, lamp }, count }) => (
                  <div key={fitting.id}>
                    {count} × {lamp.name}, face {showLength(fitting.face, lengthUnit)} above the shelf ({hangWords(t, fitting, lengthUnit)})
                  </div>
                ))}
                {t.lamps.length === 0 && 'none'}
              </td>
              <td className={cell}>{timesWords(t.timer, told.clock)}</td>
              <td className={cell}>{t.trays.map((y) => y.called).join(', ')}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <table className="w-full text-left [&_th]:pr-2">
        <thead>
          <tr>
            <th className="w-24">day</th>
            <th>what to do, until {dayWords(chart.until)}</th>
            <th className="w-10">done</th>
          </tr>
        </thead>
        <tbody>
          {chart.visits.map((v) => (
            <tr key={v.day} className="break-inside-avoid">
              <td className={`${cell} font-semibold`}>{dayWords(v.day)}</td>
              <td className={cell}>
                {jobsOf(v, stand, told).map((j) => (
                  <div key={j.key}>
                    {j.tier === null ? '' : `Tier ${j.tier}: `}
                    {j.words}
                  </div>
                ))}
              </td>
              <td className={cell}>
                <span className="inline-block size-3.5 border border-black" />
              </td>
            </tr>
          ))}
          {chart.visits.length === 0 && (
            <tr>
              <td className={cell} colSpan={3}>
                Nothing has to be changed.
              </td>
            </tr>
          )}
        </tbody>
      </table>
      <p>{generalNote}</p>
    </article>
  );
}
