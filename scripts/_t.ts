import 'reflect-metadata';
import { dayFrom } from '../src/core/units/day';
import { demoSite } from '../src/store/site/demoSite';
import { asOf } from '../src/core/answer/stand/asOf';
import { tables } from '../src/core/things/tables/libraryTables';
import { benchStandOf } from '../src/core/answer/stand/benchStand';
import { answerBench } from '../src/core/answer/bench/answerBench';
import { questionOfStand } from '../src/core/answer/bench/questionOfStand';
import { hangChartOf } from '../src/core/plan/hang/hangChartOf';
const today = dayFrom(2026, 11, 29);
const site = asOf(demoSite('en-GB', today), today, tables);
for (const id of (process.env.ST ?? 'demo-rack').split(',')) {
  const stand = site.stands.find((s) => s.id === id)!;
  const answer = answerBench(questionOfStand(benchStandOf(site, stand, tables), null));
  const q = { site, standId: id, answer, from: today, timerStep_min: 15 as const };
  hangChartOf(q, tables);
  const t: number[] = [];
  for (let i = 0; i < 1; i++) { const a = process.cpuUsage(); hangChartOf(q, tables); const b = process.cpuUsage(a); t.push((b.user + b.system) / 1e3); }
  console.log(id, t.map((x) => x.toFixed(0)).join(' '));
}
