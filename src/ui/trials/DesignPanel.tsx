import { leastPOfTrial, summariesOf } from '@/core/plan/trial/resultOf';
import { noticeableOf, smallestNoticed } from '@/core/plan/trial/noticeableOf';
import type { TrayInPlace } from '@/core/answer/bench/traysInPlace';
import { leaksOf, type Leak } from '@/core/plan/trial/leaksOf';
import { scatterWhenSwapped } from '@/core/plan/trial/scatterWhenSwapped';
import type { DesignReview } from '@/core/judge/trial/reviewDesign';
import { mean } from '@/core/judge/trial/moments';
import type { Trial } from '@/core/site/trial/Trial';
import { EqualDoseButton } from './EqualDoseButton';
import { designFaultWords } from './trialWords';
import { Term } from '../terms/Term';

const n = (v: number) => String(Number(v.toPrecision(2)));

/** Trays of two arms, or of more whose comparisons are adjusted for being several, from which on a p of 0.05 can come. */
const fewestWords = ({ arms }: Trial): string =>
  arms.length > 2 ? 'five to an arm, or seven blocks with one of each' : 'four against four, or six pairs';

const differenceWords = ({ outcome }: Trial, v: number): string =>
  outcome.kind === 'counted' ? `${n(100 * v)} percentage points` : `${n(v)} ${outcome.unit}`;

/** What keeps the design from answering, and how small a difference it could notice. */
interface DesignPanelProps {
  trial: Trial;
  review: DesignReview;
  places: ReadonlyMap<string, TrayInPlace>;
}

export function DesignPanel({ trial, review, places }: DesignPanelProps) {
  const leaks = leaksOf(trial, places);
  const sizes = trial.arms.map((a) => trial.trays.filter((t) => t.arm === a.id).length);
  const least = leastPOfTrial(trial);
  // As its trays have scattered here so far.
  const noticed = noticeableOf(trial);
  const level = mean(summariesOf(trial).flatMap((s) => s.trays.map((t) => t.mean)));
  // Blocks take out what differs between places already.
  const left =
    noticed && !noticed.isBlocked && level !== null && trial.rotate_days === null
      ? scatterWhenSwapped(trial, places, noticed.scatter, level)
      : null;
  const swapped = left === null ? null : smallestNoticed(trial, left);
  return (
    <section aria-labelledby="design" className="space-y-3">
      <h2 id="design" className="text-xl font-semibold" aria-live="polite">
        {review.codes.length === 0
          ? 'The design can answer'
          : review.codes.length === 1
            ? 'One fault in the design'
            : `${review.codes.length} faults in the design`}
      </h2>
      <ul className="divide-y divide-line border-y border-line empty:hidden">
        {review.codes.map((code) => {
          const { title, mend } = designFaultWords(trial, code, review);
          return (
            <li key={code} className="py-2" data-testid="design-fault">
              <p className="font-semibold text-copper">{title}</p>
              <p>{mend}</p>
            </li>
          );
        })}
      </ul>
      <Leaks leaks={leaks} />
      {trial.ended === null && review.dliRatio !== null && review.dliRatio > 1.1 && trial.factor !== 'dose' && (
        <EqualDoseButton trial={trial} />
      )}
      {least !== null && (
        <p>
          {sizes.join(' against ')} trays: the smallest p that can come out is {n(least)}
          {least > 0.05 ? `, so that no result can be told from chance. The fewest that can: ${fewestWords(trial)}.` : '.'}
        </p>
      )}
      {noticed && (
        <p>
          As your trays scatter{noticed.isBlocked ? ' within their blocks' : ''}, a difference of{' '}
          {differenceWords(trial, noticed.difference)} would be noticed four times in five; with one{' '}
          {noticed.isBlocked ? 'block more' : 'tray more an arm'}, {differenceWords(trial, noticed.withMore)}
          {swapped !== null && swapped < 0.98 * noticed.difference
            ? `; if the trays changed places every three days, about ${differenceWords(trial, swapped)}`
            : ''}
          .
        </p>
      )}
      {review.dliRatio !== null && (
        <p className="text-soft">
          <Term id="dli">DLI</Term> of the arms: at most {review.dliRatio.toFixed(2)} times apart.
        </p>
      )}
    </section>
  );
}

/** Light that leaks between arms, as computed. */
function Leaks({ leaks }: { leaks: readonly Leak[] }) {
  if (leaks.length === 0) return null;
  const same = leaks.filter((l) => l.isSameTier);
  const spilt = leaks.filter((l) => !l.isSameTier);
  return (
    <div>
      <p className="font-semibold text-copper">Light leaks between the arms</p>
      {same.length > 0 && (
        <p>
          {same.map((l) => l.code).join(', ')} stand on one tier with another arm, under the same lamps. Give each arm a tier of its own.
        </p>
      )}
      {spilt.length > 0 && (
        <p>
          {spilt.map((l) => `${l.code} gets ${Math.round(100 * l.share)} %`).join(', ')} of its light from other tiers. A white card on the
          shelf between keeps it apart.
        </p>
      )}
    </div>
  );
}
