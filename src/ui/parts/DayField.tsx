'use client';
import { CalendarDays } from 'lucide-react';
import { lazy, Suspense } from 'react';
import { noonOf } from '@/core/units/day';
import { DAY_BOX, type DayFieldProps } from './dayBox';

const DayPicker = lazy(() => import('./DayPicker').then((m) => ({ default: m.DayPicker })));

/** A day, typed part by part or chosen from a calendar. What it takes to do so comes when it is shown; until then the day stands there. */
export const DayField = (props: DayFieldProps) => (
  <Suspense fallback={<DayShown {...props} />}>
    <DayPicker {...props} />
  </Suspense>
);

/** In the order of the person's own place, as the field has it. */
const IN_FIGURES = { timeZone: 'UTC', day: '2-digit', month: '2-digit', year: 'numeric' } as const;

/** As the field looks, for the moment until it can be typed in. */
const DayShown = ({ label, value, className }: DayFieldProps) => (
  <div className={className} aria-busy>
    <div className="text-sm text-soft">
      <span className="block">{label}</span>
      <span className={`${DAY_BOX} border-edge tabular-nums`}>
        {value === null ? '\u2013' : noonOf(value).toLocaleDateString(undefined, IN_FIGURES)}
        <CalendarDays size={16} className="m-2.5" aria-hidden />
      </span>
    </div>
  </div>
);
