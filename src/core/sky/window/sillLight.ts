import type { Radians, Share } from '../../units/quantities';
import type { Moment } from '../outdoors/outdoorsAt';
import { GROUND_ALBEDO, OVERCAST_UPRIGHT, UMOL_PER_J, type Outdoors } from '../outdoors/skies';
import { sunSeen, type Aperture } from './Aperture';
import type { Glass } from './Glass';
import type { ComesBack } from './Inside';
import { viewOf, type SeenSky, type SkyView } from './viewOf';

/** A place behind a window, made ready for many moments. */
export interface Sill {
  readonly aperture: Aperture;
  /** Where the window looks, from north through east. */
  readonly facing: Radians;
  /** The sun's rays behind the pane, photons per joule, by the cosine of the angle at which they meet it. */
  through(cosine: number): number;
  /** Of what comes straight through the pane, this share comes back from the room. */
  readonly back: Share;
  readonly clear: UnderSky;
  readonly overcast: UnderSky;
}

/** What a receiver gets of the light outdoors, photons per joule. */
interface Gets {
  /** Of the light of the sky on level ground. */
  readonly diffuse: number;
  /** Of all light on level ground, by way of the ground. */
  readonly global: number;
  /** Of the sun's rays that light the fronts opposite. */
  readonly behind: number;
}

/** Leaves that face up, the pane and the room. */
type UnderSky = Readonly<Record<'up' | 'facing' | 'away', Gets>>;

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

export function sillOf(aperture: Aperture, facing: Radians, glass: Glass, open: Share, room: ComesBack | null): Sill {
  const k = UMOL_PER_J * open;
  const view = viewOf(aperture);
  const back = room?.ofDownward ?? 0;
  return {
    aperture,
    facing,
    through: (cosine) => glass.beam(cosine) * k,
    back,
    clear: underSky(view, 'uniform', 0.5, glass.diffuse * k, room),
    overcast: underSky(view, 'overcast', OVERCAST_UPRIGHT, glass.diffuse * k, room),
  };
}

/**
 * What comes in of one kind of sky: all of it is in proportion to the light of the sky, of the ground and of fronts opposite.
 *
 * @param upright  of the light of the sky alone an upright face gets this share
 * @param through  photons behind the pane per joule before it, of light from everywhere
 */
function underSky({ up, facing }: SkyView, sky: 'uniform' | 'overcast', upright: Share, through: number, room: ComesBack | null): UnderSky {
  // Light in the pane that goes down into the room and up to its ceiling; what stands outside is left out of it.
  const away = {
    diffuse: through * upright * (room?.ofDownward ?? 0),
    global: (through * GROUND_ALBEDO * (room?.ofUpward ?? 0)) / 2,
    behind: 0,
  };
  // What fronts opposite send back: they are lit by half a sky, the ground and the sun in our back.
  const gets = (seen: SeenSky): Gets => ({
    diffuse: through * (seen[sky] + seen.obstructions * THINGS_REFLECTANCE * upright) + away.diffuse,
    global: through * GROUND_ALBEDO * ((seen.obstructions * THINGS_REFLECTANCE) / 2 + seen.ground) + away.global,
    behind: through * seen.obstructions * THINGS_REFLECTANCE,
  });
  return { up: gets(up), facing: gets(facing), away };
}

/** Light at a place behind a window under a clear and under an overcast sky. */
export function sillLight({ sun, clear, overcast }: Moment, sill: Sill): { readonly clear: SillLight; readonly overcast: SillLight } {
  if (!(sun.elevation > 0)) return { clear: DARK, overcast: DARK };
  const turned = ((sun.azimuth - sill.facing + 3 * Math.PI) % (2 * Math.PI)) - Math.PI;
  // How squarely the sun meets the pane; from behind: below zero.
  const onPane = Math.cos(sun.elevation) * Math.cos(turned);
  const inPane = onPane > 0 && clear.beam > 0 ? clear.beam * sill.through(onPane) : 0;
  const inSun = inPane > 0 ? sunSeen(sill.aperture, turned, sun.elevation) : 0;
  const behind = clear.beam * Math.max(0, -onPane);
  const back = sill.back * inPane * Math.max(0, onPane);
  const beam = inSun * inPane * Math.sin(sun.elevation);
  return {
    clear: {
      up: got(sill.clear.up, clear, behind) + back + beam,
      beam,
      facing: got(sill.clear.facing, clear, behind) + back + inSun * inPane * onPane,
      away: got(sill.clear.away, clear, behind) + back,
    },
    overcast: {
      up: got(sill.overcast.up, overcast, 0),
      beam: 0,
      facing: got(sill.overcast.facing, overcast, 0),
      away: got(sill.overcast.away, overcast, 0),
    },
  };
}

const got = (gets: Gets, { diffuse, global }: Outdoors, behind: number): number =>
  gets.diffuse * diffuse + gets.global * global + gets.behind * behind;
