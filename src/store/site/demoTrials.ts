import { addTrial } from '../../core/site/stand/changeTrials';
import type { EarlierTier, Site } from '../../core/site/stand/Site';
import type { Trial, TrialTrayRow } from '../../core/site/trial/Trial';
import type { Day } from '../../core/units/day';

/** Trials of the demo: one that runs with faults in its design and under lamps that were hung higher on the way, one that has ended. */
export function withDemoTrials(site: Site, today: Day): Site {
  const trays = site.stands.filter((s) => !s.autoArranged).flatMap((s) => s.tiers.flatMap((t) => t.trays));
  const celery = trays.filter((y) => site.batches.some((b) => b.id === y.batchId && b.cropId === 'celery'));
  const row = (code: string, arm: 'A' | 'B', values: readonly number[], block = '', trayId: string | null = null): TrialTrayRow => ({
    code,
    arm,
    trayId,
    block,
    values,
    sown: null,
  });
  const running: Trial = {
    id: 'demo-trial-mat',
    name: 'Celery with and without the mat',
    factor: 'mat',
    equalDose: false,
    outcome: { name: 'Stem height', unit: 'mm', kind: 'measured', isBlind: false },
    starts: today - 12,
    ends: null,
    selection: 'none',
    rotate_days: null,
    moves: [],
    arms: [
      { id: 'A', name: 'no mat', medium: '', isMatOn: false, dli: null },
      { id: 'B', name: 'mat left on', medium: '', isMatOn: true, dli: null },
    ],
    trays: celery
      .slice(0, 2)
      .map((y, i) =>
        row(i === 0 ? 'K7' : 'M3', i === 0 ? 'A' : 'B', i === 0 ? [31, 28, 34, 30, 29, 33] : [44, 47, 41, 49, 45, 43], '', y.id),
      ),
    deviations: [
      { id: 'demo-deviation', day: today - 5, text: 'The mat was off for two days: a plug was needed for the kettle.', arms: ['B'] },
    ],
    seed: 11,
    ended: null,
  };
  const ended: Trial = {
    id: 'demo-trial-dose',
    name: 'Lettuce at 11 or 15 mol',
    factor: 'dose',
    equalDose: false,
    outcome: { name: 'Fresh weight of a tray', unit: 'g', kind: 'measured', isBlind: true },
    starts: today - 70,
    ends: today - 42,
    selection: 'none',
    rotate_days: 3,
    moves: [],
    arms: [
      { id: 'A', name: '11 mol', medium: '', isMatOn: false, dli: 11 },
      { id: 'B', name: '15 mol', medium: '', isMatOn: false, dli: 15 },
    ],
    trays: [
      row('A4', 'A', [171], 'shelf 1'),
      row('H9', 'B', [214], 'shelf 1'),
      row('P3', 'A', [186], 'shelf 2'),
      row('T8', 'B', [229], 'shelf 2'),
      row('C6', 'A', [158], 'shelf 3'),
      row('W7', 'B', [191], 'shelf 3'),
      row('N4', 'A', [164], 'shelf 4'),
      row('E8', 'B', [206], 'shelf 4'),
      row('D3', 'A', [177], 'shelf 5'),
      row('X6', 'B', [203], 'shelf 5'),
      row('M9', 'A', [169], 'shelf 6'),
      row('R4', 'B', [218], 'shelf 6'),
    ],
    deviations: [],
    seed: 4,
    ended: today - 42,
  };
  const tier = site.stands.flatMap((s) => s.tiers).find((t) => t.trays.some((y) => y.id === running.trays[0]?.trayId));
  const earlier: readonly EarlierTier[] = tier
    ? [{ tierId: tier.id, until: today - 6, fittings: tier.fittings.map((f) => ({ ...f, face: f.face - 0.04 })) }]
    : [];
  return { ...addTrial(running)(addTrial(ended)(site)), earlier };
}
