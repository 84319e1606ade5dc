'use client';
import type { PracticeTruth } from '@/store/meter/practiceWorld';
import { NumberField } from '../parts/NumberField';
import { SelectField } from '../parts/SelectField';
import { useMeter } from './useMeter';
import type { TierReadings } from './useTierReadings';
import { unitWords } from './words';

/** What is true in the practice world: for those who want to know beforehand, or to change it. */
export function PracticeFields({ of, truth, onTruth }: { of: TierReadings; truth: PracticeTruth; onTruth(truth: PracticeTruth): void }) {
  const { unit } = useMeter();
  return (
    <details className="rounded-md bg-sunk px-3 py-1 text-[0.9375rem]">
      <summary className="min-h-9 cursor-pointer py-1 font-semibold max-md:min-h-11">Simulated meter: true values</summary>
      <p className="pb-2 text-soft">It is held into this tier as its boxes describe it, but nothing is ever quite as on the box.</p>
      <div className="flex flex-wrap gap-3 pb-2">
        <NumberField
          label="lamps give"
          value={Math.round(truth.lamps * 100)}
          min={20}
          max={200}
          unit="% of their box"
          inputClassName="w-16"
          onChange={(v) => onTruth({ ...truth, lamps: v / 100 })}
        />
        {of.tier.room && (
          <NumberField
            label="true wall reflectance"
            value={truth.sides === null ? null : Math.round(truth.sides * 100)}
            min={0}
            max={97}
            unit="%"
            inputClassName="w-16"
            onChange={(v) => onTruth({ ...truth, sides: v / 100 })}
          />
        )}
        <NumberField
          label="daylight besides"
          value={truth.daylight}
          min={0}
          max={50_000}
          unit={unitWords(unit)}
          inputClassName="w-20"
          onChange={(daylight) => onTruth({ ...truth, daylight })}
        />
        <SelectField
          label="its filter"
          value={truth.filter}
          options={[
            { value: 'sound', label: 'sound' },
            { value: 'cheap', label: 'cheap: loses blue, or deep red' },
          ]}
          onChange={(v) => onTruth({ ...truth, filter: v as PracticeTruth['filter'] })}
        />
      </div>
    </details>
  );
}
