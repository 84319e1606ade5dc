import type { Metres } from '../../units/quantities';
import type { Emitter } from './Emitter';
import { frameOf } from './frameOf';

/** Heights of the lowest and the highest shining part of an emitter. */
export function heightsOf(emitter: Emitter): { readonly lowest: Metres; readonly highest: Metres } {
  const { u, v } = frameOf(emitter);
  const reach =
    emitter.kind === 'point'
      ? 0
      : emitter.kind === 'tube'
        ? (Math.abs(u[2]) * emitter.length) / 2 + (emitter.diameter ?? 0) / 2
        : emitter.kind === 'disc'
          ? emitter.radius * (Math.abs(u[2]) + Math.abs(v[2]))
          : (Math.abs(u[2]) * emitter.length + Math.abs(v[2]) * emitter.width) / 2;
  return { lowest: emitter.z - reach, highest: emitter.z + reach };
}
