import clsx from 'clsx';
import type { Crop } from '@/core/things/crop/Crop';
import type { Verdict } from '@/core/judge/verdict/judge';
import { colourOfResult } from './resultColours';
import { headlineOf } from './words';

interface HeadlineLineProps {
  readonly verdict: Verdict;
  readonly crop: Crop;
  readonly small?: boolean;
}

/** The verdict in a sentence: what is well in ink, too little light in slate, too much in copper. */
export function HeadlineLine({ verdict, crop, small = false }: HeadlineLineProps) {
  const { calm, alarm } = headlineOf(verdict, crop);
  return (
    <h2
      className={clsx('font-semibold', small ? 'text-xl leading-6' : 'text-[1.6875rem] leading-8')}
      aria-live="polite"
      data-testid="verdict"
    >
      {calm} {alarm && <span className={colourOfResult(verdict.says)}>{alarm}</span>}
    </h2>
  );
}
