'use client';
import { isRound } from '@/core/things/lamp/isRound';
import type { Rect } from '@/core/light/field/Grid';
import type { Metres } from '@/core/units/quantities';
import type { BenchTier } from '@/core/answer/stand/benchStand';
import { outlineOf, outlineOfFitting } from '@/core/site/stand/footprint';
import { sweptBy } from '@/core/things/lamp/Travel';
import { MapNumber } from './MapMarks';
import { NIGHT } from '../theme/night';

interface TierOutlinesProps {
  tier: BenchTier;
  /** From metres to the drawing: from the left, from the head, and heights of things along y. */
  px(x: Metres): number;
  py(y: Metres): number;
  sy: number;
  /** Places with a number beside them, which no name may cover. */
  spots?: readonly { readonly x: Metres; readonly y: Metres }[];
}

/** A letter of a name, and a number beside its spot, are about so wide. */
const LETTER_PX = 6.5;
const NUMBER_PX = 48;

const cutTo = (name: string, letters: number) => (name.length <= letters ? name : `${name.slice(0, letters - 1).trimEnd()}…`);

/** Lamps and trays of a tier from above, as outlines over its light. */
export function TierOutlines({ tier: t, px, py, sy, spots = [] }: TierOutlinesProps) {
  return (
    <>
      {t.lamps.map(({ fitting, lamp }) => {
        const r = outlineOfFitting(fitting, lamp);
        const drawn = (of: Rect) => ({
          x: px(of.x0),
          y: py(of.y1),
          width: px(of.x1) - px(of.x0),
          height: Math.max(2, (of.y1 - of.y0) * sy),
          rx: isRound(lamp) ? 999 : 2,
          stroke: NIGHT.glow,
          opacity: 0.8,
        });
        return (
          <g key={fitting.id}>
            {fitting.travel && <rect {...drawn(sweptBy(r, fitting.travel))} fill="none" strokeDasharray="1 4" />}
            <rect {...drawn(r)} fill={NIGHT.glow} fillOpacity={0.1} strokeDasharray="6 4" />
          </g>
        );
      })}
      {t.trays.map((y) => {
        const r = outlineOf(y.tray);
        const width = px(r.x1) - px(r.x0);
        const [top, foot] = [py(r.y1) + 13, py(r.y0) - 6];
        const from = px(r.x0) + 5;
        // A name may run past its tray, but not over the next one.
        const next = Math.min(
          ...t.trays
            .map((o) => outlineOf(o.tray))
            .filter((o) => o.x0 >= r.x1 && o.y0 < r.y1 && o.y1 > r.y0)
            .map((o) => px(o.x0)),
        );
        const name = cutTo(y.called, Math.floor((next - 4 - from) / LETTER_PX));
        const isCovered = (at: number) =>
          spots.some(
            (s) => Math.abs(py(s.y) - at + 4) < 14 && px(s.x) > from - NUMBER_PX && px(s.x) < from + name.length * LETTER_PX + NUMBER_PX,
          );
        return (
          <g key={y.tray.id}>
            <rect
              x={px(r.x0)}
              y={py(r.y1)}
              width={width}
              height={(r.y1 - r.y0) * sy}
              rx={3}
              fill="none"
              stroke={NIGHT.ink}
              strokeWidth={1.3}
            />
            {width > 44 && name.length > 2 && (
              <MapNumber x={from} y={isCovered(top) && !isCovered(foot) ? foot : top} anchor="start" small>
                {name}
              </MapNumber>
            )}
          </g>
        );
      })}
    </>
  );
}
