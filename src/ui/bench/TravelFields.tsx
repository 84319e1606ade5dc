import type { BenchTier } from '@/core/answer/stand/benchStand';
import { outlineOfFitting } from '@/core/site/stand/footprint';
import type { Fitting } from '@/core/site/stand/Site';
import { LONGEST_TRAVEL, TRAVEL_WAYS, type Travel } from '@/core/things/lamp/Travel';
import type { Lamp } from '@/core/things/lamp/Lamp';
import type { Metres } from '@/core/units/quantities';
import { LengthField } from '../parts/LengthField';
import { SelectField } from '../parts/SelectField';

const STILL = 'still';
const WAYS = [
  { value: STILL, label: 'no' },
  { value: 'width', label: 'left to right' },
  { value: 'depth', label: 'front to back' },
] as const;

export const ON_A_RAIL =
  'Its middle goes evenly to and fro about its place. Light counts as the mean over the way; for heat, sides and other lamps, all of the way counts. Lead the cord so that it can’t touch water, leaves or the lamp wherever it goes.';

interface TravelFieldsProps {
  tier: BenchTier;
  fitting: Fitting;
  lamp: Lamp;
  change(what: string, by: (f: Fitting) => Pick<Fitting, 'travel'>): void;
}

/** Whether a lamp travels on a rail, which way, and how far. */
export function TravelFields({ tier: { tier }, fitting, lamp, change }: TravelFieldsProps) {
  const { travel } = fitting;
  return (
    <>
      <SelectField
        label="travels"
        value={travel?.along ?? STILL}
        options={WAYS}
        onChange={(to) => {
          const along = TRAVEL_WAYS.find((way) => way === to);
          if (!along) change('hang the lamp still', () => ({ travel: undefined }));
          else change('put the lamp on a rail', (f) => ({ travel: { along, length: freeWay(tier, f, lamp, along) } }));
        }}
      />
      {travel && (
        <LengthField
          label="over"
          value={travel.length}
          min={0.01}
          max={LONGEST_TRAVEL}
          inputClassName="w-20"
          onChange={(length) => change('set how far the lamp travels', (f) => ({ travel: f.travel && { ...f.travel, length } }))}
        />
      )}
    </>
  );
}

const SHORTEST_RAIL: Metres = 0.1;

/** As far as a lamp can go to and fro within its tier, in whole centimetres. */
function freeWay(tier: BenchTier['tier'], fitting: Fitting, lamp: Lamp, along: Travel['along']): Metres {
  const { x0, x1, y0, y1 } = outlineOfFitting(fitting, lamp);
  const free = along === 'width' ? 2 * Math.min(x0, tier.width - x1) : 2 * Math.min(y0, tier.depth - y1);
  return Math.min(LONGEST_TRAVEL, Math.max(SHORTEST_RAIL, Math.floor(free * 100) / 100));
}
