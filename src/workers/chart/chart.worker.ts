import { expose } from 'comlink';
import { holdLife } from '../life';
import { hangChartOf } from '../../core/plan/hang/hangChartOf';
import type { ChartApi } from './chart.api';

expose({ hangChart: hangChartOf } satisfies ChartApi);
holdLife(self);
