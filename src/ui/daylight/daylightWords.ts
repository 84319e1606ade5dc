import type { HomePlace } from '@/core/plan/daylight/homePlaces';
import { showLength, type LengthUnit } from '@/core/units/length';
import type { MonthSays } from '@/core/answer/daylight/suits';
import type { Correction, Unusable } from '@/core/answer/daylight/correctionOf';
import type { ClimateKind } from '@/core/sky/outdoors/climates';
import type { PaneKind } from '@/core/sky/window/Glass';
import type { DirtKind, AtWindow } from '@/core/site/window/Window';

export const MONTHS = [
  'January', 'February', 'March', 'April', 'May', 'June', 'July', 'August', 'September', 'October', 'November', 'December',
] as const; // prettier-ignore
export const shortMonth = (month: number): string => MONTHS[month]!.slice(0, 3);

export const CLIMATE_WORDS: Readonly<Record<ClimateKind, string>> = {
  'cloudy-coast': 'cloudy coast',
  inland: 'inland, cloudy winters',
  'warm-dry-summer': 'warm with dry summers',
  dry: 'dry and sunny',
  'humid-warm': 'warm and humid',
  'rainy-tropics': 'rainy tropics',
  'far-north': 'far north',
};

export const PANE_WORDS: Readonly<Record<PaneKind, string>> = {
  single: 'single',
  double: 'double, no coating',
  'double-coated': 'double, heat-saving',
  'triple-coated': 'triple, heat-saving',
  'sun-protection': 'sun protection',
};

export const DIRT_WORDS: Readonly<Record<DirtKind, string>> = { clean: 'just cleaned', usual: 'as usual', dirty: 'dirty' };

export const SIDE_WORDS: Readonly<Record<AtWindow['side'], string>> = {
  back: 'its back',
  front: 'its front',
  left: 'its left side',
  right: 'its right side',
};

export const MONTH_SAYS_WORDS: Readonly<Record<MonthSays, string>> = {
  dark: 'far too little light',
  dim: 'too little light',
  suits: 'good',
  strong: 'too much light',
  scorch: 'sun may scorch it',
};

/** Of a reading that counts without one outdoors. */
export const COUNTS_A_LITTLE = 'Counts a little: a reading outdoors at the same time would tell more.';

/** What readings were found to say of a window. */
export function correctionWords({ factor, raise, uncertainty, of }: Correction): string {
  const sure = `±${Math.round(uncertainty * 100)} %`;
  if (of === 0) return `As computed from its size and panes: good to about ${sure}.`;
  const degrees = Math.round((Math.abs(raise) * 180) / Math.PI);
  const outside = degrees === 0 ? '' : `, and what stands outside reaches ${degrees}° ${raise > 0 ? 'higher' : 'less high'} than drawn`;
  const by = of === 1 ? 'one reading' : `${of} readings`;
  return `The panes let through ${Math.round(factor * 100)} % of what was computed${outside}. What comes in is known to about ${sure}, by ${by}.`;
}

export const UNUSABLE_WORDS: Readonly<Record<Unusable, string>> = {
  alone: 'Not used: in the sun or under a changing sky, a reading alone says more of the weather than of the window.',
  'not-overcast': 'Not used: only under a closed grey sky is the ratio the window’s own.',
  'too-bright': 'Not used: outdoors was brighter than any closed cloud cover, so the sun was out.',
  dark: 'Not used: it was dark.',
  'far-off': 'Not used: four times more or less than the window can give. Check the unit and the range of the meter.',
};

/** Months in a row as words: "March to September", "May", "November to January"; in order of the first. */
export function monthRuns(wanted: readonly boolean[]): string[] {
  if (wanted.every(Boolean)) return ['all year'];
  const runs: string[] = [];
  for (let m = 0; m < 12; m++) {
    if (!wanted[m] || wanted[(m + 11) % 12]) continue;
    let last = m;
    while (wanted[(last + 1) % 12]) last++;
    runs.push(last === m ? MONTHS[m]! : `${MONTHS[m]!} to ${MONTHS[last % 12]!}`);
  }
  return runs;
}

/** How often to turn a plant, by how one-sided its light is: our convention. */
export function turnEvery(lean: number): string | null {
  if (lean < 2) return null;
  if (lean < 4) return 'Turn it a quarter once a week.';
  if (lean < 10) return 'Turn it a quarter every 4 days.';
  return 'Turn it a quarter every 2 days.';
}

/** A place of the household by its stand, or by its window and how far from the glass it is. */
export function placeName({ stand, window, depth }: Pick<HomePlace, 'stand' | 'window' | 'depth'>, unit: LengthUnit): string {
  if (stand) return stand.tier === null ? stand.name : `${stand.name}, tier ${stand.tier}`;
  return `${window!.name}, ${showLength(depth!, unit)} from the glass`;
}
