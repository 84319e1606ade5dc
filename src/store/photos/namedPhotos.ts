import type { Site } from '../../core/site/stand/Site';

/** The photos that entries of a site name. */
export const namedPhotos = (site: Pick<Site, 'batches'>): ReadonlySet<string> =>
  new Set(site.batches.flatMap((b) => b.log.flatMap((l) => (l.photoId === undefined ? [] : [l.photoId]))));
