'use client';
import { CalendarDate, type DateValue } from '@internationalized/date';
import clsx from 'clsx';
import { CalendarDays, ChevronLeft, ChevronRight, X } from 'lucide-react';
import { useId, useState } from 'react';
import {
  Button,
  Calendar,
  CalendarCell,
  CalendarGrid,
  DateInput,
  DatePicker,
  DateSegment,
  Dialog,
  Group,
  Heading,
  Label,
  Popover,
} from 'react-aria-components';
import { dayFrom, isoOf, type Day } from '@/core/units/day';
import { dayWords } from '../season/dayWords';
import { DAY_BOX, type DayFieldProps } from './dayBox';

const dateOf = (day: Day): CalendarDate => {
  const [y, m, d] = isoOf(day).split('-').map(Number);
  return new CalendarDate(y!, m!, d!);
};
const dayOfDate = (date: DateValue): Day => dayFrom(date.year, date.month, date.day);

/** As high as the field, its frame included: as large as a thumb on a phone. */
const IN_FIELD = '-my-px grid size-9 place-items-center rounded-md hover:bg-sunk max-md:size-11';

/**
 * A day, in the order of the person's own place, typed part by part or chosen from a calendar. What is typed is taken with Enter
 * or on leaving the field, as one step; a day that can't be stays in view with the reason.
 */
export function DayPicker({ label, value, min, max, onChange, clearable = false, className }: DayFieldProps) {
  const id = useId();
  const [draft, setDraft] = useState<DateValue | null | undefined>(undefined);
  const [problem, setProblem] = useState<string | null>(null);

  function take() {
    if (draft === undefined) return;
    const day = draft === null ? null : dayOfDate(draft);
    const reason = day === null ? null : refusal(day, min, max);
    setProblem(reason);
    if (reason !== null) return;
    setDraft(undefined);
    if (day !== value) onChange(day);
  }

  return (
    // The parts of a date keep keys to themselves: Enter is heard on its way to them.
    <div className={className} onKeyDownCapture={(e) => e.key === 'Enter' && take()}>
      <DatePicker
        className="text-sm text-soft"
        value={draft === undefined ? (value === null ? null : dateOf(value)) : draft}
        onChange={(next) => {
          setDraft(next);
          setProblem(null);
        }}
        onBlur={take}
        onOpenChange={(open) => !open && take()}
        isInvalid={problem !== null}
        aria-describedby={problem ? `${id}-problem` : undefined}
      >
        <Label className="block">{label}</Label>
        <Group
          className={clsx(
            DAY_BOX,
            'focus-within:outline-2 focus-within:outline-offset-1 focus-within:outline-verdigris',
            problem ? 'border-copper' : 'border-edge',
          )}
        >
          <DateInput className="flex">
            {(segment) => (
              <DateSegment
                segment={segment}
                className="rounded-sm px-px tabular-nums outline-none data-focused:bg-verdigris data-focused:text-sheet data-placeholder:text-soft"
              />
            )}
          </DateInput>
          <Button className={IN_FIELD} aria-label={`Calendar: ${label}`}>
            <CalendarDays size={16} aria-hidden />
          </Button>
          {clearable && value !== null && (
            <Button
              slot={null}
              className={IN_FIELD}
              aria-label={`Clear: ${label}`}
              onPress={() => {
                setDraft(undefined);
                setProblem(null);
                onChange(null);
              }}
            >
              <X size={16} aria-hidden />
            </Button>
          )}
        </Group>
        {problem && (
          <p id={`${id}-problem`} role="alert" className="max-w-64 text-sm text-copper">
            {problem}
          </p>
        )}
        <Popover className="rounded-md border border-line bg-sheet p-3 text-ink shadow-lg">
          <Dialog className="outline-none" aria-label={label}>
            <Calendar>
              <header className="flex items-center justify-between gap-2 pb-2">
                <Button slot="previous" className="grid size-9 place-items-center rounded-md hover:bg-sunk max-md:size-11">
                  <ChevronLeft size={18} aria-hidden />
                </Button>
                <Heading className="font-semibold" />
                <Button slot="next" className="grid size-9 place-items-center rounded-md hover:bg-sunk max-md:size-11">
                  <ChevronRight size={18} aria-hidden />
                </Button>
              </header>
              <CalendarGrid>
                {(date) => (
                  <CalendarCell
                    date={date}
                    className="grid size-9 cursor-pointer place-items-center rounded-md outline-none hover:bg-sunk data-disabled:cursor-default data-disabled:text-line data-focus-visible:outline-2 data-focus-visible:outline-verdigris data-outside-month:hidden data-selected:bg-verdigris data-selected:text-sheet max-md:size-11"
                  />
                )}
              </CalendarGrid>
            </Calendar>
          </Dialog>
        </Popover>
      </DatePicker>
    </div>
  );
}

/** The years that a calendar of plants may speak of. */
const YEARS = { first: dayFrom(1990, 1, 1), last: dayFrom(2100, 1, 1) } as const;

/** Why a day can't be; null when it can. */
function refusal(day: Day, min: Day = YEARS.first, max: Day = YEARS.last): string | null {
  if (day < min) return min === YEARS.first ? 'A year of four digits, such as 2027.' : `Not before ${dayWords(min)}.`;
  if (day > max) return max === YEARS.last ? 'A year before 2100.' : `Not after ${dayWords(max)}.`;
  return null;
}
