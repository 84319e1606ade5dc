import 'reflect-metadata';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
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
import { MOST_CONDUCTIVITY } from '../../core/judge/feed/conductivity';
import { STAGE_NAMES } from '../../core/things/crop/Crop';
import { MOST_CORRECTIONS, MOST_LOGGED } from '../../core/site/growth/changeGrowth';
import { LEAF_SIGNS, LOGGED_KINDS, type LeafSign, type LoggedKind } from '../../core/site/stand/Logged';
import { RHYTHMS } from '../../core/site/hang/VisitRhythm';
import { PLAN_KINDS, type PlanKind } from '../../core/site/timer/HoursPlan';
import { JOB_STATES } from '../../core/site/today/JobMark';
import { PLUGGED_KINDS } from '../../core/site/stand/Site';
import { IsDay } from './IsDay';
import { finite } from './finite';

/** As long as a note may be. */
export const MOST_NOTE_LETTERS = 1000;

/** A thing with a plug, beside the lamps. */
export class PluggedFile {
  @IsString() @MaxLength(80) id!: string;
  @IsIn(PLUGGED_KINDS) kind!: (typeof PLUGGED_KINDS)[number];
  @IsString() @MaxLength(120) name!: string;
  @IsNumber(finite) @Min(0) @Max(20_000) power_W!: number;
  @IsOptional() @IsString() @MaxLength(80) programmeId!: string | null;
}

export class LampJobFile {
  @IsString() @MaxLength(80) tierId!: string;
  @IsString() @MaxLength(80) fittingId!: string;
  @IsInt() @Min(-10_000) @Max(10_000) steps!: number;
  @IsNumber(finite) @Min(0) @Max(20) face_m!: number;
}

export class DimJobFile {
  @IsString() @MaxLength(80) tierId!: string;
  @IsString() @MaxLength(80) fittingId!: string;
  @IsNumber(finite) @Min(0.01) @Max(1) from!: number;
  @IsNumber(finite) @Min(0.01) @Max(1) to!: number;
}

export class RiserJobFile {
  @IsString() @MaxLength(80) tierId!: string;
  @IsString() @MaxLength(80) trayId!: string;
  @IsInt() @Min(0) @Max(20) from!: number;
  @IsInt() @Min(0) @Max(20) to!: number;
}

export class HoursJobFile {
  @IsString() @MaxLength(80) programmeId!: string;
  @IsInt() @Min(0) @Max(1439) on_min!: number;
  @IsInt() @Min(0) @Max(1440) lit_min!: number;
}

export class VisitFile {
  @IsDay() day!: string;
  @IsArray() @ArrayMaxSize(1000) @ValidateNested({ each: true }) @Type(() => LampJobFile) lamps!: LampJobFile[];
  @IsArray() @ArrayMaxSize(1000) @ValidateNested({ each: true }) @Type(() => DimJobFile) dims!: DimJobFile[];
  @IsArray() @ArrayMaxSize(1000) @ValidateNested({ each: true }) @Type(() => RiserJobFile) risers!: RiserJobFile[];
  @IsArray() @ArrayMaxSize(100) @ValidateNested({ each: true }) @Type(() => HoursJobFile) hours!: HoursJobFile[];
}

/** A hang chart as it was put up. */
export class KeptChartFile {
  @IsDay() made!: string;
  @IsArray() @ArrayMaxSize(400) @ValidateNested({ each: true }) @Type(() => VisitFile) visits!: VisitFile[];
}

/** The visits of a calendar as it was last written. */
export class CalendarFile {
  @IsInt() @Min(0) @Max(1_000_000) sequence!: number;
  @IsArray() @ArrayMaxSize(400) @IsDay({ each: true }) days!: string[];
}

/** The air about a batch. */
export class AirFile {
  @IsOptional() @IsNumber(finite) @Min(-30) @Max(60) low_C!: number | null;
  @IsOptional() @IsNumber(finite) @Min(-30) @Max(60) high_C!: number | null;
  @IsOptional() @IsNumber(finite) @Min(0) @Max(100) humidity_percent!: number | null;
}

/** What a feed or what runs off was measured to be. */
export class SolutionFile {
  @IsOptional() @IsNumber(finite) @Min(0) @Max(MOST_CONDUCTIVITY) ec_mS_per_cm!: number | null;
  @IsOptional() @IsNumber(finite) @Min(0) @Max(14) ph!: number | null;
}

