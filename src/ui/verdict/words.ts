import type { Crop, LeggyRemedy, Stage, StageName } from '@/core/things/crop/Crop';
import type { AgeView } from '@/core/things/lamp/ageing';
import type { Uncertainty } from '@/core/judge/uncertainty/Band';
import type { Certainty } from '@/core/judge/uncertainty/certainty';
import type { Breach } from '@/core/judge/verdict/hardLimits';
import type { Verdict } from '@/core/judge/verdict/judge';
import { showHours } from '@/core/units/clock';
import { shadeWords } from '../daylight/shadeWords';
import { besideWords } from '../parts/besideWords';

/** The three doses that a tray is judged by. */
export const SPOT_WORDS = { weakest: 'weakest', mean: 'mean', strongest: 'strongest' } as const;

/** A headline in two voices: what is well, and what is not. */
export interface Headline {
  readonly calm: string;
  readonly alarm: string;
}

const breachOf = <W extends Breach['why']>({ breaches }: Pick<Verdict, 'breaches'>, why: W) =>
  breaches.find((b): b is Extract<Breach, { why: W }> => b.why === why);

/** Of these seedlings and houseplants weak light makes pale and slow ones rather than long ones. */
const staysShort = ({ stretchProne }: Pick<Crop, 'stretchProne'>): boolean => stretchProne <= 2;

export function headlineOf(v: Verdict, crop: Pick<Crop, 'stretchProne'>): Headline {
  const short = staysShort(crop);
  const edge = short ? 'the edges will be pale and slow.' : 'the edges will stretch.';
  const sun = breachOf(v, 'sun-too-strong') && !breachOf(v, 'too-strong');
  switch (v.says) {
    case 'dark':
      return { calm: '', alarm: 'No light reaches the leaves.' };
    case 'day-too-long':
      return { calm: '', alarm: 'The day is too long for these plants.' };
    case 'in-range':
      return { calm: 'Good: the whole tray is in the target range.', alarm: '' };
    case 'edge-dim':
      if (isJustShort(v)) return { calm: NEARLY_ALL, alarm: 'the dimmest edge is just short of light.' };
      return { calm: 'The middle is right,', alarm: edge };
    case 'all-dim':
      if (v.shareInBand > 0)
        return {
          calm: '',
          alarm: short ? 'Too little light: most of the tray will be pale and slow.' : 'Too little light: most of the tray will stretch.',
        };
      return {
        calm: '',
        alarm: short ? 'Too little light everywhere. Growth will be pale and slow.' : 'Too little light everywhere. Stems will stretch.',
      };
    case 'spot-strong':
      if (isJustOver(v)) return { calm: NEARLY_ALL, alarm: 'the brightest spot gets a little too much.' };
      return { calm: 'Most of it is right,', alarm: sun ? 'but the sun is too strong on clear days.' : 'but too strong under the lamp.' };
    case 'all-strong':
      return { calm: '', alarm: 'Too strong: expect bleached or burnt tips.' };
    case 'dim-and-strong':
      return { calm: '', alarm: sun ? `Too much sun on clear days, while ${edge}` : `Too strong in the middle, while ${edge}` };
  }
}

const NEARLY_ALL = 'Nearly the whole tray is right,';
/** So much of a tray in range, and what is out no farther than this: plants there hardly differ from the rest. */
const NEARLY = { share: 0.95, off: 0.1 } as const; // our choice

const isJustShort = (v: Verdict): boolean =>
  v.says === 'edge-dim' && v.shareInBand >= NEARLY.share && v.weakest.value >= (1 - NEARLY.off) * v.lowDli;

/** Never where a limit of the leaves or of the day is broken. */
const isJustOver = (v: Verdict): boolean =>
  v.says === 'spot-strong' && v.breaches.length === 0 && v.shareInBand >= NEARLY.share && v.strongest.value <= (1 + NEARLY.off) * v.highDli;

