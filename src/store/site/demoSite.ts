import type { Site } from '../../core/stand/Site';
import { emptySite } from './newSite';
import { addSetUp, type Recipe } from './setUpVerbs';

/** The seed library of a small harbour town's reading room: four of its corners, with what is right and what is not. */
const recipes: readonly (Recipe & { id: string })[] = [
  {
    id: 'demo-celery',
    name: 'Map room · celery',
    cropId: 'celery',
    stage: 'seedling',
    containerId: 'cell-72',
    block: { across: 2, deep: 1, turned: false },
    lampId: 'led-bar-12-white-24',
    row: { count: 2, gap: 0.1 },
    distance: 0.14,
    on_min: 5 * 60 + 30,
    lit_min: 16 * 60,
  },
  {
    id: 'demo-leek',
    name: 'Map room · leek',
    cropId: 'leek',
    stage: 'seedling',
    containerId: 'cell-128',
    block: { across: 2, deep: 1, turned: false },
    lampId: 'led-shop-12-twin-50',
    row: { count: 1, gap: 0.08 },
    distance: 0.12,
    on_min: 6 * 60,
    lit_min: 14 * 60,
  },
  {
    id: 'demo-physalis',
    name: 'Map room · physalis',
    cropId: 'physalis',
    stage: 'seedling',
    containerId: 'flat-half',
    block: { across: 1, deep: 1, turned: false },
    lampId: 'led-a-14-clamp',
    row: { count: 1, gap: 0.1 },
    distance: 0.14,
    on_min: 6 * 60,
    lit_min: 16 * 60,
  },
  {
    id: 'demo-niche',
    name: 'Cupboard niche · peace lily',
    cropId: 'peace-lily',
    stage: 'growing-on',
    containerId: 'pot-15',
    block: { across: 3, deep: 1, turned: false },
    lampId: 'led-bar-06-white-10',
    distance: 0.22,
    on_min: 8 * 60,
    lit_min: 12 * 60,
  },
];

export function demoSite(language: string): Site {
  return recipes.reduce((site, { id, ...recipe }) => addSetUp(recipe, id)(site), emptySite(language));
}
