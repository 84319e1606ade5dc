import type { Kilograms, Metres } from '../../units/quantities';

export const HANGER_KINDS = ['chain', 'notch', 'ratchet', 'cord', 'fixed'] as const;
export type HangerKind = (typeof HANGER_KINDS)[number];

/** How a lamp hangs, and so in which steps it goes up and down. */
export interface Hanger {
  readonly kind: HangerKind;
  /** One link, notch or click; of what is screwed on it does not matter. */
  readonly step: Metres;
  /** What it may carry, as stated; null: not stated. */
  readonly load: Kilograms | null;
}

/** Steps of the usual ways to hang a lamp: growers' consensus, editable. */
const USUAL_STEP: Readonly<Record<HangerKind, Metres>> = {
  chain: 0.02, // one link of the light chain that comes with shop lights
  notch: 0.0254, // posts of wire racks are grooved every inch
  ratchet: 0.01, // one click of a rope ratchet
  cord: 0.005, // tied where one likes, as exactly as a hand ties
  fixed: 0.01,
};

export const hangerOf = (kind: HangerKind): Hanger => ({ kind, step: USUAL_STEP[kind], load: null });

export const CORD: Hanger = hangerOf('cord');

/**
 * The height nearest to the wished one that the hanger has, counted in whole steps from where the lamp hangs now.
 *
 * @returns the height itself and the steps, positive upward; a fixed lamp stays
 */
export function snapFace(hanger: Hanger, now: Metres, wished: Metres): { face: Metres; steps: number } {
  if (hanger.kind === 'fixed') return { face: now, steps: 0 };
  const steps = Math.round((wished - now) / hanger.step);
  return { face: steps === 0 ? now : now + steps * hanger.step, steps };
}
