import type { Container } from './Container';
import table from './containers.json';
import type { Source } from '../../units/Source';

/** The trays and pots that come with the application (clear covers are not places to stand plants in), in metres. */
export const containerLibrary: readonly Container[] = table.containers
  .filter((row) => row.transmissionFraction === null)
  .map((row): Container => ({
    id: row.id,
    name: row.name,
    kind: row.kind,
    length: row.outsideLengthMm / 1000,
    width: row.outsideWidthMm / 1000,
    height: row.heightMm / 1000,
    insideLength: (row.insideLengthMm ?? row.outsideLengthMm) / 1000,
    insideWidth: (row.insideWidthMm ?? row.outsideWidthMm) / 1000,
    plants: row.plants,
    columns: row.cols,
    rows: row.rows,
    pitch: row.pitchMm === null ? null : row.pitchMm / 1000,
    volume_L: row.volumeMl! / 1000,
    perFlat: row.perFlat1020,
    typicalUse: row.typicalUse,
    sources: row.sources as readonly Source[],
  }));
