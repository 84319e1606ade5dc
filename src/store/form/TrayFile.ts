import 'reflect-metadata';
import { IsBoolean, IsInt, IsNumber, IsOptional, IsString, Max, MaxLength, Min } from 'class-validator';
import type { Tray } from '../../core/site/stand/Site';
import { finite } from './finite';

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
  @IsInt() @Min(0) @Max(20) risers!: number;
  @IsNumber(finite) @Min(0.005) @Max(0.5) riserHeight_m!: number;
  @IsOptional() @IsString() @MaxLength(80) coverId!: string | null;
  @IsString() @MaxLength(80) label!: string;
  @IsString() @MaxLength(80) batchId!: string;
}

/** A container where it stands, as plain data. */
export const writeTray = (y: Tray): TrayFile => ({
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
  risers: y.risers,
  riserHeight_m: y.riserHeight,
  coverId: y.coverId,
  label: y.label,
  batchId: y.batchId,
});

export const trayOfFile = (y: TrayFile): Tray => ({
  id: y.id,
  containerId: y.containerId ?? null,
  length: y.length_m,
  width: y.width_m,
  height: y.height_m,
  insideLength: y.insideLength_m,
  insideWidth: y.insideWidth_m,
  x: y.x_m,
  y: y.y_m,
  turned: y.turned,
  risers: y.risers,
  riserHeight: y.riserHeight_m,
  coverId: y.coverId ?? null,
  label: y.label,
  batchId: y.batchId,
});
