import { X } from 'lucide-react';
import { useStore } from 'zustand';
import type { Advice, Offer } from '@/core/plan/advice/advise';
import type { Effect } from '@/core/plan/advice/Effect';
import type { BenchStand } from '@/core/answer/stand/benchStand';
import { showLength, type LengthUnit } from '@/core/units/length';
import { showMoney } from '@/core/units/money';
import { trialStore } from '@/store/bench/trialStore';
import { Button } from '../parts/Button';
import { useSettings, useSite } from '../shell/WorkspaceContext';
import { percent, SPOT_WORDS } from '../verdict/words';
import { trayNameIn } from './benchWords';
import { toldDoses } from './offerDoses';

interface OfferListProps {
  label: string;
  offers: readonly Offer[];
  stand: BenchStand;
  advice: Advice;
  wordsOf(offer: Offer): string;
  onTry(offer: Offer): void;
  /** One has gone from the list, and what had the focus with it. */
  onDismissed(): void;
}

/** Moves that help, each with what it would do. */
export function OfferList({ label, offers, stand, advice: { before, worstTrayId }, wordsOf, onTry, onDismissed }: OfferListProps) {
  const currency = useSite((s) => s.site.currency);
  const { lengthUnit } = useSettings();
  const { dismissed } = useStore(trialStore);
  return (
    <ul aria-label={label}>
      {offers.map((o) => (
        <li key={o.id} className="border-t border-line py-2" data-testid="offer">
          <div className="flex items-start gap-2">
            <p className="flex-1 font-semibold">{wordsOf(o)}</p>
            <Button className="md:min-h-8!" onClick={() => onTry(o)} aria-label={`Try: ${wordsOf(o)}`}>
              Try
            </Button>
            <Button
              kind="quiet"
              className="md:min-h-8! px-1.5!"
              aria-label={`Dismiss: ${wordsOf(o)}`}
              title="Dismiss"
              onClick={() => {
                trialStore.setState({ dismissed: [...dismissed, o.id] });
                onDismissed();
              }}
            >
              <X size={15} aria-hidden />
            </Button>
          </div>
          <Change stand={stand} before={before} offer={o} worstTrayId={worstTrayId} currency={currency} unit={lengthUnit} />
        </li>
      ))}
    </ul>
  );
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
function Change({ stand, before, offer: { after, effort_min, hung }, worstTrayId, currency, unit }: ChangeProps) {
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
      <div>{effort_min < 10 ? `${effort_min} min` : `about ${Math.round(effort_min / 5) * 5} min`}</div>
    </dl>
  );
}
