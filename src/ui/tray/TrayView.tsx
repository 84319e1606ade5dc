'use client';
import { useMemo } from 'react';
import { MOL_SECONDS } from '@/core/judge/dli/dli';
import type { BenchStand, BenchTier, BenchTray } from '@/core/answer/stand/benchStand';
import { benchStandIn } from '@/store/bench/benchStandIn';
import { trayName } from '../bench/benchWords';
import { ageWords } from '../chart/ageWords';
import { useLightOfStand } from '../hours/useLightOfStand';
import { UndoButtons } from '../parts/UndoButtons';
import { useSite, useToday, useWorkspace } from '../shell/WorkspaceContext';
import { dliNumber } from '../drawing/lightWords';
import { Link } from '../parts/Link';
import { BatchLog } from './BatchLog';
import { BatchDates } from './BatchDates';
import { DliSolver } from './DliSolver';
import { AirWord } from './AirWord';
import { GrowthFigure } from './GrowthFigure';
import { SoFar } from './SoFar';
import { PlanTable } from './PlanTable';
import { Term } from '../terms/Term';

interface TrayProps {
  stand: BenchStand;
  tier: BenchTier;
  tray: BenchTray;
}

/** One tray by its name, as the code on its label opens it: what was seen of it, how it grows, how its hours are to go. */
export function TrayView({ id }: { id: string }) {
  const site = useSite((s) => s.site);
  const found = useMemo(() => {
    const kept = site.stands.find((s) => s.tiers.some((t) => t.trays.some((y) => y.id === id)));
    if (!kept) return null;
    const stand = benchStandIn(site, kept);
    const tier = stand.tiers.find((t) => t.trays.some((y) => y.tray.id === id))!;
    return { stand, tier, tray: tier.trays.find((y) => y.tray.id === id)! };
  }, [site, id]);
  if (!found)
    return (
      <section className="m-auto max-w-md space-y-4 p-6 text-center">
        <h1 className="text-2xl font-semibold">Tray not found</h1>
        <p>
          Its label may be of another browser, or the tray has been deleted. Open the file of set-ups that it is in, or look on the bench.
        </p>
        <Link href="/bench" className="font-semibold underline underline-offset-4">
          To the bench
        </Link>
      </section>
    );
  return <OfTray {...found} key={id} />;
}

function OfTray({ stand, tier, tray }: TrayProps) {
  const { benchLooks } = useWorkspace();
  const today = useToday();
  const light = useLightOfStand(stand);
  const own = light && light !== 'failed' ? (light.tiers[tier.tier.id]?.trays[tray.tray.id] ?? null) : null;
  const strength = useMemo(
    () => (own ? { weakest: own.stats.weakest.ppfd, mean: own.stats.mean, strongest: own.stats.strongest.ppfd } : null),
    [own],
  );
  const dose = strength && strength.mean * tier.hours * MOL_SECONDS;
  return (
    <div className="mx-auto w-full max-w-6xl px-4 py-5 md:px-6">
      <header className="flex flex-wrap items-end gap-x-4 gap-y-1 border-b border-line pb-3">
        <div className="min-w-0 flex-1">
          <p className="text-soft">
            <Link
              href="/bench"
              className="underline underline-offset-4"
              onClick={() => benchLooks.setState({ standId: stand.stand.id, tierId: tier.tier.id, chosen: [tray.tray.id], day: null })}
            >
              {stand.stand.name}
            </Link>
            , tier {tier.number}
          </p>
          <h1 className="text-2xl font-semibold">{trayName(tray)}</h1>
          <p className="text-soft" data-testid="tray-age">
            {tray.tray.label ? `${tray.crop.name}: ` : ''}
            {ageWords(tray, today)}
            {dose !== null && tier.lamps.length > 0 && (
              <>
                {' '}
                · {dliNumber(dose)} <Term id="dli">mol/m²/day</Term> now, needs {tray.stage.dliMin}–{tray.stage.dliMax}
              </>
            )}
          </p>
        </div>
        <UndoButtons />
      </header>
      <div className="grid grid-cols-1 gap-x-10 gap-y-8 pt-4 lg:grid-cols-[380px_1fr]">
        <div className="space-y-6">
          <BatchLog tray={tray} />
          <BatchDates tray={tray} />
        </div>
        <div className="min-w-0 space-y-8">
          <AirWord tray={tray} dli={dose} />
          <GrowthFigure tray={tray} />
          <SoFar tray={tray} />
          <PlanTable tier={tier} tray={tray} light={strength} failed={light === 'failed'} />
          <DliSolver tier={tier} tray={tray} light={strength} />
        </div>
      </div>
    </div>
  );
}
