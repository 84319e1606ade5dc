import type { Emitter } from '../../light/emitters/Emitter';
import { emittersOf, type LampPose } from '../../things/lamp/emittersOf';
import type { SceneLamp } from '../../light/scene/Scene';
import type { Lamp } from '../../things/lamp/Lamp';
import type { Metres } from '../../units/quantities';
import { poseOf } from './poseOf';
import { stopsOf, type Travel } from '../../things/lamp/Travel';

/** How a lamp hangs: `face` is the height of the lowest edge of its face, x and y are the middle of its way. */
export interface Hung extends Pick<LampPose, 'x' | 'y' | 'face' | 'turn' | 'tilt'> {
  readonly travel?: Travel;
}

/**
 * The emitters of a lamp as it hangs. Those of one that travels on a rail are there at each of its stops, by the share of its time:
 * together they give its mean over time.
 *
 * @param highest  the highest place that is asked about, m above the floor of its tier: the nearer, the more stops
 * @returns stop after stop, as many at each; their fluxes add up to the lamp's PPF
 */
export const emittersHung = (lamp: Lamp, hung: Hung, highest: Metres): Emitter[] =>
  stopsOf(hung.travel, hung.face - highest).flatMap(({ dx, dy, share }) => {
    const pose = poseOf({ ...hung, x: hung.x + dx, y: hung.y + dy }, lamp);
    return emittersOf(share === 1 ? lamp : { ...lamp, ppf: lamp.ppf * share }, pose);
  });

/** A lamp of a scene as it hangs. @param highest  as above */
export const sceneLampOf = (id: string, lamp: Lamp, hung: Hung, highest: Metres): SceneLamp => ({
  id,
  emitters: emittersHung(lamp, hung, highest),
  ...(hung.travel && { stops: stopsOf(hung.travel, hung.face - highest).map((s) => s.share) }),
});
