import { materialOf } from '@/core/things/material/materialLibrary';
import type { FaceName } from '@/core/light/room/Room';
import type { SetUp } from '@/core/answer/stand/setUp';
import type { DrawingFrame } from './drawingFrame';
import { NIGHT } from '../theme/night';

/** Thickness at which sides are drawn, px: they are to be seen, not measured. */
export const THICK = 6;

/** How a face looks: the paler, the more it throws back; dashed where light passes. */
export function wallLookOf(id: string): { fill: string; dash: string | undefined } | null {
  if (id === 'open') return null;
  const { reflectance, transmittance } = materialOf(id);
  return { fill: reflectance > 0.6 ? NIGHT.ink : reflectance > 0.3 ? NIGHT.soft : '#5b6a66', dash: transmittance > 0 ? '7 4' : undefined };
}

/** The sides of a tier from the front: what stands left, right, above and below, with what they are made of. */
export function WallsFront({ setUp, frame }: { setUp: SetUp; frame: DrawingFrame }) {
  const { enclosure, width } = setUp.tier;
  const { x, z } = frame;
  const h = enclosure.height;
  const wall = (name: FaceName, x0: number, z0: number, x1: number, z1: number) => {
    const look = wallLookOf(enclosure.faces[name]);
    if (!look) return null;
    return (
      <path d={`M${x0} ${z0} L${x1} ${z1}`} stroke={look.fill} strokeWidth={THICK} strokeDasharray={look.dash} fill="none" key={name}>
        <title>{`${name}: ${materialOf(enclosure.faces[name]).name}`}</title>
      </path>
    );
  };
  const out = THICK / 2;
  return (
    <g>
      {wall('left', x(0) - out, z(0), x(0) - out, z(h))}
      {wall('right', x(width) + out, z(0), x(width) + out, z(h))}
      {wall('ceiling', x(0) - THICK, z(h) - out, x(width) + THICK, z(h) - out)}
    </g>
  );
}

/** The same from above. */
export function WallsAbove({ setUp, frame }: { setUp: SetUp; frame: DrawingFrame }) {
  const { faces } = setUp.tier.enclosure;
  const { left, top, width, height } = frame.above;
  const out = THICK / 2;
  const edges: readonly [FaceName, number, number, number, number][] = [
    ['left', left - out, top, left - out, top + height],
    ['right', left + width + out, top, left + width + out, top + height],
    ['back', left - THICK, top - out, left + width + THICK, top - out],
    ['front', left - THICK, top + height + out, left + width + THICK, top + height + out],
  ];
  return (
    <g>
      {edges.map(([name, x0, y0, x1, y1]) => {
        const look = wallLookOf(faces[name]);
        return (
          look && (
            <path key={name} d={`M${x0} ${y0} L${x1} ${y1}`} stroke={look.fill} strokeWidth={THICK} strokeDasharray={look.dash}>
              <title>{`${name}: ${materialOf(faces[name]).name}`}</title>
            </path>
          )
        );
      })}
    </g>
  );
}
