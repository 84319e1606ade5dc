'use client';
import type { Metres } from '@/core/units/quantities';
import type { BenchTier } from '@/core/answer/stand/benchStand';
import { outlineOf, outlineOfFitting } from '@/core/site/stand/footprint';
import { trayName } from './benchWords';
import { MapNumber } from './MapMarks';

interface TierOutlinesProps {
  tier: BenchTier;
  /** From metres to the drawing: from the left, from the head, and heights of things along y. */
  px(x: Metres): number;
  py(y: Metres): number;
  sy: number;
}

/** Lamps and trays of a tier from above, as outlines over its light. */
export function TierOutlines({ tier: t, px, py, sy }: TierOutlinesProps) {
  return (
    <>
      {t.lamps.map(({ fitting, lamp }) => {
        const r = outlineOfFitting(fitting, lamp);
        const round = lamp.shape.startsWith('bulb') || lamp.shape === 'round-panel' || lamp.shape === 'coil';
        return (
          <rect
            key={fitting.id}
            x={px(r.x0)}
            y={py(r.y1)}
            width={px(r.x1) - px(r.x0)}
            height={Math.max(2, (r.y1 - r.y0) * sy)}
            rx={round ? 999 : 2}
            fill="#fff3dc"
            fillOpacity={0.1}
            stroke="#fff3dc"
            strokeDasharray="6 4"
            opacity={0.8}
          />
        );
      })}
      {t.trays.map((y) => {
        const r = outlineOf(y.tray);
        const width = px(r.x1) - px(r.x0);
        return (
          <g key={y.tray.id}>
            <rect
              x={px(r.x0)}
              y={py(r.y1)}
              width={width}
              height={(r.y1 - r.y0) * sy}
              rx={3}
              fill="none"
              stroke="#eef4f1"
              strokeWidth={1.3}
            />
            {width > 44 && (
              <MapNumber x={px(r.x0) + 5} y={py(r.y1) + 13} anchor="start" small>
                {trayName(y)}
              </MapNumber>
            )}
          </g>
        );
      })}
    </>
  );
}
