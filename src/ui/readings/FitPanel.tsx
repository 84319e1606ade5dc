'use client';
import { RotateCcw } from 'lucide-react';
import { useState } from 'react';
import type { Fit } from '@/core/site/reading/Fit';
import type { NoFit, TierFit } from '@/core/measure/fit/fitTier';
import { measureAgain } from '@/core/measure/fit/measureAgain';
import { burnedBetween, staleOf } from '@/core/measure/fit/staleOf';
import { dropFit, keepFit } from '@/core/site/stand/changeReadings';
import { changeSite, undo } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { Segments } from '../parts/Segments';
import { say } from '../shell/toastStore';
import { useWorkspace } from '../shell/WorkspaceContext';
import { FitFindings } from './FitFindings';
import { FitHistory } from './FitHistory';
import type { TierReadings } from './useTierReadings';
import { staleWords } from './words';
import { LOCALE } from '../parts/locale';
import { Term } from '../terms/Term';

interface FitPanelProps {
  of: TierReadings;
  /** The fit that is looked at and not yet kept. */
  proposal: TierFit | null;
  onProposal(fit: TierFit | null): void;
  /** Whether the map shows what is left of each reading before the fit or after it. */
  shows: 'before' | 'after';
  onShows(shows: 'before' | 'after'): void;
}

const NOTHING: Readonly<Record<NoFit, string>> = {
  'no-readings': 'There is no reading that counts. Walk over the tier with a meter first.',
  'no-lamps': 'No lamp hangs on this tier.',
};
const day = (ms: number) => new Date(ms).toLocaleDateString(LOCALE, { day: 'numeric', month: 'long', year: 'numeric' });

/** Readings bend the plan: what they say of lamps and sides, before it is kept and while it counts. */
export function FitPanel({ of, proposal, onProposal, shows, onShows }: FitPanelProps) {
  const { fitTier, sites } = useWorkspace();
  const { tier: t, stand } = of;
  const { fit } = t.known;
  const [working, setWorking] = useState<number | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const counting = t.tier.readings.filter((r) => !r.leftOut).length;
  // Read once for each look: what is stale does not change while one looks.
  const [now] = useState(() => Date.now());
  const stale = fit ? staleOf(t.tier, fit, of.lampOf, burnedBetween(fit.made_ms, now, t.hours)) : [];
  const last = Math.max(0, ...t.tier.readings.map((r) => r.taken_ms));
  const again = last > 0 ? measureAgain(last, t.lamps.map((l) => l.lamp), t.hours, t.tier.ageing.used_h) : null; // prettier-ignore

  async function work() {
    setWorking(0);
    setTrouble(null);
    onProposal(null);
    try {
      const found = await fitTier({ site: sites.getState().site, standId: stand.stand.id, tierId: t.tier.id }, setWorking);
      if (typeof found === 'string') setTrouble(NOTHING[found]);
      else onProposal(found);
    } catch (error) {
      setTrouble(`The fit could not be made (${error instanceof Error ? error.message : String(error)}). Reload the page and try again.`);
    }
    setWorking(null);
  }
  function keep({ fit: made, answer }: TierFit) {
    const bad = answer.readings.filter((r) => r.honest < 0.5).map((r) => r.id);
    changeSite(sites, 'fit the plan to readings', keepFit(t.tier.id, made, bad));
    onProposal(null);
    say('Every answer about this tier now rests on the fit.', { label: 'Undo', run: () => undo(sites) });
  }
  function setAside(f: Fit) {
    changeSite(sites, 'set the fit aside', dropFit(t.tier.id, f.id));
    say('The fit is set aside.', { label: 'Undo', run: () => undo(sites) });
  }

  return (
    <section className="space-y-4" aria-labelledby="fit">
      <h2 id="fit" className="text-xl font-semibold">
        What the readings say of the lamps
      </h2>
      {fit && !proposal && (
        <div className="space-y-2" data-testid="fit-in-force">
          <p>
            Fitted on {day(fit.made_ms)} to {fit.readingIds.length} {fit.readingIds.length === 1 ? 'reading' : 'readings'}: every answer
            about this tier rests on that.
          </p>
          <FitFindings of={of} fit={fit} />
          {stale.length > 0 && (
            <p className="rounded-md bg-copper-wash p-2" role="status">
              It may no longer hold: {stale.map(staleWords).join('; ')}.
            </p>
          )}
        </div>
      )}
      {!fit && !proposal && (
        <p className="text-soft">
          {counting === 0
            ? 'A fit corrects each lamp’s output, the paleness of the sides and, of spots, the beam. It needs readings: five or more tell most.'
            : 'Until now the lamps are taken at the middle of their readings, the sides at their material. A fit finds both from all readings together, and names those that can’t be right.'}
        </p>
      )}
      {working !== null ? (
        <div className="space-y-1" role="status">
          <p>Working out the light for other sides and beams…</p>
          <progress className="h-2 w-full accent-(--color-verdigris)" max={1} value={working} aria-label="How much of it is done" />
        </div>
      ) : (
        !proposal && (
          <div className="flex flex-wrap gap-2">
            <Button kind="main" className="min-h-11" disabled={counting === 0} onClick={() => void work()}>
              {fit ? 'Fit again' : `Fit the plan to ${counting} ${counting === 1 ? 'reading' : 'readings'}`}
            </Button>
            {fit && (
              <Button className="min-h-11" onClick={() => setAside(fit)}>
                <RotateCcw size={17} aria-hidden /> Stop using this calibration
              </Button>
            )}
          </div>
        )
      )}
      {trouble && (
        <p role="alert" className="text-copper">
          {trouble}
        </p>
      )}
      {proposal && (
        <div className="space-y-3" data-testid="fit-proposal">
          <div className="flex items-center gap-2">
            <span className="text-sm text-soft">the map shows readings</span>
            <Segments
              label="Difference shown on the map"
              value={shows}
              options={[
                { value: 'before', label: 'difference from the labels' },
                { value: 'after', label: 'against the fit' },
              ]}
              onChange={onShows}
            />
          </div>
          <FitFindings of={of} fit={proposal.fit} answer={proposal.answer} />
          {proposal.notUsed.length > 0 && (
            <p className="text-sm text-soft">
              {proposal.notUsed.length} older {proposal.notUsed.length === 1 ? 'reading is' : 'readings are'} not used: more than two months
              before the newest, or between other sides.
            </p>
          )}
          <div className="flex flex-wrap gap-2">
            <Button kind="main" className="min-h-12 px-5" onClick={() => keep(proposal)}>
              Use it from now on
            </Button>
            <Button className="min-h-12" onClick={() => onProposal(null)}>
              Cancel
            </Button>
          </div>
        </div>
      )}
      {again !== null && (
        <p className={again < now ? 'text-copper' : 'text-soft'} data-testid="measure-again">
          {again < now ? 'Time to measure again' : 'Measure again'} by {day(again)}: by then{' '}
          {t.lamps.length === 1 ? 'the lamp has' : 'the lamps have'} faded by a twentieth, or a year has passed.
        </p>
      )}
      <FitHistory of={of} />
      {counting > 0 && counting < 5 && (
        <p className="text-sm text-soft">
          You need five or more readings, one of them near a lamp, to separate lamp output from wall{' '}
          <Term id="reflectance">reflectance</Term>.
        </p>
      )}
    </section>
  );
}
