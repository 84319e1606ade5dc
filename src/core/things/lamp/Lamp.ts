import type { Source } from '../../units/Source';
import type { IntensityTable } from '../../light/emitters/IntensityTable';
import type { Spectrum } from '../../light/spectrum/Spectrum';
import type { Kelvin, Lumens, Metres, Ppf, Radians, Watts } from '../../units/quantities';

/** How the light leaves the lamp; each has its own near field. */
export const LAMP_SHAPES = [
  'tube-bare',
  'tube-reflector',
  'bar',
  'panel',
  'round-panel',
  'coil',
  'bulb-bare',
  'bulb-reflector',
  'measured',
] as const;
export type LampShape = (typeof LAMP_SHAPES)[number];

/** Where the photon flux was taken from; it decides how uncertain the flux is. */
export const FLUX_BASES = ['archetype', 'ppf', 'lumens', 'efficacy', 'ppfd', 'map', 'photometry', 'unknown'] as const;
export type FluxBasis = (typeof FLUX_BASES)[number];

/** A measured far field, and whether the face that it is laid over is round. */
export interface FarField {
  readonly table: IntensityTable;
  readonly round: boolean;
}

/** A kind of lamp: what one fitting of it is, gives and needs. */
export interface Lamp {
  readonly id: string;
  readonly name: string;
  /** Family word of the lamp tables, such as `T8` or `LED-bar`. */
  readonly family: string;
  readonly shape: LampShape;
  /** Luminous length and width; of a bulb with reflector the width is that of its opening, of a coil of tape that of its outer turn. */
  readonly length: Metres;
  readonly width: Metres;
  /** Tubes, rows or heads in one fitting, and their distance centre to centre; of a coil the spacing is the width of its hole. */
  readonly emitters: number;
  readonly spacing: Metres;
  /** Of a panel whose diodes are seen one by one: so many along it and across it; null: evenly bright. */
  readonly diodes: { readonly columns: number; readonly rows: number } | null;
  /** Full width at half of the maximum intensity; null for bare tubes, bare bulbs and plain diffuse faces. */
  readonly beamFwhm: Radians | null;
  readonly power: Watts;
  readonly ppf: Ppf;
  readonly fluxBasis: FluxBasis;
  readonly lumens: Lumens | null;
  readonly cct: Kelvin | null;
  readonly spectrumId: string;
  /** Its own measured spectrum, which then counts instead of the usual one of its kind; null: none. */
  readonly curve: Spectrum | null;
  /** Its own measured far field, laid over its face; only of the shape `measured`. */
  readonly farField: FarField | null;
  /** Output at the end of its life over output when new. */
  readonly maintenanceAtEnd: number;
  readonly life_h: number;
  readonly common: boolean;
  /** Nearest distance on account of heat alone. */
  readonly heatClearance: Metres;
  readonly coolSurface: boolean;
  readonly weight_kg: number;
  readonly base: string | null;
  readonly ballast: string | null;
  readonly linkable: boolean;
  readonly locationRating: string;
  readonly emitsUV: boolean;
  readonly distrust: readonly string[];
  readonly sources: readonly Source[];
}
