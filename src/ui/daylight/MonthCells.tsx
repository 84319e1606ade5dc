import clsx from 'clsx';
import type { MonthSays } from '@/core/answer/daylight/suits';
import { MONTH_SAYS_WORDS, MONTHS, shortMonth } from './daylightWords';

const COLOURS: Readonly<Record<MonthSays, string>> = {
  dark: 'bg-ink/70',
  dim: 'bg-slate/50',
  suits: 'bg-verdigris',
  strong: 'bg-copper/60',
  scorch: 'bg-copper',
};

/** A year in twelve cells: what each month's daylight means for a plant. */
export function MonthCells({ months }: { months: readonly MonthSays[] }) {
  return (
    <span className="flex gap-px" role="img" aria-label={months.map((m, i) => `${shortMonth(i)}: ${MONTH_SAYS_WORDS[m]}`).join(', ')}>
      {months.map((m, i) => (
        <span key={i} title={`${MONTHS[i]!}: ${MONTH_SAYS_WORDS[m]}`} className={clsx('h-4 w-2.5', COLOURS[m])} />
      ))}
    </span>
  );
}

/** What the colours of the cells stand for. */
export function MonthCellsKey() {
  return (
    <p className="flex flex-wrap gap-x-4 gap-y-1 text-sm text-soft">
      {(Object.keys(COLOURS) as MonthSays[]).map((m) => (
        <span key={m} className="inline-flex items-center gap-1.5">
          <span className={clsx('h-3 w-3', COLOURS[m])} aria-hidden /> {MONTH_SAYS_WORDS[m]}
        </span>
      ))}
    </p>
  );
}

export const monthsWords = (n: number): string => (n === 1 ? '1 month' : `${n} months`);
