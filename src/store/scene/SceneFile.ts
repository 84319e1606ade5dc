import 'reflect-metadata';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  Equals,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsOptional,
  IsString,
  Max,
  MaxLength,
  Min,
  IsObject,
  ValidateNested,
} from 'class-validator';
import { materialLibrary } from '../../core/things/material/materialLibrary';
import { spectrumLibrary } from '../../core/light/spectrum/spectrumLibrary';
import { finite } from '../form/finite';

const KINDS = ['library', 'point', 'tube', 'rect', 'disc', 'ies'] as const;

export class DoubtFile {
  @IsNumber(finite) @Min(0) @Max(0.95) low!: number;
  @IsNumber(finite) @Min(0) @Max(5) high!: number;
}

export class DiodesFile {
  @IsInt() @Min(1) @Max(40) columns!: number;
  @IsInt() @Min(1) @Max(40) rows!: number;
}

export class BodyFile {
  @IsNumber(finite) @Min(0.001) @Max(5) length_m!: number;
  @IsNumber(finite) @Min(0.001) @Max(5) width_m!: number;
  @IsNumber(finite) @Min(0.001) @Max(2) height_m!: number;
}

export class SceneLampFile {
  @IsString() @MaxLength(80) id!: string;
  @IsIn(KINDS) kind!: (typeof KINDS)[number];
  @IsNumber(finite) @Min(-20) @Max(20) x_m!: number;
  @IsNumber(finite) @Min(-20) @Max(20) y_m!: number;
  /** Height of the emitting point, axis or face. */
  @IsNumber(finite) @Min(-20) @Max(20) z_m!: number;
  @IsOptional() @IsNumber(finite) @Min(-360) @Max(360) turn_deg?: number;
  @IsOptional() @IsNumber(finite) @Min(-180) @Max(180) tilt_deg?: number;
  @IsOptional() @IsNumber(finite) @Min(-180) @Max(180) pitch_deg?: number;
  /** On a rail: how far its place goes to and fro along x and y, in all, about where it is. */
  @IsOptional() @IsNumber(finite) @Min(-4) @Max(4) travelX_m?: number;
  @IsOptional() @IsNumber(finite) @Min(-4) @Max(4) travelY_m?: number;
  @IsOptional() @IsNumber(finite) @Min(0) @Max(1e5) ppf_umol_per_s?: number;
  @IsOptional() @IsNumber(finite) @Min(0) @Max(5) length_m?: number;
  @IsOptional() @IsNumber(finite) @Min(0) @Max(5) width_m?: number;
  @IsOptional() @IsNumber(finite) @Min(0) @Max(0.2) diameter_m?: number;
  /** A tube under a reflector: what it sends out goes down. */
  @IsOptional() @IsBoolean() shaded?: boolean;
  @IsOptional() @IsNumber(finite) @Min(0.001) @Max(2) radius_m?: number;
  /** Of a disc that is a ring. */
  @IsOptional() @IsNumber(finite) @Min(0) @Max(2) holeRadius_m?: number;
  @IsOptional() @IsNumber(finite) @Min(0.1) @Max(200) cosinePower?: number;
  @IsOptional() @IsNumber(finite) @Min(5) @Max(175) beam_deg?: number;
  @IsOptional() @IsBoolean() isotropic?: boolean;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => DiodesFile) diodes?: DiodesFile;
  @IsOptional() @IsString() @MaxLength(80) libraryId?: string;
  /** Text of an IES file. */
  @IsOptional() @IsString() @MaxLength(500_000) ies?: string;
  @IsOptional() @IsIn(spectrumLibrary.map((s) => s.id)) spectrum?: string;
  /** Its housing, above its place: it keeps light from above away. */
  @IsOptional() @IsObject() @ValidateNested() @Type(() => BodyFile) body?: BodyFile;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => DoubtFile) ppfDoubt?: DoubtFile;
  @IsOptional() @IsNumber(finite) @Min(0) @Max(1) heightDoubt_m?: number;
}

export class FaceFile {
  @IsOptional() @IsIn(materialLibrary.map((m) => m.id)) material?: string;
  @IsOptional() @IsNumber(finite) @Min(0) @Max(1) reflectance?: number;
  @IsOptional() @IsNumber(finite) @Min(0) @Max(1) transmittance?: number;
  @IsOptional() @IsNumber(finite) @Min(0) @Max(1) specular?: number;
}

export class SceneFacesFile {
  @IsOptional() @IsObject() @ValidateNested() @Type(() => FaceFile) floor?: FaceFile;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => FaceFile) ceiling?: FaceFile;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => FaceFile) left?: FaceFile;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => FaceFile) right?: FaceFile;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => FaceFile) front?: FaceFile;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => FaceFile) back?: FaceFile;
}

/** Below a height the upright sides of a tier send back only a share of what they do above. */
export class LowFile {
  @IsNumber(finite) @Min(0.001) @Max(5) height_m!: number;
  @IsNumber(finite) @Min(0) @Max(1) share!: number;
}

