import type { BenchStand } from '@/core/answer/stand/benchStand';
import { wallLookOf } from '../drawing/Walls';
import type { BenchFrame } from './benchFrame';
import { NIGHT } from '../theme/night';

/** The stand itself: posts of a rack, boards, the sill, drawn around its tiers. */
export function StandFrame({ stand, frame }: { stand: BenchStand; frame: BenchFrame }) {
  const { kind, shelf } = stand.stand;
  const highest = stand.tiers[0]!;
  const top = frame.z(highest, highest.tier.enclosure.height) - 8;
  const posts = kind === 'rack';
  const thick = Math.max(3, Math.min(7, shelf * frame.scale));
  return (
    <g>
      {stand.tiers.map((t) => {
        const { left, width } = frame.boxOf(t);
        const floor = wallLookOf(t.tier.enclosure.faces.floor);
        const ceiling = t === highest ? wallLookOf(t.tier.enclosure.faces.ceiling) : null;
        return (
          <g key={t.tier.id}>
            <rect
              x={left - (posts ? 6 : 4)}
              y={frame.z(t, 0)}
              width={width + (posts ? 12 : 8)}
              height={thick}
              fill={floor ? NIGHT.metal : '#55645f'}
              rx={posts ? 2 : 0}
            />
            {ceiling && (
              <rect
                x={left - (posts ? 6 : 4)}
                y={frame.z(t, t.tier.enclosure.height) - thick}
                width={width + (posts ? 12 : 8)}
                height={thick}
                fill={NIGHT.metal}
                rx={posts ? 2 : 0}
              />
            )}
          </g>
        );
      })}
      {posts &&
        [0, 1].map((side) => {
          const box = frame.boxOf(highest);
          const x = side === 0 ? box.left - 9 : box.left + box.width + 4;
          return <rect key={side} x={x} y={top} width={5} height={frame.floor + 16 - top} rx={2} fill={NIGHT.metal} />;
        })}
    </g>
  );
}
