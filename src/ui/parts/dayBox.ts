import type { Day } from '@/core/units/day';

export interface DayFieldProps {
  label: string;
  value: Day | null;
  min?: Day;
  max?: Day;
  /** Null when it is emptied, which is offered where `clearable`. */
  onChange(day: Day | null): void;
  clearable?: boolean;
  className?: string;
}

/** The frame of the field. */
export const DAY_BOX = 'flex min-h-9 items-center rounded-md border bg-sheet pl-2 text-base font-semibold text-ink max-md:min-h-11';
