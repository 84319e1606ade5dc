import 'reflect-metadata';
import { Type } from 'class-transformer';
import { IsIn, IsNumber, IsObject, IsOptional, IsString, Max, MaxLength, Min, ValidateNested } from 'class-validator';
import { HANGER_KINDS, type HangerKind } from '../../core/site/stand/Hanger';
import { MOST_TILT } from '../../core/site/stand/poseOf';
import type { Fitting } from '../../core/site/stand/Site';
import { LONGEST_TRAVEL, TRAVEL_WAYS, type Travel } from '../../core/things/lamp/Travel';
import { finite } from './finite';

export class TravelFile {
  @IsIn(TRAVEL_WAYS) along!: Travel['along'];
  @IsNumber(finite) @Min(0.01) @Max(LONGEST_TRAVEL) length_m!: number;
}

export class HangerFile {
  @IsIn(HANGER_KINDS) kind!: HangerKind;
  @IsNumber(finite) @Min(0.001) @Max(0.5) step_m!: number;
  @IsOptional() @IsNumber(finite) @Min(0) @Max(1000) load_kg!: number | null;
}

export class FittingFile {
  @IsString() @MaxLength(80) id!: string;
  @IsString() @MaxLength(80) lampId!: string;
  @IsNumber(finite) @Min(-10) @Max(30) x_m!: number;
  @IsNumber(finite) @Min(-10) @Max(30) y_m!: number;
  @IsNumber(finite) @Min(0) @Max(10) face_m!: number;
  @IsNumber(finite) @Min(-7) @Max(7) turn_rad!: number;
  @IsOptional() @IsNumber(finite) @Min(-MOST_TILT) @Max(MOST_TILT) tilt_rad?: number;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => TravelFile) travel?: TravelFile;
  @IsObject() @ValidateNested() @Type(() => HangerFile) hanger!: HangerFile;
  @IsOptional() @IsNumber(finite) @Min(0.01) @Max(1) dim?: number;
}

/** A lamp where it hangs, as plain data. */
export const writeFitting = (f: Fitting): FittingFile => ({
  id: f.id,
  lampId: f.lampId,
  x_m: f.x,
  y_m: f.y,
  face_m: f.face,
  turn_rad: f.turn,
  ...(f.tilt ? { tilt_rad: f.tilt } : {}),
  ...(f.travel ? { travel: writeTravel(f.travel) } : {}),
  hanger: { kind: f.hanger.kind, step_m: f.hanger.step, load_kg: f.hanger.load },
  ...(f.dim === undefined || f.dim === 1 ? {} : { dim: f.dim }),
});

export const fittingOf = (f: FittingFile): Fitting => ({
  id: f.id,
  lampId: f.lampId,
  x: f.x_m,
  y: f.y_m,
  face: f.face_m,
  turn: f.turn_rad,
  ...(f.tilt_rad ? { tilt: f.tilt_rad } : {}),
  ...(f.travel ? { travel: travelOf(f.travel) } : {}),
  hanger: { kind: f.hanger.kind, step: f.hanger.step_m, load: f.hanger.load_kg ?? null },
  ...(f.dim == null || f.dim === 1 ? {} : { dim: f.dim }),
});

export const writeTravel = ({ along, length }: Travel): TravelFile => ({ along, length_m: length });

export const travelOf = ({ along, length_m }: TravelFile): Travel => ({ along, length: length_m });
