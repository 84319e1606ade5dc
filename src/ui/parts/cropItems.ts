import type { Crop } from '@/core/things/crop/Crop';
import { cropLibrary } from '@/core/things/crop/cropLibrary';
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

const itemOf = (c: Crop, group: string): SearchItem => ({
  id: c.id,
  name: c.name,
  detail: c.alsoCalled[0] ?? c.latin,
  words: [...c.alsoCalled, c.latin, group],
  group,
});

export const groupWords = (group: string): string => GROUPS[group] ?? group;

const TABLE = cropLibrary.map((c) => itemOf(c, groupWords(c.group)));

/** All crops, the person's own first, to be searched by any of their names. */
export const cropItems = (own: readonly Crop[]): readonly SearchItem[] =>
  own.length > 0 ? [...own.map((c) => itemOf(c, 'Yours')), ...TABLE] : TABLE;
