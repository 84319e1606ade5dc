import type { Lamp, LampShape } from './Lamp';
import table from './lamps.json';
import type { Source } from '../../units/Source';

type Row = (typeof table.lamps)[number];

/** The kinds of lamp that come with the application; lengths in metres, the most usual first. */
export const lampLibrary: readonly Lamp[] = table.lamps.map(lampOf).sort((a, b) => Number(b.common) - Number(a.common));

function lampOf(row: Row): Lamp {
  const { geometry } = row;
  return {
    id: row.id,
    name: row.name,
    family: row.family,
    shape: shapeOf(row),
    length: geometry.lengthMm / 1000,
    width: geometry.widthMm / 1000,
    emitters: geometry.emittersPerFixture,
    spacing: (geometry.spacingMm ?? 0) / 1000,
    beamFwhm: row.beamFwhm_deg === null ? null : (row.beamFwhm_deg * Math.PI) / 180,
    power: row.watts_actual,
    ppf: row.ppf_umol_s,
    fluxBasis: 'archetype',
    lumens: row.lumens,
    cct: row.cct_K,
    spectrumId: row.spectrumId,
    diodes: null,
    curve: null,
    farField: null,
    maintenanceAtEnd: row.lumenMaintenanceAtEnd,
    life_h: row.lifeHours,
    common: row.common,
    heatClearance: row.minClearanceCm / 100,
    coolSurface: row.coolSurface,
    weight_kg: row.weightKg,
    base: row.base,
    ballast: row.ballast,
    linkable: row.linkable,
    locationRating: row.locationRating,
    emitsUV: row.emitsUV,
    distrust: row.claimsToDistrust,
    sources: row.sources as readonly Source[],
  };
}

function shapeOf({ distribution, geometry }: Row): LampShape {
  if (distribution === 'tube-bare' || distribution === 'tube-reflector') return distribution;
  if (distribution === 'omni') return 'bulb-bare';
  if (geometry.kind === 'strip') return 'bar';
  if (geometry.kind === 'panel') return 'panel';
  // Heads on one clip are little bars; an oblong reflector is a panel with a beam; all else is round.
  if (geometry.emittersPerFixture > 1) return 'bar';
  return geometry.kind === 'spot' && geometry.lengthMm !== geometry.widthMm ? 'panel' : 'bulb-reflector';
}
