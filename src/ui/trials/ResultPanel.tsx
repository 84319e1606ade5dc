'use client';
import type { TrialResult } from '@/core/plan/trial/resultOf';
import type { DesignReview } from '@/core/judge/trial/reviewDesign';
import type { Trial } from '@/core/site/trial/Trial';
import { TrialFigure } from './TrialFigure';
import { cannotWords, shownWords } from './trialWords';
import { wholeWords } from '../parts/locale';

const n = (v: number | null) => (v === null ? '–' : String(Number(v.toPrecision(3))));
const METHOD_WORDS: Readonly<Record<TrialResult['method'], string>> = {
  trays: 'Trays compared over all; Welch interval, exact randomisation test.',
  pairs: 'Trays compared in pairs, block by block; Student interval, exact test over all turns of signs.',
  blocks: 'Trays compared within blocks; least squares, exact test within blocks.',
  many: 'Each arm against the first; Welch intervals, exact tests adjusted for several comparisons (Holm).',
  'many-blocks':
    'Each arm against the first, within blocks; least squares, exact tests within blocks, adjusted for several comparisons (Holm).',
};

/** What was found, with its interval, and what cannot be said. */
export function ResultPanel({
  trial,
  result,
  review,
  isOld,
}: {
  trial: Trial;
  result: TrialResult;
  review: DesignReview;
  /** A change is being worked out: what stands here is of before it. */
  isOld: boolean;
}) {
  const { found, status, naive, method, isShare } = result;
  const drawn = found.find((f) => f.drawn !== null)?.drawn ?? null;
  if (status === 'no_data')
    return (
      <section aria-labelledby="result" className="space-y-2">
        <h2 id="result" className="text-xl font-semibold">
          Result
        </h2>
        <p className="text-soft">{shownWords(trial, result)}</p>
      </section>
    );
  return (
    <section aria-labelledby="result" aria-busy={isOld} className={isOld ? 'space-y-4 opacity-60' : 'space-y-4'}>
      <h2 id="result" className="text-xl font-semibold">
        Result {isOld && <span className="text-base font-normal text-soft">before the last change; comparing anew…</span>}
      </h2>
      <p className="max-w-3xl text-lg" aria-live="polite" data-testid="shows">
        {shownWords(trial, result)}
      </p>
      <div className="grid grid-cols-1 gap-x-10 gap-y-4 lg:grid-cols-2">
        <TrialFigure result={result} unit={isShare ? 'share of the seeds' : `${trial.outcome.name}, ${trial.outcome.unit}`} />
        <div className="space-y-4">
          <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Differences">
            <table className="w-full text-left">
              <thead className="border-b border-line text-sm text-soft">
                <tr>
                  {['Arm', 'Against', 'Difference', '95 % interval', 'Exact p', 'Smallest p possible'].map((h) => (
                    <th key={h} scope="col" className="py-1.5 pr-4 font-normal">
                      {h}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {found.map((f) => (
                  <tr key={f.arm}>
                    <td className="py-1.5 pr-4 font-semibold">{result.arms.find((a) => a.id === f.arm)?.name || f.arm}</td>
                    <td className="pr-4">{result.arms[0]!.name || 'A'}</td>
                    <td className="pr-4">{n(f.diff)}</td>
                    <td className="pr-4">{f.lo === null ? 'cannot be given' : `${n(f.lo)} to ${n(f.hi)}`}</td>
                    <td className="pr-4">{n(f.p)}</td>
                    <td>{n(f.leastP)}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
          <p className="text-sm text-soft">
            {isShare && 'The share of the seeds sown, tray by tray. '}
            {METHOD_WORDS[method]}
            {drawn !== null &&
              ` There are too many ways to assign the trays to try all: p is by ${wholeWords(drawn)} of them, drawn by chance (Phipson & Smyth 2010).`}
          </p>
          {naive && (
            <details>
              <summary className="min-h-9 font-semibold">The wrong analysis, plant by plant</summary>
              <p>
                With every plant taken for a repeat p would be {n(naive.p)}, and the interval {n(naive.lo)} to {n(naive.hi)}. That is too
                sure: plants of one tray share their place, water and lamp. Of trials in which nothing differs, it often calls a quarter
                different.
              </p>
            </details>
          )}
          <div>
            <h3 className="font-semibold">What it cannot show</h3>
            <ul className="list-disc space-y-1 pl-5">
              {cannotWords(trial, review, result).map((w) => (
                <li key={w}>{w}</li>
              ))}
            </ul>
          </div>
        </div>
      </div>
    </section>
  );
}
