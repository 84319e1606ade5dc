import 'reflect-metadata';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  Equals,
  IsArray,
  IsBoolean,
  IsDefined,
  IsIn,
  IsInt,
  IsISO8601,
  IsNumber,
  IsOptional,
  IsString,
  Matches,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';
import { AGE_VIEWS, type AgeView } from '../../core/lamp/ageing';
import { FLUX_BASES, LAMP_SHAPES, type FluxBasis, type LampShape } from '../../core/lamp/Lamp';
import { materialLibrary } from '../../core/library/materialLibrary';

const MATERIALS = materialLibrary.map((m) => m.id);
const STAGES = ['emergence', 'seedling', 'growing-on', 'flowering-fruiting', 'maintenance'] as const;
const METERS = ['lux-meter', 'foot-candle-meter', 'quantum-meter', 'phone'] as const;
const LIGHT_UNITS = ['umol', 'lx', 'fc'] as const;

const finite = { allowNaN: false, allowInfinity: false };

export class FittingFile {
  @IsString() @MaxLength(80) id!: string;
  @IsString() @MaxLength(80) lampId!: string;
  @IsNumber(finite) @Min(-10) @Max(30) x_m!: number;
  @IsNumber(finite) @Min(-10) @Max(30) y_m!: number;
  @IsNumber(finite) @Min(0) @Max(10) face_m!: number;
  @IsNumber(finite) @Min(-7) @Max(7) turn_rad!: number;
}

export class TrayFile {
  @IsString() @MaxLength(80) id!: string;
  @IsOptional() @IsString() @MaxLength(80) containerId!: string | null;
  @IsNumber(finite) @Min(0.01) @Max(3) length_m!: number;
  @IsNumber(finite) @Min(0.01) @Max(3) width_m!: number;
  @IsNumber(finite) @Min(0) @Max(1) height_m!: number;
  @IsNumber(finite) @Min(0.01) @Max(3) insideLength_m!: number;
  @IsNumber(finite) @Min(0.01) @Max(3) insideWidth_m!: number;
  @IsNumber(finite) @Min(-10) @Max(30) x_m!: number;
  @IsNumber(finite) @Min(-10) @Max(30) y_m!: number;
  @IsBoolean() turned!: boolean;
  @IsString() @MaxLength(80) batchId!: string;
}

export class ReadingFile {
  @IsString() @MaxLength(80) id!: string;
  @IsIn(METERS) meter!: (typeof METERS)[number];
  @IsNumber(finite) @Min(0) @Max(1e7) value!: number;
  @IsIn(LIGHT_UNITS) unit!: (typeof LIGHT_UNITS)[number];
  @IsNumber(finite) @Min(-20) @Max(20) fromMiddleX_m!: number;
  @IsNumber(finite) @Min(-20) @Max(20) fromMiddleY_m!: number;
  @IsNumber(finite) @Min(0.001) @Max(10) distance_m!: number;
  @IsString() @MaxLength(80) lampId!: string;
  @IsInt() @Min(1) @Max(50) lamps!: number;
  @IsNumber(finite) @Min(0) @Max(5) gap_m!: number;
  @IsBoolean() leftOut!: boolean;
  @IsISO8601() taken!: string;
}

export class FacesFile {
  @IsIn(MATERIALS) floor!: string;
  @IsIn(MATERIALS) ceiling!: string;
  @IsIn(MATERIALS) left!: string;
  @IsIn(MATERIALS) right!: string;
  @IsIn(MATERIALS) front!: string;
  @IsIn(MATERIALS) back!: string;
}

export class EnclosureFile {
  @IsOptional() @IsNumber(finite) @Min(0.05) @Max(20) width_m!: number | null;
  @IsOptional() @IsNumber(finite) @Min(0.05) @Max(20) depth_m!: number | null;
  @IsNumber(finite) @Min(0.05) @Max(5) height_m!: number;
  @ValidateNested() @IsDefined() @Type(() => FacesFile) faces!: FacesFile;
}

export class AgeingFile {
  @IsOptional() @IsNumber(finite) @Min(0) @Max(1e6) used_h!: number | null;
  @IsNumber(finite) @Min(0) @Max(0.9) dirt!: number;
  @IsIn(AGE_VIEWS) view!: AgeView;
}

export class TierFile {
  @IsString() @MaxLength(80) id!: string;
  @IsNumber(finite) @Min(0.05) @Max(20) width_m!: number;
  @IsNumber(finite) @Min(0.05) @Max(20) depth_m!: number;
  @ValidateNested() @IsDefined() @Type(() => EnclosureFile) enclosure!: EnclosureFile;
  @ValidateNested() @IsDefined() @Type(() => AgeingFile) ageing!: AgeingFile;
  @IsString() @MaxLength(80) programmeId!: string;
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(50) @ValidateNested({ each: true }) @Type(() => FittingFile) fittings!: FittingFile[];
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(200) @ValidateNested({ each: true }) @Type(() => TrayFile) trays!: TrayFile[];
  @IsArray() @ArrayMaxSize(2000) @ValidateNested({ each: true }) @Type(() => ReadingFile) readings!: ReadingFile[];
}

