import 'reflect-metadata';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
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
import { GOALS, type LastFrost, type SeasonPlan } from '../../core/site/season/SeasonPlan';
import { tables } from '../../core/things/tables/libraryTables';
import { dayOf, isoOf } from '../../core/units/day';
import type { Problem } from '../../core/units/result';
import { IsDay } from './IsDay';
import { finite } from './finite';

/** As many batches as one season plans. */
export const MOST_PLANNED = 1000;
export const MOST_CELLS = 100_000;

export class YearDayFile {
  @IsInt() @Min(1) @Max(12) month!: number;
  @IsInt() @Min(1) @Max(31) day!: number;
}

export class FrostRowFile extends YearDayFile {
  @IsNumber(finite) @Min(0) @Max(100) later_percent!: number;
}

export class LastFrostFile {
  @IsIn(['unknown', 'day', 'table']) kind!: LastFrost['kind'];
  @IsOptional() @IsObject() @ValidateNested() @Type(() => YearDayFile) day!: YearDayFile | null;
  @IsArray() @ArrayMaxSize(40) @ValidateNested({ each: true }) @Type(() => FrostRowFile) rows!: FrostRowFile[];
  @IsOptional() @IsNumber(finite) @Min(0) @Max(100) risk_percent!: number | null;
}

export class PlannedContainerFile {
  @IsString() @MaxLength(80) containerId!: string;
  @IsInt() @Min(0) @Max(2000) fromDay!: number;
}

export class PlannedBatchFile {
  @IsString() @MaxLength(80) id!: string;
  @IsString() @MaxLength(80) cropId!: string;
  @IsString() @MaxLength(120) label!: string;
  @IsDay() sown!: string;
  @IsDay() out!: string;
  @IsIn(GOALS) goal!: (typeof GOALS)[number];
  @IsInt() @Min(1) @Max(MOST_CELLS) cells!: number;
  @IsNumber(finite) @Min(0) @Max(100) filled_percent!: number;
  @IsNumber(finite) @Min(0) @Max(100) loss_percent!: number;
  @IsOptional() @IsInt() @Min(1) @Max(MOST_CELLS) keepAtMost!: number | null;
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(8)
  @ValidateNested({ each: true })
  @Type(() => PlannedContainerFile)
  containers!: PlannedContainerFile[];
  @IsOptional() @IsString() @MaxLength(80) tierId!: string | null;
  @IsOptional() @IsString() @MaxLength(80) batchId!: string | null;
  @IsOptional() @IsDay() lost!: string | null;
}

/** A season as it is planned. */
export class SeasonPlanFile {
  @IsString() @MaxLength(120) name!: string;
  @IsInt() @Min(1900) @Max(2199) year!: number;
  @IsObject() @ValidateNested() @Type(() => LastFrostFile) lastFrost!: LastFrostFile;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => YearDayFile) firstFrost!: YearDayFile | null;
  @IsOptional()
  @IsArray()
  @ArrayMinSize(12)
  @ArrayMaxSize(12)
  @IsNumber(finite, { each: true })
  @Min(-70, { each: true })
  @Max(50, { each: true })
  nights_C!: number[] | null;
  @IsInt() @Min(0) @Max(60) hardening_days!: number;
  @IsArray() @ArrayMaxSize(MOST_PLANNED) @ValidateNested({ each: true }) @Type(() => PlannedBatchFile) batches!: PlannedBatchFile[];
}

export const writeSeason = (s: SeasonPlan): SeasonPlanFile => ({
  name: s.name,
  year: s.year,
  lastFrost: {
    kind: s.lastFrost.kind,
    day: s.lastFrost.kind === 'day' ? { month: s.lastFrost.month, day: s.lastFrost.day } : null,
    rows: s.lastFrost.kind === 'table' ? s.lastFrost.rows.map((r) => ({ month: r.month, day: r.day, later_percent: r.laterPercent })) : [],
    risk_percent: s.lastFrost.kind === 'table' ? s.lastFrost.riskPercent : null,
  },
  firstFrost: s.firstFrost && { month: s.firstFrost.month, day: s.firstFrost.day },
  nights_C: s.nights && [...s.nights],
  hardening_days: s.hardeningDays,
  batches: s.batches.map((b) => ({
    id: b.id,
    cropId: b.cropId,
    label: b.label,
    sown: isoOf(b.sown),
    out: isoOf(b.out),
    goal: b.goal,
    cells: b.cells,
    filled_percent: b.filledPercent,
    loss_percent: b.lossPercent,
    keepAtMost: b.keepAtMost,
    containers: b.containers.map((c) => ({ ...c })),
    tierId: b.tierId,
    batchId: b.batchId,
    lost: b.lost === null ? null : isoOf(b.lost),
  })),
});

