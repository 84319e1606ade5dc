import { memo } from 'react';
import type { BenchTier } from '@/core/answer/stand/benchStand';
import { footOf, rimOf } from '@/core/site/stand/canopy';
import { isCovered } from '@/core/answer/stand/roofOf';
import { outlineOf, outlineOfFitting, plantAreaOf } from '@/core/site/stand/footprint';
import { showLength, type LengthUnit } from '@/core/units/length';
import { lowestOf } from '@/core/answer/stand/benchStand';
import { riseOf, topOfFaceOf } from '@/core/site/stand/poseOf';
import { LampFront } from '../drawing/LampFront';
import { TrayFront } from '../drawing/TrayFront';
import { wallLookOf, THICK } from '../drawing/Walls';
import type { BenchFrame } from './benchFrame';
import { hangWords } from './benchWords';
import { NIGHT } from '../theme/night';

interface TierFrontProps {
  tier: BenchTier;
  frame: BenchFrame;
  unit: LengthUnit;
  /** The lamp whose distance is written at the right; null: the lowest. */
  lampId: string | null;
  narrow: boolean;
}

/** One tier from the front or the side, to scale: sides, lamps on what they hang from, the distance, trays and plants. */
export const TierFront = memo(function TierFront({ tier: t, frame, unit, lampId, narrow }: TierFrontProps) {
  const { tier } = t;
  const front = frame.view === 'front';
  const box = frame.boxOf(t);
  const z = (h: number) => frame.z(t, h);
  const u = (along: number) => frame.u(t, along);
  // What stands in front is drawn last.
  const trays = [...t.trays].sort((a, b) => (front ? b.tray.y - a.tray.y : a.tray.x - b.tray.x));
  const lamps = [...t.lamps].sort((a, b) => (front ? b.fitting.y - a.fitting.y : a.fitting.x - b.fitting.x));
  const measured = t.lamps.find((l) => l.fitting.id === lampId) ?? lowestOf(t);
  const canopy = t.trays.length > 0 ? Math.max(...t.trays.map((y) => y.canopy)) : null;
  const walls = front ? (['left', 'right'] as const) : (['front', 'back'] as const);
  return (
    <g>
      {walls.map((name, i) => {
        const look = wallLookOf(tier.enclosure.faces[name]);
        const at = i === 0 ? box.left - THICK / 2 : box.left + box.width + THICK / 2;
        return (
          look && (
            <path
              key={name}
              d={`M${at} ${z(0)} V${z(tier.enclosure.height)}`}
              stroke={look.fill}
              strokeWidth={THICK}
              strokeDasharray={look.dash}
            />
          )
        );
      })}
      {trays.map(({ tray, crop, called, stage, plantHeight }, i) => {
        const r = outlineOf(tray);
        const inside = plantAreaOf(tray);
        const [x0, x1] = front ? [r.x0, r.x1] : [r.y0, r.y1];
        const foot = footOf(tray);
        return (
          <g key={tray.id}>
            {tray.risers > 0 && (
              <g fill={NIGHT.raised} stroke="#6d7d78" strokeWidth={1}>
                {Array.from({ length: tray.risers }, (_, k) => (
                  <rect
                    key={k}
                    x={u(x0) + 5}
                    width={Math.max(4, (x1 - x0) * frame.scale - 10)}
                    y={z((k + 1) * tray.riserHeight)}
                    height={tray.riserHeight * frame.scale}
                  />
                ))}
              </g>
            )}
            <TrayFront
              crop={crop}
              stage={stage}
              word={called}
              outline={{ x0: u(x0), x1: u(x1), floor: z(foot), rim: z(rimOf(tray)) }}
              inside={front ? { x0: u(inside.x0), x1: u(inside.x1) } : { x0: u(inside.y0), x1: u(inside.y1) }}
              plants={plantHeight * frame.scale}
              seed={i}
            />
          </g>
        );
      })}
      {lamps.map(({ fitting, lamp }) => {
        const r = outlineOfFitting(fitting, lamp);
        const [from, to] = front ? [r.x0, r.x1] : [r.y0, r.y1];
        // Only who looks along a lamp sees it tilted: its own back is at the right from the side, at the left from the front.
        const turned = Math.abs(Math.sin(fitting.turn)) > 0.7;
        const tilt = front === turned ? (fitting.tilt ?? 0) * (front ? Math.sin(fitting.turn) : -Math.cos(fitting.turn)) : 0;
        const shown = (
          <LampFront
            lamp={lamp}
            x={u((from + to) / 2)}
            y={z(fitting.face + (tilt === 0 ? 0 : riseOf(fitting, lamp)))}
            tilt={tilt}
            w={(to - from) * frame.scale}
            top={isCovered(t) ? z(tier.enclosure.height) : Math.min(z(tier.enclosure.height), z(topOfFaceOf(fitting, lamp)) - 30)}
          />
        );
        const sideways = fitting.travel?.along === (front ? 'width' : 'depth') ? fitting.travel.length * frame.scale : 0;
        return (
          <g key={fitting.id}>
            {sideways > 0 && <Track x={u((from + to) / 2)} y={z(topOfFaceOf(fitting, lamp)) - 22} way={sideways} />}
            {shown}
          </g>
        );
      })}
      {measured && (
        <Distance
          face={z(measured.fitting.face)}
          leaves={z(canopy ?? 0)}
          right={frame.left + (front ? Math.max(tier.width + t.x, 0) : tier.depth) * frame.scale + 26}
          words={showLength(measured.fitting.face - (canopy ?? 0), unit)}
          hang={hangWords(t, measured.fitting, unit)}
          narrow={narrow}
        />
      )}
    </g>
  );
});

