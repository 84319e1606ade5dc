import type { Crop } from '../../things/crop/Crop';
import type { Tables } from '../../things/tables/Tables';
import type { Site } from '../stand/Site';

/** A crop of the person's own, or of the table. */
export const cropOf = (site: Pick<Site, 'crops'>, id: string, tables: Pick<Tables, 'crop'>): Crop | undefined =>
  site.crops.find((c) => c.id === id) ?? tables.crop(id);
