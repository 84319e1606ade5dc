'use client';
import { Fragment, useMemo, useRef, useState } from 'react';
import { useStore } from 'zustand';
import type { Offer } from '@/core/plan/advice/advise';
import { applyOnStand } from '@/store/bench/applyOnStand';
import { habitsOf, type Habit } from '@/core/plan/advice/habitsOf';
import { traysIn, type Scope } from '@/core/plan/advice/movesFor';
import { runningWith } from '@/core/plan/trial/runningWith';
import type { BenchStand, BenchTier } from '@/core/answer/stand/benchStand';
import { trialStore } from '@/store/bench/trialStore';
import { changeSite, undo } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { Segments } from '../parts/Segments';
import { focusOn, usePageActions } from '../shell/pageActions';
import { useSettings, useSite, useToday, useWorkspace } from '../shell/WorkspaceContext';
import { percent } from '../verdict/words';
import { say } from '../shell/toastStore';
import { inTrialWords } from '../today/inTrialWords';
import { KEEPS_POSITIONS, trayName, trayNameIn } from './benchWords';
import { doseWords, trayIn } from './offerDoses';
import { movesWords } from './moveWords';
import { OfferList } from './OfferList';
import { useAdviceSearch } from './useAdviceSearch';
import { useBenchLight, useBenchLook } from './useBench';

const WHOSE: Readonly<Record<Scope['of'], string>> = { tray: 'its leaves', tier: 'the leaves on this tier', stand: 'all leaves here' };
const IN_RANGE: Readonly<Record<Scope['of'], string>> = {
  tray: 'All of this tray is in range.',
  tier: 'Everything on this tier is in range.',
  stand: 'Everything on this stand is in range.',
};

const ACTIONS = [
  focusOn(
    'advice',
    'What would help',
    ['advice', 'improve', 'offers'],
    () =>
      document.querySelector<HTMLElement>('[data-testid="offer"] button') ??
      document.querySelector<HTMLElement>('[aria-labelledby="advice"] button'),
  ),
];

/** What would help: computed moves, ranked, each with what it would do; tried with one press and undone with one press. */
export function AdvicePanel({ stand, tier, trayId }: { stand: BenchStand; tier: BenchTier; trayId: string | null }) {
  const { sites } = useWorkspace();
  const site = useSite((s) => s.site);
  const past = useSite((s) => s.past);
  const told = useSettings();
  const today = useToday();
  usePageActions(ACTIONS);
  const light = useBenchLight();
  const { handOn } = useBenchLook();
  const { trial, dismissed } = useStore(trialStore);
  const answer = useRef<HTMLButtonElement>(null);
  const heading = useRef<HTMLHeadingElement>(null);
  const [of, setOf] = useState<Scope['of']>('tier');
  const asked = of === 'tray' && trayId === null ? 'tier' : of;
  const id = asked === 'tray' ? trayId! : asked === 'tier' ? tier.tier.id : '';
  const ready = light.status === 'ready' && !light.stale && handOn === null && light.of === stand ? light.answer : null;
  const scope: Scope = asked === 'stand' ? { of: 'stand' } : { of: asked, id };
  const { advice: current, judged, failed, isStopped, stop, again } = useAdviceSearch(stand, scope, ready);

  const habits = useMemo(
    () =>
      ready && current ? habitsOf(stand, ready, traysIn(stand, asked === 'stand' ? { of: 'stand' } : { of: asked, id })).slice(0, 3) : [],
    [ready, current, stand, asked, id],
  );
  const words = (offer: Offer) => movesWords(offer.moves, stand, site.lamps, told);
  const offers = (current?.offers.filter((o) => !dismissed.includes(o.id)) ?? []).slice(0, 8);
  // What is at hand costs nothing but work.
  const [atHand, toBuy] = [offers.filter((o) => !o.toBuy), offers.filter((o) => o.toBuy)];
  const tryIt = (offer: Offer) => {
    if (changeSite(sites, words(offer), applyOnStand(stand.stand.id, offer.moves)) && stand.stand.autoArranged) say(KEEPS_POSITIONS);
    trialStore.setState({ trial: { words: words(offer), steps: sites.getState().past.length } });
    // What was pressed goes with the next search; the answer to the trial comes next.
    setTimeout(() => answer.current?.focus(), 60);
  };
  /** What was pressed has gone: the keys go on at the heading. */
  const goOn = () => heading.current?.focus();
  /** The trial is over, whichever way. */
  const endTrial = () => {
    trialStore.setState({ trial: null });
    goOn();
  };
  const ofOffers = { stand, wordsOf: words, onTry: tryIt, onDismissed: goOn };
  const askedIds = traysIn(stand, scope);
  const running = runningWith(site, askedIds, today);
  const worst = trayIn(stand, current?.worstTrayId ?? null);
  const worstNow = current?.before.results.find((r) => r.trayId === current.worstTrayId);
  if (tier.trays.length === 0 || tier.lamps.length === 0) return null;
  const scopes: readonly Scope['of'][] = [
    ...(trayId !== null && tier.trays.length > 1 ? (['tray'] as const) : []),
    'tier',
    ...(stand.tiers.length > 1 ? (['stand'] as const) : []),
  ];
  const isRight = current?.before.results.every((r) => !askedIds.has(r.trayId) || r.says === 'in-range') ?? false;
  return (
    <section aria-labelledby="advice" className="space-y-2">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h2 id="advice" ref={heading} tabIndex={-1} className="text-lg font-semibold outline-none">
          What would help
        </h2>
        {scopes.length > 1 && (
          <Segments
            label="For"
            value={asked}
            options={scopes.map((value) => ({ value, label: value }))}
            onChange={(v: Scope['of']) => setOf(v)}
          />
        )}
      </div>
      {trial && past.length >= trial.steps && past[trial.steps - 1]?.what === trial.words && (
        <div className="space-y-2 rounded-md bg-verdigris-wash px-3 py-2" role="status">
          <p>
            <strong className="font-semibold">Trying:</strong> {trial.words}.
          </p>
          <div className="flex gap-2">
            <Button kind="main" ref={answer} onClick={endTrial}>
              Apply
            </Button>
            <Button
              disabled={past.length > trial.steps}
              title={past.length > trial.steps ? 'You made other changes after this one. Use Undo, one step at a time.' : undefined}
              onClick={() => {
                undo(sites);
                endTrial();
              }}
            >
              Undo this trial
            </Button>
          </div>
        </div>
      )}
      {judged !== null && (
        <p role="status" className="flex items-center gap-3 text-soft">
          Judging moves… {judged > 0 && judged}
          <Button
            kind="quiet"
            size="icon"
            className="md:min-h-8!"
            onClick={() => {
              stop();
            }}
          >
            Stop
          </Button>
        </p>
      )}
      {isStopped && !current && judged === null && <Button onClick={again}>Look again</Button>}
      {failed && <p className="text-copper">The search failed: {failed}.</p>}
      {current && (
        <>
          {current.insufficient && (
            <Insufficient
              share={current.insufficient.share}
              name={trayNameIn(stand, current.insufficient.trayId)}
              some={offers.length > 0}
            />
          )}
          {offers.length > 0 && (
            <p className="text-sm text-soft">
              {worst &&
                worstNow &&
                `${trayName(worst)} now gets ${doseWords(worst, worstNow.weakest)} to ${doseWords(worst, worstNow.strongest)} mol; `}
              {percent(current.before.shareInBand)} of {WHOSE[asked]} in range. {current.judged} moves judged.
            </p>
          )}
          {running.length > 0 && offers.length > 0 && <p className="text-copper">{inTrialWords(running)}</p>}
          {atHand.length > 0 && <OfferList label="Changes that help" offers={atHand} advice={current} {...ofOffers} />}
          <Habits stand={stand} habits={habits} />
          {toBuy.length > 0 && (
            <div>
              <h3 className="font-semibold">With lamps to buy</h3>
              <OfferList label="Changes with lamps to buy" offers={toBuy} advice={current} {...ofOffers} />
            </div>
          )}
          {offers.length === 0 && habits.length === 0 && !current.insufficient && (
            <p className="text-soft">
              {isRight && IN_RANGE[asked]} Nothing would make it noticeably better: {current.judged} moves judged.
            </p>
          )}
          {dismissed.length > 0 && (
            <Button
              kind="quiet"
              onClick={() => {
                trialStore.setState({ dismissed: [] });
                goOn();
              }}
            >
              Show dismissed advice
            </Button>
          )}
        </>
      )}
    </section>
  );
}

