import { containerLibrary } from '@/core/things/container/containerLibrary';
import { showLength, type LengthUnit } from '@/core/units/length';
import { showSmallVolume } from '@/core/units/volume';
import type { Metres } from '@/core/units/quantities';
import type { SearchItem } from './SearchList';

const KINDS: Readonly<Record<string, string>> = {
  flat: 'Open flats',
  'cell-tray': 'Cell trays',
  pot: 'Pots',
  pan: 'Pans',
  basket: 'Baskets',
  bin: 'Bins',
  trough: 'Troughs',
  'soil-block': 'Soil blocks',
};

/** All trays and pots with their sizes. */
export const containerItems = (unit: LengthUnit): readonly SearchItem[] =>
  containerLibrary.map((c) => ({
    id: c.id,
    name: c.name,
    detail:
      `${showLength(c.length, unit)} × ${showLength(c.width, unit)}` +
      (c.pitch === null ? '' : `, plants ${showLength(c.pitch, unit)} apart, ${showSmallVolume(c.volume_L, unit)} each`),
    words: [c.kind, c.typicalUse, KINDS[c.kind] ?? '', inchWords(c.length)],
    group: KINDS[c.kind] ?? c.kind,
  }));

const METRES_PER_INCH = 0.0254; // exact

/** A size in inches to the half, as pots are sold by it; of `searchWords`. */
const inchWords = (length: Metres): string => `${Math.round((2 * length) / METRES_PER_INCH) / 2}in`;
