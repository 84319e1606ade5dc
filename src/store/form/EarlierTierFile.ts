import 'reflect-metadata';
import { Type } from 'class-transformer';
import { ArrayMaxSize, IsArray, IsNumber, IsOptional, IsString, Max, MaxLength, Min, ValidateNested } from 'class-validator';
import type { EarlierTier } from '../../core/site/stand/Site';
import { dayOf, isoOf } from '../../core/units/day';
import { FittingFile, fittingOf, writeFitting } from './FittingFile';
import { IsDay } from './IsDay';
import { TrayFile, trayOfFile, writeTray } from './TrayFile';
import { finite } from './finite';

/** What of a tier was otherwise until a day. */
export class EarlierTierFile {
  @IsString() @MaxLength(80) tierId!: string;
  @IsDay() until!: string;
  @IsOptional() @IsNumber(finite) @Min(0) @Max(1440) lit_min?: number;
  @IsOptional() @IsArray() @ArrayMaxSize(50) @ValidateNested({ each: true }) @Type(() => FittingFile) fittings?: FittingFile[];
  @IsOptional() @IsArray() @ArrayMaxSize(200) @ValidateNested({ each: true }) @Type(() => TrayFile) trays?: TrayFile[];
}

export const writeEarlier = ({ tierId, until, lit_min, fittings, trays }: EarlierTier): EarlierTierFile => ({
  tierId,
  until: isoOf(until),
  ...(lit_min === undefined ? {} : { lit_min }),
  ...(fittings && { fittings: fittings.map(writeFitting) }),
  ...(trays && { trays: trays.map(writeTray) }),
});

export const earlierOf = ({ tierId, until, lit_min, fittings, trays }: EarlierTierFile): EarlierTier => ({
  tierId,
  until: dayOf(until),
  ...(lit_min == null ? {} : { lit_min }),
  ...(fittings && { fittings: fittings.map(fittingOf) }),
  ...(trays && { trays: trays.map(trayOfFile) }),
});
