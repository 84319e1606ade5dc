import { loadsOf, type Loads } from '../power/loadsOf';
import type { BenchLamp, BenchStand, BenchTier, BenchTray } from '../stand/benchStand';
import { rimOf } from '../../site/stand/canopy';
import type { Caution, CautionFacts, Severity } from '../../things/caution/Caution';
import { fires } from './fires';
import { STATED, type Stated } from '../../site/stand/Stated';

const ORDER: Readonly<Record<Severity, number>> = { danger: 0, warning: 1, info: 2 };

/** A tier with more closed faces than this keeps damp and warm air in. */
const CLOSED_FACES = 4;

/**
 * The cautions that apply to a stand, the gravest first: to any of its lamps over any of its trays, to what hangs, what is
 * plugged in where, and what the person has said of the household. What nobody has stated is left out, except that mains power,
 * trays that hold water and a timer are taken for granted.
 */
export function cautionsFor(stand: BenchStand, stated: readonly Stated[], cautions: readonly Caution[]): Caution[] {
  const loads = loadsOf(stand);
  const common = factsOfStand(stand, stated, loads);
  const facts = stand.tiers.flatMap((tier) => {
    const lamps = tier.lamps.length > 0 ? tier.lamps : [null];
    const trays = tier.trays.length > 0 ? tier.trays : [null];
    return lamps.flatMap((lamp) =>
      trays.map((tray) => ({ ...common, ...factsOfTier(tier, loads), ...factsOfLamp(tier, lamp, tray), ...factsOfTray(tray) })),
    );
  });
  return cautions.filter((c) => facts.some((f) => fires(c, f))).sort((a, b) => ORDER[a.severity] - ORDER[b.severity]);
}

function factsOfStand({ stand, tiers }: BenchStand, stated: readonly Stated[], loads: Loads): CautionFacts {
  const plugs = loads.groups.reduce((sum, g) => sum + g.plugs.length, 0);
  const said = Object.fromEntries(STATED.map((name) => [`setup.${name}`, stated.includes(name) ? true : undefined]));
  return {
    ...said,
    'circuit.extensionLead': stated.includes('extensionLead'),
    'circuit.stripsInSeries': stated.includes('stripsInSeries'),
    'circuit.powerStrip': stand.strip !== null || stand.steadyOutlets !== null || plugs > 1,
    'circuit.stripLoadW': loads.load,
    'circuit.stripRatingW': stand.strip,
    'setup.mainsPowered': true,
    'setup.traysHoldWater': true,
    'setup.timer': true,
    'setup.heatMat': stand.plugged.some((p) => p.kind === 'mat'),
    'setup.rackTrays': tiers.reduce((sum, t) => sum + t.trays.length, 0),
  };
}

function factsOfTier({ tier, hours, timer, trays }: BenchTier, loads: Loads): CautionFacts {
  const { faces } = tier.enclosure;
  const group = loads.groups.find((g) => g.timerId === timer.id);
  // Wire lets air through; everything else keeps it in.
  const closed = Object.values(faces).filter((id) => id !== 'open' && id !== 'wire').length > CLOSED_FACES;
  const covered = trays.some((y) => y.tray.coverId !== null);
  return {
    'circuit.loadW': group?.load ?? 0,
    'circuit.ratingW': timer.rating,
    'setup.hoursOn': hours,
    'setup.enclosed': closed,
    'setup.humidityHigh': closed || covered,
    'setup.coverOn': covered,
  };
}

function factsOfLamp({ tier, lamps }: BenchTier, at: BenchLamp | null, tray: BenchTray | null): CautionFacts {
  if (!at) return {};
  const { lamp, fitting } = at;
  const { kind } = fitting.hanger;
  const wireShelf = tier.enclosure.faces.ceiling === 'wire' && kind !== 'fixed';
  return {
    'lamp.family': lamp.family,
    'lamp.spectrumId': lamp.spectrumId,
    'lamp.geometry.kind': lamp.shape === 'bulb-reflector' && lamp.family === 'LED-COB' ? 'spot' : lamp.shape,
    'lamp.beamFwhm_deg': lamp.beamFwhm === null ? null : (lamp.beamFwhm * 180) / Math.PI,
    'lamp.coolSurface': lamp.coolSurface,
    'lamp.minClearanceCm': lamp.heatClearance * 100,
    'lamp.weightKg': lamp.weight_kg,
    'lamp.watts_actual': Math.max(lamp.power, fitting.own?.drawn?.power ?? 0),
    'lamp.ballast': lamp.ballast,
    'lamp.base': lamp.base,
    'lamp.linkable': lamp.linkable,
    'lamp.locationRating': lamp.locationRating,
    'lamp.emitsUV': lamp.emitsUV,
    'setup.mount': wireShelf ? 'wire-shelf' : kind === 'chain' ? 'chain' : kind === 'fixed' ? 'fixed' : 'hook',
    'setup.linkedCount': lamps.filter((l) => l.lamp.id === lamp.id).length,
    'setup.lampDistanceCm': tray ? (fitting.face - Math.max(tray.canopy, rimOf(tray.tray))) * 100 : undefined,
  };
}

const factsOfTray = (tray: BenchTray | null): CautionFacts =>
  tray
    ? {
        'crop.germination.heatMat': tray.crop.heatMat,
        'crop.feed': tray.crop.fed,
        'crop.airMovementBenefit': tray.crop.airMovementBenefit,
      }
    : {};
