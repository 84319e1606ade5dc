'use client';
import clsx from 'clsx';
import type { MonthAtPlace } from '@/core/answer/daylight/yearOf';
import { monthSays } from '@/core/answer/daylight/suits';
import type { Stage } from '@/core/things/crop/Crop';
import { dliNumber } from '../drawing/lightWords';
import { MONTH_SAYS_WORDS, shortMonth } from './daylightWords';

interface MonthTableProps {
  months: readonly MonthAtPlace[];
  stage: Stage;
  /** Lamp hours of each month; null: no lamp hangs there. */
  lampHours: readonly number[] | null;
  month: number;
  onMonth(month: number): void;
}

/** Months against the plant's range: a grey day to a clear one as a bar, their mean as a mark, and the lamp's hours. */
export function MonthTable({ months, stage, lampHours, month, onMonth }: MonthTableProps) {
  const most = Math.max(stage.dliMax * 1.25, ...months.map((m) => m.high)) * 1.02;
  const x = (dli: number) => `${(Math.min(dli, most) / most) * 100}%`;
  return (
    <table className="w-full text-[0.9375rem]" data-testid="months">
      <caption className="sr-only">Daylight by month, mol/m²/day</caption>
      <thead className="text-sm text-soft">
        <tr>
          <th className="w-11 text-left font-normal">month</th>
          <th className="relative font-normal">
            <span className="sr-only">from a grey to a clear day, against the range</span>
            <span aria-hidden className="absolute bottom-0 -translate-x-1/2 text-verdigris" style={{ left: x(stage.dliMin) }}>
              {stage.dliMin}
            </span>
            <span aria-hidden className="absolute bottom-0 -translate-x-1/2 text-verdigris" style={{ left: x(stage.dliMax) }}>
              {stage.dliMax}
            </span>
          </th>
          <th className="w-12 text-right font-normal">mean</th>
          <th className="w-12 text-right font-normal">sun, h</th>
          {lampHours ? <th className="w-14 text-right font-normal">lamp, h</th> : <td className="w-14" />}
        </tr>
      </thead>
      <tbody>
        {months.map((m, i) => {
          const says = monthSays(m, stage);
          const isStrong = says === 'strong' || says === 'scorch';
          return (
            <tr key={i} className={clsx(i === month && 'bg-sunk')}>
              <td className="p-0">
                <button
                  type="button"
                  className="min-h-7 w-full px-1 text-left font-semibold max-md:min-h-11"
                  aria-pressed={i === month}
                  onClick={() => onMonth(i)}
                >
                  {shortMonth(i)}
                </button>
              </td>
              <td className="relative h-7 p-0">
                <span
                  className="absolute inset-y-0 bg-verdigris-wash"
                  style={{ left: x(stage.dliMin), width: `calc(${x(stage.dliMax)} - ${x(stage.dliMin)})` }}
                />
                <span
                  className={clsx(
                    'absolute top-1/2 h-2 -translate-y-1/2 rounded-full',
                    isStrong ? 'bg-copper' : says === 'suits' ? 'bg-verdigris' : 'bg-slate',
                  )}
                  style={{ left: x(m.low), width: `calc(${x(m.high)} - ${x(m.low)} + 3px)`, opacity: 0.65 }}
                />
                <span className="absolute top-1/2 h-4 w-1 -translate-y-1/2 bg-ink" style={{ left: x(m.mean) }} />
                <span className="sr-only">
                  {MONTH_SAYS_WORDS[says]}, {dliNumber(m.low)} to {dliNumber(m.high)} mol
                </span>
              </td>
              <td className={clsx('text-right tabular-nums', isStrong && 'text-copper')}>{dliNumber(m.mean)}</td>
              <td className="text-right tabular-nums">{m.sunHours > 0.05 ? m.sunHours.toFixed(1) : '–'}</td>
              <td className="text-right font-semibold tabular-nums">
                {lampHours ? (lampHours[i]! > 0 ? roundHalf(lampHours[i]!) : '–') : ''}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

/** To the half hour: finer is not known. */
export const roundHalf = (hours: number): string => String(Math.round(hours * 2) / 2);
