import { expose } from 'comlink';
import { tables } from '../../core/things/tables/libraryTables';
import { holdLife } from '../life';
import { hangChartOf, workAhead } from '../../core/plan/hang/hangChartOf';
import { createChartMemory } from '../../core/plan/hang/ChartMemory';
import type { ChartApi } from './chart.api';

const memory = createChartMemory();

expose({
  workAhead: (asked) => workAhead(asked, tables, memory),
  hangChart: (question, progress) => hangChartOf(question, tables, progress, memory),
} satisfies ChartApi);
holdLife(self);
