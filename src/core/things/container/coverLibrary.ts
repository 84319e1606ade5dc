import type { Metres, Share } from '../../units/quantities';
import table from './containers.json';
import type { Source } from '../../units/Source';

/** A clear dome or lid that is put over a tray until its seedlings are up. */
export interface Cover {
  readonly id: string;
  readonly name: string;
  readonly height: Metres;
  /** Of the light that falls on it, how much reaches the leaves. */
  readonly transmittance: Share;
  readonly sources: readonly Source[];
}

/** The covers that come with the application. */
export const coverLibrary: readonly Cover[] = table.containers.flatMap((row): Cover[] =>
  row.transmissionFraction === null
    ? []
    : [
        {
          id: row.id,
          name: row.name,
          height: row.heightMm / 1000,
          transmittance: row.transmissionFraction,
          sources: row.sources as readonly Source[],
        },
      ],
);

export const coverOf = (id: string): Cover | undefined => coverLibrary.find((c) => c.id === id);

/** Of the light over a tray, how much reaches its leaves. */
export const throughCover = ({ coverId }: { readonly coverId: string | null }): Share =>
  coverId === null ? 1 : (coverOf(coverId)?.transmittance ?? 1);
