import type { PlantState } from '@/core/judge/growth/Plant';
import type { Exercise, ExerciseId } from '@/core/plan/practice/Exercise';
import type { Outcome } from '@/core/plan/practice/outcomeOf';
import type { Seen } from '@/core/plan/practice/passDay';
import type { TellTale } from '@/core/plan/practice/tellTales';
import { showReading } from '../readings/words';

interface ExerciseWords {
  readonly title: string;
  /** What one finds, in one or two sentences. */
  readonly story: string;
  /** What to do. */
  readonly task: string;
  /** What it teaches, told at the end. */
  readonly lesson: string;
}

export const EXERCISE_WORDS: Readonly<Record<ExerciseId, ExerciseWords>> = {
  'one-bulb': {
    title: 'One bulb, one tray',
    story: 'Basil has been up for three days on the kitchen table. A 24 W bulb hangs far above it for ten hours a day.',
    task: 'Set distance and hours so that the basil stays compact for two weeks.',
    lesson: 'Distance and hours make the DLI together. A bulb close by lights its middle only; a little higher and longer is more even.',
  },
  'too-near': {
    title: 'Too near',
    story: 'Tomato seedlings stand right under a strong panel for sixteen hours a day.',
    task: 'Find a distance and hours that do not burn them.',
    lesson:
      'Strong lamps have a nearest distance: for their heat, for the strongest PPFD that leaves tolerate, and for the DLI. Plants grow towards them, so the lamp must rise too.',
  },
  'two-trays': {
    title: 'Two trays, one light',
    story: 'One short light hangs over the left of two lettuce trays.',
    task: 'Both trays need enough. Nine in ten seedlings must be sound, and there is no second light.',
    lesson: 'Move the lamp before you buy another: its middle belongs over the middle of the plants.',
  },
  'wrong-range': {
    title: 'The wrong range',
    story: 'Somebody measured last week. The readings do not fit each other: some were read on the wrong range of the meter.',
    task: 'Find out which readings are right, then set distance and hours.',
    lesson: 'A tenfold difference between neighbouring points is a range, not a shadow. Measure again or leave the wrong ones out.',
  },
  'old-tubes': {
    title: 'Old tubes',
    story: 'Parsley under four tubes in the cellar. Nobody knows how long the tubes have burned.',
    task: 'Measure, let the plan follow the readings, then set distance and hours.',
    lesson: 'Tubes look as bright as ever long after they have lost a third. Only a reading tells.',
  },
  'grey-sides': {
    title: 'White sides?',
    story: 'A cabinet that is painted white inside, as the plan says. It has stood in a workshop for years.',
    task: 'Sage and snapdragon both need enough light. Find out how much the sides really give back.',
    lesson: 'In a closed cabinet half of the light may come from its sides. A walk with the meter finds what they reflect.',
  },
  'red-blue': {
    title: 'Red and blue, and a lux meter',
    story: 'Tomatillos under a pink panel. A lux meter lies beside it. It sees little of such light.',
    task: 'Use the readings all the same: the application knows the colour. Then set the distance.',
    lesson: 'A lux meter follows the eye. Under red and blue each lux stands for far more photons than under white light.',
  },
  advert: {
    title: 'The advert',
    story: 'A "1500 W" panel that draws 65 W hangs over physalis. A plain board lies in the cupboard.',
    task: 'Find out what the panel really gives. Lower it, or hang up the other one.',
    lesson: 'More light for each watt than any lamp can give is a sign that a figure is not true. A reading settles it.',
  },
  'two-crops': {
    title: 'Two crops, one timer',
    story: 'Leek and tomatillo share a shelf and a timer, eighteen hours a day. The leek must not have such long days.',
    task: 'Nine in ten seedlings of both must be sound.',
    lesson: 'The longest day that one tolerates and the DLI that the other needs meet at shorter hours and a nearer lamp.',
  },
  away: {
    title: 'A week away at emergence',
    story: 'Lettuce was sown two days ago. The lamp is still off, and tomorrow you leave for two weeks.',
    task: 'Set everything today. Nobody comes by until the end.',
    lesson: 'Seedlings stretch in the first days. The lamp must be on when the first are up, even if nobody is there to see it.',
  },
  'january-sill': {
    title: 'The sill in January',
    story: 'Leek on a south-east sill. A lamp helps for five hours, and the old timer runs slow.',
    task: 'Make up what the window lacks, with at most 9 kWh, and set the clock of the timer now and then.',
    lesson: 'In January a window gives a quarter of what seedlings need. Lamp and daylight together make the length of the day.',
  },
  'fair-trial': {
    title: 'A fair trial',
    story: 'Two feeds are compared on four trays. Both trays with the weak feed stand in the bright half.',
    task: 'Give both feeds the same light (within 4 %), and keep the lettuce sound. Move what you like.',
    lesson: 'Two things changed at once can’t be told apart. Arrange trays and lamps so that only the feed differs.',
  },
  'tired-meter': {
    title: 'The tired meter',
    story: 'Snapdragons under two new lamps. There are three readings of six weeks ago. The battery of the meter was never changed.',
    task: 'Set distance and hours. Decide what you believe.',
    lesson: 'When new readings and old ones of new lamps differ by half, doubt the meter first.',
  },
  free: {
    title: 'Free practice',
    story: 'A rack with two lamps and seeds, everything else by chance.',
    task: 'Four in five seedlings sound after three weeks.',
    lesson: 'Measure first, then set, then look again.',
  },
};

