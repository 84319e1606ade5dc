import type { Radians, Share } from '../../units/quantities';
import type { Moment } from '../outdoors/outdoorsAt';
import { GROUND_ALBEDO, OVERCAST_UPRIGHT, UMOL_PER_J } from '../outdoors/skies';
import { isLit, type Aperture } from './Aperture';
import type { Glass } from './Glass';
import type { ComesBack } from './Inside';
import { viewOf, type View } from './viewOf';

/** A place behind a window, made ready for many moments. */
export interface Sill {
  readonly aperture: Aperture;
  readonly view: View;
  /** Where the window looks, from north through east. */
  readonly facing: Radians;
  readonly glass: Glass;
  /** What frame, curtain and dirt leave of the light. */
  readonly open: Share;
  readonly room: ComesBack | null;
}

/** Photons at a place, µmol m⁻² s⁻¹. */
export interface SillLight {
  /** On leaves that face up, the sun's rays included. */
  readonly up: number;
  /** Of it from the sun itself. */
  readonly beam: number;
  /** On leaves that face the pane. */
  readonly facing: number;
  /** On leaves that face the room. */
  readonly away: number;
}

/** Of house fronts, hedges and trees together; 0.15–0.3, the usual figure of daylight studies (Littlefair 2011, BR 209). */
export const THINGS_REFLECTANCE = 0.2;

const DARK: SillLight = { up: 0, beam: 0, facing: 0, away: 0 };

export const sillOf = (aperture: Aperture, facing: Radians, glass: Glass, open: Share, room: ComesBack | null): Sill => ({
  aperture,
  view: viewOf(aperture),
  facing,
  glass,
  open,
  room,
});

/** Light at a place behind a window under a clear and under an overcast sky. */
export function sillLight({ sun, clear, overcast }: Moment, sill: Sill): { readonly clear: SillLight; readonly overcast: SillLight } {
  if (!(sun.elevation > 0)) return { clear: DARK, overcast: DARK };
  const { view, glass, open, room } = sill;
  const turned = ((sun.azimuth - sill.facing + 3 * Math.PI) % (2 * Math.PI)) - Math.PI;
  const level = Math.sin(sun.elevation);
  const onPane = Math.cos(sun.elevation) * Math.cos(turned);
  const k = UMOL_PER_J * open;
  const through = glass.diffuse * k;
  const ray = clear.beam > 0 && onPane > 0 && isLit(sill.aperture, turned, sun.elevation) ? clear.beam * glass.beam(onPane) * k : 0;
  /** What fronts opposite send back: they are lit by half a sky, the ground and the sun in our back. */
  const things = (diffuse: number, upright: Share, global: number, beam: number) =>
    THINGS_REFLECTANCE * (diffuse * upright + (GROUND_ALBEDO / 2) * global + beam * Math.max(0, -onPane));
  const ground = (global: number) => GROUND_ALBEDO * global;
  /** Light in the pane, sun included, that goes down into the room and up to its ceiling; what stands outside is left out of it. */
  const back = (diffuse: number, upright: Share, global: number, beam: number) =>
    room
      ? room.ofDownward * (through * diffuse * upright + beam * glass.beam(onPane) * k * Math.max(0, onPane)) +
        room.ofUpward * through * (GROUND_ALBEDO / 2) * global
      : 0;
  const sum = (sky: 'uniform' | 'overcast', diffuse: number, upright: Share, global: number, beam: number, ray: number): SillLight => {
    const away = back(diffuse, upright, global, beam);
    const [t, g] = [things(diffuse, upright, global, beam), ground(global)];
    const on = (seen: View['up']) => through * (seen[sky] * diffuse + seen.things * t + seen.ground * g) + away;
    return { up: on(view.up) + ray * level, beam: ray * level, facing: on(view.facing) + ray * Math.max(0, onPane), away };
  };
  return {
    clear: sum('uniform', clear.diffuse, 0.5, clear.global, clear.beam, ray),
    overcast: sum('overcast', overcast.diffuse, OVERCAST_UPRIGHT, overcast.global, 0, 0),
  };
}
