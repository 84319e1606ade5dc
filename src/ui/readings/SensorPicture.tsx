'use client';
import type { Metres } from '@/core/units/quantities';
import type { BenchTier } from '@/core/answer/stand/benchStand';
import { showLength } from '@/core/units/length';
import { useSettings } from '../shell/WorkspaceContext';

const WIDTH = 150;
const HEIGHT = 128;
const FLOOR = HEIGHT - 14;

/** From the side: how high the sensor goes, level, between the leaves and the lamp. */
export function SensorPicture({ tier: t, x, y, z }: { tier: BenchTier; x: Metres; y: Metres; z: Metres }) {
  const { lengthUnit } = useSettings();
  const nearest = t.lamps.reduce<(typeof t.lamps)[number] | null>(
    (best, l) => (!best || Math.hypot(l.fitting.x - x, l.fitting.y - y) < Math.hypot(best.fitting.x - x, best.fitting.y - y) ? l : best),
    null,
  );
  const face = nearest?.fitting.face ?? 0.3;
  const scale = (FLOOR - 16) / Math.max(face * 1.05, z * 1.2, 0.15);
  const pz = (h: Metres) => FLOOR - h * scale;
  const sensor = pz(z);
  return (
    <svg
      width={WIDTH}
      height={HEIGHT}
      className="shrink-0"
      role="img"
      aria-label={`The sensor ${showLength(z, lengthUnit)} above the shelf, ${showLength(Math.max(0, face - z), lengthUnit)} below the lamp, level`}
    >
      <path d={`M6 ${FLOOR} H${WIDTH - 6}`} stroke="currentColor" strokeWidth={2} />
      {nearest && <rect x={18} y={pz(face) - 6} width={70} height={6} rx={2} className="fill-copper" />}
      {/* the sensor: a white disc on its meter, level */}
      <path d={`M38 ${sensor} h30`} stroke="currentColor" strokeWidth={3} strokeLinecap="round" />
      <path d={`M42 ${sensor - 2} a11 7 0 0 1 22 0 Z`} className="fill-sheet" stroke="currentColor" strokeWidth={1.4} />
      <g className="stroke-soft" strokeWidth={1}>
        <path d={`M98 ${FLOOR} V${sensor} M94 ${FLOOR} h8 M94 ${sensor} h8`} />
        {nearest && <path d={`M98 ${sensor - 1} V${pz(face)} M94 ${pz(face)} h8`} strokeDasharray="3 2" />}
      </g>
      <g className="fill-ink font-narrow text-[13px] font-semibold">
        <text x={104} y={(FLOOR + sensor) / 2 + 4}>
          {showLength(z, lengthUnit)}
        </text>
        {nearest && face - z > 0.02 && (
          <text x={104} y={(sensor + pz(face)) / 2 + 4}>
            {showLength(face - z, lengthUnit)}
          </text>
        )}
      </g>
    </svg>
  );
}
