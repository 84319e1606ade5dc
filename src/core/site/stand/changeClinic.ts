import { MOST_CASES, type ClinicCase, type TestRun, type Told } from '../clinic/ClinicCase';
import type { LeafSign } from './Logged';
import type { Day } from '../../units/day';
import type { Change } from './change';

/** What was written down of leaves counts for a new case for so long, days. */
const STILL_SEEN = 14; // our choice: as long as leaves that grew then are the young ones

/** What leaves showed, in the clinic's own signs. */
const SIGN_OF: Readonly<Record<LeafSign, string>> = {
  leaning: 'leaning-one-way',
  stretched: 'stretched-stems',
  pale: 'pale',
  'burnt-tips': 'brown-tips',
};

/**
 * Opens a case; when there are too many, the oldest that is over falls away. It begins with what was lately written down of the batch's
 * leaves: the signs, where in the tray, and since when.
 */
export const openCase =
  (made: Pick<ClinicCase, 'id' | 'batchId' | 'trayId' | 'opened'>): Change =>
  (site) => {
    const log = site.batches.find((b) => b.id === made.batchId)?.log ?? [];
    const seen = log.filter((l) => l.what === 'trouble' && l.sign && l.day <= made.opened && made.opened - l.day <= STILL_SEEN);
    const fresh: ClinicCase = {
      ...made,
      since: seen.length > 0 ? Math.min(...seen.map((l) => l.day)) : null,
      places: [...new Set(seen.flatMap((l) => l.place ?? []))].sort((a, b) => a - b),
      signs: [...new Set(seen.map((l) => SIGN_OF[l.sign!]))],
      told: {},
      denied: [],
      tests: [],
      closed: null,
    };
    const over = site.clinic.length >= MOST_CASES ? site.clinic.find((c) => c.closed !== null) : undefined;
    return { ...site, clinic: [...site.clinic.filter((c) => c !== over), fresh] };
  };

export const changeCase =
  (id: string, change: (kase: ClinicCase) => Partial<ClinicCase>): Change =>
  (site) => ({ ...site, clinic: site.clinic.map((c) => (c.id === id ? { ...c, ...change(c) } : c)) });

export const dropCase =
  (id: string): Change =>
  (site) => ({ ...site, clinic: site.clinic.filter((c) => c.id !== id) });

const toggled = <T>(list: readonly T[], one: T): T[] => (list.includes(one) ? list.filter((x) => x !== one) : [...list, one]);

export const toggleSign = (id: string, sign: string): Change => changeCase(id, (c) => ({ signs: toggled(c.signs, sign) }));
export const togglePlace = (id: string, place: number): Change =>
  changeCase(id, (c) => ({ places: toggled(c.places, place).sort((a, b) => a - b) }));
export const toggleDenied = (id: string, fact: string): Change => changeCase(id, (c) => ({ denied: toggled(c.denied, fact) }));

/** Says something that no plan knows; undefined takes it back. */
export const tell = (id: string, told: { readonly [K in keyof Told]?: Told[K] | undefined }): Change =>
  changeCase(id, (c) => ({ told: Object.fromEntries(Object.entries({ ...c.told, ...told }).filter(([, v]) => v !== undefined)) as Told }));

export const beginTest = (id: string, run: TestRun): Change =>
  changeCase(id, (c) => ({ tests: [...c.tests.filter((t) => t.outcome !== null), run].slice(-20) }));

/** How the last test came out. */
export const endTest = (id: string, outcome: TestRun['outcome']): Change =>
  changeCase(id, (c) => ({ tests: c.tests.map((t, i) => (i === c.tests.length - 1 ? { ...t, outcome } : t)) }));

export const closeCase = (id: string, day: Day | null): Change => changeCase(id, () => ({ closed: day }));
