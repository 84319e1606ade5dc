import type { Day } from '../../units/day';
import type { Change } from './change';
import type { PlannedBatch, SeasonPlan } from '../season/SeasonPlan';

export const freshSeason = (year: number): SeasonPlan => ({
  name: `Season ${year}`,
  year,
  lastFrost: { kind: 'unknown' },
  firstFrost: null,
  nights: null,
  hardeningDays: 9,
  batches: [],
});

export const setSeason =
  (season: SeasonPlan | null): Change =>
  (site) => ({ ...site, season });

/** Changes the season where there is one. */
export const changeSeason =
  (change: (season: SeasonPlan) => Partial<SeasonPlan>): Change =>
  (site) =>
    site.season ? { ...site, season: { ...site.season, ...change(site.season) } } : site;

export const addPlanned = (...batches: readonly PlannedBatch[]): Change => changeSeason((s) => ({ batches: [...s.batches, ...batches] }));

export const changePlanned = (id: string, change: (batch: PlannedBatch) => Partial<PlannedBatch>): Change =>
  changeSeason((s) => ({ batches: s.batches.map((b) => (b.id === id ? { ...b, ...change(b) } : b)) }));

export const dropPlanned = (id: string): Change => changeSeason((s) => ({ batches: s.batches.filter((b) => b.id !== id) }));

/** Moves batches as a whole: sown and out by as many days. What has been sown stays. */
export const shiftPlanned = (ids: readonly string[], days: number): Change =>
  changeSeason((s) => ({
    batches: s.batches.map((b) => (ids.includes(b.id) && b.batchId === null ? { ...b, sown: b.sown + days, out: b.out + days } : b)),
  }));

/** Two of one: so many cells become a batch of their own, which may go its own way. */
export const splitPlanned = (id: string, cells: number, newId: string): Change =>
  changeSeason((s) => ({
    batches: s.batches.flatMap((b) => {
      if (b.id !== id || cells <= 0 || cells >= b.cells) return [b];
      const part = (n: number) => ({
        cells: n,
        keepAtMost: b.keepAtMost === null ? null : Math.max(1, Math.round((b.keepAtMost * n) / b.cells)),
      });
      return [
        { ...b, ...part(b.cells - cells) },
        { ...b, ...part(cells), id: newId, batchId: null },
      ];
    }),
  }));

/** One of two of the same crop: the second is counted with the first from now on. */
export const joinPlanned = (id: string, otherId: string): Change =>
  changeSeason((s) => {
    const other = s.batches.find((b) => b.id === otherId);
    return {
      batches: s.batches
        .filter((b) => b.id !== otherId)
        .map((b) =>
          b.id === id && other && other.cropId === b.cropId
            ? {
                ...b,
                cells: b.cells + other.cells,
                keepAtMost: b.keepAtMost === null || other.keepAtMost === null ? null : b.keepAtMost + other.keepAtMost,
              }
            : b,
        ),
    };
  });

/** A plan of an earlier year as a plan of this one: by whole weeks, so that days of the week stay; nothing is sown yet. */
export function movedToYear(season: SeasonPlan, year: number, name: string): SeasonPlan {
  const days = Math.round(((year - season.year) * 365.2425) / 7) * 7;
  const move = (day: Day) => day + days;
  return {
    ...season,
    name,
    year,
    batches: season.batches.map((b) => ({ ...b, sown: move(b.sown), out: move(b.out), batchId: null, lost: null })),
  };
}
