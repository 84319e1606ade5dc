import 'reflect-metadata';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayUnique,
  Equals,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsISO8601,
  IsNumber,
  IsOptional,
  IsString,
  IsTimeZone,
  Matches,
  Max,
  MaxLength,
  Min,
  IsObject,
  ValidateNested,
} from 'class-validator';
import { STATED, type Stated } from '../../core/site/stand/Stated';
import { MOST_CROPS, MOST_NOTES } from '../../core/site/crop/changeCrops';
import { MOST_PLUGGED } from '../../core/site/stand/changeOutlets';
import { CropFile, CropNoteFile } from './CropFile';
import { BatchFile, CalendarFile, KeptChartFile, PluggedFile, ProgrammeFile, VisitsFile, JobMarkFile } from './SeasonFile';
import { MOST_CASES } from '../../core/site/clinic/ClinicCase';
import { MOST_OWN_LAMPS } from '../../core/site/lamp/OwnLamp';
import { ROTATION_KINDS, type RotationKind } from '../../core/site/stand/Rotation';
import { LIGHT_UNITS, type LightUnit } from '../../core/units/light';
import { PRICE_DAYS } from '../../core/units/PricePeriod';
import { OwnLampFile } from './OwnLampFile';
import { MOST_BANDS } from '../../core/site/stand/changePrices';
import { MOST_SAFETY } from '../../core/site/safety/SafetyMark';
import { MOST_TRIALS } from '../../core/site/trial/Trial';
import { ClinicCaseFile } from './ClinicFile';
import { MOST_EARLIER } from '../../core/site/past/noteSettings';
import { EarlierTierFile } from './EarlierTierFile';
import { FittingFile, TravelFile } from './FittingFile';
import { TrayFile } from './TrayFile';
import { TrialFile } from './TrialFile';
import { IsDay } from './IsDay';
import { MOST_PRICES } from '../../core/site/stand/changePrices';
import { MOST_MARKS } from '../../core/site/today/JobMark';
import { SeasonPlanFile } from './PlannedFile';
import { MOST_WINDOWS } from '../../core/site/window/Window';
import { AtWindowFile, ClimateFile, PlaceFile, WindowFile } from './WindowFile';
import { MOST_TILT } from '../../core/site/stand/poseOf';
import { STAND_KINDS, type StandKind } from '../../core/site/stand/Site';
import { AGE_VIEWS, type AgeView } from '../../core/things/lamp/ageing';
import { FLUX_BASES, LAMP_SHAPES, type FluxBasis, type LampShape } from '../../core/things/lamp/Lamp';
import { materialLibrary } from '../../core/things/material/materialLibrary';
import { meterLibrary } from '../../core/things/meter/meterLibrary';
import { MOST_READINGS } from '../../core/site/reading/Reading';
import { MATCHED_BY, type MatchedBy } from '../../core/site/reading/OwnMeter';
import { MOST_NAME_LETTERS } from '../names/freeName';
import { finite } from './finite';

const MATERIALS = materialLibrary.map((m) => m.id);
const METERS = meterLibrary.map((m) => m.id);

/** A lamp that was lit, from the middle of the tier. */
export class LitLampFile {
  @IsString() @MaxLength(80) lampId!: string;
  @IsNumber(finite) @Min(-20) @Max(20) fromMiddleX_m!: number;
  @IsNumber(finite) @Min(-20) @Max(20) fromMiddleY_m!: number;
  @IsNumber(finite) @Min(0) @Max(10) face_m!: number;
  @IsNumber(finite) @Min(-7) @Max(7) turn_rad!: number;
  @IsOptional() @IsNumber(finite) @Min(-MOST_TILT) @Max(MOST_TILT) tilt_rad?: number;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => TravelFile) travel?: TravelFile;
}

export class FacesFile {
  @IsIn(MATERIALS) floor!: string;
  @IsIn(MATERIALS) ceiling!: string;
  @IsIn(MATERIALS) left!: string;
  @IsIn(MATERIALS) right!: string;
  @IsIn(MATERIALS) front!: string;
  @IsIn(MATERIALS) back!: string;
}

/** What stood on the floor of a tier when a reading was taken. */
export class StandingFile {
  @IsNumber(finite) @Min(0) @Max(10) height_m!: number;
  @IsNumber(finite) @Min(0) @Max(2000) edge_m!: number;
}

