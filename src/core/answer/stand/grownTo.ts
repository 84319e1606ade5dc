import { cropOf } from '../../site/crop/cropOf';
import type { Tables } from '../../things/tables/Tables';
import type { Batch, Site } from '../../site/stand/Site';
import type { Day } from '../../units/day';
import { growthOf } from '../../site/growth/growthOf';

/** Brings every dated batch to its stage and height of a day; a site in which nothing changes is given back itself. */
export function grownTo(site: Site, day: Day, tables: Pick<Tables, 'crop'>): Site {
  let changed = false;
  const batches = site.batches.map((batch): Batch => {
    const crop = batch.sown === null ? undefined : cropOf(site, batch.cropId, tables);
    const growth = crop && growthOf(batch, crop, day);
    if (!growth || (growth.stage.stage === batch.stage && growth.height === batch.height && growth.age === batch.age)) return batch;
    changed = true;
    return { ...batch, stage: growth.stage.stage, height: growth.height, age: growth.age };
  });
  return changed ? { ...site, batches } : site;
}
