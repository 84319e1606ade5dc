'use client';
import { dimmedTo, FULL, LEAST_SETTING, settingsOf, type Dimmer } from '@/core/things/lamp/dimming';
import type { Share } from '@/core/units/quantities';
import { SelectField } from '../parts/SelectField';

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
        <label className="block min-w-48 flex-1 text-sm text-soft">
          dimmer: {percent(value)} %
          <input
            type="range"
            className="mt-1 block min-h-9 w-full accent-verdigris max-md:min-h-11"
            min={percent(LEAST_SETTING)}
            max={percent(FULL)}
            step={1}
            value={percent(value)}
            onChange={(e) => onChange(Number(e.target.value) / 100)}
          />
        </label>
      )}
      <span className="pb-1.5 text-sm text-soft">
        {percent(light)} % of its light for {percent(draw)} % of its power
      </span>
    </div>
  );
}
