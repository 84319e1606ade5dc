import type { Lamp, LampShape } from './Lamp';

const ROUND: readonly LampShape[] = ['bulb-bare', 'bulb-reflector', 'round-panel', 'coil'];

/** Shapes whose face is round, whatever the length of a neck. */
export const isRoundShape = (shape: LampShape): boolean => ROUND.includes(shape);

/** Whether the face of a lamp is round: by its shape, or as its photometric file says. */
export const isRound = ({ shape, farField }: Pick<Lamp, 'shape' | 'farField'>): boolean =>
  isRoundShape(shape) || (farField?.round ?? false);
