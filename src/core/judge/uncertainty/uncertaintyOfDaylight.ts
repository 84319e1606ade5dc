import { DAYLIGHT_OFF } from '../../site/stand/Daylight';
import { daylightDli, type LightDay, type Received } from '../dli/LightDay';
import type { Uncertainty } from './Band';

/** How much the mean dose may be off because one day's sky is not another's; nothing where no daylight comes in. */
export function uncertaintyOfDaylight(day: LightDay, { mean }: Received): Uncertainty[] {
  const share = mean > 0 ? Math.min(1, daylightDli(day) / mean) : 0;
  if (share === 0) return [];
  const course = day.daylight?.course;
  const { low, high } = course?.off ?? DAYLIGHT_OFF;
  return [
    {
      why: 'daylight',
      low: share * low,
      high: share * high,
      source: course
        ? 'daylight of the window: from a day without sun to one without a cloud, and what the window itself may be off'
        : 'daylight as stated; single days differ by half, our estimate',
    },
  ];
}
