import 'reflect-metadata';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
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
  ValidateIf,
  ValidateNested,
} from 'class-validator';
import {
  ARM_IDS,
  MOST_TRIAL_MOVES,
  MOST_TRIAL_TRAYS,
  MOST_VALUES,
  OUTCOME_KINDS,
  SELECTIONS,
  TRIAL_FACTORS,
  type ArmId,
  type TrayHad,
  type Trial,
  type TrialFactor,
} from '../../core/site/trial/Trial';
import { dayOf, isoOf } from '../../core/units/day';
import type { Problem } from '../../core/units/result';
import { IsDay } from './IsDay';
import { finite } from './finite';

export class TrialOutcomeFile {
  @IsString() @MaxLength(120) name!: string;
  @IsString() @MaxLength(20) unit!: string;
  @IsIn(OUTCOME_KINDS) kind!: (typeof OUTCOME_KINDS)[number];
  @IsBoolean() isBlind!: boolean;
}

export class ArmFile {
  @IsIn(ARM_IDS) id!: ArmId;
  @IsString() @MaxLength(80) name!: string;
  @IsString() @MaxLength(80) medium!: string;
  @IsBoolean() isMatOn!: boolean;
  @IsOptional() @IsNumber(finite) @Min(0) @Max(200) dli_mol!: number | null;
}

export class MeasuredFile {
  @ValidateIf((o: MeasuredFile) => o.value !== null) @IsNumber(finite) @Min(-1e6) @Max(1e6) value!: number | null;
}

export class TrayHadFile {
  @IsInt() @Min(0) @Max(36_500) days!: number;
  @IsNumber(finite) @Min(0) @Max(1e7) mol_per_m2!: number;
  @IsNumber(finite) @Min(0) @Max(1e6) kWh!: number;
  @IsNumber(finite) @Min(0) @Max(100) area_m2!: number;
  @IsString() @MaxLength(80) batchId!: string;
  @IsString() @MaxLength(80) cropId!: string;
  @IsOptional() @IsDay() sown!: string | null;
  @IsString() @MaxLength(80) tierId!: string;
  @IsArray() @ArrayMaxSize(50) @IsString({ each: true }) @MaxLength(80, { each: true }) lamps!: string[];
  @IsOptional() @IsNumber(finite) @Min(-10) @Max(10) distance_m!: number | null;
  @IsNumber(finite) @Min(0) @Max(24) hours!: number;
  @IsOptional() @IsString() @MaxLength(80) coverId!: string | null;
  @IsOptional() @IsString() @MaxLength(80) containerId!: string | null;
}

export class TrialTrayFile {
  @IsString() @MaxLength(12) code!: string;
  @IsIn(ARM_IDS) arm!: ArmId;
  @IsOptional() @IsString() @MaxLength(80) trayId!: string | null;
  @IsString() @MaxLength(80) block!: string;
  @IsArray() @ArrayMaxSize(MOST_VALUES) @ValidateNested({ each: true }) @Type(() => MeasuredFile) plants!: MeasuredFile[];
  @IsOptional() @IsInt() @Min(1) @Max(10_000) sown!: number | null;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => TrayHadFile) had?: TrayHadFile;
}

export class DeviationFile {
  @IsString() @MaxLength(80) id!: string;
  @IsDay() day!: string;
  @IsString() @MaxLength(500) text!: string;
  @IsArray() @ArrayMaxSize(ARM_IDS.length) @ArrayUnique() @IsIn(ARM_IDS, { each: true }) arms!: ArmId[];
}

