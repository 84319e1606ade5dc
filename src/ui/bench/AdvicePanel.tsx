'use client';
import { X } from 'lucide-react';
import { useMemo, useRef, useState } from 'react';
import { useStore } from 'zustand';
import type { Offer } from '@/core/plan/advice/advise';
import type { Effect } from '@/core/plan/advice/Effect';
import { applyOnStand } from '@/store/bench/applyOnStand';
import { habitsOf, type Habit } from '@/core/plan/advice/habitsOf';
import { traysIn, type Scope } from '@/core/plan/advice/movesFor';
import { runningWith } from '@/core/plan/trial/runningWith';
import type { BenchStand, BenchTier } from '@/core/answer/stand/benchStand';
import { showLength, type LengthUnit } from '@/core/units/length';
import { showMoney } from '@/core/units/money';
import { trialStore } from '@/store/bench/trialStore';
import { changeSite, undo } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { Segments } from '../parts/Segments';
import { focusOn, usePageActions } from '../shell/pageActions';
import { useSettings, useSite, useToday, useWorkspace } from '../shell/WorkspaceContext';
import { percent, SPOT_WORDS } from '../verdict/words';
import { say } from '../shell/toastStore';
import { inTrialWords } from '../today/inTrialWords';
import { KEEPS_POSITIONS, trayName, trayNameIn } from './benchWords';
import { doseWords, toldDoses, trayIn } from './offerDoses';
import { movesWords } from './moveWords';
import { useAdviceSearch } from './useAdviceSearch';
import { useBenchLight, useBenchLook } from './useBench';

const WHOSE: Readonly<Record<Scope['of'], string>> = { tray: 'its leaves', tier: 'the leaves on this tier', stand: 'all leaves here' };

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
  const offers = current?.offers.filter((o) => !dismissed.includes(o.id)) ?? [];
  const tryIt = (offer: Offer) => {
    if (changeSite(sites, words(offer), applyOnStand(stand.stand.id, offer.moves)) && stand.stand.autoArranged) say(KEEPS_POSITIONS);
    trialStore.setState({ trial: { words: words(offer), steps: sites.getState().past.length } });
    // What was pressed goes with the next search; the answer to the trial comes next.
    setTimeout(() => answer.current?.focus(), 60);
  };
  /** The trial is over, whichever way: the keys go on at the heading. */
  const endTrial = () => {
    trialStore.setState({ trial: null });
    heading.current?.focus();
  };
  const running = runningWith(site, traysIn(stand, scope), today);
  const worst = trayIn(stand, current?.worstTrayId ?? null);
  const worstNow = current?.before.results.find((r) => r.trayId === current.worstTrayId);
  if (tier.trays.length === 0 || tier.lamps.length === 0) return null;
  return (
    <section aria-labelledby="advice" className="space-y-2">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h2 id="advice" ref={heading} tabIndex={-1} className="text-lg font-semibold outline-none">
          What would help
        </h2>
        <Segments
          label="For"
          value={asked}
          options={[
            ...(trayId !== null && tier.trays.length > 1 ? [{ value: 'tray' as const, label: 'tray' }] : []),
            { value: 'tier' as const, label: 'tier' },
            ...(stand.tiers.length > 1 ? [{ value: 'stand' as const, label: 'stand' }] : []),
          ]}
          onChange={(v: Scope['of']) => setOf(v)}
        />
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
          <ul aria-label="Changes that help">
            {offers.slice(0, 8).map((o) => (
              <li key={o.id} className="border-t border-line py-2" data-testid="offer">
                <div className="flex items-start gap-2">
                  <p className="flex-1 font-semibold">{words(o)}</p>
                  <Button className="md:min-h-8!" onClick={() => tryIt(o)} aria-label={`Try: ${words(o)}`}>
                    Try
                  </Button>
                  <Button
                    kind="quiet"
                    className="md:min-h-8! px-1.5!"
                    aria-label={`Dismiss: ${words(o)}`}
                    title="Dismiss"
                    onClick={() => trialStore.setState({ dismissed: [...dismissed, o.id] })}
                  >
                    <X size={15} aria-hidden />
                  </Button>
                </div>
                <Change
                  stand={stand}
                  before={current.before}
                  offer={o}
                  worstTrayId={current.worstTrayId}
                  currency={site.currency}
                  unit={told.lengthUnit}
                />
              </li>
            ))}
          </ul>
          <Habits stand={stand} habits={habits} />
          {offers.length === 0 && habits.length === 0 && !current.insufficient && (
            <p className="text-soft">Nothing would make it noticeably better: {current.judged} moves judged.</p>
          )}
          {dismissed.length > 0 && (
            <Button kind="quiet" onClick={() => trialStore.setState({ dismissed: [] })}>
              Show dismissed advice
            </Button>
          )}
        </>
      )}
    </section>
  );
}

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
              on average weakest{' '}
              <strong className="text-verdigris">
                {dose(h, h.weakest.before)} → {dose(h, h.weakest.after)}
              </strong>
              , strongest {dose(h, h.strongest.before)} → {dose(h, h.strongest.after)}, in range{' '}
              <strong className="text-verdigris">
                {percent(h.shareInBand.before)} → {percent(h.shareInBand.after)}
              </strong>
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

interface ChangeProps {
  readonly stand: BenchStand;
  readonly before: Effect;
  readonly offer: Offer;
  /** The tray whose doses are told above the offers. */
  readonly worstTrayId: string | null;
  readonly currency: string;
  readonly unit: LengthUnit;
}

/** Before and after, in the numbers that matter. */
function Change({ stand, before, offer: { after, effort_min, toBuy, hung }, worstTrayId, currency, unit }: ChangeProps) {
  const money = after.costPerMonth - before.costPerMonth;
  const inRange = [percent(before.shareInBand), percent(after.shareInBand)];
  const told = toldDoses(stand, before, after, worstTrayId);
  return (
    <dl className="flex flex-wrap gap-x-4 text-sm text-soft [&_dd]:inline [&_dd]:font-semibold [&_dd]:text-verdigris [&_div]:whitespace-nowrap [&_dt]:inline">
      {told?.doses.map(({ spot, was, is }, i) => (
        <div key={spot}>
          <dt>
            {i === 0 && told.trayId !== worstTrayId && `${trayNameIn(stand, told.trayId)}: `}
            {SPOT_WORDS[spot]}{' '}
          </dt>
          <dd>
            {was} → {is}
          </dd>
        </div>
      ))}
      {inRange[0] !== inRange[1] && (
        <div>
          <dt>in range </dt>
          <dd>
            {inRange[0]} → {inRange[1]}
          </dd>
        </div>
      )}
      {hung.map(({ tierId, was, is }) => (
        <div key={tierId}>
          <dt>{hung.length > 1 && `tier ${stand.tiers.find((t) => t.tier.id === tierId)!.number}: `}lamp to leaves </dt>
          <dd>
            {showLength(was, unit)} → {showLength(is, unit)}
          </dd>
        </div>
      ))}
      {Math.abs(money) >= 0.005 && (
        <div>
          {money > 0 ? '+' : '−'}
          {showMoney(Math.abs(money), currency)} a month
        </div>
      )}
      {toBuy && <div>to be bought</div>}
      <div>{effort_min < 10 ? `${effort_min} min` : `about ${Math.round(effort_min / 5) * 5} min`}</div>
    </dl>
  );
}
