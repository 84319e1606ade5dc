import 'reflect-metadata';
import { LIGHT_UNITS } from '../../core/units/light';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsISO8601,
  IsNumber,
  IsObject,
  IsOptional,
  IsString,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';
import { CLIMATE_KINDS, type Climate } from '../../core/sky/outdoors/climates';
import { PALENESS, type Inside } from '../../core/sky/window/Inside';
import { PANE_KINDS, type PaneKind } from '../../core/sky/window/Glass';
import {
  DIRT_KINDS,
  MOST_HORIZON_POINTS,
  MOST_SILL_READINGS,
  passedBy,
  SKIES_SEEN,
  WINDOW_SIDES,
  type AtWindow,
  type DirtKind,
  type SillReading,
  type Window,
} from '../../core/site/window/Window';
import { finite } from './finite';

const RAD = Math.PI / 180;

/** Where the household is. */
export class PlaceFile {
  @IsNumber(finite) @Min(-90) @Max(90) latitude_deg!: number;
  @IsNumber(finite) @Min(-180) @Max(180) longitude_deg!: number;
}

/** How often the sun shines there. */
export class ClimateFile {
  @IsIn([...CLIMATE_KINDS, 'typed', 'file']) kind!: Climate['kind'];
  @IsString() @MaxLength(120) name!: string;
  @IsArray()
  @ArrayMinSize(12)
  @ArrayMaxSize(12)
  @IsNumber(finite, { each: true })
  @Min(0, { each: true })
  @Max(1, { each: true })
  sunshine!: number[];
}

export class HorizonPointFile {
  @IsNumber(finite) @Min(-90) @Max(90) azimuth_deg!: number;
  @IsNumber(finite) @Min(0) @Max(89) elevation_deg!: number;
}

export class OverhangFile {
  @IsNumber(finite) @Min(0.01) @Max(10) out_m!: number;
  @IsNumber(finite) @Min(0) @Max(10) above_m!: number;
}

export class BlindFile {
  @IsInt() @Min(0) @Max(1439) from_min!: number;
  @IsInt() @Min(0) @Max(1439) to_min!: number;
}

export class InsideFile {
  @IsNumber(finite) @Min(0.5) @Max(50) width_m!: number;
  @IsNumber(finite) @Min(0.5) @Max(50) depth_m!: number;
  @IsNumber(finite) @Min(1) @Max(20) height_m!: number;
  @IsIn(PALENESS) paleness!: Inside['paleness'];
}

export class SillReadingFile {
  @IsString() @MaxLength(80) id!: string;
  @IsISO8601() taken!: string;
  @IsIn(SKIES_SEEN) sky!: SillReading['sky'];
  @IsNumber(finite) @Min(0.01) @Max(20) depth_m!: number;
  @IsNumber(finite) @Min(-20) @Max(20) along_m!: number;
  @IsNumber(finite) @Min(-5) @Max(5) over_m!: number;
  @IsNumber(finite) @Min(0) @Max(1e7) inside!: number;
  @IsOptional() @IsNumber(finite) @Min(0) @Max(1e7) outside!: number | null;
  @IsIn(LIGHT_UNITS) unit!: SillReading['unit'];
  @IsOptional() @IsNumber(finite) @Min(0.01) @Max(1) passed?: number;
  @IsOptional() @IsBoolean() horizonSince?: boolean;
}

/** A window as it is written. */
export class WindowFile {
  @IsString() @MaxLength(80) id!: string;
  @IsString() @MaxLength(120) name!: string;
  @IsNumber(finite) @Min(0) @Max(360) facing_deg!: number;
  @IsNumber(finite) @Min(0.1) @Max(20) width_m!: number;
  @IsNumber(finite) @Min(0.1) @Max(10) height_m!: number;
  @IsNumber(finite) @Min(0) @Max(10) sill_m!: number;
  @IsNumber(finite) @Min(0) @Max(2) reveal_m!: number;
  @IsIn(PANE_KINDS) panes!: PaneKind;
  @IsIn(DIRT_KINDS) dirt!: DirtKind;
  @IsNumber(finite) @Min(0) @Max(0.9) frame!: number;
  @IsNumber(finite) @Min(0.05) @Max(1) curtain!: number;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => OverhangFile) overhang!: OverhangFile | null;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => BlindFile) blind!: BlindFile | null;
  @IsArray() @ArrayMaxSize(MOST_HORIZON_POINTS) @ValidateNested({ each: true }) @Type(() => HorizonPointFile) horizon!: HorizonPointFile[];
  @IsOptional() @IsObject() @ValidateNested() @Type(() => InsideFile) inside!: InsideFile | null;
  @IsArray() @ArrayMaxSize(MOST_SILL_READINGS) @ValidateNested({ each: true }) @Type(() => SillReadingFile) readings!: SillReadingFile[];
}

