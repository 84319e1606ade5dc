import type { Metres } from '../../units/quantities';
import type { Box } from '../emitters/boxOf';
import type { Emitter, LightAt } from '../emitters/Emitter';
import { emitterKey } from '../emitters/emitterKey';
import { isLevel } from '../emitters/frameOf';
import { heightsOf } from '../emitters/heightsOf';
import { smoothnessOf } from '../emitters/smoothness';
import { lightOf } from '../ppfdAtPoint';
import { createCache, type Cache } from './Cache';
import { sampleSmoothly, type Folded } from './sampleSmoothly';

/** Places of level receivers: one side runs along x, the other along y (a map at one height) or along z (a slice at one depth). */
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

/**
 * Straight light where the edge of a shadow may run: every place is asked, up to the highest part of the emitter, over which no level
 * leaf sees it. `index = x + xs.length · other`
 */
export function askedOver(light: LightAt, highest: Metres, { xs, others, plane }: GridPlaces): Float32Array {
  const out = new Float32Array(xs.length * others.length);
  for (const [r, other] of others.entries()) {
    const [y, z] = 'z' in plane ? [other, plane.z] : [plane.y, other];
    if (z >= highest) break;
    for (let c = 0; c < xs.length; c++) out[c + xs.length * r] = light(xs[c]!, y, z);
  }
  return out;
}

/**
 * The straight light of an emitter with nothing in its way: sampled, since it changes no faster than the emitter is far.
 *
 * @param asked  of any flux; its light is in proportion
 * @param kept   what is known of emitters of the same kind
 * @returns PPFD, µmol m⁻² s⁻¹; `index = x + xs.length · other`
 * Error: 0.12 % of the strongest place (sampleSmoothly.test.ts, straightOver.test.ts).
 */
export function clearOver(asked: Emitter, places: GridPlaces, kept: Cache): Float32Array {
  const { xs, others, plane } = places;
  const emitter = 'y' in plane ? behind(asked, plane.y) : asked;
  return kept.get(`${placesKey(places)} ${emitterKey(emitter)}`, () => {
    const out = new Float32Array(xs.length * others.length);
    const light = lightOf(emitter);
    const { lowest, highest } = heightsOf(emitter);
    const smooth = smoothnessOf(emitter);
    if ('z' in plane) {
      const samples = samplesOf(emitter, plane, kept);
      sampleSmoothly((x, y) => light(x, y, plane.z), smooth * (lowest - plane.z), xs, others, out, samples);
    } else {
      for (const [r, z] of others.entries()) {
        if (z >= highest) break; // above the lamp no level leaf sees it
        const row = out.subarray(r * xs.length, (r + 1) * xs.length);
        const samples = samplesOf(emitter, { y: plane.y, z }, kept);
        sampleSmoothly((x) => light(x, plane.y, z), smooth * (lowest - z), xs, ONE, row, samples);
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
