'use client';
import { Plus, X } from 'lucide-react';
import type { OwnLamp } from '@/core/site/lamp/OwnLamp';
import type { Dimmer, DimPoint } from '@/core/things/lamp/dimming';
import { Button } from '../parts/Button';
import { NumberField } from '../parts/NumberField';
import { focusHeadingIfLost } from '../shell/focusHeading';
import { DimmerKindField } from '../lamp/DimmerKindField';

const percent = (share: number) => Math.round(1000 * share) / 10;

/** Whether a lamp can be dimmed, and what was measured at some settings. */
export function DimmerFields({ own, onChange }: { own: OwnLamp; onChange(dimmer: Dimmer | null): void }) {
  const { dimmer } = own;
  const setPoint = (i: number, by: Partial<DimPoint>) =>
    onChange({ ...dimmer!, points: dimmer!.points.map((p, k) => (k === i ? { ...p, ...by } : p)) });
  return (
    <div className="space-y-2">
      <DimmerKindField dimmer={dimmer} onChange={onChange} />
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
