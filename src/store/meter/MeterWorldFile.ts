import 'reflect-metadata';
import { Equals, IsIn, IsInt, IsNumber, IsObject, IsOptional, Max, Min } from 'class-validator';
import { SENSORS, type SensorFilter } from '../../core/things/meter/sensorResponse';
import { meterLibrary } from '../../core/things/meter/meterLibrary';
import { finite } from '../form/finite';

/** What a simulated meter is held into, as it is posted to it. `scene` is a scene of docs/scene.md. */
export class MeterWorldFile {
  @Equals('copper-noon/meter-world') format!: 'copper-noon/meter-world';
  @Equals(1) version!: 1;
  @IsIn(meterLibrary.map((m) => m.id)) kindId!: string;
  @IsInt() @Min(0) @Max(2 ** 31) seed!: number;
  @IsObject() scene!: object;
  /** The lamps really give this many times what the scene says. */
  @IsNumber(finite) @Min(0.05) @Max(5) lampFactor!: number;
  /** The sides really send back this share; absent: as the scene says. */
  @IsOptional() @IsNumber(finite) @Min(0) @Max(0.97) sides?: number;
  @IsNumber(finite) @Min(0.1) @Max(10) meterFactor!: number;
  @IsIn(SENSORS) filter!: SensorFilter;
  /** In the unit of the meter. */
  @IsNumber(finite) @Min(0) @Max(1e6) daylight!: number;
  @IsNumber(finite) @Min(0) @Max(0.3) noise!: number;
  @IsNumber(finite) @Min(0) @Max(0.1) sway_m!: number;
}