/** Of some figures, each before and after, those that are told otherwise after. */
const changed = (of: readonly (readonly [of: string, was: string, is: string])[]) => of.filter(([, was, is]) => was !== is);

/** What would help when it is done every few days rather than once. */
function Habits({ stand, habits }: { stand: BenchStand; habits: readonly Habit[] }) {
  if (habits.length === 0) return null;
  const dose = ({ trayId }: Habit, dli: number) => doseWords(trayIn(stand, trayId)!, dli);
  return (
    <div>
      <h3 className="font-semibold">Regular rotation</h3>
      <ul>
        {habits.map((h) => (
          <li key={`${h.do} ${h.trayId} ${h.otherId}`} className="border-t border-line py-2" data-testid="habit">
            <p className="font-semibold">
              {h.do === 'half-turn'
                ? `Turn ${trayNameIn(stand, h.trayId)} by half every third day`
                : `Let ${trayNameIn(stand, h.trayId)} and ${trayNameIn(stand, h.otherId!)} change places every third day`}
            </p>
            <p className="text-sm text-soft">
              on average{' '}
              {changed([
                ['weakest', dose(h, h.weakest.before), dose(h, h.weakest.after)],
                ['strongest', dose(h, h.strongest.before), dose(h, h.strongest.after)],
                ['in range', percent(h.shareInBand.before), percent(h.shareInBand.after)],
              ]).map(([of, was, is], i) => (
                <Fragment key={of}>
                  {i > 0 && ', '}
                  {of}{' '}
                  <strong className="text-verdigris">
                    {was} → {is}
                  </strong>
                </Fragment>
              ))}
            </p>
          </li>
        ))}
      </ul>
    </div>
  );
}

/** What does not suffice, and by how much. */
function Insufficient({ share, name, some }: { share: number; name: string; some: boolean }) {
  const part = share < 0.6 ? `about ${fraction(share)} of the least it needs` : `${percent(share)} of the least it needs`;
  return (
    <p className="rounded-md bg-slate-wash px-3 py-2 text-slate">
      {some
        ? 'Even with the best of these for it, '
        : 'Nothing here is enough: even with the lamps as near and the day as long as is allowed, '}
      the weakest spot of {name} gets {part}. Add a lamp or a stronger one, or keep plants away from the edge.
    </p>
  );
}

function fraction(share: number): string {
  if (share > 0.45) return 'half';
  if (share > 0.3) return 'a third';
  if (share > 0.22) return 'a quarter';
  return percent(share);
}
