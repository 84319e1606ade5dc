/**
 * The glossary: one alias for each quantity of the field, with its unit. Inside `core` every number is SI or
 * one of these; aliases cost nothing in arithmetic and make signatures say what they want.
 */

/** Length, m. */
export type Metres = number;
/** Plane angle, rad. */
export type Radians = number;
/** Mass, kg. */
export type Kilograms = number;
export type Litres = number;
/** Electrical power drawn at the wall, W. */
export type Watts = number;
/** Apparent power, volts times amperes, VA: what wires, strips and timers have to carry. */
export type VoltAmperes = number;
/** Luminous flux, lm. */
export type Lumens = number;
/** Illuminance, lx. */
export type Lux = number;
/** Photosynthetic photon flux, 400–700 nm, µmol s⁻¹. */
export type Ppf = number;
/** Photosynthetic photon flux density, 400–700 nm, µmol m⁻² s⁻¹. */
export type Ppfd = number;
/** Daily light integral, mol m⁻² d⁻¹. */
export type Dli = number;
/** Hours within a day, h. */
export type Hours = number;
/** Correlated colour temperature, K. */
export type Kelvin = number;
/** Photons made for each joule drawn at the wall, µmol J⁻¹. */
export type Efficacy = number;
/** A share of one, 0–1 unless said otherwise. */
export type Share = number;
