import type { Crop } from '@/core/things/crop/Crop';
import { NIGHT } from '../theme/night';

type Habit = 'upright' | 'blades' | 'rosette';

/** How a crop stands: on a stem with pairs of leaves, in blades, or in a low tuft; when young most look alike. */
export function habitOf(crop: Crop, young: boolean): Habit {
  if (crop.group === 'allium-veg' || ['chives', 'spider-plant', 'snake-plant', 'moth-orchid'].includes(crop.id)) return 'blades';
  if (young) return 'upright';
  if (['leafy-veg', 'succulent', 'foliage-houseplant', 'flowering-houseplant', 'carnivorous', 'root-veg', 'stem-veg'].includes(crop.group))
    return 'rosette';
  return 'upright';
}

/** One plant, drawn from its foot upward, `h` pixels tall; `seed` makes neighbours differ a little. */
export function PlantDrawing({ x, foot, h, habit, seed }: { x: number; foot: number; h: number; habit: Habit; seed: number }) {
  const sway = Math.sin(seed * 12.9898) * 0.5;
  const tall = h * (0.9 + 0.1 * Math.abs(Math.sin(seed * 7.7)));
  const stroke = { stroke: NIGHT.leaf, strokeWidth: 1.3, fill: 'none', strokeLinecap: 'round' as const };
  if (habit === 'blades') {
    const blades = [-0.22, 0.05, 0.26];
    return (
      <g transform={`translate(${x} ${foot})`} {...stroke}>
        {blades.map((b, i) => (
          <path key={i} d={`M0 0 Q ${b * h * 0.3} ${-tall * 0.6} ${(b + sway * 0.15) * h} ${-tall * (1 - Math.abs(b) * 0.8)}`} />
        ))}
      </g>
    );
  }
  if (habit === 'rosette') {
    const leaves = [-0.62, -0.28, 0.08, 0.38, 0.66];
    const leaf = Math.max(2.2, Math.min(9, tall * 0.2));
    return (
      <g transform={`translate(${x} ${foot})`}>
        {leaves.map((b, i) => {
          const [tx, ty] = [b * tall * 0.75, -tall * (1 - b * b * 0.8) + leaf * 0.4];
          return (
            <g key={i}>
              <path d={`M0 0 Q ${b * tall * 0.2} ${ty * 0.6} ${tx} ${ty}`} {...stroke} strokeWidth={1} />
              <ellipse cx={tx} cy={ty} rx={leaf} ry={leaf * 0.42} fill={NIGHT.leaf} transform={`rotate(${b * 55} ${tx} ${ty})`} />
            </g>
          );
        })}
      </g>
    );
  }
  const pairs = Math.max(1, Math.min(4, Math.round(tall / 22)));
  const leaf = Math.max(2.6, Math.min(9, tall * 0.2));
  return (
    <g transform={`translate(${x} ${foot})`}>
      <path d={`M0 0 Q ${sway * 3} ${-tall / 2} ${sway * 2} ${-tall}`} {...stroke} />
      {Array.from({ length: pairs }, (_, i) => {
        const y = -tall * (1 - (i / pairs) * 0.65) + leaf * 0.3;
        const size = leaf * (i === 0 ? 1 : 1.15);
        return (
          <g key={i} fill={NIGHT.leaf} transform={`translate(${sway * 2} ${y})`}>
            <ellipse cx={-size * 0.85} cy={-size * 0.2} rx={size} ry={size * 0.4} transform={`rotate(14 ${-size} 0)`} />
            <ellipse cx={size * 0.85} cy={-size * 0.2} rx={size} ry={size * 0.4} transform={`rotate(-14 ${size} 0)`} />
          </g>
        );
      })}
    </g>
  );
}
