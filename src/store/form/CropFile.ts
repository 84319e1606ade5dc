import 'reflect-metadata';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
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
import { LEGGY_REMEDIES, STAGE_NAMES, type LeggyRemedy, type StageName } from '../../core/things/crop/Crop';
import type { Basis } from '../../core/units/Source';
import { OUTCOMES } from '../../core/site/stand/Site';
import { IsDay } from './IsDay';
import { finite } from './finite';

const BASES: readonly Basis[] = ['paper', 'bulletin', 'consensus'];

export class StageFile {
  @IsIn(STAGE_NAMES) stage!: StageName;
  @IsOptional() @IsString() @MaxLength(80) label!: string | null;
  @IsOptional() @IsInt() @Min(0) @Max(3650) fromDay!: number | null;
  @IsNumber(finite) @Min(0) @Max(80) dliMin!: number;
  @IsNumber(finite) @Min(0) @Max(80) dliTarget!: number;
  @IsNumber(finite) @Min(0.01) @Max(80) dliMax!: number;
  @IsNumber(finite) @Min(1) @Max(3000) ppfdMax_umol_per_m2_s!: number;
  @IsNumber(finite) @Min(0) @Max(24) hoursMin!: number;
  @IsNumber(finite) @Min(0) @Max(24) hoursMax!: number;
  @IsIn(BASES) basis!: Basis;
}

export class HeightFile {
  @IsInt() @Min(0) @Max(3650) day!: number;
  @IsNumber(finite) @Min(0) @Max(5) height_m!: number;
}

export class GerminationFile {
  @IsNumber(finite) @Min(-10) @Max(50) least_C!: number;
  @IsNumber(finite) @Min(-10) @Max(50) best_C!: number;
  @IsNumber(finite) @Min(-10) @Max(60) most_C!: number;
  @IsInt() @Min(0) @Max(400) firstDay!: number;
  @IsInt() @Min(0) @Max(400) lastDay!: number;
  @IsIn(['needs', 'dark', 'either']) light!: 'needs' | 'dark' | 'either';
  @IsBoolean() heatMat!: boolean;
}

export class CropAirFile {
  @IsNumber(finite) @Min(-10) @Max(50) day_C!: number;
  @IsNumber(finite) @Min(-10) @Max(50) night_C!: number;
}

/** A crop of the person's own. What is not in it is as in the crop that it was copied from. */
export class CropFile {
  @IsString() @MaxLength(80) id!: string;
  @IsString() @MaxLength(120) name!: string;
  @IsString() @MaxLength(120) latin!: string;
  /** Of the crop table; null: made from nothing. */
  @IsOptional() @IsString() @MaxLength(80) basedOn!: string | null;
  @IsString() @MaxLength(2000) why!: string;
  @IsString() @MaxLength(4000) notes!: string;
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(5) @ValidateNested({ each: true }) @Type(() => StageFile) stages!: StageFile[];
  @IsOptional() @IsIn(['high', 'some', 'low']) continuousLightInjury!: 'high' | 'some' | 'low' | null;
  @IsString() @MaxLength(40) dayLengthType!: string;
  @IsString() @MaxLength(2000) dayLengthNote!: string;
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(60) @ValidateNested({ each: true }) @Type(() => HeightFile) heightByDay!: HeightFile[];
  @IsOptional() @IsObject() @ValidateNested() @Type(() => GerminationFile) germination!: GerminationFile | null;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => CropAirFile) afterEmergence!: CropAirFile | null;
  @IsInt() @Min(1) @Max(5) stretchProne!: number;
  @IsIn(LEGGY_REMEDIES) leggyRemedy!: LeggyRemedy;
  @IsBoolean() airMovementBenefit!: boolean;
  /** Left out: as the one that it was copied from. */
  @IsOptional() @IsBoolean() fed?: boolean | null;
}

export class CropNoteFile {
  @IsString() @MaxLength(80) id!: string;
  @IsString() @MaxLength(80) cropId!: string;
  @IsDay() day!: string;
  @IsOptional() @IsIn(OUTCOMES) outcome!: (typeof OUTCOMES)[number] | null;
  @IsString() @MaxLength(2000) text!: string;
}
