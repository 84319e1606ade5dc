import {
  CategoryScale,
  Chart,
  Filler,
  LinearScale,
  LineController,
  LineElement,
  LogarithmicScale,
  PointElement,
  ScatterController,
} from 'chart.js';

/** What the figures draw with, loaded when the first of them is shown. */
Chart.register(CategoryScale, Filler, LinearScale, LineController, LineElement, LogarithmicScale, PointElement, ScatterController);

export { Line, Scatter } from 'react-chartjs-2';
