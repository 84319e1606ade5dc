import type { StageName } from '../../things/crop/Crop';
import type { Metres } from '../../units/quantities';
import type { Batch, Site } from '../stand/Site';
import type { Day } from '../../units/day';
import type { Logged, LoggedBefore } from '../stand/Logged';

type Change = (site: Site) => Site;

/** As many entries as a batch keeps: years of daily ones. */
export const MOST_LOGGED = 4000;

const withBatch =
  (batchId: string, change: (batch: Batch) => Batch): Change =>
  (site) => ({ ...site, batches: site.batches.map((b) => (b.id === batchId ? change(b) : b)) });

/** Kinds of which a day may have several; of all others the newer one counts. */
const MANY: readonly Logged['what'][] = ['note', 'trouble', 'harvest', 'watered', 'moved', 'photo', 'next-time', 'solution'];

/** Whether a day may have several of a kind. */
export const isRepeatable = (what: Logged['what']): boolean => MANY.includes(what);

/** Writes down what was seen. Of most kinds there is one entry a day: the later word counts, and takes over what it does not say itself. */
export const logIt = (batchId: string, entry: Logged): Change =>
  withBatch(batchId, (b) => {
    const old = isRepeatable(entry.what) ? undefined : b.log.find((l) => l.what === entry.what && l.day === entry.day);
    const log = old ? [...b.log.filter((l) => l !== old), ...whatStays(old, entry), takenOver(old, entry)] : [...b.log, entry];
    return { ...b, log: withRoom(log) };
  });

/** What is done again and again: of these the oldest make room, where nobody put words or a picture to them. */
const ROUTINE: readonly Logged['what'][] = ['watered', 'not-yet', 'fed', 'moved', 'air'];

/** As many entries as are kept; a full journal in which every entry says something is left as it is, to be refused by name. */
function withRoom(log: readonly Logged[]): readonly Logged[] {
  if (log.length <= MOST_LOGGED) return log;
  const spare = log.findIndex((l) => ROUTINE.includes(l.what) && l.text === undefined && l.photoId === undefined);
  return spare < 0 ? log : withRoom(log.filter((_, i) => i !== spare));
}

/** A photo of the entry before that the later one is not of: it stays in the journal by itself. */
const whatStays = ({ id, day, photoId }: Logged, { photoId: now }: Logged): Logged[] =>
  photoId === undefined || photoId === now ? [] : [{ id, day, what: 'photo', height: null, stage: null, photoId }];

/** Words, and figures of the air, that were written down before and that the later entry of the day does not have. */
function takenOver(old: Logged, entry: Logged): Logged {
  const was = isOverwritten(old, entry) ? [...(old.was ?? []), beforeOf(old)] : old.was;
  const text = entry.text ?? old.text;
  const air = entry.air && {
    low: entry.air.low ?? old.air?.low ?? null,
    high: entry.air.high ?? old.air?.high ?? null,
    humidity: entry.air.humidity ?? old.air?.humidity ?? null,
  };
  return {
    ...entry,
    ...(text === undefined ? {} : { text }),
    ...(air ? { air } : {}),
    ...(was?.length ? { was: was.slice(-MOST_CORRECTIONS) } : {}),
  };
}

/** Whether a later entry of the day says otherwise than an earlier one. */
function isOverwritten(old: Logged, { text, height, air }: Logged): boolean {
  const isOther = <T>(was: T | null | undefined, now: T | null | undefined) => was != null && now != null && was !== now;
  const { low, high, humidity } = old.air ?? { low: null, high: null, humidity: null };
  return (
    isOther(old.text, text) ||
    isOther(old.height, height) ||
    isOther(low, air?.low) ||
    isOther(high, air?.high) ||
    isOther(humidity, air?.humidity)
  );
}

/** What a correction keeps of an entry. */
const beforeOf = ({ day, height, text, weight_g, air, solution, sign, place }: Logged): LoggedBefore => ({
  day,
  height,
  ...(text ? { text } : {}),
  ...(weight_g === undefined ? {} : { weight_g }),
  ...(air ? { air } : {}),
  ...(solution ? { solution } : {}),
  ...(sign ? { sign } : {}),
  ...(place === undefined ? {} : { place }),
});

/** As many corrections of one entry are remembered. */
export const MOST_CORRECTIONS = 10;

/** Corrects an entry; what stood there is kept with it. */
export const correctLogged = (batchId: string, id: string, now: LoggedBefore): Change =>
  withBatch(batchId, (b) => ({
    ...b,
    log: b.log.map((l) => {
      if (l.id !== id) return l;
      const rest = { ...l };
      // Said anew, or not any more.
      for (const said of ['text', 'weight_g', 'air', 'solution', 'sign', 'place'] as const) delete rest[said];
      // A height that was typed was not measured on a photo.
      if (now.height !== l.height) delete rest.heightSd;
      const isOther = now.what !== undefined && now.what !== l.what;
      const before: LoggedBefore = { ...beforeOf(l), ...(isOther ? { what: l.what } : {}) };
      return { ...rest, ...now, was: [...(l.was ?? []), before].slice(-MOST_CORRECTIONS) };
    }),
  }));

export const unlog = (batchId: string, id: string): Change => withBatch(batchId, (b) => ({ ...b, log: b.log.filter((l) => l.id !== id) }));

/** When it was sown, or came here; null: its stage and height are what the person says, whatever the day. */
export const dateBatch = (batchId: string, sown: Day | null): Change =>
  withBatch(batchId, (b) =>
    sown === null ? { ...b, sown, leaves: null } : { ...b, sown, leaves: b.leaves !== null && b.leaves < sown ? null : b.leaves },
  );

/** Until when it is to stay; null: until its curve ends. */
export const letLeave = (batchId: string, leaves: Day | null): Change => withBatch(batchId, (b) => ({ ...b, leaves }));

/** Says how tall a batch is: of a dated one as of a day, to be grown on from there. */
export const measureBatch = (batchId: string, height: Metres, at: Pick<Logged, 'day' | 'id' | 'heightSd' | 'photoId'>): Change =>
  onDated(batchId, { ...at, what: 'height', height, stage: null }, (b) => ({ ...b, height }));

/** Says in which stage a batch is: a dated one from that day on. */
export const stageBatch = (batchId: string, stage: StageName, at: { day: Day; id: string }): Change =>
  onDated(batchId, { ...at, what: 'stage', height: null, stage }, (b) => ({ ...b, stage, height: null }));

const onDated =
  (batchId: string, entry: Logged, plain: (batch: Batch) => Batch): Change =>
  (site) =>
    site.batches.find((b) => b.id === batchId)?.sown == null ? withBatch(batchId, plain)(site) : logIt(batchId, entry)(site);