/** The tier as it was when a reading was taken. */
export class AroundFile {
  @IsNumber(finite) @Min(0.05) @Max(20) width_m!: number;
  @IsNumber(finite) @Min(0.05) @Max(20) depth_m!: number;
  @IsNumber(finite) @Min(0.05) @Max(5) height_m!: number;
  @IsObject() @ValidateNested() @Type(() => FacesFile) faces!: FacesFile;
  @IsNumber(finite) @Min(0) @Max(1) covered!: number;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => StandingFile) standing?: StandingFile;
}

export class ReadingFile {
  @IsString() @MaxLength(80) id!: string;
  @IsIn(METERS) kindId!: string;
  @IsOptional() @IsString() @MaxLength(80) meterId!: string | null;
  @IsNumber(finite) @Min(0.01) @Max(100) factor!: number;
  @IsNumber(finite) @Min(0) @Max(1e7) value!: number;
  @IsNumber(finite) @Min(0) @Max(1e7) dark!: number;
  @IsInt() @Min(1) @Max(1000) of!: number;
  @IsIn(LIGHT_UNITS) unit!: LightUnit;
  @IsNumber(finite) @Min(-20) @Max(20) fromMiddleX_m!: number;
  @IsNumber(finite) @Min(-20) @Max(20) fromMiddleY_m!: number;
  @IsNumber(finite) @Min(-10) @Max(10) z_m!: number;
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(50) @ValidateNested({ each: true }) @Type(() => LitLampFile) lit!: LitLampFile[];
  @IsObject() @ValidateNested() @Type(() => AroundFile) around!: AroundFile;
  @IsOptional() @IsNumber(finite) @Min(0) @Max(1e6) used_h!: number | null;
  @IsBoolean() leftOut!: boolean;
  @IsISO8601() taken!: string;
}

export class EnclosureFile {
  @IsOptional() @IsNumber(finite) @Min(0.05) @Max(20) width_m!: number | null;
  @IsOptional() @IsNumber(finite) @Min(0.05) @Max(20) depth_m!: number | null;
  @IsNumber(finite) @Min(0.05) @Max(5) height_m!: number;
  @IsObject() @ValidateNested() @Type(() => FacesFile) faces!: FacesFile;
}

export class AgeingFile {
  @IsOptional() @IsNumber(finite) @Min(0) @Max(1e6) used_h!: number | null;
  @IsNumber(finite) @Min(0) @Max(0.9) dirt!: number;
  @IsIn(AGE_VIEWS) view!: AgeView;
}

/** What a fit found of one kind of lamp. */
export class FitOfLampFile {
  @IsString() @MaxLength(80) lampId!: string;
  @IsNumber(finite) @Min(0.001) @Max(1000) scale!: number;
  @IsNumber(finite) @Min(0) @Max(10) error!: number;
  @IsOptional() @IsNumber(finite) @Min(1) @Max(179) beamFwhm_deg!: number | null;
}

/** What a fit found of the sides made of one material. */
export class FitOfSideFile {
  @IsIn(MATERIALS) material!: string;
  @IsNumber(finite) @Min(0) @Max(1) reflectance!: number;
}

export class FitFile {
  @IsString() @MaxLength(80) id!: string;
  @IsISO8601() made!: string;
  @IsArray() @ArrayMaxSize(2000) @IsString({ each: true }) @MaxLength(80, { each: true }) readingIds!: string[];
  @IsInt() @Min(0) @Max(2000) leftOut!: number;
  @IsArray() @ArrayMaxSize(50) @ValidateNested({ each: true }) @Type(() => FitOfLampFile) lamps!: FitOfLampFile[];
  @IsArray() @ArrayMaxSize(20) @ValidateNested({ each: true }) @Type(() => FitOfSideFile) sides!: FitOfSideFile[];
  @IsNumber(finite) @Min(0) @Max(1) sidesError!: number;
  @IsNumber(finite) @Min(0) @Max(10) scatter!: number;
  @IsNumber(finite) @Min(0) @Max(10) meter!: number;
  @IsArray() @ArrayMaxSize(50) @ValidateNested({ each: true }) @Type(() => LitLampFile) lit!: LitLampFile[];
  @IsOptional() @IsNumber(finite) @Min(0) @Max(1e6) used_h!: number | null;
}