export class SceneTierFile {
  @IsNumber(finite) @Min(-20) @Max(20) x_m!: number;
  @IsNumber(finite) @Min(-20) @Max(20) y_m!: number;
  @IsNumber(finite) @Min(-20) @Max(20) z_m!: number;
  @IsNumber(finite) @Min(0.05) @Max(5) width_m!: number;
  @IsNumber(finite) @Min(0.05) @Max(5) depth_m!: number;
  @IsNumber(finite) @Min(0.05) @Max(5) height_m!: number;
  @IsObject() @ValidateNested() @Type(() => SceneFacesFile) faces!: SceneFacesFile;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => LowFile) low?: LowFile;
}

export class AreaFile {
  @IsNumber(finite) @Min(-20) @Max(20) x0_m!: number;
  @IsNumber(finite) @Min(-20) @Max(20) x1_m!: number;
  @IsNumber(finite) @Min(-20) @Max(20) y0_m!: number;
  @IsNumber(finite) @Min(-20) @Max(20) y1_m!: number;
}

export class ThingFile extends AreaFile {
  @IsNumber(finite) @Min(-20) @Max(20) z0_m!: number;
  @IsNumber(finite) @Min(-20) @Max(20) z1_m!: number;
}

export class SceneTrayFile extends AreaFile {
  @IsString() @MaxLength(80) id!: string;
  @IsNumber(finite) @Min(-20) @Max(20) z_m!: number;
  @IsOptional() @IsNumber(finite) @Min(0) @Max(1e5) low_umol_per_m2_s?: number;
  @IsOptional() @IsNumber(finite) @Min(0) @Max(1e5) high_umol_per_m2_s?: number;
}

export class PointFile {
  @IsNumber(finite) @Min(-20) @Max(20) x_m!: number;
  @IsNumber(finite) @Min(-20) @Max(20) y_m!: number;
  @IsNumber(finite) @Min(-20) @Max(20) z_m!: number;
}

export class MapFile extends AreaFile {
  @IsNumber(finite) @Min(-20) @Max(20) z_m!: number;
  @IsNumber(finite) @Min(0.001) @Max(5) cell_m!: number;
}

export class SliceFile {
  @IsNumber(finite) @Min(-20) @Max(20) x0_m!: number;
  @IsNumber(finite) @Min(-20) @Max(20) x1_m!: number;
  @IsNumber(finite) @Min(-20) @Max(20) z0_m!: number;
  @IsNumber(finite) @Min(-20) @Max(20) z1_m!: number;
  @IsNumber(finite) @Min(-20) @Max(20) y_m!: number;
  @IsNumber(finite) @Min(0.001) @Max(5) cell_m!: number;
}

export class FalloffFile {
  @IsNumber(finite) @Min(-20) @Max(20) x_m!: number;
  @IsNumber(finite) @Min(-20) @Max(20) y_m!: number;
  @IsNumber(finite) @Min(-20) @Max(20) z_m!: number;
  @IsNumber(finite) @Min(0.005) @Max(20) from_m!: number;
  @IsNumber(finite) @Min(0.005) @Max(20) to_m!: number;
  @IsOptional() @IsInt() @Min(2) @Max(200) count?: number;
}

export class AskFile {
  @IsOptional() @IsArray() @ArrayMaxSize(1000) @ValidateNested({ each: true }) @Type(() => PointFile) points?: PointFile[];
  @IsOptional() @IsArray() @ArrayMaxSize(8) @ValidateNested({ each: true }) @Type(() => MapFile) maps?: MapFile[];
  @IsOptional() @IsArray() @ArrayMaxSize(8) @ValidateNested({ each: true }) @Type(() => SliceFile) slices?: SliceFile[];
  @IsOptional() @IsArray() @ArrayMaxSize(20) @ValidateNested({ each: true }) @Type(() => FalloffFile) falloffs?: FalloffFile[];
  @IsOptional() @IsNumber(finite) @Min(0.002) @Max(0.5) trayCell_m?: number;
}

/** A scene for people who script, version 1. Lengths in metres, angles in degrees, light in photons of 400–700 nm. */
export class SceneFile {
  @Equals('copper-noon/scene') format!: 'copper-noon/scene';
  @Equals(1) version!: 1;
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(64) @ValidateNested({ each: true }) @Type(() => SceneLampFile) lamps!: SceneLampFile[];
  @IsOptional() @IsArray() @ArrayMaxSize(10) @ValidateNested({ each: true }) @Type(() => SceneTierFile) tiers?: SceneTierFile[];
  @IsOptional() @IsArray() @ArrayMaxSize(30) @ValidateNested({ each: true }) @Type(() => ThingFile) things?: ThingFile[];
  @IsOptional() @IsArray() @ArrayMaxSize(50) @ValidateNested({ each: true }) @Type(() => SceneTrayFile) trays?: SceneTrayFile[];
  @IsOptional() @IsObject() @ValidateNested() @Type(() => AskFile) ask?: AskFile;
}