/** A comparison of trays. */
export class TrialFile {
  @IsString() @MaxLength(80) id!: string;
  @IsString() @MaxLength(120) name!: string;
  @IsIn(TRIAL_FACTORS) factor!: TrialFactor;
  @IsBoolean() equalDose!: boolean;
  @IsObject() @ValidateNested() @Type(() => TrialOutcomeFile) outcome!: TrialOutcomeFile;
  @IsDay() starts!: string;
  @IsOptional() @IsDay() ends!: string | null;
  @IsIn(SELECTIONS) selection!: (typeof SELECTIONS)[number];
  @IsOptional() @IsInt() @Min(1) @Max(60) rotate_days!: number | null;
  @IsOptional() @IsArray() @ArrayMaxSize(MOST_TRIAL_MOVES) @IsDay({ each: true }) moves!: string[];
  @IsArray() @ArrayMinSize(2) @ArrayMaxSize(ARM_IDS.length) @ValidateNested({ each: true }) @Type(() => ArmFile) arms!: ArmFile[];
  @IsArray() @ArrayMaxSize(MOST_TRIAL_TRAYS) @ValidateNested({ each: true }) @Type(() => TrialTrayFile) trays!: TrialTrayFile[];
  @IsArray() @ArrayMaxSize(200) @ValidateNested({ each: true }) @Type(() => DeviationFile) deviations!: DeviationFile[];
  @IsInt() @Min(0) @Max(4294967295) seed!: number;
  @IsOptional() @IsDay() ended!: string | null;
}

export const writeTrial = (t: Trial): TrialFile => ({
  ...t,
  outcome: { ...t.outcome },
  starts: isoOf(t.starts),
  ends: t.ends === null ? null : isoOf(t.ends),
  moves: t.moves.map(isoOf),
  arms: t.arms.map(({ dli, ...a }) => ({ ...a, dli_mol: dli })),
  trays: t.trays.map(({ values, had, ...y }) => ({
    ...y,
    plants: values.map((value) => ({ value })),
    ...(had ? { had: writeHad(had) } : {}),
  })),
  deviations: t.deviations.map((d) => ({ ...d, day: isoOf(d.day), arms: [...d.arms] })),
  ended: t.ended === null ? null : isoOf(t.ended),
});

const hadOf = (f: TrayHadFile): TrayHad => ({
  days: f.days,
  mol_per_m2: f.mol_per_m2,
  kWh: f.kWh,
  area_m2: f.area_m2,
  batchId: f.batchId,
  cropId: f.cropId,
  sown: f.sown ? dayOf(f.sown) : null,
  tierId: f.tierId,
  lamps: [...f.lamps],
  distance: f.distance_m ?? null,
  hours: f.hours,
  coverId: f.coverId ?? null,
  containerId: f.containerId ?? null,
});

const writeHad = ({ sown, distance, ...had }: TrayHad): TrayHadFile => ({
  ...had,
  sown: sown === null ? null : isoOf(sown),
  lamps: [...had.lamps],
  distance_m: distance,
});

export const trialOf = (f: TrialFile): Trial => ({
  id: f.id,
  name: f.name,
  factor: f.factor,
  equalDose: f.equalDose,
  outcome: { name: f.outcome.name, unit: f.outcome.unit, kind: f.outcome.kind, isBlind: f.outcome.isBlind },
  starts: dayOf(f.starts),
  ends: f.ends ? dayOf(f.ends) : null,
  selection: f.selection,
  rotate_days: f.rotate_days ?? null,
  moves: (f.moves ?? []).map(dayOf),
  arms: f.arms.map(({ id, name, medium, isMatOn, dli_mol }) => ({ id, name, medium, isMatOn, dli: dli_mol ?? null })),
  trays: f.trays.map((y) => ({
    code: y.code,
    arm: y.arm,
    trayId: y.trayId ?? null,
    block: y.block,
    values: y.plants.map((p) => p.value),
    sown: y.sown ?? null,
    ...(y.had ? { had: hadOf(y.had) } : {}),
  })),
  deviations: f.deviations.map((d) => ({ id: d.id, day: dayOf(d.day), text: d.text, arms: [...d.arms] })),
  seed: f.seed,
  ended: f.ended ? dayOf(f.ended) : null,
});

/** Arms and codes stand once, and trays belong to arms that are there. */
export function trialProblems(t: TrialFile, at: string): Problem[] {
  const problems: Problem[] = [];
  const twice = (list: readonly string[], of: string) =>
    list.forEach((id, i) => list.indexOf(id) < i && problems.push({ code: 'site/id-twice', at: `${at}.${of}[${i}]`, found: id }));
  twice(
    t.arms.map((a) => a.id),
    'arms',
  );
  twice(
    t.trays.map((y) => y.code),
    'trays',
  );
  t.trays.forEach((y, i) => {
    if (!t.arms.some((a) => a.id === y.arm)) problems.push({ code: 'site/missing', at: `${at}.trays[${i}].arm`, found: y.arm });
  });
  return problems;
}
