/**
 * Colours of all drawings: they are night in both themes, and go out as pictures, so they are values and not variables of the page.
 * The first seven are the tokens of the same names in globals.css. Colours of results: ../verdict/resultColours.ts and
 * ../drawing/lightColours.ts.
 */
export const NIGHT = {
  ground: '#101716',
  raised: '#1b2523',
  line: '#3b4946',
  ink: '#eef4f1',
  soft: '#a9b8b3',
  ember: '#f0a06c',
  patina: '#7fd3c5',
  /** A lamp that is lit, and what is chosen or measured in its light. */
  glow: '#fff3dc',
  /** The sun, and what it falls on. */
  sun: '#f7e3c0',
  /** Hours in which lamps burn, and what is more than wanted. */
  lit: '#e08a52',
  /** Shelves and posts. */
  metal: '#8fa09b',
  /** What is in range, as an area. */
  inRange: '#23867a',
  /** The edge of an area in range. */
  rim: '#a9d8cf',
  /** Plants in pots. */
  potted: '#5dae9f',
  leaf: '#d9efd9',
} as const;
