'use client';
import { useMemo } from 'react';
import type { TierLight } from '@/core/answer/bench/BenchQuestion';
import type { BenchTier } from '@/core/answer/stand/benchStand';
import type { LightBand } from '@/core/judge/dli/lightBand';
import type { Metres } from '@/core/units/quantities';
import { LightCanvas } from '../drawing/LightCanvas';
import { bandOf } from './bands';

interface TierMapsProps {
  tier: BenchTier;
  light: TierLight;
  /** What is right beside the trays. */
  around: LightBand;
  px(x: Metres): number;
  py(y: Metres): number;
  /** How many px a metre to the back is. */
  sy: number;
  testId: string;
}

/** The light of a tier from above, on each tray in the colours of its own band. */
export function TierMaps({ tier: t, light, around, px, py, sy, testId }: TierMapsProps) {
  const bands = useMemo(() => new Map(t.trays.map((y) => [y.tray.id, bandOf(y, y.day)])), [t]);
  const box = { left: 0, top: 0, width: px(t.tier.width), height: t.tier.depth * sy };
  return (
    <>
      {light.map && <LightCanvas grid={light.map} band={around} rowZero="foot" box={box} testId={testId} />}
      {t.trays.map(({ tray }) => {
        const own = light.trays[tray.id];
        if (!own) return null;
        const { area } = own.map;
        return (
          <LightCanvas
            key={tray.id}
            grid={own.map}
            band={bands.get(tray.id)!}
            rowZero="foot"
            box={{ left: px(area.x0), top: py(area.y1), width: px(area.x1) - px(area.x0), height: (area.y1 - area.y0) * sy }}
            testId="tray-map"
          />
        );
      })}
    </>
  );
}
