'use client';
import { useRef } from 'react';
import type { Metres } from '@/core/units/quantities';
import { showLength, type LengthUnit } from '@/core/units/length';
import { NEAREST_FACE } from '@/store/site/setUpVerbs';

interface LampHandleProps {
  box: { left: number; top: number; width: number; height: number };
  distance: Metres;
  heatClearance: Metres;
  unit: LengthUnit;
  /** Pixels for a metre. */
  scale: number;
  /** Highest distance that the picture has room for while a hand drags. */
  roof: Metres;
  /** As far as the lamp may hang. */
  farthest: Metres;
  onBegin(): void;
  onChange(distance: Metres): void;
  onEnd(): void;
}

/** A step of the tape: half a centimetre, or a quarter inch. */
const stepOf = (unit: LengthUnit): Metres => (unit === 'in' ? 0.0254 / 4 : 0.005);

/** The lamp itself is the handle: drag it, or move it with the arrow keys. Distances are in metres; pixels end here. */
export function LampHandle({ box, distance, heatClearance, unit, scale, roof, farthest, onBegin, onChange, onEnd }: LampHandleProps) {
  const grip = useRef<{ y: number; distance: Metres } | null>(null);
  const step = stepOf(unit);
  const snapped = (d: Metres) => Math.min(farthest, Math.max(NEAREST_FACE, Math.round(d / step) * step));
  const keys: Record<string, (coarse: boolean) => Metres> = {
    ArrowUp: (coarse) => distance + step * (coarse ? 10 : 2),
    ArrowDown: (coarse) => distance - step * (coarse ? 10 : 2),
    ArrowRight: () => distance + step * 2,
    ArrowLeft: () => distance - step * 2,
    PageUp: () => distance + step * 10,
    PageDown: () => distance - step * 10,
    Home: () => Math.max(heatClearance, NEAREST_FACE),
  };
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label="Distance from lamp to leaves"
      aria-orientation="vertical"
      aria-valuemin={Math.round(NEAREST_FACE * 1000) / 10}
      aria-valuemax={Math.round(farthest * 1000) / 10}
      aria-valuenow={Math.round(distance * 1000) / 10}
      aria-valuetext={showLength(distance, unit)}
      className="absolute z-10 cursor-ns-resize touch-none rounded-md print:hidden"
      style={box}
      onPointerDown={(e) => {
        if (e.button !== 0) return;
        e.currentTarget.setPointerCapture(e.pointerId);
        grip.current = { y: e.clientY, distance };
        onBegin();
      }}
      onPointerMove={(e) => {
        const from = grip.current;
        if (!from || !e.currentTarget.hasPointerCapture(e.pointerId)) return;
        onChange(Math.min(snapped(roof), snapped(from.distance - (e.clientY - from.y) / scale)));
      }}
      onLostPointerCapture={() => {
        if (!grip.current) return;
        grip.current = null;
        onEnd();
      }}
      onKeyDown={(e) => {
        const move = keys[e.key];
        if (!move) return;
        e.preventDefault();
        onChange(snapped(move(e.shiftKey)));
      }}
    />
  );
}
