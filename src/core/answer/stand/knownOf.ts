import { fitInForce, type Fit } from '../../site/reading/Fit';
import { maintenance, outputFor } from '../../things/lamp/ageing';
import type { Lamp } from '../../things/lamp/Lamp';
import type { Room } from '../../light/room/Room';
import { calibrate, HAND, tellsOf, counts, type Calibration, type Compared } from '../../measure/reading/calibrate';
import type { LampOf } from '../../measure/reading/lightThere';
import type { Uncertainty } from '../../judge/uncertainty/Band';
import { roomOf } from '../../site/stand/roomOf';
import type { Hours, Metres } from '../../units/quantities';
import type { Tier } from '../../site/stand/Site';

/** A lamp with all that is known of it. */
export interface KnownLamp {
  /** As its box says. */
  readonly lamp: Lamp;
  /** As it really is: corrected by readings, on the day of its life that is shown. */
  readonly real: Lamp;
  readonly calibration: Calibration | null;
}

/** A tier with all that its readings say. */
export interface Known {
  /** Its sides, as pale as was found; null in the open. */
  readonly room: Room | null;
  readonly compared: readonly Compared[];
  readonly fit: Fit | null;
  /**
   * @param lamp    as on its box
   * @param used_h  hours that this very lamp has burned; left out: as is known of the tier's lamps
   */
  of(lamp: Lamp, used_h?: Hours | null): KnownLamp;
}

/**
 * Puts together what is known of a tier: by its fit where there is one, else by the middle of its readings, else by the boxes.
 *
 * @param compare   holds its readings against the boxes; where a fit says enough, not before somebody looks at them: it settles their light
 * @param tops      heights of the leaf tops of its trays above its floor, m
 */
export function knownOf(tier: Tier, compare: () => readonly Compared[], tops: readonly Metres[]): Known {
  const fit = fitInForce(tier);
  const room = roomOf(tier, tops, fit?.sides?.reflectances);
  const known = new Map<Lamp, Map<Hours | null, KnownLamp>>();
  return {
    room,
    get compared() {
      return compare();
    },
    fit,
    of(lamp, used_h = tier.ageing.used_h) {
      const ofKind = known.get(lamp) ?? new Map<Hours | null, KnownLamp>();
      const before = ofKind.get(used_h);
      if (before) return before;
      const ageing = { ...tier.ageing, used_h };
      const own = fit?.lamps.find((l) => l.lampId === lamp.id);
      const calibration = fit && own ? calibrationOf(fit, own, compare) : calibrate(compare(), lamp.id);
      let output = (calibration?.scale ?? 1) * outputFor(lamp, ageing, calibration !== null);
      // A fit is of the hours that the lamps had burned then.
      if (own && fit?.used_h !== null && fit?.used_h !== undefined && used_h !== null)
        output *= maintenance(lamp, Math.max(fit.used_h, used_h)) / maintenance(lamp, fit.used_h);
      const beamFwhm = own?.beamFwhm ?? lamp.beamFwhm;
      const real = output === 1 && beamFwhm === lamp.beamFwhm ? lamp : { ...lamp, ppf: lamp.ppf * output, beamFwhm };
      const found = { lamp, real, calibration };
      known.set(lamp, ofKind.set(used_h, found));
      return found;
    },
  };
}

function calibrationOf(fit: Fit, own: Fit['lamps'][number], compare: () => readonly Compared[]): Calibration {
  const left = 1.645 * own.error;
  const uncertainties: Uncertainty[] = [
    { why: 'meter', low: fit.meter, high: fit.meter, source: 'the meters of its readings and the conversion by colour' },
    {
      why: 'few-readings',
      low: Math.min(0.9, left),
      high: left,
      source: `a fit to ${fit.readingIds.length} readings that scatter by ±${Math.round(100 * 1.645 * fit.scatter)} %, each by hand ±${Math.round(100 * HAND)} %`,
    },
  ];
  let used: readonly Compared[] | undefined;
  return {
    scale: own.scale,
    get used() {
      return (used ??= compare().filter((c) => fit.readingIds.includes(c.reading.id) && counts(c) && tellsOf(c, own.lampId)));
    },
    uncertainties,
    fitted: true,
  };
}

/** Where lamps are looked up as they really are: for what a meter should show now. */
export const realLamps =
  (known: Known, lampOf: LampOf): LampOf =>
  (id) => {
    const lamp = lampOf(id);
    return lamp && known.of(lamp).real;
  };