/** A light meter of the household. */
export class MeterFile {
  @IsString() @MaxLength(80) id!: string;
  @IsString() @MaxLength(120) name!: string;
  @IsIn(METERS) kindId!: string;
  @IsNumber(finite) @Min(0.01) @Max(100) factor!: number;
  @IsOptional() @IsNumber(finite) @Min(0) @Max(2) doubt!: number | null;
  @IsIn(MATCHED_BY) matchedBy!: MatchedBy;
  @IsOptional() @IsISO8601() checked!: string | null;
}

/** What comes in by day. */
export class TierDaylightFile {
  @IsNumber(finite) @Min(0) @Max(80) dli_mol!: number;
  @IsInt() @Min(0) @Max(1439) from_min!: number;
  @IsInt() @Min(1) @Max(1440) to_min!: number;
}

/** When the trays of a tier turn or change places. */
export class RotationFile {
  @IsIn(ROTATION_KINDS) kind!: RotationKind;
  @IsInt() @Min(1) @Max(60) every!: number;
  @IsDay() from!: string;
}

export class TierFile {
  @IsString() @MaxLength(80) id!: string;
  @IsNumber(finite) @Min(0.05) @Max(20) width_m!: number;
  @IsNumber(finite) @Min(0.05) @Max(20) depth_m!: number;
  @IsObject() @ValidateNested() @Type(() => EnclosureFile) enclosure!: EnclosureFile;
  @IsOptional() @IsNumber(finite) @Min(0.001) @Max(0.5) notch_m!: number | null;
  @IsOptional() @IsNumber(finite) @Min(0) @Max(5000) load_kg!: number | null;
  @IsObject() @ValidateNested() @Type(() => AgeingFile) ageing!: AgeingFile;
  @IsString() @MaxLength(80) programmeId!: string;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => TierDaylightFile) daylight!: TierDaylightFile | null;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => RotationFile) rotation!: RotationFile | null;
  @IsArray() @ArrayMaxSize(50) @ValidateNested({ each: true }) @Type(() => FittingFile) fittings!: FittingFile[];
  @IsArray() @ArrayMaxSize(200) @ValidateNested({ each: true }) @Type(() => TrayFile) trays!: TrayFile[];
  @IsArray() @ArrayMaxSize(MOST_READINGS) @ValidateNested({ each: true }) @Type(() => ReadingFile) readings!: ReadingFile[];
  @IsArray() @ArrayMaxSize(100) @ValidateNested({ each: true }) @Type(() => FitFile) fits!: FitFile[];
}

export class StandFile {
  @IsString() @MaxLength(80) id!: string;
  @IsString() @MaxLength(MOST_NAME_LETTERS) name!: string;
  @IsIn(STAND_KINDS) kind!: StandKind;
  @IsBoolean() laidOut!: boolean;
  @IsNumber(finite) @Min(0) @Max(0.2) shelf_m!: number;
  @IsOptional() @IsNumber(finite) @Min(1) @Max(100_000) strip_W!: number | null;
  @IsOptional() @IsInt() @Min(0) @Max(50) steadyOutlets!: number | null;
  @IsArray() @ArrayMaxSize(MOST_PLUGGED) @ValidateNested({ each: true }) @Type(() => PluggedFile) plugged!: PluggedFile[];
  @IsOptional() @IsObject() @ValidateNested() @Type(() => KeptChartFile) chart!: KeptChartFile | null;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => CalendarFile) calendar!: CalendarFile | null;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => AtWindowFile) window!: AtWindowFile | null;
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(20) @ValidateNested({ each: true }) @Type(() => TierFile) tiers!: TierFile[];
}

/** A spectrum at even steps. */
export class CurveFile {
  @IsNumber(finite) @Min(200) @Max(450) start_nm!: number;
  @IsNumber(finite) @Min(0.5) @Max(10) step_nm!: number;
  @IsArray() @ArrayMinSize(10) @ArrayMaxSize(1000) @IsNumber(finite, { each: true }) @Min(0, { each: true }) power!: number[];
}

