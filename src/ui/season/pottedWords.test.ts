import { demoSite } from '@/store/site/demoSite';
import { pottedWords } from './pottedWords';

const site = demoSite('en-GB', null);
const rack = site.stands.find((s) => s.id === 'demo-rack')!;

test('what became of the trays of a batch that was potted on is told, tier by tier, and what found no place', () => {
  const at = (i: number, trays: number) => ({ tierId: rack.tiers[i]!.id, trays });
  expect(pottedWords(site, { added: [], stuck: 0 }, 'cell-50')).toBe('Its trays on the bench are now: 50-cell insert in a 1020 flat.');
  expect(pottedWords(site, { added: [at(1, 1), at(0, 2)], stuck: 0 }, 'pot-9')).toBe(
    'Its trays on the bench are now: 9 cm pots, 1 tray more on Map-room rack, tier 2, 2 trays more on Map-room rack, tier 1.',
  );
  expect(pottedWords(site, { added: [], stuck: 1 }, 'pot-9')).toContain(
    'There was no room for 1 tray. Make room on the bench, then add it where',
  );
  expect(pottedWords(site, { added: [], stuck: 3 }, 'pot-9')).toContain(
    'There was no room for 3 trays. Make room on the bench, then add them',
  );
});
