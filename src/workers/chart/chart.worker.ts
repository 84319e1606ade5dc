import { expose } from 'comlink';
import { hangChartOf } from '../../core/hang/hangChartOf';
import type { ChartApi } from './chart.api';

expose({ hangChart: hangChartOf } satisfies ChartApi);
