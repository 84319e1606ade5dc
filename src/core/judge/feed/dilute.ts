import { doseForNitrogen, ppmPerUnit, withinCeiling, type Element, type FeedForm, type LabelBasis, type Npk } from './feed';

export interface DiluteAsked {
  readonly label: Npk;
  readonly basis: LabelBasis;
  readonly form: FeedForm;
  /** By the nitrogen that is wanted, mg/l, or by what the label says, g or ml in a litre. */
  readonly by: { readonly kind: 'nitrogen'; readonly ppm: number } | { readonly kind: 'label'; readonly perLitre: number };
  /** At most so much of each element, mg/l. */
  readonly ceiling: Npk;
  readonly can_L: number;
}

export interface Diluted {
  /** g or ml into a litre, and into the can. */
  readonly perLitre: number;
  readonly perCan: number;
  readonly ppm: Npk;
  /** What part of what was asked for the ceilings leave; 1: all of it. */
  readonly share: number;
  readonly binding: readonly Element[];
}

/** Ceilings for seedlings that are fed weakly, mg/l; growers' consensus: 50 to 100 of nitrogen for young plants. */
export const YOUNG_CEILING: Npk = { N: 100, P: 40, K: 120 };

/** How much of a feed goes into a can; null where a feed without nitrogen is asked for nitrogen. */
export function dilute({ label, basis, form, by, ceiling, can_L }: DiluteAsked): Diluted | null {
  const asked = by.kind === 'label' ? by.perLitre : doseForNitrogen(label, basis, form, by.ppm)?.perLitre;
  if (asked === undefined) return null;
  const per = ppmPerUnit(label, basis, form);
  const at = (dose: number): Npk => ({ N: per.N * dose, P: per.P * dose, K: per.K * dose });
  const { factor, binding } = withinCeiling(at(asked), ceiling);
  const perLitre = asked * factor;
  return { perLitre, perCan: perLitre * can_L, ppm: at(perLitre), share: factor, binding };
}

export const ELEMENT_NAMES: Readonly<Record<Element, string>> = { N: 'nitrogen', P: 'phosphorus', K: 'potassium' };
