import { faceSizeOf, outlineOf, plantAreaOf } from '@/core/site/stand/footprint';
import { isRoofed } from '@/core/site/stand/Enclosure';
import type { SetUp } from '@/core/answer/stand/setUp';
import { showLength, type LengthUnit } from '@/core/units/length';
import { LampFront } from './LampFront';
import type { DrawingFrame } from './drawingFrame';
import { TrayFront } from './TrayFront';
import { WallsFront } from './Walls';
import { NIGHT } from '../theme/night';

/** The set-up from the front, to scale: lamps on their chains, the distance, plants at their height, trays on the shelf. */
export function FrontView({
  setUp,
  frame,
  unit,
  withNumber,
  suits,
}: {
  setUp: SetUp;
  frame: DrawingFrame;
  unit: LengthUnit;
  withNumber: boolean;
  suits: { from: number; to: number } | null;
}) {
  const { tier, lamp, crop, stage, canopy, plantHeight, distance } = setUp;
  const { front, x, z, scale } = frame;
  const face = tier.fittings[0]!.face;
  const lampWidth = faceSizeOf(lamp).length * scale;
  const right = withNumber ? front.left + front.width - 6 : front.left + front.width + 12;
  // Trays one behind the other look like one from the front.
  const frontTrays = tier.trays.filter((t) => Math.abs(t.y - tier.trays[0]!.y) < 1e-6);
  return (
    <g>
      {frontTrays.map((tray, i) => {
        const { x0, x1 } = outlineOf(tray);
        const inside = plantAreaOf(tray);
        return (
          <TrayFront
            key={tray.id}
            crop={crop}
            stage={stage}
            word={crop.name}
            outline={{ x0: x(x0), x1: x(x1), floor: z(0), rim: z(tray.height) }}
            inside={{ x0: x(inside.x0), x1: x(inside.x1) }}
            plants={plantHeight * scale}
            seed={i}
          />
        );
      })}
      <WallsFront setUp={setUp} frame={frame} />
      <rect x={front.left} y={z(0)} width={front.width} height={5} fill={NIGHT.metal} />
      {tier.fittings.slice(0, 1).map((f) => (
        <LampFront
          key={f.id}
          lamp={lamp}
          x={x(f.x)}
          y={z(face)}
          w={lampWidth}
          top={isRoofed(tier.enclosure) ? z(tier.enclosure.height) : front.top - 2}
        />
      ))}
      {suits && <Suits from={Math.max(0, face - suits.to)} to={face - suits.from} frame={frame} />}
      {/* the leaf tops, and the dimension from the lamp's face down to them */}
      <line x1={x(0)} x2={right} y1={z(canopy)} y2={z(canopy)} stroke={NIGHT.ink} strokeWidth={1} strokeDasharray="5 4" opacity={0.75} />
      <g stroke={NIGHT.ink} strokeWidth={1.2} fill="none">
        <path d={`M${right - 7} ${z(face)} H${right + 7} M${right} ${z(face)} V${z(canopy)} M${right - 7} ${z(canopy)} H${right + 7}`} />
        <path d={`M${right - 3.5} ${z(face) + 6} L${right} ${z(face) + 0.5} L${right + 3.5} ${z(face) + 6}`} />
        <path d={`M${right - 3.5} ${z(canopy) - 6} L${right} ${z(canopy) - 0.5} L${right + 3.5} ${z(canopy) - 6}`} />
      </g>
      {withNumber && (
        <text
          x={right - 10}
          y={(z(face) + z(canopy)) / 2 + 5}
          textAnchor="end"
          className="fill-night-ink text-[15px] font-semibold"
          stroke={NIGHT.ground}
          strokeWidth={3}
          paintOrder="stroke"
        >
          {showLength(distance, unit)}
        </text>
      )}
    </g>
  );
}

/** Where the leaf tops may be for the whole tray to suit, at the hours as they are: a bracket at the left. */
function Suits({ from, to, frame }: { from: number; to: number; frame: DrawingFrame }) {
  const { left, top } = frame.front;
  const [low, high] = [frame.z(from), Math.max(top, frame.z(to))];
  if (!(low > high)) return null;
  return (
    <g>
      <title>Distances that put the canopy in the target range</title>
      <rect x={left} y={high} width={7} height={Math.max(2, low - high)} fill={NIGHT.patina} />
      <path d={`M${left} ${high} H${left + 26} M${left} ${low} H${left + 26}`} stroke={NIGHT.patina} strokeWidth={1.5} />
      <text
        x={left + 2}
        y={high - 6}
        fill="#d9f3ee"
        className="font-narrow text-[12px] font-semibold"
        stroke={NIGHT.ground}
        strokeWidth={3}
        paintOrder="stroke"
      >
        leaves here
      </text>
    </g>
  );
}
