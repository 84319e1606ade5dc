'use client';
import { useState } from 'react';
import { showLength, type LengthUnit } from '@/core/units/length';
import type { BenchFrame } from './benchFrame';
import { NIGHT } from '../theme/night';

/** A measuring tape over the drawing: from where it is pressed to where it is let go; Escape puts it away. */
export function Tape({ frame, unit, onDone }: { frame: BenchFrame; unit: LengthUnit; onDone(): void }) {
  const [ends, setEnds] = useState<{ x0: number; y0: number; x1: number; y1: number } | null>(null);
  const at = (e: React.PointerEvent) => {
    const r = e.currentTarget.getBoundingClientRect();
    return { x: e.clientX - r.left, y: e.clientY - r.top };
  };
  const length = ends ? Math.hypot(ends.x1 - ends.x0, ends.y1 - ends.y0) / frame.scale : 0;
  return (
    <div
      className="absolute inset-0 z-10 touch-none"
      role="application"
      aria-label="Ruler: press at one end and release at the other. Press Escape to close it."
      tabIndex={0}
      ref={(element) => element?.focus()}
      onKeyDown={(e) => {
        if (e.key !== 'Escape') return;
        e.stopPropagation();
        onDone();
      }}
      onClick={(e) => e.stopPropagation()}
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        const { x, y } = at(e);
        setEnds({ x0: x, y0: y, x1: x, y1: y });
      }}
      onPointerMove={(e) => {
        if (!e.currentTarget.hasPointerCapture(e.pointerId)) return;
        const { x, y } = at(e);
        setEnds((now) => now && { ...now, x1: x, y1: y });
      }}
    >
      <svg width={frame.width} height={frame.height} className="pointer-events-none">
        {ends && (
          <g stroke={NIGHT.ember} strokeWidth={1.6}>
            <line x1={ends.x0} y1={ends.y0} x2={ends.x1} y2={ends.y1} strokeDasharray="6 3" />
            <circle cx={ends.x0} cy={ends.y0} r={3.5} fill={NIGHT.ember} />
            <circle cx={ends.x1} cy={ends.y1} r={3.5} fill={NIGHT.ember} />
          </g>
        )}
        {ends && length > 0.005 && (
          <text
            x={(ends.x0 + ends.x1) / 2}
            y={(ends.y0 + ends.y1) / 2 - 8}
            textAnchor="middle"
            className="fill-night-ink text-[16px] font-semibold"
            stroke={NIGHT.ground}
            strokeWidth={4}
            paintOrder="stroke"
          >
            {showLength(length, unit)}
          </text>
        )}
      </svg>
      <p role="status" className="sr-only">
        {length > 0.005 ? showLength(length, unit) : ''}
      </p>
    </div>
  );
}