/** A measured far field for one unit of flux. */
export class FarFieldFile {
  @IsBoolean() round!: boolean;
  @IsArray()
  @ArrayMinSize(2)
  @ArrayMaxSize(2000)
  @IsNumber(finite, { each: true })
  @Min(0, { each: true })
  @Max(3.1416, { each: true })
  gamma_rad!: number[];
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(2000)
  @IsNumber(finite, { each: true })
  @Min(0, { each: true })
  @Max(6.2832, { each: true })
  c_rad!: number[];
  @IsArray() @ArrayMaxSize(400_000) @IsNumber(finite, { each: true }) @Min(0, { each: true }) perFlux_per_sr!: number[];
}

/** Diodes of a panel. */
export class DiodesOfLampFile {
  @IsInt() @Min(1) @Max(40) columns!: number;
  @IsInt() @Min(1) @Max(40) rows!: number;
}

/** A lamp of the person's own. */
export class LampFile {
  @IsString() @MaxLength(80) id!: string;
  @IsString() @MaxLength(120) name!: string;
  @IsString() @MaxLength(40) family!: string;
  @IsIn(LAMP_SHAPES) shape!: LampShape;
  @IsNumber(finite) @Min(0) @Max(3) length_m!: number;
  @IsNumber(finite) @Min(0) @Max(3) width_m!: number;
  @IsInt() @Min(1) @Max(12) emitters!: number;
  @IsNumber(finite) @Min(0) @Max(3) spacing_m!: number;
  @IsOptional() @IsNumber(finite) @Min(1) @Max(179) beamFwhm_deg!: number | null;
  @IsNumber(finite) @Min(0.1) @Max(5000) power_W!: number;
  @IsNumber(finite) @Min(0.001) @Max(30000) ppf_umol_per_s!: number;
  @IsIn(FLUX_BASES) fluxBasis!: FluxBasis;
  @IsOptional() @IsNumber(finite) @Min(0) lumens_lm!: number | null;
  @IsOptional() @IsNumber(finite) @Min(1000) @Max(30000) cct_K!: number | null;
  @IsString() @MaxLength(80) spectrumId!: string;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => DiodesOfLampFile) diodes!: DiodesOfLampFile | null;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => CurveFile) curve!: CurveFile | null;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => FarFieldFile) farField!: FarFieldFile | null;
  @IsNumber(finite) @Min(0.05) @Max(1) maintenanceAtEnd!: number;
  @IsNumber(finite) @Min(1) life_h!: number;
  @IsNumber(finite) @Min(0) @Max(3) heatClearance_m!: number;
  @IsBoolean() coolSurface!: boolean;
  @IsNumber(finite) @Min(0) @Max(200) weight_kg!: number;
  @IsOptional() @IsString() @MaxLength(40) base!: string | null;
  @IsOptional() @IsString() @MaxLength(60) ballast!: string | null;
  @IsBoolean() linkable!: boolean;
  @IsString() @MaxLength(40) locationRating!: string;
  @IsBoolean() emitsUV!: boolean;
}

/** When the household wants no light. */
export class QuietFile {
  @IsInt() @Min(0) @Max(1439) from_min!: number;
  @IsInt() @Min(0) @Max(1439) to_min!: number;
}

/** When power costs less. */
export class CheapFile {
  @IsInt() @Min(0) @Max(1439) from_min!: number;
  @IsInt() @Min(0) @Max(1439) to_min!: number;
  @IsNumber(finite) @Min(0) @Max(1e6) price_per_kWh!: number;
}

/** A price of power at some hours of some days. */
export class PriceBandFile {
  @IsInt() @Min(0) @Max(1439) from_min!: number;
  @IsInt() @Min(0) @Max(1439) to_min!: number;
  @IsNumber(finite) @Min(0) @Max(1e6) price_per_kWh!: number;
  @IsIn(PRICE_DAYS) days!: (typeof PRICE_DAYS)[number];
}

/** Lamps that hang nowhere. */
export class SpareFile {
  @IsString() @MaxLength(80) lampId!: string;
  @IsInt() @Min(1) @Max(99) count!: number;
}

/** What one lamp of a kind cost on a day. */
export class LampPriceFile {
  @IsString() @MaxLength(80) lampId!: string;
  @IsNumber(finite) @Min(0) @Max(1e6) price!: number;
  @IsDay() day!: string;
}