export class StandFile {
  @IsString() @MaxLength(80) id!: string;
  @IsString() @MaxLength(120) name!: string;
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(20) @ValidateNested({ each: true }) @Type(() => TierFile) tiers!: TierFile[];
}

export class BatchFile {
  @IsString() @MaxLength(80) id!: string;
  @IsString() @MaxLength(80) cropId!: string;
  @IsIn(STAGES) stage!: (typeof STAGES)[number];
  @IsOptional() @IsNumber(finite) @Min(0) @Max(5) height_m!: number | null;
}

export class ProgrammeFile {
  @IsString() @MaxLength(80) id!: string;
  @IsInt() @Min(0) @Max(1439) on_min!: number;
  @IsInt() @Min(0) @Max(1440) lit_min!: number;
}

/** A spectrum at even steps. */
export class CurveFile {
  @IsNumber(finite) @Min(200) @Max(450) start_nm!: number;
  @IsNumber(finite) @Min(0.5) @Max(10) step_nm!: number;
  @IsArray() @ArrayMinSize(10) @ArrayMaxSize(1000) @IsNumber(finite, { each: true }) @Min(0, { each: true }) power!: number[];
}

/** A measured far field for one unit of flux. */
export class FarFieldFile {
  @IsBoolean() round!: boolean;
  @IsArray()
  @ArrayMinSize(2)
  @ArrayMaxSize(2000)
  @IsNumber(finite, { each: true })
  @Min(0, { each: true })
  @Max(3.1416, { each: true })
  gamma_rad!: number[];
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(2000)
  @IsNumber(finite, { each: true })
  @Min(0, { each: true })
  @Max(6.2832, { each: true })
  c_rad!: number[];
  @IsArray() @ArrayMaxSize(400_000) @IsNumber(finite, { each: true }) @Min(0, { each: true }) perFlux_per_sr!: number[];
}

/** Diodes of a panel. */
export class DiodesOfLampFile {
  @IsInt() @Min(1) @Max(40) columns!: number;
  @IsInt() @Min(1) @Max(40) rows!: number;
}

/** A lamp of the person's own. */
export class LampFile {
  @IsString() @MaxLength(80) id!: string;
  @IsString() @MaxLength(120) name!: string;
  @IsString() @MaxLength(40) family!: string;
  @IsIn(LAMP_SHAPES) shape!: LampShape;
  @IsNumber(finite) @Min(0) @Max(3) length_m!: number;
  @IsNumber(finite) @Min(0) @Max(3) width_m!: number;
  @IsInt() @Min(1) @Max(12) emitters!: number;
  @IsNumber(finite) @Min(0) @Max(3) spacing_m!: number;
  @IsOptional() @IsNumber(finite) @Min(1) @Max(179) beamFwhm_deg!: number | null;
  @IsNumber(finite) @Min(0.1) @Max(5000) power_W!: number;
  @IsNumber(finite) @Min(0.001) @Max(30000) ppf_umol_per_s!: number;
  @IsIn(FLUX_BASES) fluxBasis!: FluxBasis;
  @IsOptional() @IsNumber(finite) @Min(0) lumens_lm!: number | null;
  @IsOptional() @IsNumber(finite) @Min(1000) @Max(30000) cct_K!: number | null;
  @IsString() @MaxLength(80) spectrumId!: string;
  @IsOptional() @ValidateNested() @Type(() => DiodesOfLampFile) diodes!: DiodesOfLampFile | null;
  @IsOptional() @ValidateNested() @Type(() => CurveFile) curve!: CurveFile | null;
  @IsOptional() @ValidateNested() @Type(() => FarFieldFile) farField!: FarFieldFile | null;
  @IsNumber(finite) @Min(0.05) @Max(1) maintenanceAtEnd!: number;
  @IsNumber(finite) @Min(1) life_h!: number;
  @IsNumber(finite) @Min(0) @Max(3) heatClearance_m!: number;
  @IsBoolean() coolSurface!: boolean;
  @IsNumber(finite) @Min(0) @Max(200) weight_kg!: number;
  @IsOptional() @IsString() @MaxLength(40) base!: string | null;
  @IsOptional() @IsString() @MaxLength(60) ballast!: string | null;
  @IsBoolean() linkable!: boolean;
  @IsString() @MaxLength(40) locationRating!: string;
  @IsBoolean() emitsUV!: boolean;
}

/** A site as it is written to disk and to exported files, version 3. Lengths in metres; units stand in the names. */
export class SiteFile {
  @Equals('copper-noon/site') format!: 'copper-noon/site';
  @Equals(3) version!: 3;
  @Matches(/^[A-Z]{3}$/) currency!: string;
  @IsNumber(finite) @Min(0) @Max(1e6) price_per_kWh!: number;
  @IsArray() @ArrayMaxSize(200) @ValidateNested({ each: true }) @Type(() => StandFile) stands!: StandFile[];
  @IsArray() @ArrayMaxSize(2000) @ValidateNested({ each: true }) @Type(() => BatchFile) batches!: BatchFile[];
  @IsArray() @ArrayMaxSize(2000) @ValidateNested({ each: true }) @Type(() => ProgrammeFile) programmes!: ProgrammeFile[];
  @IsArray() @ArrayMaxSize(500) @ValidateNested({ each: true }) @Type(() => LampFile) lamps!: LampFile[];
}
