/** Mass of the element in its oxide, by molar masses: P in P₂O₅, K in K₂O. */
export const ELEMENT_IN_OXIDE = { N: 1, P: 0.4364, K: 0.8302 } as const;

export const ELEMENTS = ['N', 'P', 'K'] as const;
export type Element = (typeof ELEMENTS)[number];
export type Npk = Readonly<Record<Element, number>>;
export type LabelBasis = 'oxide' | 'elemental';

const byElement = (value: (e: Element) => number): Npk => ({ N: value('N'), P: value('P'), K: value('K') });

/** A label's numbers as shares of the elements, per cent. */
export const elementalOf = (label: Npk, basis: LabelBasis): Npk =>
  byElement((e) => label[e] * (basis === 'oxide' ? ELEMENT_IN_OXIDE[e] : 1));

export type FeedForm =
  | { readonly kind: 'powder' }
  /** Per cent of its weight. */
  | { readonly kind: 'liquid-w/w'; readonly density_kg_per_L: number }
  /** Grams in 100 ml. */
  | { readonly kind: 'liquid-w/v' };

/** Milligrams of each element in a litre, per gram (powder) or millilitre (liquid) in it. */
export const ppmPerUnit = (label: Npk, basis: LabelBasis, form: FeedForm): Npk =>
  byElement((e) => elementalOf(label, basis)[e] * 10 * (form.kind === 'liquid-w/w' ? form.density_kg_per_L : 1));

/** What part of a dose keeps every element at or below its ceiling, and which of them bind; 1 and none where the whole does. */
export function withinCeiling(given: Npk, ceiling: Npk): { readonly factor: number; readonly binding: readonly Element[] } {
  const parts = ELEMENTS.map((e) => ({ e, part: given[e] > 0 ? Math.min(1, ceiling[e] / given[e]) : 1 }));
  const factor = Math.min(...parts.map((p) => p.part));
  return { factor, binding: factor < 1 ? parts.filter((p) => p.part <= factor * (1 + 1e-9)).map((p) => p.e) : [] };
}

/** How much goes into a litre for so much nitrogen, g or ml; null where there is none in it. */
export function doseForNitrogen(
  label: Npk,
  basis: LabelBasis,
  form: FeedForm,
  target_ppm: number,
): { readonly perLitre: number; readonly ppm: Npk } | null {
  const per = ppmPerUnit(label, basis, form);
  if (!(per.N > 0)) return null;
  const perLitre = target_ppm / per.N;
  return { perLitre, ppm: byElement((e) => per[e] * perLitre) };
}