/** What an entry said before it was corrected. */
export class LoggedBeforeFile {
  @IsDay() day!: string;
  @IsOptional() @IsIn(LOGGED_KINDS) what?: LoggedKind;
  @IsOptional() @IsNumber(finite) @Min(0) @Max(5) height_m!: number | null;
  @IsOptional() @IsString() @MaxLength(MOST_NOTE_LETTERS) text?: string;
  @IsOptional() @IsNumber(finite) @Min(0) @Max(1_000_000) weight_g?: number;
  @IsOptional() @ValidateNested() @Type(() => AirFile) air?: AirFile;
  @IsOptional() @ValidateNested() @Type(() => SolutionFile) solution?: SolutionFile;
  @IsOptional() @IsIn(LEAF_SIGNS) sign?: LeafSign;
  @IsOptional() @IsInt() @Min(0) @Max(8) place?: number;
}

/** What was seen of a batch. */
export class LoggedFile {
  @IsString() @MaxLength(80) id!: string;
  @IsDay() day!: string;
  @IsIn(LOGGED_KINDS) what!: LoggedKind;
  @IsOptional() @IsNumber(finite) @Min(0) @Max(5) height_m!: number | null;
  @IsOptional() @IsIn(STAGE_NAMES) stage!: (typeof STAGE_NAMES)[number] | null;
  @IsOptional() @IsString() @MaxLength(MOST_NOTE_LETTERS) text?: string;
  @IsOptional() @IsNumber(finite) @Min(0) @Max(1_000_000) weight_g?: number;
  @IsOptional() @IsNumber(finite) @Min(0) @Max(5) height_sd_m?: number;
  @IsOptional() @IsString() @MaxLength(80) photoId?: string;
  @IsOptional() @ValidateNested() @Type(() => AirFile) air?: AirFile;
  @IsOptional() @ValidateNested() @Type(() => SolutionFile) solution?: SolutionFile;
  @IsOptional() @IsIn(LEAF_SIGNS) sign?: LeafSign;
  @IsOptional() @IsInt() @Min(0) @Max(8) place?: number;
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(MOST_CORRECTIONS)
  @ValidateNested({ each: true })
  @Type(() => LoggedBeforeFile)
  was?: LoggedBeforeFile[];
}

/** What has become of a job of Today. */
export class JobMarkFile {
  @IsString() @MaxLength(200) key!: string;
  @IsDay() day!: string;
  @IsIn(JOB_STATES) state!: (typeof JOB_STATES)[number];
  @IsOptional() @IsDay() until!: string | null;
}

/** How the hours of a batch are to go. */
export class PlanFile {
  @IsIn(PLAN_KINDS) kind!: PlanKind;
  @IsOptional() @IsNumber(finite) @Min(0) @Max(24) hours!: number | null;
  @IsOptional() @IsInt() @Min(0) @Max(60) days!: number | null;
}

/** The light that a batch was grown in. */
export class GrownInFile {
  @IsNumber(finite) @Min(0) @Max(1000) dli_mol_per_m2_d!: number;
  @IsNumber(finite) @Min(0) @Max(100) area_m2!: number;
}

export class BatchFile {
  @IsString() @MaxLength(80) id!: string;
  @IsString() @MaxLength(80) cropId!: string;
  @IsIn(STAGE_NAMES) stage!: (typeof STAGE_NAMES)[number];
  @IsOptional() @IsNumber(finite) @Min(0) @Max(5) height_m!: number | null;
  @IsOptional() @IsDay() sown!: string | null;
  @IsOptional() @IsDay() leaves!: string | null;
  @IsArray() @ArrayMaxSize(MOST_LOGGED) @ValidateNested({ each: true }) @Type(() => LoggedFile) log!: LoggedFile[];
  @IsObject() @ValidateNested() @Type(() => PlanFile) plan!: PlanFile;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => GrownInFile) grownIn?: GrownInFile;
}

/** A stretch of every day in which a timer's lamps stay off. */
export class PauseFile {
  @IsInt() @Min(0) @Max(1439) from_min!: number;
  @IsInt() @Min(0) @Max(1439) to_min!: number;
}

export class ProgrammeFile {
  @IsString() @MaxLength(80) id!: string;
  @IsInt() @Min(0) @Max(1439) on_min!: number;
  @IsInt() @Min(0) @Max(1440) lit_min!: number;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => PauseFile) pause!: PauseFile | null;
  @IsOptional() @IsNumber(finite) @Min(1) @Max(100_000) rating_W!: number | null;
  @IsOptional() @IsInt() @Min(1) @Max(50) outlets!: number | null;
}

/** Days away. */
export class AwayFile {
  @IsDay() from!: string;
  @IsDay() to!: string;
}

/** When somebody comes by the plants. */
export class VisitsFile {
  @IsIn(RHYTHMS) rhythm!: (typeof RHYTHMS)[number];
  @IsInt() @Min(0) @Max(6) weekday!: number;
  @IsInt() @Min(0) @Max(1439) time_min!: number;
  @IsArray() @ArrayMaxSize(50) @ValidateNested({ each: true }) @Type(() => AwayFile) away!: AwayFile[];
}
