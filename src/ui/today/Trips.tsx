'use client';
import { ClipboardList } from 'lucide-react';
import { TripPanel } from '../chart/TripPanel';
import { Link } from '../parts/Link';
import { useToday } from '../shell/WorkspaceContext';
import type { StandToday } from './useTodayCharts';

/** A trip is told of so many days before it. */
const BEFORE = 14;

/** Before a trip: what must be done at each stand, and what will have drifted by the return. */
export function Trips({ stands }: { stands: readonly StandToday[] }) {
  const today = useToday();
  const soon = stands.flatMap(({ stand, chart }) =>
    (chart?.trips ?? []).filter((t) => t.to >= today && t.from - today <= BEFORE).map((trip) => ({ stand, trip })),
  );
  if (soon.length === 0) return null;
  return (
    <section aria-labelledby="trips" className="space-y-3">
      <h2 id="trips" className="text-lg font-semibold">
        Before you leave
      </h2>
      <Link
        href="/today/away"
        className="inline-flex min-h-11 items-center gap-2 rounded-md border border-line bg-sheet px-3 font-semibold hover:bg-sunk"
      >
        <ClipboardList size={17} aria-hidden /> A sheet for whoever comes by
      </Link>
      {soon.map(({ stand, trip }) => (
        <div key={`${stand.stand.id} ${trip.from}`}>
          <p className="pb-1 font-semibold">{stand.stand.name}</p>
          <TripPanel stand={stand} trip={trip} />
        </div>
      ))}
    </section>
  );
}
