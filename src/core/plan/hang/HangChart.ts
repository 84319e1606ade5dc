import type { BenchAnswer } from '../../answer/bench/BenchQuestion';
import type { StageName } from '../../things/crop/Crop';
import type { Received } from '../../judge/dli/LightDay';
import type { Metres } from '../../units/quantities';
import type { Site } from '../../site/stand/Site';
import type { ClockChange } from '../../units/clockChanges';
import type { Day } from '../../units/day';
import type { Standing } from '../../judge/verdict/standing';
import type { VisitJobs } from '../../site/hang/KeptChart';

/** Of which stand a chart is wanted, from which day on. */
export interface HangQuestion {
  readonly site: Site;
  readonly standId: string;
  /** Its light now, from the engine. */
  readonly answer: BenchAnswer;
  readonly from: Day;
  /** The steps of the household's timers. */
  readonly timerStep_min: number;
}

/** The same before the light is known. */
export type ChartAsked = Omit<HangQuestion, 'answer'>;

/**
 * Told on the way to a chart: how far it is, 0 … 1, and the visits that are found so far. Those go by the table of the light alone: the
 * engine may yet change one, and nothing can be told of its trays.
 */
export type ChartOnTheWay = (done: number, soFar: readonly VisitJobs[]) => void;

/** A tray on one day of the chart. */
export interface TrayDay extends Received {
  readonly tierId: string;
  readonly trayId: string;
  readonly stage: StageName;
  readonly phase: 'before' | 'growing' | 'left';
  /** Of the plants above the compost, and from the lamp's face to their tops. */
  readonly height: Metres;
  readonly distance: Metres;
  /** `hot`: nearer than heat or air allow; `rest`: nothing needs light yet, or any more. */
  readonly says: Standing | 'hot' | 'rest';
}

/** A visit on which something is to be done: how the trays are right after it, and on the last day before the next one. */
export interface HangVisit extends VisitJobs {
  readonly last: Day;
  readonly after: readonly TrayDay[];
  readonly before: readonly TrayDay[];
}

/** A stretch of days on which a tray is not within its band whatever is done, and what stands in the way. */
export interface ChartLimit {
  readonly tierId: string;
  readonly trayId: string;
  readonly says: Exclude<TrayDay['says'], 'suits' | 'rest'>;
  /** `heat`: no nearer for heat or air; `ceiling`: no higher; `fixed`: the lamp can't be moved; `rhythm`: it would be, if somebody came by more often; `sun`: by itself, by its strength on clear days; `sun-dose`: by itself, by its dose. */
  readonly bound: 'heat' | 'ceiling' | 'fixed' | 'rhythm' | 'shared' | 'sun' | 'sun-dose' | null;
  /** Whether a longer day would bring more, or a shorter one less: for all trays of the timer, or only on a timer of its own. `null`: it is as long, or as short, as may be. */
  readonly otherHours: 'timer' | 'own' | null;
  readonly from: Day;
  readonly to: Day;
}

/** A trip: the visit before it, and what has become of the trays by the return. */
export interface Trip {
  readonly from: Day;
  readonly to: Day;
  /** What is to be done before leaving; null: nothing. */
  readonly before: VisitJobs | null;
  readonly drift: readonly TripDrift[];
}

export interface TripDrift {
  readonly tierId: string;
  readonly trayId: string;
  readonly leave: TrayDay;
  readonly back: TrayDay;
  /** Days of the trip on which it is not within its band. */
  readonly daysOff: number;
  /** First day of the trip on which its leaves are in the heat of a lamp; null: they keep clear of it. */
  readonly hotFrom: Day | null;
  /** It comes up while nobody is there. */
  readonly emerges: Day | null;
}

/** The dated list of a stand. */
export interface HangChart {
  readonly standId: string;
  readonly from: Day;
  readonly until: Day;
  readonly visits: readonly HangVisit[];
  readonly limits: readonly ChartLimit[];
  readonly trips: readonly Trip[];
  /** Days on which the clocks change and the plug timers have to be set. */
  readonly clockChanges: readonly ClockChange[];
  /** How often somebody comes by, whether or not there is something to do. */
  readonly rounds: number;
}