/** A season of a file that is sound. */
export const seasonOf = (f: SeasonPlanFile): SeasonPlan => ({
  name: f.name,
  year: f.year,
  lastFrost:
    f.lastFrost.kind === 'day'
      ? { kind: 'day', month: f.lastFrost.day!.month, day: f.lastFrost.day!.day }
      : f.lastFrost.kind === 'table'
        ? {
            kind: 'table',
            rows: f.lastFrost.rows.map((r) => ({ month: r.month, day: r.day, laterPercent: r.later_percent })),
            riskPercent: f.lastFrost.risk_percent!,
          }
        : { kind: 'unknown' },
  firstFrost: f.firstFrost ? { month: f.firstFrost.month, day: f.firstFrost.day } : null,
  nights: f.nights_C ? [...f.nights_C] : null,
  hardeningDays: f.hardening_days,
  batches: f.batches.map((b) => ({
    id: b.id,
    cropId: b.cropId,
    label: b.label,
    sown: dayOf(b.sown),
    out: dayOf(b.out),
    goal: b.goal,
    cells: b.cells,
    filledPercent: b.filled_percent,
    lossPercent: b.loss_percent,
    keepAtMost: b.keepAtMost ?? null,
    containers: b.containers.map((c) => ({ containerId: c.containerId, fromDay: c.fromDay })),
    tierId: b.tierId ?? null,
    batchId: b.batchId ?? null,
    lost: b.lost ? dayOf(b.lost) : null,
  })),
});

/**
 * What contradicts itself in a season. A tier or a batch that has gone from the stands is no fault: the plan outlives it.
 *
 * @param cropThere  whether there is a crop of that name
 */
export function seasonProblems(season: SeasonPlanFile, cropThere: (id: string) => boolean): Problem[] {
  const problems: Problem[] = [];
  const at = 'season';
  const realDay = (d: YearDayFile | null, where: string) => {
    // A leap year has every day that there is.
    if (d && new Date(Date.UTC(2028, d.month - 1, d.day)).getUTCDate() !== d.day)
      problems.push({ code: 'site/isDay', at: `${where}.day`, found: d.day });
  };
  realDay(season.firstFrost, `${at}.firstFrost`);
  if (season.lastFrost.kind === 'day') {
    if (!season.lastFrost.day) problems.push({ code: 'site/missing', at: `${at}.lastFrost.day` });
    realDay(season.lastFrost.day, `${at}.lastFrost.day`);
  }
  if (season.lastFrost.kind === 'table') {
    if (season.lastFrost.risk_percent == null) problems.push({ code: 'site/missing', at: `${at}.lastFrost.risk_percent` });
    season.lastFrost.rows.forEach((r, i) => realDay(r, `${at}.lastFrost.rows[${i}]`));
  }
  const seen = new Set<string>();
  season.batches.forEach((b, i) => {
    const here = `${at}.batches[${i}]`;
    if (seen.has(b.id)) problems.push({ code: 'site/id-twice', at: `${here}.id`, found: b.id });
    seen.add(b.id);
    if (!cropThere(b.cropId)) problems.push({ code: 'site/missing', at: `${here}.cropId`, found: b.cropId });
    if (b.out <= b.sown) problems.push({ code: 'site/not-rising', at: `${here}.out`, found: b.out });
    b.containers.forEach((c, k) => {
      if (tables.container(c.containerId) === undefined)
        problems.push({ code: 'site/missing', at: `${here}.containers[${k}].containerId`, found: c.containerId });
      if (k > 0 && c.fromDay <= b.containers[k - 1]!.fromDay)
        problems.push({ code: 'site/not-rising', at: `${here}.containers[${k}].fromDay` });
    });
  });
  return problems;
}
