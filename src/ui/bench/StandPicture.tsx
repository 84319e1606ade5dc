'use client';
import { useMemo } from 'react';
import type { BenchAnswer } from '@/core/answer/bench/BenchQuestion';
import type { BenchStand } from '@/core/answer/stand/benchStand';
import type { LengthUnit } from '@/core/units/length';
import { LightCanvas } from '../drawing/LightCanvas';
import { stretchesOf } from './bands';
import { benchFrame, measuresOf } from './benchFrame';
import { StandFrame } from './StandFrame';
import { TierFront } from './TierFront';

interface StandPictureProps {
  stand: BenchStand;
  answer: BenchAnswer | null;
  width: number;
  height: number;
  unit: LengthUnit;
  /** On paper only lines are drawn. */
  lines?: boolean;
}

/** A stand from the front as a picture that is only looked at. */
export function StandPicture({ stand, answer, width, height, unit, lines = false }: StandPictureProps) {
  const narrow = width < 480;
  const frame = useMemo(
    () => benchFrame(measuresOf(stand, 'front'), 'front', { width, height }, 1, narrow),
    [stand, width, height, narrow],
  );
  return (
    <div className="relative" style={{ width: frame.width, height: frame.height }}>
      {!lines &&
        stand.tiers.map((t) => {
          const slice = answer?.tiers[t.tier.id]?.slice;
          const box = frame.boxOf(t);
          return (
            slice &&
            stretchesOf(t, 'front', undefined).map((s) => (
              <LightCanvas
                key={`${t.tier.id} ${s.from}`}
                grid={slice}
                band={s.band}
                rowZero="foot"
                from={s.from}
                to={s.to}
                box={{ left: box.left + s.from * box.width, top: box.top, width: (s.to - s.from) * box.width, height: box.height }}
                testId="picture"
              />
            ))
          );
        })}
      <svg
        width={frame.width}
        height={frame.height}
        className={lines ? 'line-drawing' : 'absolute inset-0'}
        role="img"
        aria-label={`${stand.stand.name} from the front`}
      >
        <StandFrame stand={stand} frame={frame} />
        {stand.tiers.map((t) => (
          <g key={t.tier.id}>
            <TierFront tier={t} frame={frame} unit={unit} narrow={narrow} lampId={null} />
            <text
              x={Math.max(14, frame.boxOf(t).left - 16)}
              y={frame.boxOf(t).top + 16}
              textAnchor="end"
              className="fill-night-ink text-[16px] font-semibold"
            >
              {t.number}
            </text>
          </g>
        ))}
      </svg>
    </div>
  );
}
