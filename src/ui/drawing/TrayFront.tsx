import { memo } from 'react';
import type { Crop, Stage } from '@/core/things/crop/Crop';
import { habitOf, PlantDrawing } from './PlantDrawing';
import { NIGHT } from '../theme/night';

interface TrayFrontProps {
  crop: Crop;
  stage: Stage;
  word: string;
  /** In pixels, as everything here. */
  outline: { x0: number; x1: number; floor: number; rim: number };
  inside: { x0: number; x1: number };
  plants: number;
  seed: number;
}

/** In a tray that is drawn lower than this there is no room for a word, even over its edges. */
const LOWEST = 5;

/** A tray from the front with its plants at their height. */
export function TrayFront({ crop, stage, word, outline, inside, plants, seed }: TrayFrontProps) {
  const { x0, x1, floor, rim } = outline;
  const h = floor - rim;
  return (
    <g>
      <Row
        crop={crop}
        young={stage.stage === 'emergence' || stage.stage === 'seedling'}
        from={inside.x0}
        to={inside.x1}
        foot={rim}
        h={plants}
        seed={seed}
      />
      <path
        d={`M${x0} ${rim} H${x1} L${x1 - Math.min(6, h * 0.25)} ${floor} H${x0 + Math.min(6, h * 0.25)} Z`}
        fill="#24302d"
        stroke={NIGHT.metal}
        strokeWidth={1}
      />
      {h > LOWEST && x1 - x0 > 46 && (
        <text
          x={(x0 + x1) / 2}
          y={rim + h / 2 + 4}
          textAnchor="middle"
          stroke="#24302d"
          strokeWidth={h > 13 ? 0 : 3}
          style={{ paintOrder: 'stroke' }}
          className="fill-night-ink font-narrow text-[12px] font-semibold"
        >
          {shortened(word, x1 - x0)}
        </text>
      )}
    </g>
  );
}

interface RowProps {
  crop: Crop;
  young: boolean;
  from: number;
  to: number;
  foot: number;
  h: number;
  seed: number;
}

/** As much of a word as there is room for. */
function shortened(word: string, room: number): string {
  const most = Math.floor((room - 8) / 6.2); // pixels of a narrow letter of this size, about
  return word.length <= most ? word : `${word.slice(0, Math.max(1, most - 1)).trimEnd()}…`;
}

/** Plants side by side; drawn anew only when they are others or elsewhere. */
const Row = memo(function Row({ crop, young, from, to, foot, h, seed }: RowProps) {
  const habit = habitOf(crop, young);
  const pitch = Math.max(15, habit === 'rosette' ? h * 0.95 : h * 0.34);
  const count = Math.max(1, Math.min(28, Math.floor((to - from) / pitch)));
  return (
    <>
      {Array.from({ length: count }, (_, i) => (
        <PlantDrawing
          key={i}
          x={from + ((i + 0.5) * (to - from)) / count}
          foot={foot}
          h={Math.max(5, h)}
          habit={habit}
          seed={i + 1 + seed * 31}
        />
      ))}
    </>
  );
});
