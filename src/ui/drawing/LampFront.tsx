import type { Lamp } from '@/core/things/lamp/Lamp';
import type { Radians } from '@/core/units/quantities';
import { NIGHT } from '../theme/night';

interface LampFrontProps {
  lamp: Lamp;
  /** The middle of its face, the width of its luminous part, and what it hangs from, px. */
  x: number;
  y: number;
  w: number;
  top: number;
  /** How far it is turned about the middle of its face, clockwise as it is seen. */
  tilt?: Radians;
}

/** One lamp seen from the front. */
export function LampFront({ lamp, x, y, w, top, tilt = 0 }: LampFrontProps) {
  const tilted = tilt === 0 ? undefined : `rotate(${(tilt * 180) / Math.PI} ${x} ${y})`;
  const steel = '#7d8a86';
  const chain = { stroke: '#c9d5d1', strokeWidth: 1, strokeDasharray: '2 3' };
  if (lamp.shape === 'bulb-bare' || lamp.shape === 'bulb-reflector') {
    const r = Math.max(5, w / 2);
    const shade = lamp.shape === 'bulb-reflector';
    return (
      <g>
        <line x1={x} x2={x} y1={top} y2={y - r * 1.9 * Math.cos(tilt)} stroke="#c9d5d1" strokeWidth={1} />
        <g transform={tilted}>
          {shade ? (
            <path
              d={`M${x - r} ${y} Q${x - r * 0.9} ${y - r * 1.5} ${x - r * 0.3} ${y - r * 1.9} H${x + r * 0.3} Q${x + r * 0.9} ${y - r * 1.5} ${x + r} ${y} Z`}
              fill="#dfe6e3"
            />
          ) : (
            <>
              <rect x={x - r * 0.42} y={y - r * 3} width={r * 0.84} height={r * 1.3} rx={2} fill={steel} />
              <circle cx={x} cy={y - r} r={r} fill={NIGHT.glow} />
            </>
          )}
          {shade && <rect x={x - r} y={y - 2} width={r * 2} height={3} rx={1.5} fill={NIGHT.glow} />}
        </g>
      </g>
    );
  }
  const body =
    lamp.shape === 'tube-bare'
      ? 7
      : lamp.shape === 'panel' || lamp.shape === 'round-panel' || lamp.shape === 'coil' || lamp.shape === 'measured'
        ? 10
        : 8;
  return (
    <g>
      {[-0.38, 0.38].map((at) => (
        <line key={at} x1={x + at * w} x2={x + at * w} y1={top} y2={y - body - 2} {...chain} />
      ))}
      <g transform={tilted}>
        <rect x={x - w / 2 - 3} y={y - body - 3} width={w + 6} height={body} rx={2} fill={lamp.shape === 'tube-bare' ? steel : '#e4eae7'} />
        <rect x={x - w / 2} y={y - 4} width={w} height={4} rx={2} fill={NIGHT.glow} />
      </g>
    </g>
  );
}