/** Where a stand is before its window. */
export class AtWindowFile {
  @IsString() @MaxLength(80) windowId!: string;
  @IsIn(WINDOW_SIDES) side!: AtWindow['side'];
  @IsNumber(finite) @Min(0.01) @Max(20) gap_m!: number;
  @IsNumber(finite) @Min(-20) @Max(20) along_m!: number;
  @IsNumber(finite) @Min(-5) @Max(5) above_m!: number;
}

/** Degrees as they were: turned into radians and back, a number must not creep. */
const degrees = (rad: number) => Number((rad / RAD).toFixed(9));

export const windowOfFile = (f: WindowFile): Window => ({
  id: f.id,
  name: f.name,
  facing: f.facing_deg * RAD,
  width: f.width_m,
  height: f.height_m,
  sill: f.sill_m,
  reveal: f.reveal_m,
  panes: f.panes,
  dirt: f.dirt,
  frame: f.frame,
  curtain: f.curtain,
  overhang: f.overhang ? { out: f.overhang.out_m, above: f.overhang.above_m } : null,
  blind: f.blind ? { from_min: f.blind.from_min, to_min: f.blind.to_min } : null,
  horizon: f.horizon.map((p) => ({ azimuth: p.azimuth_deg * RAD, elevation: p.elevation_deg * RAD })),
  inside: f.inside ? { width: f.inside.width_m, depth: f.inside.depth_m, height: f.inside.height_m, paleness: f.inside.paleness } : null,
  readings: f.readings.map((r) => ({
    id: r.id,
    taken_ms: Date.parse(r.taken),
    sky: r.sky,
    depth: r.depth_m,
    along: r.along_m,
    over: r.over_m,
    inside: r.inside,
    outside: r.outside ?? null,
    unit: r.unit,
    passed: r.passed ?? passedBy(f),
    horizonSince: r.horizonSince ?? false,
  })),
});

export const writeWindow = (w: Window): WindowFile => ({
  id: w.id,
  name: w.name,
  facing_deg: degrees(w.facing),
  width_m: w.width,
  height_m: w.height,
  sill_m: w.sill,
  reveal_m: w.reveal,
  panes: w.panes,
  dirt: w.dirt,
  frame: w.frame,
  curtain: w.curtain,
  overhang: w.overhang && { out_m: w.overhang.out, above_m: w.overhang.above },
  blind: w.blind && { from_min: w.blind.from_min, to_min: w.blind.to_min },
  horizon: w.horizon.map((p) => ({ azimuth_deg: degrees(p.azimuth), elevation_deg: degrees(p.elevation) })),
  inside: w.inside && { width_m: w.inside.width, depth_m: w.inside.depth, height_m: w.inside.height, paleness: w.inside.paleness },
  readings: w.readings.map((r) => ({
    id: r.id,
    taken: new Date(r.taken_ms).toISOString(),
    sky: r.sky,
    depth_m: r.depth,
    along_m: r.along,
    over_m: r.over,
    inside: r.inside,
    outside: r.outside,
    unit: r.unit,
    passed: r.passed,
    horizonSince: r.horizonSince,
  })),
});

export const writePlace = (place: { latitude: number; longitude: number }): PlaceFile => ({
  latitude_deg: degrees(place.latitude),
  longitude_deg: degrees(place.longitude),
});

export const placeOfFile = (f: PlaceFile) => ({ latitude: f.latitude_deg * RAD, longitude: f.longitude_deg * RAD });

export const atWindowOf = (f: AtWindowFile): AtWindow => ({
  windowId: f.windowId,
  side: f.side,
  gap: f.gap_m,
  along: f.along_m,
  above: f.above_m,
});

export const writeAtWindow = (w: AtWindow): AtWindowFile => ({
  windowId: w.windowId,
  side: w.side,
  gap_m: w.gap,
  along_m: w.along,
  above_m: w.above,
});
