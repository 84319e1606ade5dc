import 'reflect-metadata';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsObject,
  IsOptional,
  IsString,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';
import { CAUSES, CLINIC_TESTS } from '../../core/judge/clinic/Cause';
import { FACT_IDS } from '../../core/judge/clinic/facts';
import { SIGN_NAMES } from '../../core/judge/clinic/signs';
import { FED, HAPPENED, OUTCOMES_OF_TEST, WATERED, type ClinicCase, type TestRun, type Told } from '../../core/site/clinic/ClinicCase';
import { dayOf, isoOf } from '../../core/units/day';
import { IsDay } from './IsDay';
import { finite } from './finite';

export class ToldFile {
  @IsOptional() @IsNumber(finite) @Min(-30) @Max(60) day_C?: number;
  @IsOptional() @IsNumber(finite) @Min(-30) @Max(60) night_C?: number;
  @IsOptional() @IsNumber(finite) @Min(-30) @Max(60) compost_C?: number;
  @IsOptional() @IsNumber(finite) @Min(0) @Max(100) humidity_percent?: number;
  @IsOptional() @IsNumber(finite) @Min(0) @Max(14) ph?: number;
  @IsOptional() @IsNumber(finite) @Min(0) @Max(100) daysInDark?: number;
  @IsOptional() @IsNumber(finite) @Min(0.001) @Max(3) stem_m?: number;
  @IsOptional() @IsIn(WATERED) water?: (typeof WATERED)[number];
  @IsOptional() @IsIn(FED) fed?: (typeof FED)[number];
  @IsOptional() @IsBoolean() hasFan?: boolean;
  @IsOptional() @IsBoolean() isDraughty?: boolean;
  @IsOptional() @IsBoolean() isMatOn?: boolean;
  @IsOptional() @IsBoolean() isCrowded?: boolean;
  @IsOptional() @IsBoolean() isPotSmall?: boolean;
  @IsOptional() @IsBoolean() isOfSuchKind?: boolean;
  @IsOptional() @IsBoolean() isLampHot?: boolean;
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(HAPPENED.length)
  @ArrayUnique()
  @IsIn(HAPPENED, { each: true })
  happened?: (typeof HAPPENED)[number][];
}

export class TestRunFile {
  @IsIn(CLINIC_TESTS) test!: string;
  @IsIn(CAUSES) cause!: string;
  @IsIn(CAUSES) next!: string;
  @IsDay() began!: string;
  @IsDay() look!: string;
  @IsOptional() @IsIn(OUTCOMES_OF_TEST) outcome!: TestRun['outcome'];
}

/** Plants that look wrong. */
export class ClinicCaseFile {
  @IsString() @MaxLength(80) id!: string;
  @IsString() @MaxLength(80) batchId!: string;
  @IsString() @MaxLength(80) trayId!: string;
  @IsDay() opened!: string;
  @IsOptional() @IsDay() since!: string | null;
  @IsArray() @ArrayMaxSize(9) @ArrayUnique() @IsInt({ each: true }) @Min(0, { each: true }) @Max(8, { each: true }) places!: number[];
  @IsArray() @ArrayMaxSize(SIGN_NAMES.length) @ArrayUnique() @IsIn(SIGN_NAMES, { each: true }) signs!: string[];
  @IsObject() @ValidateNested() @Type(() => ToldFile) told!: ToldFile;
  @IsArray() @ArrayMaxSize(FACT_IDS.length) @ArrayUnique() @IsIn(FACT_IDS, { each: true }) denied!: string[];
  @IsArray() @ArrayMaxSize(20) @ValidateNested({ each: true }) @Type(() => TestRunFile) tests!: TestRunFile[];
  @IsOptional() @IsDay() closed!: string | null;
}

export const writeCase = (c: ClinicCase): ClinicCaseFile => ({
  id: c.id,
  batchId: c.batchId,
  trayId: c.trayId,
  opened: isoOf(c.opened),
  since: c.since === null ? null : isoOf(c.since),
  places: [...c.places],
  signs: [...c.signs],
  told: { ...c.told, ...(c.told.happened ? { happened: [...c.told.happened] } : {}) } as ToldFile,
  denied: [...c.denied],
  tests: c.tests.map((t) => ({ ...t, began: isoOf(t.began), look: isoOf(t.look) })),
  closed: c.closed === null ? null : isoOf(c.closed),
});

export const caseOf = (f: ClinicCaseFile): ClinicCase => ({
  id: f.id,
  batchId: f.batchId,
  trayId: f.trayId,
  opened: dayOf(f.opened),
  since: f.since ? dayOf(f.since) : null,
  places: [...f.places],
  signs: [...f.signs],
  told: Object.fromEntries(Object.entries(f.told).filter(([, v]) => v !== undefined && v !== null)) as Told,
  denied: [...f.denied],
  tests: f.tests.map((t) => ({
    test: t.test,
    cause: t.cause,
    next: t.next,
    began: dayOf(t.began),
    look: dayOf(t.look),
    outcome: t.outcome ?? null,
  })),
  closed: f.closed ? dayOf(f.closed) : null,
});
