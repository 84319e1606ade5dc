'use client';
import { ChevronRight } from 'lucide-react';
import { useCallback } from 'react';
import type { BenchAnswer } from '@/core/answer/bench/BenchQuestion';
import type { BenchStand, BenchTier, BenchTray } from '@/core/answer/stand/benchStand';
import { headingFor, type Heading } from '@/core/plan/clinic/headingFor';
import { trayName } from '../bench/benchWords';
import { useWorkedOut } from '../parts/useWorkedOut';
import { daysWords } from '../season/dayWords';
import { useWorkspace } from '../shell/WorkspaceContext';
import { CERTAINTY_WORDS } from '../verdict/words';

interface Found {
  readonly stand: BenchStand;
  readonly tier: BenchTier;
  readonly tray: BenchTray;
  readonly heading: Heading;
}

const TOWARDS: Readonly<Record<Heading['towards'], string>> = { leggy: 'leggy', behind: 'behind', burnt: 'burnt' };
const PLACES = ['back left', 'back', 'back right', 'left', 'middle', 'right', 'front left', 'front', 'front right'];

const whereWords = (places: readonly number[]): string =>
  places.length === 9 ? 'everywhere' : places.length > 4 ? 'in most places' : places.map((p) => PLACES[p]).join(', ');

/** The trays of some stands that are heading for trouble, the soonest first. */
async function headingsIn(stands: readonly BenchStand[], lightOf: (stand: BenchStand) => Promise<BenchAnswer>): Promise<Found[]> {
  const list: Found[] = [];
  for (const stand of stands.filter((s) => s.tiers.some((t) => t.trays.some((y) => (y.batch.age ?? -1) >= 0)))) {
    const answer = await lightOf(stand);
    for (const tier of stand.tiers)
      for (const tray of tier.trays) {
        const light = answer.tiers[tier.tier.id]?.trays[tray.tray.id];
        const heading = light && headingFor(tier, tray, light);
        if (heading) list.push({ stand, tier, tray, heading });
      }
  }
  return list.sort((a, b) => a.heading.days - b.heading.days);
}

/** Trays that are heading for trouble before it shows, the soonest first. */
export function Headings({ stands, onOpen }: { stands: readonly BenchStand[]; onOpen(trayId: string, batchId: string): void }) {
  const { lightOfStand } = useWorkspace();
  const look = useCallback((all: readonly BenchStand[]) => headingsIn(all, lightOfStand), [lightOfStand]);
  const told = useWorkedOut(stands, look);
  // Without light nothing can be foretold; the trays stand below all the same.
  const list = told?.of === stands ? told.answer : null;
  if (list === null || list.length === 0) return null;
  return (
    <section aria-labelledby="heading-for" className="space-y-1">
      <h2 id="heading-for" className="text-lg font-semibold">
        Heading for trouble
      </h2>
      <p className="text-soft">If nothing changes, by today’s light at each place. It may not show yet.</p>
      <ul className="divide-y divide-line border-y border-line">
        {list.map(({ stand, tier, tray, heading }) => (
          <li key={tray.tray.id}>
            <button
              type="button"
              className="flex min-h-12 w-full items-center gap-3 py-2 text-left hover:bg-sunk"
              onClick={() => onOpen(tray.tray.id, tray.batch.id)}
            >
              <span className="min-w-0 flex-1">
                <b>{trayName(tray)}</b>: {TOWARDS[heading.towards]} in about {daysWords(heading.days)}, {whereWords(heading.places)}
                <span className="block text-sm text-soft">
                  {stand.tiers.length > 1 ? `${stand.stand.name}, tier ${tier.number}` : stand.stand.name} ·{' '}
                  {Math.round(100 * heading.share)} % of the {heading.towards === 'burnt' ? 'largest' : 'least'} DLI ·{' '}
                  {CERTAINTY_WORDS[heading.certainty]}
                </span>
              </span>
              <ChevronRight size={18} aria-hidden />
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
