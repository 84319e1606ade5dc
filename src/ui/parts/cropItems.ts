import { cropLibrary } from '@/core/library/cropLibrary';
import type { SearchItem } from './SearchList';

const GROUPS: Readonly<Record<string, string>> = {
  'fruiting-veg': 'Fruiting vegetables',
  'leafy-veg': 'Leaves',
  'brassica-veg': 'Cabbage family',
  'stem-veg': 'Stems',
  'allium-veg': 'Onion family',
  'root-veg': 'Roots',
  herb: 'Herbs',
  flower: 'Flowers',
  microgreen: 'Cut young',
  'flowering-houseplant': 'Houseplants that flower',
  'foliage-houseplant': 'Houseplants for leaves',
  'fruiting-houseplant': 'Houseplants that fruit',
  succulent: 'Succulents',
  carnivorous: 'Carnivorous plants',
  cutting: 'Cuttings',
};

/** All crops, to be searched by any of their names. */
export const cropItems: readonly SearchItem[] = cropLibrary.map((c) => ({
  id: c.id,
  name: c.name,
  detail: c.alsoCalled[0] ?? c.latin,
  words: [...c.alsoCalled, c.latin, GROUPS[c.group] ?? c.group],
  group: GROUPS[c.group] ?? c.group,
}));
