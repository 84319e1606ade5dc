'use client';
import type { Dimmer } from '@/core/things/lamp/dimming';
import { SelectField } from '../parts/SelectField';

const KINDS: readonly { value: string; label: string; steps: Dimmer['steps'] | null }[] = [
  { value: 'none', label: 'can’t be dimmed', steps: null },
  { value: 'free', label: 'a knob, freely', steps: [] },
  { value: '50', label: 'a switch: 50, 100 %', steps: [0.5] },
  { value: '25,50,75', label: 'a switch: 25, 50, 75, 100 %', steps: [0.25, 0.5, 0.75] },
  { value: '20,40,60,80', label: 'a switch: 20, 40, 60, 80, 100 %', steps: [0.2, 0.4, 0.6, 0.8] },
];
const keyOf = (steps: readonly number[]) => steps.map((s) => Math.round(100 * s)).join();

/** Whether a lamp can be dimmed, and to which settings. What was measured at some of them is kept. */
export function DimmerKindField({ dimmer, onChange }: { dimmer: Dimmer | null; onChange(dimmer: Dimmer | null): void }) {
  const value = dimmer === null ? 'none' : dimmer.steps.length === 0 ? 'free' : keyOf(dimmer.steps);
  const kinds = KINDS.some((k) => k.value === value)
    ? KINDS
    : [...KINDS, { value, label: `a switch: ${value.replaceAll(',', ', ')}, 100 %`, steps: dimmer!.steps }];
  return (
    <div className="max-w-72">
      <SelectField
        label="Dimmer"
        value={value}
        options={kinds}
        onChange={(v) => {
          const { steps } = kinds.find((k) => k.value === v)!;
          onChange(steps === null ? null : { steps, points: dimmer?.points ?? [] });
        }}
      />
    </div>
  );
}
