'use client';
import type { AirSeen } from '@/core/site/stand/Logged';
import { MaybeNumberField } from '../parts/MaybeNumberField';
import { MaybeTemperatureField } from '../parts/MaybeTemperatureField';

/** Why air cannot be written down as it is; null when it can. */
export function airProblem({ low, high }: AirSeen): string | null {
  return low !== null && high !== null && low > high ? 'The lowest is above the highest. Swap them.' : null;
}

export const isAirEmpty = ({ low, high, humidity }: AirSeen): boolean => low === null && high === null && humidity === null;

/** The lowest and the highest temperature, and the humidity, as far as they were looked at. */
export function AirFields({ air, onChange }: { air: AirSeen; onChange(air: AirSeen): void }) {
  return (
    <>
      <MaybeTemperatureField label="lowest" value={air.low} min={-30} max={60} onChange={(low) => onChange({ ...air, low })} />
      <MaybeTemperatureField label="highest" value={air.high} min={-30} max={60} onChange={(high) => onChange({ ...air, high })} />
      <MaybeNumberField
        label="humidity"
        value={air.humidity}
        min={0}
        max={100}
        unit="%"
        inputClassName="w-16"
        onChange={(humidity) => onChange({ ...air, humidity })}
      />
    </>
  );
}
