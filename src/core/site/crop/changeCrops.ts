import type { Source } from '../../units/Source';
import type { CropNote, Site } from '../stand/Site';
import type { Crop } from '../../things/crop/Crop';

type Change = (site: Site) => Site;

/** As many as a file holds. */
export const MOST_CROPS = 300;
export const MOST_NOTES = 2000;

/** What stands behind the figures that a person has typed. */
export const OWN_SOURCE: Source = { cite: 'the person’s own', kind: 'consensus', supports: ['stages', 'heightCm'] };
/** How far those of a crop that was made from nothing may be trusted. */
export const OWN_TRUST: Crop['trust'] = {
  light: 'consensus',
  photoperiod: 'consensus',
  germination: null,
  sowing: null,
  heights: 'consensus',
};

/** A copy of a crop, to be changed: everything in it is the person's own from now on. */
export const copyOf = (crop: Crop, id: string, name: string): Crop => ({
  ...crop,
  id,
  name,
  alsoCalled: [],
  own: { basedOn: crop.own ? crop.own.basedOn : crop.id, why: '' },
  sources: crop.own ? crop.sources : [OWN_SOURCE, ...crop.sources],
});

/** A crop made from nothing: it begins with the figures of another, and says nothing of it. */
export const freshCrop = (like: Crop, id: string, name: string): Crop => ({
  ...like,
  id,
  name,
  latin: '',
  alsoCalled: [],
  group: 'own',
  continuousLightInjurySource: null,
  widthByDay: [],
  containerPath: [],
  sowing: null,
  feed: null,
  fed: true,
  trust: OWN_TRUST,
  notes: '',
  own: { basedOn: null, why: '' },
  sources: [OWN_SOURCE],
});

/** What seed is taken to need until the person says otherwise. */
const SOME_SEED: NonNullable<Crop['germination']> = {
  temperature: { least: 15, best: 20, most: 25 },
  days: { first: 5, last: 10 },
  light: 'either',
}; // our choice: many vegetables come up so; to be changed
/** Days from stage to stage until the person says otherwise. */
const A_STAGE = 14; // our choice; to be changed

/** Whether plants of a crop of one's own are raised from seed, or bought, and stay. @param base  which it was copied from */
export const comesAs = (crop: Crop, how: 'seed' | 'bought', base: Pick<Crop, 'germination' | 'sowing'> | undefined): Crop =>
  how === 'bought'
    ? { ...crop, stages: crop.stages.map((s) => ({ ...s, fromDay: null })), germination: null, sowing: null, heatMat: false }
    : {
        ...crop,
        stages: crop.stages.map((s, i) => ({ ...s, fromDay: s.fromDay ?? A_STAGE * i })),
        germination: crop.germination ?? base?.germination ?? SOME_SEED,
        sowing: base?.sowing ?? null,
      };

/** Whether a crop of one's own is fed; by the words of the crop that it was copied from, where it has some. */
export const fedAs = (crop: Crop, fed: boolean, base: Pick<Crop, 'feed'> | undefined): Crop => ({
  ...crop,
  fed,
  feed: fed ? (base?.feed ?? null) : null,
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

/** All that grows or is planned of one crop is of another from now on. */
export const growAs =
  (from: string, to: string): Change =>
  (site) => {
    const as = <T extends { readonly cropId: string }>(list: readonly T[]): T[] =>
      list.map((b) => (b.cropId === from ? { ...b, cropId: to } : b));
    return { ...site, batches: as(site.batches), season: site.season && { ...site.season, batches: as(site.season.batches) } };
  };

/** Whether something that grows here, or is planned, is of a crop. */
export const isGrown = (site: Site, cropId: string): boolean =>
  [...site.batches, ...(site.season?.batches ?? [])].some((b) => b.cropId === cropId);

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
