import { PauseFile } from '../form/SeasonFile';
import 'reflect-metadata';
import { Type } from 'class-transformer';
import { ArrayMaxSize, IsArray, IsBoolean, IsInt, IsNumber, IsOptional, Max, Min, IsObject, ValidateNested } from 'class-validator';
import { MOST_SPEED } from '../../core/plan/plug/simulatedPlug';
import { IsDay } from '../form/IsDay';

/** A time on a plug's own clock. */
export class PlugClockFile {
  @IsDay() day!: string;
  @IsInt() @Min(0) @Max(1439) minute!: number;
}

export class PlugEntryFile {
  @IsDay() from!: string;
  @IsInt() @Min(0) @Max(1439) on_min!: number;
  @IsInt() @Min(0) @Max(1440) lit_min!: number;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => PauseFile) pause?: PauseFile | null;
}

/** What a plug is told; what is left out stays as it is. */
export class PlugOrderFile {
  @IsOptional() @IsObject() @ValidateNested() @Type(() => PlugClockFile) clock?: PlugClockFile;
  @IsOptional() @IsArray() @ArrayMaxSize(400) @ValidateNested({ each: true }) @Type(() => PlugEntryFile) schedule?: PlugEntryFile[];
  @IsOptional() @IsNumber({ allowNaN: false, allowInfinity: false }) @Min(1) @Max(MOST_SPEED) speed?: number;
  @IsOptional() @IsBoolean() powered?: boolean;
  @IsOptional() @IsBoolean() remembers?: boolean;
}
