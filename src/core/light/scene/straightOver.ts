import type { Metres } from '../../units/quantities';
import { boxOf, type Box } from '../emitters/boxOf';
import type { Emitter, LightAt } from '../emitters/Emitter';
import { emitterKey } from '../emitters/emitterKey';
import { isLevel } from '../emitters/frameOf';
import { smoothnessOf } from '../emitters/smoothness';
import { lightOf } from '../ppfdAtPoint';
import { createCache, type Cache } from './Cache';
import { sampleSmoothly, type Folded } from './sampleSmoothly';

/** GridPlaces of level receivers: one side runs along x, the other along y (a map at one height) or along z (a slice at one depth). */
export interface GridPlaces {
  readonly xs: Float64Array;
  readonly others: Float64Array;
  readonly plane: { readonly z: Metres } | { readonly y: Metres };
}

/** The box around some places. */
export function extentOf({ xs, others, plane }: GridPlaces): Box {
  const [x0, x1, o0, o1] = [xs[0]!, xs[xs.length - 1]!, others[0]!, others[others.length - 1]!];
  return 'z' in plane ? { low: [x0, o0, plane.z], high: [x1, o1, plane.z] } : { low: [x0, plane.y, o0], high: [x1, plane.y, o1] };
}

/** Names some places, for what has been worked out before. */
export const placesKey = ({ xs, others, plane }: GridPlaces): string =>
  [...Object.entries(plane)[0]!, ...[xs, others].flatMap((a) => [a[0], a[a.length - 1], a.length])].join(' ');

/** The straight light of an emitter where the edge of a shadow may run: every place is asked. `index = x + xs.length · other` */
export function askedOver(light: LightAt, places: GridPlaces): Float32Array {
  const { xs, others, plane } = places;
  return Float32Array.from({ length: xs.length * others.length }, (_, i) => {
    const [x, other] = [xs[i % xs.length]!, others[Math.floor(i / xs.length)]!];
    return 'z' in plane ? light(x, other, plane.z) : light(x, plane.y, other);
  });
}

/**
 * The straight light of an emitter with nothing in its way: sampled, since it changes no faster than the emitter is far.
 *
 * @param kept  what is known of emitters of the same kind
 */
export function clearOver(asked: Emitter, places: GridPlaces, kept: Cache): Float32Array {
  const { xs, others, plane } = places;
  const emitter = 'y' in plane ? behind(asked, plane.y) : asked;
  return kept.get(`${placesKey(places)} ${emitterKey(emitter)}`, () => {
    const out = new Float32Array(xs.length * others.length);
    const light = lightOf(emitter);
    const { low, high } = boxOf(emitter);
    const smooth = smoothnessOf(emitter);
    if ('z' in plane) {
      const samples = samplesOf(emitter, plane, kept);
      sampleSmoothly((x, y) => light(x, y, plane.z), smooth * (low[2] - plane.z), xs, others, out, samples);
    } else {
      for (const [r, z] of others.entries()) {
        if (z >= high[2]) break; // above the lamp no level leaf sees it
        const row = out.subarray(r * xs.length, (r + 1) * xs.length);
        const samples = samplesOf(emitter, { y: plane.y, z }, kept);
        sampleSmoothly((x) => light(x, plane.y, z), smooth * (low[2] - z), xs, ONE, row, samples);
      }
    }
    return out;
  });
}

/** A row of a slice has one place across it. */
const ONE = Float64Array.of(0);

/** Whether the light over a level plane is the same on both sides of an emitter, along x as along y. */
const isTwofold = (e: Emitter): boolean =>
  isLevel(e) && (e.kind === 'point' || e.kind === 'disc' || (e.kind !== 'photometric' && Math.abs(Math.sin(2 * e.turn)) < 1e-12));

/** An emitter as far behind a slice as it stands before it, where that is the same: of a pair on both sides one is worked out. */
const behind = (e: Emitter, y: Metres): Emitter => (isTwofold(e) ? { ...e, y: Number((y + Math.abs(e.y - y)).toFixed(9)) } : e);

/** What is known of all emitters of one kind as high above a plane (and as far from a row of a slice); undefined where sides differ. */
function samplesOf(e: Emitter, { y, z }: { readonly y?: Metres; readonly z: Metres }, kept: Cache): Folded | undefined {
  if (!isTwofold(e)) return undefined;
  const aside = y === undefined ? null : Math.abs(y - e.y);
  const ofKind = kept.get(`${aside === null} ${emitterKey({ ...e, x: 0, y: 0, z: 0 })}`, () => createCache(aside === null ? 8 : 256));
  return { x: e.x, y: aside === null ? e.y : null, known: ofKind.get(`${(e.z - z).toFixed(9)} ${aside?.toFixed(9)}`, () => []) };
}
