import type { Rect } from '../../light/field/Grid';
import type { Scene, SceneLamp } from '../../light/scene/Scene';
import type { Metres, Ppf, Ppfd, Share } from '../../units/quantities';

/** A lamp of a scripted scene: also its colour, and how far flux and place may be off. */
export interface QuestionLamp extends SceneLamp {
  /** Id of the spectrum table. */
  readonly spectrumId: string;
  /** Relative half-widths of a nine-in-ten band of its flux. */
  readonly ppfDoubt: { readonly low: Share; readonly high: Share };
  /** Half-width of a nine-in-ten band of its height. */
  readonly heightDoubt: Metres;
}

/** Where plants stand, and the band of light that suits them; null: not asked. */
export interface QuestionTray {
  readonly id: string;
  readonly area: Rect;
  readonly z: Metres;
  readonly band: { readonly low: Ppfd; readonly high: Ppfd } | null;
}

/** All that can be asked of a scene at once. */
export interface SceneQuestion {
  readonly scene: Omit<Scene, 'lamps'> & { readonly lamps: readonly QuestionLamp[] };
  readonly trays: readonly QuestionTray[];
  readonly points: readonly { readonly x: Metres; readonly y: Metres; readonly z: Metres }[];
  readonly maps: readonly { readonly area: Rect; readonly z: Metres; readonly cell: Metres }[];
  readonly slices: readonly {
    readonly x0: Metres;
    readonly x1: Metres;
    readonly z0: Metres;
    readonly z1: Metres;
    readonly y: Metres;
    readonly cell: Metres;
  }[];
  /** Straight down from a place, from one distance to another in equal ratios. */
  readonly falloffs: readonly {
    readonly x: Metres;
    readonly y: Metres;
    readonly z: Metres;
    readonly from: Metres;
    readonly to: Metres;
    readonly count: number;
  }[];
  /** Side of the cells over which trays are judged. */
  readonly trayCell: Metres;
}

/** A number with the band in which the truth is expected nine times in ten. */
export interface SceneBand {
  readonly value: Ppfd;
  readonly low: Ppfd;
  readonly high: Ppfd;
}

export interface PointAnswer {
  readonly x: Metres;
  readonly y: Metres;
  readonly z: Metres;
  readonly ppfd: SceneBand;
  readonly reflectedShare: Share;
  /** Of the light there, how much comes from each lamp, by straight and by reflected light. */
  readonly lamps: readonly { readonly id: string; readonly share: Share }[];
  readonly lux: number;
  readonly luxPerUmol: number;
  /** Relative change for each centimetre that the place is higher. */
  readonly changePerCentimetre: number;
  /** What a meter of each kind would show there; null beyond its range. */
  readonly meters: readonly { readonly id: string; readonly value: number | null; readonly unit: string }[];
}

export interface TrayAnswer {
  readonly id: string;
  readonly mean: SceneBand;
  readonly weakest: { readonly x: Metres; readonly y: Metres; readonly ppfd: Ppfd };
  readonly strongest: { readonly x: Metres; readonly y: Metres; readonly ppfd: Ppfd };
  readonly uniformityMinOverMean: Share;
  readonly uniformityMinOverMax: Share;
  readonly shareInBand: Share | null;
  /** Of all that the lamps send out. */
  readonly shareOfPpf: Share;
}

export interface GridAnswer {
  readonly columns: number;
  readonly rows: number;
  readonly ppfd: readonly number[];
}

export interface FalloffAnswer {
  readonly rows: readonly { readonly distance: Metres; readonly ppfd: Ppfd; readonly inverseSquare: Ppfd }[];
  /** From here on the inverse square, taken from the far end, holds within 10 %; null: nowhere in this range. */
  readonly holdsFrom: Metres | null;
}

export interface SceneAnswer {
  readonly points: readonly PointAnswer[];
  readonly trays: readonly TrayAnswer[];
  readonly maps: readonly GridAnswer[];
  readonly slices: readonly GridAnswer[];
  readonly falloffs: readonly FalloffAnswer[];
  /** Whether the light between pale faces came to rest; where it did not, numbers are a little too low. */
  readonly converged: boolean;
  /** `residual`: by what share the sums over patches were off at the worst lamp before they were made whole. */
  readonly balance: { readonly emitted: Ppf; readonly absorbed: Ppf; readonly left: Ppf; readonly residual: Share };
}
