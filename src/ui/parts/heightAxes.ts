import type { ChartOptions } from 'chart.js';
import type { LengthUnit } from '@/core/units/length';
import type { Colours } from '../theme/useColours';
import { chartAxis } from './chartAxis';

/** How many of a length's unit make a metre, where heights are drawn. */
export const heightUnit = (unit: LengthUnit): number => (unit === 'in' ? 0.0254 : 0.01);

/** The look of a chart of heights by day; nothing moves in it. @param days  what stands below; empty: the days speak for themselves */
export const heightOptions = (colours: Colours, unit: LengthUnit, days = ''): ChartOptions<'line'> => {
  const plain = chartAxis(days, colours);
  return {
    animation: false,
    maintainAspectRatio: false,
    events: [],
    scales: {
      x: {
        ...plain,
        title: { ...plain.title, display: days !== '' },
        grid: { display: false },
        ticks: { ...plain.ticks, maxTicksLimit: 6, maxRotation: 0 },
      },
      y: { ...chartAxis(unit === 'in' ? 'height, in' : 'height, cm', colours), beginAtZero: true },
    },
  };
};
