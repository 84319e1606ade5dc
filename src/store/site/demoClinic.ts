import { beginTest, changeCase, openCase, tell, togglePlace, toggleSign } from '../../core/site/stand/changeClinic';
import type { Change } from '../../core/site/stand/change';
import type { Site } from '../../core/site/stand/Site';
import type { Day } from '../../core/units/day';

/** Plants of the demo that look wrong: one case is being tested, one has only been opened. */
export function withDemoClinic(site: Site, today: Day): Site {
  const trays = site.stands.filter((s) => !s.autoArranged).flatMap((s) => s.tiers.flatMap((t) => t.trays));
  const find = (cropId: string) => {
    const tray = trays.findLast((y) => site.batches.some((b) => b.id === y.batchId && b.cropId === cropId));
    return tray ? { batchId: tray.batchId, trayId: tray.id } : null;
  };
  const [celery, sage] = [find('celery'), find('sage')];
  const changes: Change[] = [
    ...(celery
      ? [
          openCase({ id: 'demo-case-celery', ...celery, opened: today - 6 }),
          toggleSign('demo-case-celery', 'stretched-stems'),
          toggleSign('demo-case-celery', 'pale'),
          togglePlace('demo-case-celery', 2),
          togglePlace('demo-case-celery', 5),
          togglePlace('demo-case-celery', 8),
          tell('demo-case-celery', { night_C: 16, hasFan: true }),
          changeCase('demo-case-celery', () => ({ since: today - 9 })),
          beginTest('demo-case-celery', {
            test: 'swap-positions',
            cause: 'uneven-coverage',
            next: 'light-too-weak',
            began: today - 4,
            look: today,
            outcome: null,
          }),
        ]
      : []),
    ...(sage
      ? [
          openCase({ id: 'demo-case-sage', ...sage, opened: today - 1 }),
          toggleSign('demo-case-sage', 'pale-lower-leaves-first'),
          changeCase('demo-case-sage', () => ({ since: today - 3 })),
        ]
      : []),
  ];
  return changes.reduce((s, change) => change(s), site);
}
