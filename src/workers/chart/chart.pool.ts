import { startChartWorker, type ChartWorker } from './chart.client';

/** More at a time would take the light of the page its processor. */
const MOST = 2;

/**
 * Chart workers side by side, started when they are wanted. A stand goes to the one that worked out its last chart, which remembers
 * much of it, unless that one is busy and another is not.
 */
export function startChartPool(start = startChartWorker, most = Math.min(MOST, navigator.hardwareConcurrency || 1)): ChartWorker {
  const lanes: { readonly worker: ChartWorker; busy: number }[] = [];
  const last = new Map<string, number>();

  function laneFor(standId: string): number {
    const usual = last.get(standId);
    if (usual !== undefined && lanes[usual]!.busy === 0) return usual;
    const idle = lanes.findIndex((l) => l.busy === 0);
    if (idle >= 0) return idle;
    if (lanes.length < most) return lanes.push({ worker: start(), busy: 0 }) - 1;
    if (usual !== undefined) return usual;
    return lanes.reduce((best, l, i) => (l.busy < lanes[best]!.busy ? i : best), 0);
  }

  return {
    async hangChart(asked, light, progress) {
      const at = laneFor(asked.standId);
      last.set(asked.standId, at);
      const lane = lanes[at]!;
      lane.busy++;
      try {
        return await lane.worker.hangChart(asked, light, progress);
      } finally {
        lane.busy--;
      }
    },
    stop() {
      for (const { worker } of lanes) worker.stop();
    },
  };
}
