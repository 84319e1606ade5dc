import { RANDOM_DAY, randomSite } from '../../../../test/randomSite';
import { answerBench } from '../../answer/bench/answerBench';
import { questionOfStand } from '../../answer/bench/questionOfStand';
import { tables } from '../../things/tables/libraryTables';
import { benchStandOf } from '../../answer/stand/benchStand';
import type { Site } from '../../site/stand/Site';
import { advise } from './advise';
import { judgeOf } from './judgeOf';
import type { Move } from './Move';
import { hoursOf, liftsOf, movesFor } from './movesFor';

/** Small stands on which something is to be gained. */
const sites = Array.from({ length: 60 }, (_, seed) => randomSite(seed + 1, 1))
  .filter((s) => s.stands[0]!.tiers.length === 1 && s.stands[0]!.tiers[0]!.trays.length > 0)
  .slice(0, 24);

function questionOf(site: Site) {
  const stand = benchStandOf(site, site.stands[0]!, tables);
  const answer = answerBench(questionOfStand(stand, null));
  return { question: { site, standId: stand.stand.id, scope: { of: 'stand' } as const, answer }, tier: stand.tiers[0]!, stand };
}

/** Every single move with every height and every day: up to some 10 000 combinations, each judged by itself. */
function everything(site: Site) {
  const { question, tier, stand } = questionOf(site);
  const judge = judgeOf(question, tables);
  const hangs = liftsOf(tier, 0.03).map((lift): Move => ({ do: 'hang', tierId: tier.tier.id, lift }));
  const hours = hoursOf(tier.timer, stand, site).filter((h) => h.lit_min % 120 === 0);
  let best = judge.start.score;
  for (const move of [null, ...movesFor(site, stand, question.scope)])
    for (const hang of [null, ...hangs])
      for (const h of [null, ...hours]) {
        const tried = judge.tryOut([move, hang, h].filter((m) => m !== null));
        if (tried && tried.score < best) best = tried.score;
      }
  return { best, start: judge.start.score, judge };
}

test('against every combination on small stands: nine in ten lose less than a twentieth of what could be gained', async () => {
  const lost: number[] = [];
  for (const site of sites) {
    const all = everything(site);
    const possible = all.start - all.best;
    if (possible < 0.05) continue;
    const { offers } = await advise(questionOf(site).question, tables);
    const reached = Math.min(all.start, ...offers.map((o) => all.judge.tryOut(o.moves)?.score ?? Infinity));
    lost.push(Math.max(0, 1 - (all.start - reached) / possible));
    if (lost.length === 12) break;
  }
  expect(lost.length).toBeGreaterThanOrEqual(8);
  expect(lost.filter((l) => l > 0.05).length).toBeLessThanOrEqual(lost.length / 10);
});

test('on any stand, set up without much thought, nothing that is offered breaks a limit that was kept, or cannot be done', async () => {
  expect(RANDOM_DAY).toBeGreaterThan(0);
  for (const seed of [101, 102, 103, 104, 105, 106]) {
    const site = randomSite(seed, 2);
    const { question } = questionOf(site);
    const { offers, before } = await advise(question, tables);
    for (const { after } of offers)
      for (const r of after.results) {
        const was = before.results.find((b) => b.trayId === r.trayId)!;
        const tray = benchStandOf(site, site.stands[0]!, tables).tiers.flatMap((t) => t.trays).find((y) => y.tray.id === r.trayId)!; // prettier-ignore
        expect(r.photoperiod).toBeLessThanOrEqual(Math.max(tray.limits.longestDay, was.photoperiod) + 1 / 60 + 1e-9);
        expect(r.litPpfd).toBeLessThanOrEqual(Math.max(tray.limits.strongest, was.litPpfd) * 1.0002);
        if (!was.breaches.some((b) => b.why === 'sun-too-strong')) expect(r.breaches.map((b) => b.why)).not.toContain('sun-too-strong');
      }
  }
});