/** How sure a result is, in one word. */
export const CERTAINTY_WORDS: Readonly<Record<Certainty, string>> = { sure: 'certain', likely: 'likely', open: 'uncertain' };

/** How sure the headline is, said plainly. @param isMeasured  readings of these lamps count already: the label is no longer what it goes by */
export function certaintyOf(v: Verdict, isMeasured: boolean): string {
  if (v.certainty === 'sure') return 'Certain: it holds for at least 99 of 100 such lamps.';
  if (v.certainty === 'likely')
    return `Likely. It changes only if the lamp gives much less or more than ${isMeasured ? 'your readings say' : 'its label says'}.`;
  return isMeasured
    ? 'Uncertain: within what your readings leave open it may be better or worse. A little more or less light decides.'
    : 'Uncertain: the label allows better and worse. Measure once to be sure.';
}

const STRETCH: Readonly<Record<number, string>> = {
  1: 'In weak light these plants stay short, but grow very slowly.',
  2: 'In weak light these plants stay fairly short, but grow slowly and pale.',
  3: 'In weak light these plants stretch visibly within a week or two.',
  4: 'In weak light these plants stretch fast: long thin stems within a week.',
  5: 'In weak light these plants fall over within days.',
};

const REMEDY: Readonly<Record<LeggyRemedy, string>> = {
  'bury-stem': 'Stretched plants can be potted deeper: the buried stem roots.',
  'bury-to-cotyledons': 'Stretched plants can be potted up to their seed leaves.',
  restart: 'Stretched plants seldom recover: sow again while there is time.',
  'prune-and-brighten': 'Cut back what has stretched once the light is right.',
  'trim-tops': 'Trim the tops once the light is right.',
  'take-cuttings': 'Take cuttings from what has stretched.',
  're-root-rosette': 'Cut the rosette off and root it again.',
  'brighten-only': 'New leaves will grow normally after you correct the light.',
};

/** What the light will do to these plants. @param curtained  a net curtain hangs at their window */
export function consequencesOf(v: Verdict, crop: Crop, stage: Stage, curtained: boolean): string[] {
  const said: string[] = [];
  const dim = v.says === 'dark' || v.says === 'all-dim' || v.says === 'edge-dim' || v.says === 'dim-and-strong';
  const strong = v.says === 'all-strong' || v.says === 'spot-strong' || v.says === 'dim-and-strong';
  const sun = breachOf(v, 'sun-too-strong');
  if (isJustShort(v))
    said.push('At the dimmest edge plants grow a little longer and slower than the rest: turn the tray around now and then.');
  else if (dim) said.push(`${STRETCH[crop.stretchProne] ?? STRETCH[3]} ${REMEDY[staysShort(crop) ? 'brighten-only' : crop.leggyRemedy]}`);
  if (isJustOver(v)) said.push('The brightest spot gets a little more light than this crop can use: there it does not help.');
  else if (strong) {
    said.push(
      sun
        ? `On a clear day the sun alone brings up to ${besideWords(sun.ppfd, sun.most)} µmol/m²/s here; above ${sun.most} the top leaves may bleach or curl. Shade the glass or move the tray: the lamps cannot mend it.`
        : v.strengthBinds
          ? `Above ${stage.ppfdMax} µmol/m²/s the top leaves may bleach or curl, even with a short photoperiod.`
          : 'The DLI is higher than this crop can use. Extra light does not help, and leaf tips may burn at the strongest spot.',
    );
  }
  if (v.says === 'in-range') {
    const target = stage.dliTarget;
    said.push(
      v.mean.value < target * 0.85
        ? `Enough everywhere. At about ${target} mol/m²/day growth is faster and stems stay shorter.`
        : v.mean.value > target * 1.15
          ? `Enough everywhere, and more than the best ${target} mol/m²/day: you can save power.`
          : `Close to the ${target} mol/m²/day that suits it best.`,
    );
  }
  if (!sun && v.received.noonPpfd > stage.ppfdMax)
    said.push(
      `When the sky is clear the sun brings up to ${besideWords(v.received.noonPpfd, stage.ppfdMax)} µmol/m²/s for a while; the leaves tolerate ${stage.ppfdMax} all day. ${shadeWords(curtained)} protects them.`,
    );
  if (v.hoursTooLong) said.push(longDayWords(crop, stage.hoursMax));
  if (v.hoursTooShort) said.push(`The photoperiod is shorter than the usual ${stage.hoursMin} h.`);
  return said;
}

