import { unparse } from 'papaparse';
import { CHART_COLUMNS, chartRows, placeOf } from '../../core/exchange/formats/chartTable';
import type { HangChart, TrayDay } from '../../core/plan/hang/HangChart';
import type { BenchStand } from '../../core/answer/stand/benchStand';
import { isoOf } from '../../core/units/day';

/** A hang chart as CSV: a row for each thing to do. No text is left that a spreadsheet would take for a formula. */
export const chartCsv = (chart: HangChart, stand: BenchStand): string =>
  `${unparse(chartRows(chart, stand), { columns: [...CHART_COLUMNS], newline: '\r\n', escapeFormulae: true })}\r\n`;

/** A hang chart as JSON, with what each tray is expected to get: docs/hang-chart.md. */
export function chartJson(chart: HangChart, stand: BenchStand): string {
  const rows = chartRows(chart, stand);
  const data = {
    format: 'copper-noon/hang-chart',
    version: 2,
    stand: stand.stand.name,
    from: isoOf(chart.from),
    until: isoOf(chart.until),
    visits: chart.visits.map((v) => ({
      day: isoOf(v.day),
      jobs: rows.filter((r) => r.day === isoOf(v.day)).map(({ tier, what, thing, steps, face_m, risers, on_min, lit_min, setting, x_m, y_m }) => ({ tier, what, thing, steps, face_m, risers, on_min, lit_min, setting, x_m, y_m })), // prettier-ignore
      after: v.after.map((d) => trayOf(d, stand)),
      lastDay: isoOf(v.last),
      before: v.before.map((d) => trayOf(d, stand)),
    })),
    clockChanges: chart.clockChanges.map((c) => ({ day: isoOf(c.day), by_min: c.by_min })),
    limits: chart.limits.map((l) => ({
      ...trayIn(l.trayId, stand),
      says: l.says,
      bound: l.bound,
      from: isoOf(l.from),
      to: isoOf(l.to),
    })),
  };
  return `${JSON.stringify(data, null, 2)}\n`;
}

/** What a tray is called, and where it stands: several may be called the same. */
function trayIn(trayId: string, stand: BenchStand) {
  const on = stand.tiers.find((t) => t.trays.some((y) => y.tray.id === trayId));
  const y = on?.trays.find(({ tray }) => tray.id === trayId);
  return on && y ? { tray: y.called, tier: on.number, ...placeOf(y.tray) } : { tray: trayId };
}

const trayOf = (d: TrayDay, stand: BenchStand) => ({
  ...trayIn(d.trayId, stand),
  stage: d.stage,
  phase: d.phase,
  height_m: round(d.height),
  distance_m: round(d.distance),
  weakest_mol: round(d.weakest),
  mean_mol: round(d.mean),
  strongest_mol: round(d.strongest),
  says: d.says,
});
const round = (x: number) => Math.round(x * 1e4) / 1e4;
