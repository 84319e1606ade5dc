import type { ClinicCase, TestRun, Told } from '../../site/clinic/ClinicCase';
import { isCause, isClinicTest, type Cause, type ClinicTest, type Treatment } from '../../judge/clinic/Cause';
import type { Circumstances } from '../../judge/clinic/Circumstances';
import { factsOf, type Fact } from '../../judge/clinic/facts';
import { daysToAnswer, testFor, treatmentsFor } from '../../judge/clinic/mend';
import { fitOf, weighCauses, type WeighedCauses } from '../../judge/clinic/weighCauses';
import { litHoursOf } from '../../judge/dli/LightDay';
import { isTooLong, isTooStrong } from '../../judge/verdict/hardLimits';
import type { Day } from '../../units/day';
import { circumstancesOf, type Lately } from './circumstancesOf';
import type { TrayInPlace } from '../../answer/bench/traysInPlace';
import { isRaisedLately, showsAtOnce, type StoodUntil } from './stoodLately';

/** The stem is looked at by itself. */
export type Askable = Exclude<keyof Told, 'stem_m'>;

/** A question whose answer would tell most. */
export interface NextQuestion {
  readonly field: Askable;
  /** How much the shares would move, on average over its answers: 0 … 1. */
  readonly gain: number;
}

export interface Diagnosis {
  readonly weighed: readonly WeighedCauses[];
  /** All facts, those that were denied as well: they stay to be seen. */
  readonly facts: readonly Fact[];
  /** Honest when it cannot tell: nothing was seen, or no cause stands out. */
  readonly certainty: 'nothing-seen' | 'unclear' | 'likely' | 'clear';
  readonly test: ClinicTest;
  readonly lookIn_days: number;
  readonly treatments: readonly Treatment[];
  readonly questions: readonly NextQuestion[];
  /** It is judged by the light until that day, in which what is seen has grown; null: by today's. */
  readonly byLightUntil: Day | null;
  /** What was set otherwise since has taken the cause away. */
  readonly isMended: boolean;
}

/** New growth shows light from then on (growers' consensus: in 3 to 7 days); scorched leaves sooner. */
const SHOWS_days = 3;
/** The light that is less likely shown has to go so many times better with the signs than the other: our choice. */
const FITS_BETTER = 2;
/** A cause that is this many times less likely by today's light is mended: our choice. */
const MENDED = 2;
/** What changes the light of a tier. */
const OF_LIGHT: ReadonlySet<Treatment> = new Set([
  'lower-lamp',
  'add-lamp',
  'add-hours',
  'raise-lamp',
  'dim',
  'fewer-hours',
  'spread-lamps',
  'move-from-centre',
]);

/** A cause that holds so much of all is likely, and clear. */
const LIKELY = 0.5;
const CLEAR = 0.8;
/** An answer that moves less is not asked for. */
const LEAST_GAIN = 0.04;
const MOST_QUESTIONS = 3;

/**
 * What is wrong, as far as signs, plan and person tell; what would tell more; what to try and what mends it. Plants show the light that they
 * had: where their tier was set otherwise lately, they are judged by the light in which what they show has grown.
 *
 * @param stood  how they stood before each change of late, the latest first
 */
export function diagnose(kase: ClinicCase, standing: TrayInPlace, day: Day, stood: readonly StoodUntil[] = []): Diagnosis {
  const isRaised = isRaisedLately(kase, standing, stood);
  const now: Lately = { at: standing, isRaised };
  const { at, until } = lightShown(kase, standing, day, stood, isRaised);
  const lately: Lately = { at, isRaised };
  const circumstances = circumstancesOf(kase, standing, day, lately);
  const facts = factsOf(circumstances);
  const usedIn = (of: Circumstances) => factsOf(of).filter((f) => !kase.denied.includes(f.id));
  const tried = factsOfTests(kase.tests);
  const weigh = (c: ClinicCase) => {
    const of = circumstancesOf(c, standing, day, lately);
    return weighCauses(of, [...usedIn(of), ...tried]);
  };
  const weighed = weighCauses(circumstances, [...usedIn(circumstances), ...tried]);
  const [first, second] = [weighed[0]!, weighed[1]!];
  const isSeen = circumstances.signs.length > 0;
  // What is to be done goes by how it is today.
  const today = until === null ? circumstances : circumstancesOf(kase, standing, day, now);
  const isMended =
    until !== null &&
    isInRange(standing, today.light) &&
    first.share > MENDED * shareOf(first.cause, weighCauses(today, [...usedIn(today), ...tried]));
  const treatments = treatmentsFor(first.cause, today);
  return {
    weighed,
    facts,
    certainty: !isSeen ? 'nothing-seen' : first.share >= CLEAR ? 'clear' : first.share >= LIKELY ? 'likely' : 'unclear',
    test: isMended ? 'look-at-new-leaves' : testFor(first.cause, today, second.share > 0.15 ? second.cause : null),
    lookIn_days: daysToAnswer(first.cause, circumstances),
    treatments: isMended ? treatments.filter((t) => !OF_LIGHT.has(t)) : treatments,
    questions: isSeen ? questionsFor(kase, weighed, weigh) : [],
    byLightUntil: until,
    isMended,
  };
}

