'use client';
import { dimmedTo, FULL, LEAST_SETTING, settingsOf, type Dimmer } from '@/core/things/lamp/dimming';
import type { Share } from '@/core/units/quantities';
import { SelectField } from '../parts/SelectField';
import { Slider } from '../parts/Slider';

const percent = (share: Share) => Math.round(100 * share);

/** The setting of a lamp's dimmer, with what it gives and draws there. */
export function DimField({ dimmer, value, onChange }: { dimmer: Dimmer; value: Share; onChange(setting: Share): void }) {
  const { light, draw } = dimmedTo(dimmer, value);
  return (
    <div className="flex flex-wrap items-end gap-x-4 gap-y-1">
      {dimmer.steps.length > 0 ? (
        <SelectField
          label="dimmer"
          value={String(value)}
          options={settingsOf(dimmer).map((s) => ({ value: String(s), label: `${percent(s)} %` }))}
          onChange={(s) => onChange(Number(s))}
        />
      ) : (
        <Slider
          label="dimmer"
          shown={`${percent(value)} %`}
          value={percent(value)}
          min={percent(LEAST_SETTING)}
          max={percent(FULL)}
          step={1}
          onChange={(v) => onChange(v / 100)}
        />
      )}
      <span className="pb-1.5 text-sm text-soft">
        {percent(light)} % of its light for {percent(draw)} % of its power
      </span>
    </div>
  );
}
