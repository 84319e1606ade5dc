import 'reflect-metadata';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  Equals,
  IsArray,
  IsInt,
  IsNumber,
  IsObject,
  IsOptional,
  IsTimeZone,
  Max,
  Min,
  ValidateNested,
} from 'class-validator';
import { ClimateFile, PlaceFile, WindowFile } from '../form/WindowFile';
import { finite } from '../form/finite';

/** A place before the window. */
export class BeforeWindowFile {
  @IsNumber(finite) @Min(0.02) @Max(20) depth_m!: number;
  @IsNumber(finite) @Min(-20) @Max(20) along_m!: number;
  @IsNumber(finite) @Min(-5) @Max(5) over_m!: number;
}

/** A question about the light of a window, version 1. */
export class DaylightFile {
  @Equals('copper-noon/window') format!: 'copper-noon/window';
  @Equals(1) version!: 1;
  @IsInt() @Min(1901) @Max(2099) year!: number;
  @IsObject() @ValidateNested() @Type(() => PlaceFile) place!: PlaceFile;
  @IsObject() @ValidateNested() @Type(() => ClimateFile) climate!: ClimateFile;
  @IsOptional() @IsTimeZone() timeZone!: string | null;
  @IsObject() @ValidateNested() @Type(() => WindowFile) window!: WindowFile;
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(20) @ValidateNested({ each: true }) @Type(() => BeforeWindowFile) at!: BeforeWindowFile[];
}
