'use client';
import { Plus, X } from 'lucide-react';
import type { OwnLamp } from '@/core/site/lamp/OwnLamp';
import type { Dimmer, DimPoint } from '@/core/things/lamp/dimming';
import { Button } from '../parts/Button';
import { NumberField } from '../parts/NumberField';
import { focusHeadingIfLost } from '../shell/focusHeading';
import { SelectField } from '../parts/SelectField';

const KINDS: readonly { value: string; label: string; steps: Dimmer['steps'] | null }[] = [
  { value: 'none', label: 'can’t be dimmed', steps: null },
  { value: 'free', label: 'a knob, freely', steps: [] },
  { value: '50', label: 'a switch: 50, 100 %', steps: [0.5] },
  { value: '25,50,75', label: 'a switch: 25, 50, 75, 100 %', steps: [0.25, 0.5, 0.75] },
  { value: '20,40,60,80', label: 'a switch: 20, 40, 60, 80, 100 %', steps: [0.2, 0.4, 0.6, 0.8] },
];
const keyOf = (steps: readonly number[]) => steps.map((s) => Math.round(100 * s)).join();
const percent = (share: number) => Math.round(1000 * share) / 10;

/** Whether a lamp can be dimmed, and what was measured at some settings. */
export function DimmerFields({ own, onChange }: { own: OwnLamp; onChange(dimmer: Dimmer | null): void }) {
  const { dimmer } = own;
  const value = dimmer === null ? 'none' : dimmer.steps.length === 0 ? 'free' : keyOf(dimmer.steps);
  const kinds = KINDS.some((k) => k.value === value)
    ? KINDS
    : [...KINDS, { value, label: `a switch: ${value.replaceAll(',', ', ')}, 100 %`, steps: dimmer!.steps }];
  const setPoint = (i: number, by: Partial<DimPoint>) =>
    onChange({ ...dimmer!, points: dimmer!.points.map((p, k) => (k === i ? { ...p, ...by } : p)) });
  return (
    <div className="space-y-2">
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
      {dimmer && (
        <div className="space-y-2">
          <p className="text-sm text-soft">
            Its setting is on the bench, beside the lamp’s height. Advice, the hang chart and the bill go by it.{' '}
            {dimmer.points.length === 0
              ? 'Without measurements light is taken as the setting says, and draw a little above that, since its driver takes 4 % for itself: our estimate.'
              : 'Between what was measured, light and draw lie on straight lines.'}
          </p>
          {dimmer.points.map((p, i) => (
            <div key={i} className="flex flex-wrap items-end gap-3">
              <NumberField
                label="at setting"
                value={percent(p.setting)}
                min={1}
                max={99}
                unit="%"
                inputClassName="w-16"
                onChange={(v) => setPoint(i, { setting: v / 100 })}
              />
              <NumberField
                label="light"
                value={percent(p.light)}
                min={0}
                max={100}
                unit="%"
                inputClassName="w-16"
                onChange={(v) => setPoint(i, { light: v / 100 })}
              />
              <NumberField
                label="draw"
                value={percent(p.draw)}
                min={0}
                max={100}
                unit="%"
                inputClassName="w-16"
                onChange={(v) => setPoint(i, { draw: v / 100 })}
              />
              <Button
                kind="quiet"
                aria-label={`Remove what was measured at ${percent(p.setting)} %`}
                onClick={() => {
                  onChange({ ...dimmer, points: dimmer.points.filter((_, k) => k !== i) });
                  focusHeadingIfLost();
                }}
              >
                <X size={17} aria-hidden />
              </Button>
            </div>
          ))}
          {dimmer.points.length < 10 && (
            <Button onClick={() => onChange({ ...dimmer, points: [...dimmer.points, { setting: 0.5, light: 0.5, draw: 0.52 }] })}>
              <Plus size={17} aria-hidden /> Measured at a setting
            </Button>
          )}
        </div>
      )}
    </div>
  );
}
