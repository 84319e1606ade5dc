'use client';
import { ChevronRight } from 'lucide-react';
import type { BenchStand } from '@/core/answer/stand/benchStand';
import { trayName } from '../bench/benchWords';
import { Link } from '../parts/Link';
import { ageWords } from './ageWords';
import { useToday } from '../shell/WorkspaceContext';

/** The trays of a stand with how far along they are, each with the way to its own page. */
export function TraysPanel({ stand }: { stand: BenchStand }) {
  const today = useToday();
  const trays = stand.tiers.flatMap((t) => t.trays.map((y) => ({ ...y, tier: t.number })));
  return (
    <section aria-labelledby="trays-of">
      <h2 id="trays-of" className="pb-1 text-lg font-semibold">
        Trays
      </h2>
      {trays.length === 0 && <p className="text-soft">None yet.</p>}
      <ul>
        {trays.map((y) => (
          <li key={y.tray.id} className="border-t border-line">
            <Link href={`/tray/${encodeURIComponent(y.tray.id)}`} className="flex min-h-11 items-center gap-2 py-1 hover:bg-sunk">
              <span className="min-w-0 flex-1">
                <span className="font-semibold">{trayName(y)}</span> <span className="text-sm text-soft">tier {y.tier}</span>
                <span className="block text-sm text-soft">{ageWords(y, today)}</span>
              </span>
              <ChevronRight size={17} aria-hidden />
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}