export const LEVEL_WORDS = { 1: 'To begin with', 2: 'With a hidden truth', 3: 'Hard' } as const;

export const STATE_WORDS: Readonly<Record<PlantState, string>> = { sound: 'sound', leggy: 'leggy', behind: 'behind', burnt: 'burnt' };

/** What has to come out of it. */
export function goalWords({ goal, days }: Pick<Exercise, 'goal' | 'days'>): string {
  const parts = [`${Math.round(100 * goal.sound)} of 100 seedlings sound after ${days} days`];
  if (goal.kWh !== null) parts.push(`no more than ${goal.kWh} kWh`);
  if (goal.alike) parts.push(`both arms within ${Math.round(100 * goal.alike.within)} % of the same light`);
  return parts.join(', ');
}

export function seenWords({ what, share }: Seen, name: string): string {
  if (what === 'emerged') return `${name}: up`;
  return `${name}: ${Math.round(100 * share)} % ${STATE_WORDS[what]}`;
}

export const MISSED_WORDS: Readonly<Record<Outcome['missedGoals'][number], string>> = {
  sound: 'Too few seedlings are sound.',
  kWh: 'The lamps used too much power.',
  alike: 'The two arms did not get the same light.',
};

/** What was true, and which reading would have told. */
export function tellTaleWords(
  t: TellTale,
  unit: string,
  nameOf: (batchId: string) => string,
  day: (day: number) => string,
): { truth: string; told: string } {
  // prettier-ignore
  const number = showReading;
  switch (t.what) {
    case 'lamp':
      return {
        truth: `${t.name} gave ${Math.round(100 * t.share)} % of what its label says.`,
        told: `One reading at the leaves: ${number(t.shown)} ${unit} instead of ${number(t.said)}.`,
      };
    case 'sides':
      return {
        truth: `The sides reflected ${Math.round(100 * t.share)} %, much less than the plan said.`,
        told: `A walk with the meter: ${number(t.shown)} ${unit} in the middle of the first tray instead of ${number(t.said)}.`,
      };
    case 'meter':
      return {
        truth: `The meter showed ${Math.round(100 * t.factor)} % of what it should.`,
        told: `A comparison with something known: where it showed ${number(t.shown)} ${unit}, there were ${number(t.said)}.`,
      };
    case 'filter':
      return { truth: 'The filter of the meter misses part of the light of coloured lamps.', told: 'A comparison with another meter.' };
    case 'clock':
      return { truth: `The clock of the timer lost ${t.lag_min} minutes a day.`, told: 'A look at its dial beside your own clock.' };
    case 'late':
      return {
        truth: `${nameOf(t.batchId)} came up on ${day(t.day)}, ${Math.abs(t.by)} ${Math.abs(t.by) === 1 ? 'day' : 'days'} ${t.by > 0 ? 'later' : 'sooner'} than usual.`,
        told: 'A look into the tray from the first possible day on, with the lamp already on.',
      };
  }
}