/** The rail of a lamp, from one end of its way to the other. */
function Track({ x, y, way }: { x: number; y: number; way: number }) {
  const [from, to] = [x - way / 2, x + way / 2];
  return (
    <path
      d={`M${from} ${y} H${to} M${from + 5} ${y - 3.5} L${from} ${y} L${from + 5} ${y + 3.5} M${to - 5} ${y - 3.5} L${to} ${y} L${to - 5} ${y + 3.5}`}
      fill="none"
      stroke={NIGHT.glow}
      strokeWidth={1.3}
    />
  );
}

/** As much of a text as there is room for beside the stand. */
const IN_THE_MARGIN = /\S{13,}|\S.{0,12}(?=\s|$)/g;

/** From the lamp's face down to the leaf tops, beside the stand. */
function Distance({
  face,
  leaves,
  right,
  words,
  hang,
  narrow,
}: {
  face: number;
  leaves: number;
  right: number;
  words: string;
  hang: string;
  narrow: boolean;
}) {
  const x = narrow ? right - 14 : right;
  return (
    <g>
      <g stroke={NIGHT.ink} strokeWidth={1.2} fill="none">
        <path d={`M${x - 18} ${face} H${x + 6} M${x} ${face} V${leaves} M${x - 18} ${leaves} H${x + 6}`} />
        {Math.abs(leaves - face) > 14 && (
          <>
            <path d={`M${x - 3.5} ${face + 6} L${x} ${face + 0.5} L${x + 3.5} ${face + 6}`} />
            <path d={`M${x - 3.5} ${leaves - 6} L${x} ${leaves - 0.5} L${x + 3.5} ${leaves - 6}`} />
          </>
        )}
      </g>
      <text x={x + 11} y={(face + leaves) / 2 + 1} className="fill-night-ink text-[16px] font-semibold">
        {words}
      </text>
      {!narrow && (
        <text y={(face + leaves) / 2 + 2} className="fill-night-soft font-narrow text-[12px] font-medium">
          {hang.match(IN_THE_MARGIN)?.map((line) => (
            <tspan key={line} x={x + 11} dy={14}>
              {line}
            </tspan>
          ))}
        </text>
      )}
    </g>
  );
}