/** A limit that is broken, beside doses that may all be in range. @param withSun  whether the lamps alone would keep to it */
export function breachWords(b: Breach, withSun: boolean): string {
  if (b.why === 'day-too-long') return `Light for ${showHours(b.hours * 60)}; limit ${showHours(b.most * 60)}`;
  const from = b.why === 'sun-too-strong' ? ' on a clear day, from the sun alone' : withSun ? ' with the usual daylight' : '';
  return `PPFD up to ${besideWords(b.ppfd, b.most)} µmol/m²/s${from}; limit ${b.most}`;
}

function longDayWords(crop: Crop, longest: number): string {
  if (crop.continuousLightInjury === 'high') {
    return `More than ${longest} h of light a day damages these plants. They need a dark period (${crop.continuousLightInjurySource}).`;
  }
  return `More than ${longest} h of light a day: no source shows that these plants tolerate this.`;
}

const STAGE_WORDS: Readonly<Record<StageName, string>> = {
  emergence: 'emergence',
  seedling: 'seedling',
  'growing-on': 'growing on',
  'flowering-fruiting': 'flowering or fruiting',
  maintenance: 'maintenance',
};

export const stageWords = (stage: Stage): string => stage.label ?? STAGE_WORDS[stage.stage];

/** Said where light of another day than today is shown, so that nobody forgets it. */
export const AGE_WORDS: Readonly<Record<AgeView, string>> = {
  new: 'with the lamp as new',
  now: 'with the lamp as it is',
  end: 'with the lamp at the end of its life',
};

const UNCERTAINTY_WORDS: Readonly<Record<Uncertainty['why'], string>> = {
  'box-label': 'lamp label',
  'lumens-to-photons': 'lumens-to-PPF conversion',
  age: 'the lamp’s age',
  daylight: 'the sky of the day',
  'beam-shape': 'beam shape',
  sides: 'wall reflectance',
  neighbours: 'how thick the leaves of taller neighbours stand',
  distance: 'leaves 1 cm nearer or farther',
  meter: 'the meter’s own error',
  'meter-conversion': 'lux-to-PPFD conversion',
  'few-readings': 'few readings',
};

export const uncertaintyWords = (uncertainty: Uncertainty): string => UNCERTAINTY_WORDS[uncertainty.why];

/** In whole percents; what is not all of it is never called 100 %. */
export const percent = (share: number): string => {
  const whole = Math.round(share * 100);
  return `${whole === 100 && share < 1 - 1e-6 ? 99 : whole} %`;
};

/**
 * How much of a tray is in range. All of it only where the verdict says so: the share is counted by parts of the tray, and a corner that
 * is just short is no part of it.
 */
export function toldShare({ says, shareInBand }: Pick<Verdict, 'says' | 'shareInBand'>): number {
  const whole = says === 'in-range' || says === 'day-too-long';
  return whole ? shareInBand : Math.min(0.99, shareInBand);
}

export const shareWords = (v: Pick<Verdict, 'says' | 'shareInBand'>): string => percent(toldShare(v));

const BASIS_WORDS = {
  paper: 'from published research',
  bulletin: 'from an extension bulletin or a book',
  consensus: 'growers’ consensus',
} as const;
export const basisWords = (basis: Stage['basis']): string => BASIS_WORDS[basis];
