import type { ErrorHypothesis } from '../reading/ErrorHypothesis';
import type { Emitter } from '../../light/emitters/Emitter';
import type { FaceName, Room } from '../../light/room/Room';
import type { Metres, Ppfd, Radians, Share } from '../../units/quantities';

/** Lamps of one kind, of which it is asked how strong they really are. */
export interface FitLamp {
  readonly id: string;
  /** How far ln of its output may be from its box, one standard deviation. */
  readonly uncertainty: number;
  /** Its beam as its box says; null: none, or not to be fitted. */
  readonly beamFwhm: Radians | null;
}

/** What hung where when readings were taken; those of one evening share it. */
export interface FitScene {
  /** The emitters of each lamp of the question, in its order, as its box describes them. */
  readonly emitters: readonly (readonly Emitter[])[];
}

/** One reading, converted. */
export interface FitReading {
  readonly id: string;
  readonly scene: number;
  readonly x: Metres;
  readonly y: Metres;
  readonly z: Metres;
  /** What it says of the light there, > 0. */
  readonly ppfd: Ppfd;
  /** How far it may be off because the sensor was not quite there: near a lamp a few millimetres count. One standard deviation. */
  readonly place: Share;
  /** What may have gone wrong with it. */
  readonly hypotheses: readonly ErrorHypothesis[];
}

/** Readings of one tier, and what of it may be otherwise than the plan says. */
export interface FitQuestion {
  readonly lamps: readonly FitLamp[];
  readonly scenes: readonly FitScene[];
  readonly room: Room | null;
  /** The faces whose reflectance is asked, by one shift of them all in ln(ρ / (1 − ρ)); none: it is not. */
  readonly sides: readonly FaceName[];
  /** How far that shift may be from the plan, one standard deviation. */
  readonly sidesUncertainty: number;
  /** Scatter of a reading by hand, one standard deviation; that which all share, of their meter, is not the fit's. */
  readonly hand: Share;
  readonly readings: readonly FitReading[];
}

/** A number found, with its standard error. */
export interface FoundNumber {
  readonly value: number;
  /** Of a scale or a beam: relative. Of a reflectance: absolute. */
  readonly error: number;
  /** The readings tell it; false: it stays as the plan has it. */
  readonly told: boolean;
}
