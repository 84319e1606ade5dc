import type { SetUp } from '../stand/setUp';
import type { Caution, CautionFacts, Severity } from './Caution';
import { fires } from './fires';

const ORDER: Readonly<Record<Severity, number>> = { danger: 0, warning: 1, info: 2 };

/**
 * The cautions that apply to a set-up, the gravest first. What nobody has stated (extension leads, children, the
 * rating of a circuit) is left out, except that mains power, trays that hold water and a timer are taken for granted.
 */
export function cautionsFor(setUp: SetUp, cautions: readonly Caution[]): Caution[] {
  const facts = factsOf(setUp);
  return cautions.filter((c) => fires(c, facts)).sort((a, b) => ORDER[a.severity] - ORDER[b.severity]);
}

function factsOf({ lamp, crop, tier, hours, distance }: SetUp): CautionFacts {
  return {
    'lamp.family': lamp.family,
    'lamp.spectrumId': lamp.spectrumId,
    'lamp.geometry.kind': lamp.shape === 'bulb-reflector' && lamp.family === 'LED-COB' ? 'spot' : lamp.shape,
    'lamp.beamFwhm_deg': lamp.beamFwhm === null ? null : (lamp.beamFwhm * 180) / Math.PI,
    'lamp.coolSurface': lamp.coolSurface,
    'lamp.minClearanceCm': lamp.heatClearance * 100,
    'lamp.weightKg': lamp.weight_kg,
    'lamp.watts_actual': lamp.power,
    'lamp.ballast': lamp.ballast,
    'lamp.base': lamp.base,
    'lamp.linkable': lamp.linkable,
    'lamp.locationRating': lamp.locationRating,
    'lamp.emitsUV': lamp.emitsUV,
    'setup.mainsPowered': true,
    'setup.traysHoldWater': true,
    'setup.timer': true,
    'setup.hoursOn': hours,
    'setup.lampDistanceCm': distance * 100,
    'setup.linkedCount': tier.fittings.length,
    'circuit.loadW': lamp.power * tier.fittings.length,
    'crop.germination.heatMat': crop.heatMat,
    'crop.feed': crop.fed,
    'crop.airMovementBenefit': crop.airMovementBenefit,
  };
}
