import { standingOf, type Says, type Standing } from '@/core/judge/verdict/standing';

/** The colour in which a result is written: as its light is drawn on every map. */
export const STANDING_COLOURS: Readonly<Record<Standing | 'rest' | 'hot', string>> = {
  suits: 'text-verdigris',
  short: 'text-slate',
  much: 'text-copper',
  uneven: 'text-copper',
  long: 'text-copper',
  hot: 'text-copper',
  rest: 'text-soft',
};

/** The same on the dark stage. */
const ON_THE_DRAWING: Readonly<Record<Standing, string>> = {
  suits: 'text-patina',
  short: 'text-haze',
  much: 'text-ember',
  uneven: 'text-ember',
  long: 'text-ember',
};

export const colourOfResult = (says: Says): string => STANDING_COLOURS[standingOf(says)];
export const colourOnDrawing = (says: Says): string => ON_THE_DRAWING[standingOf(says)];
