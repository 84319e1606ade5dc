import 'reflect-metadata';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsIn,
  IsNumber,
  IsObject,
  IsOptional,
  IsString,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';
import { DAMP_RATINGS, MOST_CHANNELS, NOISES, type DampRating, type Noise, type OwnLamp } from '../../core/site/lamp/OwnLamp';
import { dayOf, isoOf } from '../../core/units/day';
import { IsDay } from './IsDay';
import { finite } from './finite';

export class CountedFile {
  @IsNumber(finite) @Min(0) @Max(1e6) hours_h!: number;
  @IsDay() on!: string;
}

export class DrawnFile {
  @IsNumber(finite) @Min(0.1) @Max(5000) power_W!: number;
  @IsOptional() @IsNumber(finite) @Min(0.1) @Max(10_000) load_VA!: number | null;
}

export class DimPointFile {
  @IsNumber(finite) @Min(0.01) @Max(0.99) setting!: number;
  @IsNumber(finite) @Min(0) @Max(1) light!: number;
  @IsNumber(finite) @Min(0) @Max(1) draw!: number;
}

export class DimmerFile {
  @IsArray()
  @ArrayMaxSize(20)
  @IsNumber(finite, { each: true })
  @Min(0.01, { each: true })
  @Max(1, { each: true })
  steps!: number[];
  @IsArray() @ArrayMaxSize(20) @ValidateNested({ each: true }) @Type(() => DimPointFile) points!: DimPointFile[];
}

/** A lamp that is a thing of the person's own; a fitting that has gone is no fault. */
export class OwnLampFile {
  @IsString() @MaxLength(80) id!: string;
  @IsString() @MaxLength(120) name!: string;
  @IsString() @MaxLength(80) lampId!: string;
  @IsOptional() @IsString() @MaxLength(80) fittingId!: string | null;
  @IsOptional() @IsDay() bought!: string | null;
  @IsOptional() @IsNumber(finite) @Min(0) @Max(1e6) paid!: number | null;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => CountedFile) counted!: CountedFile | null;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => DrawnFile) drawn!: DrawnFile | null;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => DimmerFile) dimmer!: DimmerFile | null;
  @IsArray() @ArrayMaxSize(MOST_CHANNELS) @IsString({ each: true }) @MaxLength(80, { each: true }) channels!: string[];
  @IsOptional() @IsIn(DAMP_RATINGS) rating!: DampRating | null;
  @IsOptional() @IsNumber(finite) @Min(0) @Max(200) weight_kg!: number | null;
  @IsOptional() @IsIn(NOISES) noise!: Noise | null;
  @IsString() @MaxLength(500) fault!: string;
  @IsOptional() @IsDay() retired!: string | null;
}

export const ownLampOf = (f: OwnLampFile): OwnLamp => ({
  id: f.id,
  name: f.name,
  lampId: f.lampId,
  fittingId: f.fittingId ?? null,
  bought: f.bought ? dayOf(f.bought) : null,
  paid: f.paid ?? null,
  counted: f.counted ? { hours: f.counted.hours_h, on: dayOf(f.counted.on) } : null,
  drawn: f.drawn ? { power: f.drawn.power_W, load: f.drawn.load_VA ?? null } : null,
  dimmer: f.dimmer
    ? { steps: [...f.dimmer.steps], points: f.dimmer.points.map(({ setting, light, draw }) => ({ setting, light, draw })) }
    : null,
  channels: [...f.channels],
  rating: f.rating ?? null,
  weight_kg: f.weight_kg ?? null,
  noise: f.noise ?? null,
  fault: f.fault,
  retired: f.retired ? dayOf(f.retired) : null,
});

export const writeOwnLamp = ({ bought, counted, drawn, dimmer, channels, retired, ...rest }: OwnLamp): OwnLampFile => ({
  ...rest,
  bought: bought === null ? null : isoOf(bought),
  counted: counted && { hours_h: counted.hours, on: isoOf(counted.on) },
  drawn: drawn && { power_W: drawn.power, load_VA: drawn.load },
  dimmer: dimmer && { steps: [...dimmer.steps], points: dimmer.points.map((p) => ({ ...p })) },
  channels: [...channels],
  retired: retired === null ? null : isoOf(retired),
});
