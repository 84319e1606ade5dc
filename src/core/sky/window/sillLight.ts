import type { Radians, Share } from '../../units/quantities';
import type { Moment } from '../outdoors/outdoorsAt';
import { GROUND_ALBEDO, OVERCAST_UPRIGHT, UMOL_PER_J, type Outdoors } from '../outdoors/skies';
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
  const turned = ((sun.azimuth - sill.facing + 3 * Math.PI) % (2 * Math.PI)) - Math.PI;
  // How squarely the sun meets the pane; from behind: below zero.
  const onPane = Math.cos(sun.elevation) * Math.cos(turned);
  return {
    clear: under(
      sill,
      'uniform',
      clear,
      0.5,
      onPane,
      clear.beam > 0 && onPane > 0 && isLit(sill.aperture, turned, sun.elevation) ? Math.sin(sun.elevation) : 0,
    ),
    overcast: under(sill, 'overcast', overcast, OVERCAST_UPRIGHT, onPane, 0),
  };
}

/**
 * Light under one sky.
 *
 * @param upright  of the light of the sky alone an upright face gets this share
 * @param level    sine of the sun's height where its rays come in at the place, else 0
 */
function under(sill: Sill, sky: 'uniform' | 'overcast', out: Outdoors, upright: Share, onPane: number, level: number): SillLight {
  const { view, glass, room } = sill;
  const k = UMOL_PER_J * sill.open;
  const through = glass.diffuse * k;
  const ground = GROUND_ALBEDO * out.global;
  const sunInPane = onPane > 0 && out.beam > 0 ? out.beam * glass.beam(onPane) * k : 0;
  // What fronts opposite send back: they are lit by half a sky, the ground and the sun in our back.
  const things = THINGS_REFLECTANCE * (out.diffuse * upright + ground / 2 + out.beam * Math.max(0, -onPane));
  // Light in the pane that goes down into the room and up to its ceiling; what stands outside is left out of it.
  const away = room
    ? room.ofDownward * (through * out.diffuse * upright + sunInPane * Math.max(0, onPane)) + room.ofUpward * (through * ground) * 0.5
    : 0;
  const beam = level > 0 ? sunInPane * level : 0;
  const { up, facing } = view;
  return {
    up: through * (up[sky] * out.diffuse + up.things * things + up.ground * ground) + away + beam,
    beam,
    facing:
      through * (facing[sky] * out.diffuse + facing.things * things + facing.ground * ground) +
      away +
      (level > 0 ? sunInPane * Math.max(0, onPane) : 0),
    away,
  };
}
