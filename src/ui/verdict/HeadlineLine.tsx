import type { Verdict } from '@/core/judge/verdict/judge';
import { colourOfResult } from './resultColours';
import { headlineOf } from './words';

/** The verdict in a sentence: what is well in ink, too little light in slate, too much in copper. */
export function HeadlineLine({ verdict }: { verdict: Verdict }) {
  const { calm, alarm } = headlineOf(verdict);
  return (
    <h2 className="text-[1.6875rem] leading-8 font-semibold" aria-live="polite" data-testid="verdict">
      {calm} {alarm && <span className={colourOfResult(verdict.says)}>{alarm}</span>}
    </h2>
  );
}
