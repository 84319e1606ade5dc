import type { Crop, LeggyRemedy } from '@/core/things/crop/Crop';

const REMEDIES: Readonly<Record<LeggyRemedy, string>> = {
  'bury-stem': 'bury the stem when potting on: it roots along it',
  'bury-to-cotyledons': 'bury it up to the seed leaves',
  restart: 'does not recover from stretching; sow again',
  'prune-and-brighten': 'cut it back and give it more light',
  'trim-tops': 'trim the tops',
  'take-cuttings': 'take cuttings and begin again from these',
  're-root-rosette': 'cut off the rosette and root it again',
  'brighten-only': 'give it more light: it cannot be cut or buried',
};
export const remedyWords = (remedy: LeggyRemedy): string => REMEDIES[remedy];

const DAY_LENGTH: Readonly<Record<string, string>> = {
  'day-neutral': 'day-neutral: day length does not matter',
  'long-day': 'long-day plant: flowers early (bolts) or forms a bulb when days are long',
  'facultative-long-day': 'flowers sooner in long days',
  'short-day': 'flowers in short days only',
  'facultative-short-day': 'flowers sooner in short days',
  'cold-then-long-day': 'flowers in long days after cold',
  'temperature-induced': 'flowers by temperature, not by day length',
  'not-relevant': 'kept for its leaves: day length does not matter',
};
export const dayLengthWords = (type: string): string => DAY_LENGTH[type] ?? type;
export const DAY_LENGTHS = Object.keys(DAY_LENGTH);

export function injuryWords({ continuousLightInjury }: Crop): string {
  switch (continuousLightInjury) {
    case 'high':
      return 'injured by continuous light (24 h)';
    case 'some':
      return 'may be injured by continuous light (24 h)';
    case 'low':
      return 'tolerates continuous light (24 h)';
    case null:
      return 'not known whether it tolerates continuous light (24 h)';
  }
}

const STRETCH = ['', 'stays short', 'stretches little', 'stretches somewhat', 'stretches readily', 'falls over within days of weak light'];
export const stretchWords = (prone: number): string => STRETCH[prone] ?? '';

const SEED_LIGHT = { needs: 'seed needs light', dark: 'seed needs darkness', either: 'seed does not mind light' } as const;
export const seedLightWords = (light: keyof typeof SEED_LIGHT): string => SEED_LIGHT[light];
