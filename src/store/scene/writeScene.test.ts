import 'reflect-metadata';
import { answerBench } from '../../core/answer/bench/answerBench';
import { questionOfStand } from '../../core/answer/bench/questionOfStand';
import { answerScene } from '../../core/exchange/scene/answerScene';
import type { Lamp } from '../../core/things/lamp/Lamp';
import { lampLibrary } from '../../core/things/lamp/lampLibrary';
import { tables } from '../../core/things/tables/libraryTables';
import { benchStandOf } from '../../core/answer/stand/benchStand';
import { changeFittings } from '../../core/site/stand/change';
import type { Site } from '../../core/site/stand/Site';
import { demoSite } from '../site/demoSite';
import { readScene } from './readScene';
import { writeScene } from './writeScene';

const demo = demoSite('en-GB');

/** The landing shelf of the demo under a lamp of the person's own. */
function underOwn(lampId: string, more: Partial<Lamp> = {}): Site {
  const lamp = { ...lampLibrary.find((l) => l.id === lampId)!, ...more, id: 'own-1' };
  const stand = demo.stands.find((s) => s.id === 'demo-landing')!;
  const { id, fittings } = stand.tiers[0]!;
  return changeFittings(id, fittings.map((f) => f.id), () => ({ lampId: 'own-1' }))({ ...demo, lamps: [lamp] }); // prettier-ignore
}

/** The same with every lamp tilted to the back, the next one to the front. */
const tilted = (site: Site, standId: string): Site =>
  site.stands
    .find((s) => s.id === standId)!
    .tiers.reduce((now, t) => changeFittings(t.id, t.fittings.map((f) => f.id), (f) => ({ tilt: t.fittings.indexOf(f) % 2 ? -0.4 : 0.4 }))(now), site); // prettier-ignore

/** The same with the first lamp of a tier on a rail. */
const travelling = (site: Site, standId: string): Site => {
  const tier = site.stands.find((s) => s.id === standId)!.tiers.find((t) => t.fittings.length > 0)!;
  return changeFittings(tier.id, [tier.fittings[0]!.id], () => ({ travel: { along: 'width', length: 0.3 } }))(site);
};

test.each([
  ['the rack, one of its lamps travelling', travelling(demo, 'demo-rack'), 'demo-rack'],
  ['a travelling reflector tube of one’s own', travelling(underOwn('t8-06-2refl'), 'demo-landing'), 'demo-landing'],
  ['the rack, its lamps tilted', tilted(demo, 'demo-rack'), 'demo-rack'],
  ['a tilted reflector tube of one’s own', tilted(underOwn('t8-06-2refl'), 'demo-landing'), 'demo-landing'],
  ['a tilted panel of one’s own', tilted(underOwn('led-board-65'), 'demo-landing'), 'demo-landing'],
  ['the rack, with library lamps', demo, 'demo-rack'],
  ['a shelf under a reflector tube of one’s own', underOwn('t8-06-2refl'), 'demo-landing'],
  ['under a panel of one’s own', underOwn('led-board-65'), 'demo-landing'],
  ['under a bulb of one’s own', underOwn('led-grow-15'), 'demo-landing'],
  ['under a bare bulb of one’s own', underOwn('led-a-14'), 'demo-landing'],
  ['under a bare tube of one’s own', underOwn('t8-06-1bare'), 'demo-landing'],
  [
    'under a coil of one’s own, a disc less its hole',
    underOwn('led-board-65', { shape: 'coil', length: 0.3, width: 0.3, spacing: 0.2 }),
    'demo-landing',
  ],
])('%s: the scene for scripts has the light of the bench', (_, site, standId) => {
  const stand = benchStandOf(
    site,
    site.stands.find((s) => s.id === standId)!,
    tables,
  );
  const scene = readScene(JSON.parse(writeScene(stand)));
  if (!scene.ok) throw new Error(JSON.stringify(scene.problems));
  const said = answerScene({ ...scene.value, trayCell: 0.02 });
  const bench = answerBench({ ...questionOfStand(stand, null), cell: 0.02 });
  const sameHours = new Set(stand.tiers.map((t) => t.hours)).size === 1;
  for (const t of stand.tiers)
    for (const y of t.trays) {
      const { stats, spillShare } = bench.tiers[t.tier.id]!.trays[y.tray.id]!;
      const tray = said.trays.find((s) => s.id === y.tray.id)!;
      // The bench counts light of tiers with other hours by its dose, a scene by its strength.
      const spread = 0.015 + (sameHours ? 0 : 0.2 * spillShare);
      expect(tray.mean.value).toBeWithin(stats.mean, { relative: spread });
      expect(tray.strongest.ppfd).toBeWithin(stats.strongest.ppfd, { relative: spread });
      expect(tray.shareInBand).not.toBeNull();
    }
});
