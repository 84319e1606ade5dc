'use client';
import { Luggage } from 'lucide-react';
import type { Trip } from '@/core/plan/hang/HangChart';
import type { BenchStand } from '@/core/answer/stand/benchStand';
import { showLength } from '@/core/units/length';
import { trayName } from '../bench/benchWords';
import { daysWords, dayWords, spanWords } from '../season/dayWords';
import { useSettings } from '../shell/WorkspaceContext';
import { jobsOf, trayOf } from './jobWords';

/** Before a trip: what must be done, and what will have become of the trays by the return. */
export function TripPanel({ stand, trip, title, open = false }: { stand: BenchStand; trip: Trip; title?: string; open?: boolean }) {
  const told = useSettings();
  const { lengthUnit } = told;
  const jobs = trip.before ? jobsOf(trip.before, stand, told) : [];
  const drift = trip.drift.flatMap((d) => {
    const y = trayOf(stand, d.trayId);
    if (!y || d.leave.phase === 'left') return [];
    const grown = d.back.height - d.leave.height;
    const says = [
      ...(d.emerges !== null
        ? [`comes up about ${dayWords(d.emerges)}, while nobody is there: take its cover off before leaving if the seedlings tolerate it`]
        : []),
      ...(grown > 0.004
        ? [`${showLength(grown, lengthUnit)} taller, ${showLength(Math.max(0, d.back.distance), lengthUnit)} from the lamp`]
        : []),
      ...(d.daysOff > 0 ? [`out of its range on ${daysWords(d.daysOff)}`] : []),
    ];
    return says.length > 0
      ? [{ id: d.trayId, name: trayName(y.tray), tier: y.tier.number, says: says.join('; '), off: d.daysOff > 0 }]
      : [];
  });
  // Not for whoever opens a fold: it has to be done before anybody leaves.
  const hot = trip.drift.flatMap(({ trayId, hotFrom, leave }) => {
    const y = trayOf(stand, trayId);
    return y && hotFrom !== null && leave.phase !== 'left' ? [{ ...y, hotFrom }] : [];
  });
  const away = stand.tiers.length > 1 ? 'to another tier' : 'out from under the lamp';
  return (
    <section
      aria-label={`${title ? `${title}: ` : ''}away ${spanWords(trip.from, trip.to)}`}
      className="space-y-2 rounded-md bg-sunk p-3"
      data-testid="trip"
    >
      <h2 className="flex items-center gap-2 text-lg font-semibold">
        <Luggage size={19} aria-hidden /> {title ?? `Away ${spanWords(trip.from, trip.to)}`}
      </h2>
      {jobs.length > 0 ? (
        <>
          <p>Before leaving, on {dayWords(trip.before!.day)}:</p>
          <ul className="list-disc pl-5">
            {jobs.map((j) => (
              <li key={j.key}>
                {j.tier === null ? '' : `tier ${j.tier}: `}
                {j.words}
              </li>
            ))}
          </ul>
        </>
      ) : (
        hot.length === 0 && <p>No changes before you leave. Water the trays and check that no plant touches a lamp.</p>
      )}
      {hot.length > 0 && (
        <ul className="list-disc pl-5 font-semibold text-copper">
          {hot.map(({ tier, tray, hotFrom }) => (
            <li key={tray.tray.id}>
              {trayName(tray)}, tier {tier.number}, will be too near the lamp from {dayWords(hotFrom)}, which may burn it. Move it {away}{' '}
              before you leave.
            </li>
          ))}
        </ul>
      )}
      {drift.length > 0 && (
        <details open={open}>
          <summary className="inline-flex min-h-8 cursor-pointer items-center font-semibold text-verdigris max-md:min-h-11">
            By the return on {dayWords(trip.to + 1)}
          </summary>
          <ul className="list-disc pl-5">
            {drift.map((d) => (
              <li key={d.id} className={d.off ? 'text-copper' : undefined}>
                {d.name}, tier {d.tier}: {d.says}
              </li>
            ))}
          </ul>
        </details>
      )}
    </section>
  );
}
