import { applyMoves } from '../../core/plan/advice/applyMove';
import type { Move } from '../../core/plan/advice/Move';
import type { Change } from '../../core/site/stand/change';
import { tables } from '../../core/things/tables/libraryTables';

/** Moves that somebody accepted on a stand: from then on it stays as it was set, and is no longer arranged by itself. */
export const applyOnStand =
  (standId: string | undefined, moves: readonly Move[]): Change =>
  (site) =>
    applyMoves({ ...site, stands: site.stands.map((s) => (s.id === standId ? { ...s, autoArranged: false } : s)) }, moves, tables);
