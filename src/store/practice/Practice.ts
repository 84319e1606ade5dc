import type { StoreApi } from 'zustand/vanilla';
import type { BenchAnswer } from '../../core/answer/bench/BenchQuestion';
import type { BenchStand } from '../../core/answer/stand/benchStand';
import type { Exercise, Start } from '../../core/plan/practice/Exercise';
import type { Seen } from '../../core/plan/practice/passDay';
import type { Session } from '../../core/plan/practice/Session';
import type { Day } from '../../core/units/day';
import type { DayStore } from '../day/dayStore';
import type { House } from '../house/house';
import type { SiteStore } from '../site/siteStore';

/** An exercise under way, as a screen shows it. */
export interface Run {
  readonly exercise: Exercise;
  readonly start: Start;
  readonly session: Session;
  /** Days are passing: so many are done of so many. */
  readonly passing: { readonly done: number; readonly of: number } | null;
  /** What was seen as the last days passed. */
  readonly seen: readonly Seen[];
  /** Why the last days did not pass; null: they did. */
  readonly trouble: string | null;
}

export interface Practice {
  /** null in every house but that of practice. */
  readonly runs: StoreApi<{ readonly run: Run | null }>;
  /** Brings back the exercise of this house, or begins it. Resolves before any document is opened. */
  open(today: Day): Promise<Run | null>;
  /** Lets days pass, one after the other, by the light that really falls. */
  pass(days: number): Promise<void>;
  /** Sets the clocks of the timers right. */
  setClock(): Promise<void>;
}

export type PracticeHouse = Extract<House, { kind: 'practice' }>;

export interface PracticeDeps {
  readonly sites: SiteStore;
  readonly days: DayStore;
  lightOfStand(stand: BenchStand): Promise<BenchAnswer>;
}
