import type { VisitJobs } from '../../site/hang/KeptChart';
import type { RotationKind } from '../../site/stand/Rotation';
import type { Share } from '../../units/quantities';
import type { Day } from '../../units/day';
import type { OutdoorDay } from '../season/hardening';

/** Why something is to be done, with what stands behind it. */
export type JobKind =
  /** Of a visit of the hang chart: lamps, risers and timer of one tier, or of the stand's timers. */
  | { readonly kind: 'hang'; readonly jobs: VisitJobs }
  | { readonly kind: 'sow'; readonly planId: string }
  | { readonly kind: 'pot-on'; readonly planId: string; readonly batchId: string; readonly containerId: string; readonly plants: number }
  | { readonly kind: 'harden'; readonly planId: string; readonly until: Day; readonly outdoors: OutdoorDay }
  /** `daysOutdoors`: days of hardening that were ticked; null: it does not go outdoors. */
  | {
      readonly kind: 'out';
      readonly planId: string;
      readonly batchId: string | null;
      readonly plants: number;
      readonly daysOutdoors: number | null;
    }
  | { readonly kind: 'look-for-seedlings'; readonly batchId: string; readonly from: Day; readonly to: Day; readonly overdue: boolean }
  | { readonly kind: 'cover-off'; readonly batchId: string; readonly trayIds: readonly string[] }
  /** Its end date is over, and its trays still stand there. */
  | { readonly kind: 'clear'; readonly batchId: string; readonly left: Day }
  | { readonly kind: 'mat-off'; readonly pluggedId: string; readonly name: string }
  /** Some on a mat are up, others are not yet: which come off it. */
  | { readonly kind: 'mat-part'; readonly name: string; readonly up: readonly string[]; readonly waiting: readonly string[] }
  /** Seedlings on a stand without a fan. */
  | { readonly kind: 'brush' }
  | { readonly kind: 'thin'; readonly batchId: string; readonly leaves: Day }
  | { readonly kind: 'feed'; readonly batchId: string; readonly strength: string; readonly everyDays: number; readonly last: Day | null }
  | { readonly kind: 'water'; readonly batchId: string; readonly last: Day; readonly everyDays: number }
  | { readonly kind: 'measure'; readonly last: Day | null }
  /** Cautions of a stand that nobody has seen to as it is now: before its lamps are lit. */
  | { readonly kind: 'safety'; readonly open: number; readonly changed: boolean }
  /** Trays of a tier turn or change places. */
  | { readonly kind: 'rotate'; readonly how: RotationKind; readonly every: number }
  /** A lamp of one's own that has come to the end of its rated life: what it still gives of its first light. */
  | { readonly kind: 'lamp'; readonly ownId: string; readonly name: string; readonly output: Share }
  /** A test of the clinic, or a visit of a trial. */
  | { readonly kind: 'look-again'; readonly caseId: string; readonly batchId: string }
  | { readonly kind: 'trial'; readonly trialId: string; readonly act: 'rotate' | 'measure' };

/** One thing to do, at one place of the walk. */
export interface Job {
  /** The same as long as it is the same job, whatever day it is. */
  readonly key: string;
  /** Since when it is due. */
  readonly due: Day;
  readonly standId: string | null;
  readonly tierId: string | null;
  /** 1 for the highest tier of its stand. */
  readonly tier: number | null;
  readonly trayIds: readonly string[];
  readonly what: JobKind;
  /** About how long it takes. */
  readonly minutes: number;
}
