import type { CropNote, Site } from '../stand/Site';
import type { Crop } from './Crop';

type Change = (site: Site) => Site;

/** As many as a file holds. */
export const MOST_CROPS = 300;
export const MOST_NOTES = 2000;

/** A copy of a crop, to be changed: everything in it is the person's own from now on. */
export const copyOf = (crop: Crop, id: string, name: string): Crop => ({
  ...crop,
  id,
  name,
  own: { basedOn: crop.own?.basedOn ?? (crop.own ? null : crop.id), why: '' },
});

/** Keeps a crop of the person's own, or changes it. */
export const keepCrop =
  (crop: Crop): Change =>
  (site) =>
    site.crops.some((c) => c.id === crop.id)
      ? { ...site, crops: site.crops.map((c) => (c.id === crop.id ? crop : c)) }
      : site.crops.length < MOST_CROPS
        ? { ...site, crops: [...site.crops, crop] }
        : site;

/** Whether something that grows here is of a crop. */
export const isGrown = (site: Site, cropId: string): boolean => site.batches.some((b) => b.cropId === cropId);

/** Lets a crop of the person's own go, with its notes; one that still grows stays. */
export const dropCrop =
  (id: string): Change =>
  (site) =>
    isGrown(site, id)
      ? site
      : { ...site, crops: site.crops.filter((c) => c.id !== id), cropNotes: site.cropNotes.filter((n) => n.cropId !== id) };

/** Writes down what was found out about a crop; the oldest go where there are too many. */
export const noteCrop =
  (note: CropNote): Change =>
  (site) => ({ ...site, cropNotes: [...site.cropNotes.filter((n) => n.id !== note.id), note].slice(-MOST_NOTES) });

export const dropNote =
  (id: string): Change =>
  (site) => ({ ...site, cropNotes: site.cropNotes.filter((n) => n.id !== id) });