/** Whether a crop has enough light where it looks wrong, and bears it at every leaf: what was mended too well is not right. */
function isInRange({ light, tray: { limits, day } }: TrayInPlace, { dli, dliMin, dliMax }: Circumstances['light']): boolean {
  const isBorne = light !== null && !isTooStrong(light.stats.strongest.ppfd, limits) && !isTooLong(litHoursOf(day), limits);
  return isBorne && dli !== null && dli >= dliMin && dli <= dliMax;
}

const shareOf = (cause: Cause, weighed: readonly WeighedCauses[]): number => weighed.find((w) => w.cause === cause)!.share;

/**
 * The light that plants show: what was set otherwise in the last days they hardly can, unless it goes a good deal better with the signs; later
 * on they show it, as they do at once where they are scorched, unless the light of before goes a good deal better.
 */
function lightShown(
  kase: ClinicCase,
  standing: TrayInPlace,
  day: Day,
  stood: readonly StoodUntil[],
  isRaised: boolean,
): { readonly at: TrayInPlace; readonly until: Day | null } {
  const fit = (at: TrayInPlace) => {
    const of = circumstancesOf(kase, standing, day, { at, isRaised });
    return fitOf(
      of,
      factsOf(of).filter((f) => !kase.denied.includes(f.id)),
    );
  };
  let shown: { readonly at: TrayInPlace; readonly until: Day | null } = { at: standing, until: null };
  if (!standing.light || kase.signs.length === 0) return shown;
  for (const then of stood) {
    if (!then.light) continue;
    const isNew = then.until > day - SHOWS_days && !showsAtOnce(kase);
    const better = Math.exp(fit(then) - fit(shown.at));
    if (better > (isNew ? 1 / FITS_BETTER : FITS_BETTER)) shown = { at: then, until: then.until };
  }
  return shown;
}

/** What a test that has come out says of the cause that it was made for, and of the next one. */
const OUTCOME_FACTORS = { helped: [5, 0.5], same: [0.25, 1.5], worse: [0.15, 1.5] } as const;

function factsOfTests(tests: readonly TestRun[]): Fact[] {
  return tests.flatMap((t): Fact[] => {
    if (t.outcome === null || !isCause(t.cause) || !isCause(t.next)) return [];
    const [own, next] = OUTCOME_FACTORS[t.outcome];
    return [
      {
        id: 'tested',
        from: 'person',
        found: null,
        against: null,
        factors: { [t.cause]: own, [t.next]: next } as Partial<Record<Cause, number>>,
      },
    ];
  });
}

/** Answers that a person could give, by what they are of. */
const ANSWERS: { readonly [K in Askable]-?: readonly NonNullable<Told[K]>[] } = {
  night_C: [8, 16, 24],
  day_C: [14, 21, 29],
  compost_C: [10, 20, 28],
  humidity_percent: [25, 55, 90],
  ph: [6, 7.5],
  daysInDark: [0, 3],
  water: ['wet', 'dry', 'even'],
  fed: ['none', 'half', 'full'],
  hasFan: [true, false],
  isDraughty: [true, false],
  isMatOn: [true, false],
  isCrowded: [true, false],
  isPotSmall: [true, false],
  isOfSuchKind: [true, false],
  isLampHot: [true, false],
  happened: [[], ['stronger-light'], ['potted-on'], ['colder']],
};

/** Of what nobody has said yet, what would move the shares most: half of the sum of all moves, over the answers. */
function questionsFor(kase: ClinicCase, now: readonly WeighedCauses[], weigh: (c: ClinicCase) => readonly WeighedCauses[]): NextQuestion[] {
  const shares = new Map(now.map((w) => [w.cause, w.share]));
  return (Object.keys(ANSWERS) as Askable[])
    .filter((field) => kase.told[field] === undefined)
    .map((field) => {
      const answers = ANSWERS[field] as readonly unknown[];
      const moved = answers.map((answer) => {
        const then = weigh({ ...kase, told: { ...kase.told, [field]: answer } });
        return then.reduce((sum, w) => sum + Math.abs(w.share - shares.get(w.cause)!), 0) / 2;
      });
      return { field, gain: moved.reduce((a, b) => a + b, 0) / moved.length };
    })
    .filter((q) => q.gain >= LEAST_GAIN)
    .sort((a, b) => b.gain - a.gain)
    .slice(0, MOST_QUESTIONS);
}

/** The test that is begun for a cause, with the day on which to look again. */
export function testRun({ weighed, test, lookIn_days }: Diagnosis, day: Day): TestRun {
  return { test, cause: weighed[0]!.cause, next: weighed[1]!.cause, began: day, look: day + lookIn_days, outcome: null };
}

export const runningTest = (kase: ClinicCase): (TestRun & { readonly test: ClinicTest }) | null => {
  const last = kase.tests.at(-1);
  return last && last.outcome === null && isClinicTest(last.test) ? { ...last, test: last.test } : null;
};
