import type { HangChart, HangQuestion } from '../../core/plan/hang/HangChart';

/** The contract of the chart worker. Progress is a function of the page. */
export interface ChartApi {
  hangChart(question: HangQuestion, progress: (done: number) => void): HangChart;
}
