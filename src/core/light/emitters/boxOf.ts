import type { Metres } from '../../units/quantities';
import type { Emitter } from './Emitter';
import { frameOf } from './frameOf';

/** A box along the axes: its lowest and its highest corner, m. */
export interface Box {
  readonly low: readonly [Metres, Metres, Metres];
  readonly high: readonly [Metres, Metres, Metres];
}

/** The box around all that shines of an emitter. */
export function boxOf(emitter: Emitter): Box {
  const { u, v } = frameOf(emitter);
  const reach = (k: 0 | 1 | 2): Metres =>
    emitter.kind === 'point'
      ? 0
      : emitter.kind === 'tube'
        ? (Math.abs(u[k]) * emitter.length) / 2 + (emitter.diameter ?? 0) / 2
        : emitter.kind === 'disc'
          ? emitter.radius * (Math.abs(u[k]) + Math.abs(v[k]))
          : (Math.abs(u[k]) * emitter.length + Math.abs(v[k]) * emitter.width) / 2;
  const { x, y, z } = emitter;
  return { low: [x - reach(0), y - reach(1), z - reach(2)], high: [x + reach(0), y + reach(1), z + reach(2)] };
}
