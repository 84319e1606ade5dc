import type { ChartAsked, ChartOnTheWay, HangChart, HangQuestion } from '../../core/plan/hang/HangChart';

/** The contract of the chart worker. Progress is a function of the page. */
export interface ChartApi {
  /** Works out what the chart that is asked for next will need, before the light of its stand is known. */
  workAhead(asked: ChartAsked): void;
  hangChart(question: HangQuestion, progress: ChartOnTheWay): HangChart;
}
