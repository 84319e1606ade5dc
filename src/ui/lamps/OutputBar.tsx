import type { Lamp } from '@/core/things/lamp/Lamp';
import type { Share } from '@/core/units/quantities';

interface OutputBarProps {
  output: Share | null;
  lamp: Pick<Lamp, 'maintenanceAtEnd'>;
  /** Found by readings: a share of what its label says, new or not. */
  isMeasured: boolean;
}

/** What a lamp still gives of its first light, on a bar with the share at which its rated life ends. */
export function OutputBar({ output, lamp, isMeasured }: OutputBarProps) {
  if (output === null) return <span className="text-sm text-soft">output not known</span>;
  const percent = Math.round(100 * output);
  const isLow = output < lamp.maintenanceAtEnd;
  return (
    <span className="block">
      <span className="flex items-baseline justify-between gap-2 text-sm">
        <span className={isLow ? 'font-semibold text-copper' : 'font-semibold'}>
          {percent} % of {isMeasured ? 'its label, measured' : 'new'}
        </span>
      </span>
      <span aria-hidden data-swatch className="relative mt-1 block h-2 overflow-hidden rounded-full bg-night">
        <span
          className={`absolute inset-y-0 left-0 ${isLow ? 'bg-copper' : 'bg-[#f3ead2]'}`}
          style={{ width: `${Math.min(100, percent)}%` }}
        />
        <span className="absolute inset-y-0 w-0.5 bg-ember" style={{ left: `${100 * lamp.maintenanceAtEnd}%` }} />
      </span>
    </span>
  );
}
