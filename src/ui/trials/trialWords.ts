import { comesWithPlace } from '@/core/plan/trial/trialRounds';
import type { TrialResult } from '@/core/plan/trial/resultOf';
import type { Trial, TrialFactor } from '@/core/site/trial/Trial';
import type { DesignFault, DesignReview, Factor } from '@/core/judge/trial/reviewDesign';

export const FACTOR_WORDS: Readonly<Record<TrialFactor, string>> = {
  lamp: 'Lamp',
  distance: 'Distance of the lamp',
  dose: 'DLI',
  hours: 'Hours a day',
  mat: 'Heat mat',
  cover: 'Cover',
  medium: 'Seed mix',
  container: 'Container',
  position: 'Place',
  sown: 'Sowing date',
  feed: 'Feed',
  crop: 'Crop or kind',
};
const EXTRA: Readonly<Record<Factor, string>> = {
  lamp: 'the lamp',
  distance: 'the distance',
  hours: 'the hours',
  mat: 'the heat mat',
  cover: 'the cover',
  medium: 'the seed mix',
  container: 'the container',
  position: 'the place',
  sown: 'the sowing date',
};

export const SELECTION_WORDS = {
  none: 'All that came up',
  random: 'Some, by chance',
  best_picked: 'The best were picked',
  worst_removed: 'The worst were removed',
} as const;

const list = (words: readonly string[]) => (words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`);
const n = (v: number) => String(Number(v.toPrecision(3)));

/** What mends that arms stand in different places. */
const placeMend = (trial: Pick<Trial, 'factor'>): string =>
  comesWithPlace(trial)
    ? 'The tiers differ in warmth and air too. Spread each arm over two tiers, or exchange the lamps and trays of the arms half way.'
    : 'Each place has its own warmth, air and light. Stand the arms side by side, or let the trays change places.';

/** What keeps a design from answering its question, and what would mend it. */
export function designFaultWords(
  trial: Pick<Trial, 'factor'>,
  code: DesignFault,
  review: DesignReview,
): { readonly title: string; readonly mend: string } {
  const extra = list(review.extraFactors.map((f) => EXTRA[f]));
  const ratio = review.dliRatio === null ? '' : n(review.dliRatio);
  const words: Record<DesignFault, { title: string; mend: string }> = {
    BUNDLED: {
      title: `${extra.charAt(0).toUpperCase()}${extra.slice(1)} ${review.extraFactors.length === 1 ? 'differs' : 'differ'} as well`,
      mend:
        review.extraFactors.join() === 'position'
          ? placeMend(trial)
          : 'Then nobody can say which of them made the difference. Make it the same in all arms.',
    },
    DOSE_UNEQUAL: {
      title: `One arm gets ${ratio} times the light of another`,
      mend: 'Set heights or hours so that the DLI of the arms is within 10 %, or compare the DLI itself.',
    },
    EQUAL_DISTANCE_NOT_EQUAL_LIGHT: {
      title: 'Equal distance is not equal light',
      mend: 'Lamps differ in strength and beam. Hang them for equal DLI, not for equal distance.',
    },
    DOSE_UNKNOWN: {
      title: 'The light of an arm is not known',
      mend: 'Choose each tray from your stands, so that its DLI can be worked out.',
    },
    CROP_NOT_IN_EVERY_ARM: {
      title: 'A crop stands in one arm only',
      mend: 'Give every arm the same crops; those that are in one arm only are left out.',
    },
    PLANTS_AS_REPLICATES: { title: 'Plants of one tray are no repeats', mend: 'They share tray, water and lamp. Count trays.' },
    ONE_CONTAINER: {
      title: 'One tray in an arm',
      mend: 'Then a better tray and a better arm cannot be told apart. Use at least four trays an arm.',
    },
    TOO_FEW_FOR_TEST: {
      title: 'Too few trays for a test',
      mend: 'With fewer than four against four, chance alone gives such a difference too often. You will see a difference and an interval, no more.',
    },
    SELECTED_AFTER_START: {
      title: 'Plants were picked after the start',
      mend: 'Whoever picks, picks what they hope for. Keep all, or take some by chance.',
    },
    UNBLINDED_SCORE: { title: 'Scored by somebody who knows the arm', mend: 'Let somebody score who sees only the codes.' },
    DEVIATION_ONE_ARM: {
      title: 'Something happened to one arm only',
      mend: 'It may be the cause of the difference. Say so with the result, or begin again.',
    },
    STOP_NOT_FIXED: {
      title: 'The end is not fixed',
      mend: 'Whoever stops when it looks best finds a difference in chance. Fix what is measured and on which day.',
    },
    NO_CONTRAST: { title: 'The arms do not differ in what you compare', mend: 'Change it in one arm.' },
  };
  return words[code];
}

const percent = (p: number) => (p < 0.001 ? 'less than 0.1 %' : `${n(p * 100)} %`);

/** One sentence on what a trial shows. */
export function shownWords(trial: Trial, { found, status, arms, isShare }: TrialResult): string {
  if (status === 'no_data') return 'Type what was measured: then you see what it shows.';
  const unit = isShare ? 'of the seeds' : trial.outcome.unit;
  const value = (v: number) => (isShare ? `${n(v * 100)} percentage points` : `${n(v)} ${unit}`);
  return found
    .map((f) => {
      const name = arms.find((a) => a.id === f.arm)?.name || f.arm;
      const first = arms[0]!.name || 'A';
      if (f.diff === null) return `Nothing was measured in ${name} yet.`;
      const difference = `${trial.outcome.name || 'The measure'}: ${name} is ${value(Math.abs(f.diff))} ${f.diff < 0 ? 'lower' : 'higher'} than ${first}`;
      if (status === 'difference_only') return `${difference}. With one tray in an arm nothing can be said of why.`;
      const between = f.lo === null ? '' : `; the true difference is probably between ${value(f.lo)} and ${value(f.hi!)}`;
      if (status === 'interval_only')
        return `${difference}${between}. So few trays cannot show more than that: even the clearest result comes by chance in ${percent(f.leastP ?? 1)} of trials.`;
      if (f.p === null) return `${difference}${between}.`;
      return f.p <= 0.05
        ? `${difference}${between}. Chance alone gives such a difference in ${percent(f.p)} of trials: too rarely to be the likely reason.`
        : `${difference}${between}. Chance alone gives such a difference in ${percent(f.p)} of trials: no difference that could be relied on.`;
    })
    .join(' ');
}

/** What a trial cannot show, whatever its numbers. */
export function cannotWords(trial: Trial, review: DesignReview, result: TrialResult): string[] {
  return [
    ...(trial.factor === 'lamp' || trial.factor === 'distance' || trial.factor === 'dose'
      ? ['One lamp to an arm: another lamp of the same kind may differ. The lamp itself was not repeated (Hurlbert 1984).']
      : []),
    ...(result.missing > 0
      ? [`${result.missing} plants are missing. If more died in one arm, that is a result of its own, and the others are the survivors.`]
      : []),
    ...(result.alone.length > 0
      ? [
          `Left out: ${result.alone.join(', ')}. Nothing was measured of what stood in the same block, so that there is nothing to compare with.`,
        ]
      : []),
    ...(result.farOff.length > 0 ? [`Far from the rest of their tray: ${result.farOff.join(', ')}. They stay in.`] : []),
    ...(result.likeness !== null && result.likeness > 0.2
      ? ['Plants of one tray are much alike here: more plants a tray would tell little, more trays would.']
      : []),
    ...(review.codes.length > 0 ? ['The faults of the design above still hold.'] : []),
    'It holds for this crop, season and place.',
  ];
}