/** A caution that was seen to; a stand that has gone is no fault. */
export class SafetyMarkFile {
  @IsString() @MaxLength(80) standId!: string;
  @IsString() @MaxLength(80) cautionId!: string;
  @IsDay() day!: string;
  @Matches(/^[0-9a-f]{8}$/) of!: string;
}

/** A site as it is written to disk and to exported files. See migrate.ts for its version. Lengths in metres; units stand in the names. */
export class SiteFile {
  @Equals('copper-noon/site') format!: 'copper-noon/site';
  @Equals(19) version!: 19;
  @Matches(/^[A-Z]{3}$/) currency!: string;
  @IsNumber(finite) @Min(0) @Max(1e6) price_per_kWh!: number;
  @IsArray() @ArrayMaxSize(400) @ValidateNested({ each: true }) @Type(() => StandFile) stands!: StandFile[];
  @IsArray() @ArrayMaxSize(2000) @ValidateNested({ each: true }) @Type(() => BatchFile) batches!: BatchFile[];
  @IsArray() @ArrayMaxSize(2000) @ValidateNested({ each: true }) @Type(() => ProgrammeFile) programmes!: ProgrammeFile[];
  @IsArray() @ArrayMaxSize(500) @ValidateNested({ each: true }) @Type(() => LampFile) lamps!: LampFile[];
  @IsOptional() @IsObject() @ValidateNested() @Type(() => QuietFile) quiet!: QuietFile | null;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => CheapFile) cheap!: CheapFile | null;
  @IsArray() @ArrayMaxSize(MOST_BANDS) @ValidateNested({ each: true }) @Type(() => PriceBandFile) bands!: PriceBandFile[];
  @IsArray() @ArrayMaxSize(MOST_OWN_LAMPS) @ValidateNested({ each: true }) @Type(() => OwnLampFile) ownLamps!: OwnLampFile[];
  @IsArray() @ArrayMaxSize(200) @ValidateNested({ each: true }) @Type(() => SpareFile) spares!: SpareFile[];
  @IsArray() @ArrayMaxSize(100) @ValidateNested({ each: true }) @Type(() => MeterFile) meters!: MeterFile[];
  @IsArray() @ArrayMaxSize(MOST_CROPS) @ValidateNested({ each: true }) @Type(() => CropFile) crops!: CropFile[];
  @IsArray() @ArrayMaxSize(MOST_NOTES) @ValidateNested({ each: true }) @Type(() => CropNoteFile) cropNotes!: CropNoteFile[];
  @IsObject() @ValidateNested() @Type(() => VisitsFile) visits!: VisitsFile;
  @IsOptional() @IsTimeZone() timeZone!: string | null;
  @IsArray() @ArrayMaxSize(STATED.length) @ArrayUnique() @IsIn(STATED, { each: true }) stated!: Stated[];
  @IsOptional() @IsObject() @ValidateNested() @Type(() => PlaceFile) place!: PlaceFile | null;
  @IsObject() @ValidateNested() @Type(() => ClimateFile) climate!: ClimateFile;
  @IsArray() @ArrayMaxSize(MOST_WINDOWS) @ValidateNested({ each: true }) @Type(() => WindowFile) windows!: WindowFile[];
  @IsArray() @ArrayMaxSize(MOST_MARKS) @ValidateNested({ each: true }) @Type(() => JobMarkFile) jobMarks!: JobMarkFile[];
  @IsArray() @ArrayMaxSize(MOST_PRICES) @ValidateNested({ each: true }) @Type(() => LampPriceFile) lampPrices!: LampPriceFile[];
  @IsArray() @ArrayMaxSize(MOST_CASES) @ValidateNested({ each: true }) @Type(() => ClinicCaseFile) clinic!: ClinicCaseFile[];
  @IsArray() @ArrayMaxSize(MOST_TRIALS) @ValidateNested({ each: true }) @Type(() => TrialFile) trials!: TrialFile[];
  @IsArray() @ArrayMaxSize(MOST_SAFETY) @ValidateNested({ each: true }) @Type(() => SafetyMarkFile) safety!: SafetyMarkFile[];
  @IsArray() @ArrayMaxSize(MOST_EARLIER) @ValidateNested({ each: true }) @Type(() => EarlierTierFile) earlier!: EarlierTierFile[];
  @IsOptional() @IsObject() @ValidateNested() @Type(() => SeasonPlanFile) season!: SeasonPlanFile | null;
}
