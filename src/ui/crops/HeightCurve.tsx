'use client';
import { useMemo } from 'react';
import { Line } from '../parts/LateChart';
import type { Crop } from '@/core/things/crop/Crop';
import { heightAt } from '@/core/things/crop/heightAt';
import { heightOptions, heightUnit } from '../parts/heightAxes';
import { useSettings } from '../shell/WorkspaceContext';
import { useColours } from '../theme/useColours';

/** How tall a crop is by its day. */
export function HeightCurve({ crop }: { crop: Crop }) {
  const { theme, lengthUnit } = useSettings();
  const colours = useColours(theme);
  const data = useMemo(() => {
    const last = crop.heightByDay.at(-1)?.day ?? 1;
    const steps = Array.from({ length: 29 }, (_, i) => Math.round((i / 28) * last));
    const unit = heightUnit(lengthUnit);
    return {
      labels: steps.map(String),
      datasets: [
        { label: 'height', data: steps.map((d) => heightAt(crop, d) / unit), borderColor: colours.ink, borderWidth: 2, pointRadius: 0 },
      ],
    };
  }, [crop, lengthUnit, colours]);
  const options = useMemo(() => heightOptions(colours, lengthUnit, 'day'), [colours, lengthUnit]);
  return (
    <div className="h-40">
      <Line data={data} options={options} role="img" aria-label={`Height of ${crop.name} by day`} />
    </div>
  );
}
