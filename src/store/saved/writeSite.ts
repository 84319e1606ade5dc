import type { Lamp } from '../../core/lamp/Lamp';
import type { Site } from '../../core/stand/Site';
import type { LampFile, SiteFile } from './SiteFile';

/** A site as plain data for storage and for files. */
export function writeSite(site: Site): SiteFile {
  return {
    format: 'copper-noon/site',
    version: 3,
    currency: site.currency,
    price_per_kWh: site.price_per_kWh,
    stands: site.stands.map(({ id, name, tiers }) => ({
      id,
      name,
      tiers: tiers.map((t) => ({
        id: t.id,
        width_m: t.width,
        depth_m: t.depth,
        enclosure: {
          width_m: t.enclosure.width,
          depth_m: t.enclosure.depth,
          height_m: t.enclosure.height,
          faces: { ...t.enclosure.faces },
        },
        ageing: { ...t.ageing },
        programmeId: t.programmeId,
        fittings: t.fittings.map((f) => ({ id: f.id, lampId: f.lampId, x_m: f.x, y_m: f.y, face_m: f.face, turn_rad: f.turn })),
        trays: t.trays.map((y) => ({
          id: y.id,
          containerId: y.containerId,
          length_m: y.length,
          width_m: y.width,
          height_m: y.height,
          insideLength_m: y.insideLength,
          insideWidth_m: y.insideWidth,
          x_m: y.x,
          y_m: y.y,
          turned: y.turned,
          batchId: y.batchId,
        })),
        readings: t.readings.map((r) => ({
          id: r.id,
          meter: r.meter,
          value: r.value,
          unit: r.unit,
          fromMiddleX_m: r.dx,
          fromMiddleY_m: r.dy,
          distance_m: r.distance,
          lampId: r.lampId,
          lamps: r.row.count,
          gap_m: r.row.gap,
          leftOut: r.leftOut,
          taken: new Date(r.taken_ms).toISOString(),
        })),
      })),
    })),
    batches: site.batches.map((b) => ({ id: b.id, cropId: b.cropId, stage: b.stage, height_m: b.height })),
    programmes: site.programmes.map((p) => ({ ...p })),
    lamps: site.lamps.map(writeLamp),
  };
}

function writeLamp(lamp: Lamp): LampFile {
  return {
    id: lamp.id,
    name: lamp.name,
    family: lamp.family,
    shape: lamp.shape,
    length_m: lamp.length,
    width_m: lamp.width,
    emitters: lamp.emitters,
    spacing_m: lamp.spacing,
    beamFwhm_deg: lamp.beamFwhm === null ? null : (lamp.beamFwhm * 180) / Math.PI,
    power_W: lamp.power,
    ppf_umol_per_s: lamp.ppf,
    fluxBasis: lamp.fluxBasis,
    lumens_lm: lamp.lumens,
    cct_K: lamp.cct,
    spectrumId: lamp.spectrumId,
    diodes: lamp.diodes && { ...lamp.diodes },
    curve: lamp.curve && { start_nm: lamp.curve.start, step_nm: lamp.curve.step, power: [...lamp.curve.power] },
    farField: lamp.farField && {
      round: lamp.farField.round,
      gamma_rad: [...lamp.farField.table.gamma],
      c_rad: [...lamp.farField.table.c],
      perFlux_per_sr: [...lamp.farField.table.perFlux],
    },
    maintenanceAtEnd: lamp.maintenanceAtEnd,
    life_h: lamp.life_h,
    heatClearance_m: lamp.heatClearance,
    coolSurface: lamp.coolSurface,
    weight_kg: lamp.weight_kg,
    base: lamp.base,
    ballast: lamp.ballast,
    linkable: lamp.linkable,
    locationRating: lamp.locationRating,
    emitsUV: lamp.emitsUV,
  };
}
