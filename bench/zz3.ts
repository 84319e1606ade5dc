import 'reflect-metadata';
import { answerBench } from '../src/core/answer/bench/answerBench';
import { questionOfStand } from '../src/core/answer/bench/questionOfStand';
import { tables } from '../src/core/things/tables/libraryTables';
import { benchStandOf } from '../src/core/answer/stand/benchStand';
import { asOf } from '../src/core/answer/stand/asOf';
import { advise } from '../src/core/plan/advice/advise';
import { dayFrom } from '../src/core/units/day';
import { demoSite } from '../src/store/site/demoSite';
(async()=>{
for (const day of (process.env.DAYS??'2026-12-01,2027-03-10,2027-06-20,2027-09-10').split(',')) {
const [y,m,d]=day.split('-').map(Number);
const today = dayFrom(y!, m!, d!);
const site = asOf(demoSite('en-GB', today), today, tables);
for (const rack of site.stands.filter((s) => !process.env.STAND || s.id===process.env.STAND)) {
const stand=benchStandOf(site, rack, tables);
const answer = answerBench(questionOfStand(stand, null));
for (const t of stand.tiers.filter(t=>t.lamps.length>0&&t.trays.length>0)) {
const a = await advise({ site, standId: rack.id, scope: {of:'tier',id:t.tier.id}, answer, day: today }, tables);
console.log(day, rack.id, t.tier.id, 'before', a.before.loss.toFixed(3), a.insufficient?'insuff '+a.insufficient.share.toFixed(2):'');
for (const o of a.offers) console.log('    ', o.after.loss.toFixed(3), o.after.costPerMonth.toFixed(2), o.effort_min, o.toBuy?'BUY':'', o.moves.map(m=>JSON.stringify(m)).join(' '));
}}}
})();
