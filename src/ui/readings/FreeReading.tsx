'use client';
import { useState } from 'react';
import { useStore } from 'zustand';
import { leafTopsOf } from '@/core/answer/stand/benchStand';
import { planeOf } from '@/core/answer/bench/questionOfStand';
import { litOf } from '@/core/site/reading/Reading';
import { suspicionsOf } from '@/core/measure/reading/suspicionsOf';
import { takeReading } from '@/core/measure/reading/takeReading';
import { keepReading } from '@/core/site/stand/changeReadings';
import { changeSite } from '@/store/site/siteStore';
import { CheckField } from '../parts/CheckField';
import { Button } from '../parts/Button';
import { LengthField } from '../parts/LengthField';
import { useWorkspace } from '../shell/WorkspaceContext';
import { MeterChoice } from './MeterChoice';
import { sensorStore } from './sensorStore';
import { readShown } from './readShown';
import { ShownField } from './ShownField';
import { takenNow } from './takenNow';
import { useMeter } from './useMeter';
import type { TierReadings } from './useTierReadings';
import { unitWords } from './words';

/** A reading from anywhere: pressed on the map, at any height, under any of the lamps. */
export function FreeReading({ of }: { of: TierReadings }) {
  const { sites } = useWorkspace();
  const meter = useMeter();
  const { tier: t } = of;
  const { tier } = t;
  const sensor = useStore(sensorStore);
  const here = sensor.tierId === tier.id ? sensor : { x: tier.width / 2, y: tier.depth / 2, z: null };
  const z = here.z ?? planeOf(t);
  const [text, setText] = useState('');
  const [off, setOff] = useState<readonly string[]>([]);
  const [problem, setProblem] = useState<string | null>(null);
  const move = (change: Partial<{ x: number; y: number; z: number }>) =>
    sensorStore.setState({ tierId: tier.id, x: here.x, y: here.y, z: here.z, ...change });
  function take(e: React.FormEvent) {
    e.preventDefault();
    const read = readShown(text, meter.unit);
    if ('problem' in read) return setProblem(read.problem);
    const lit = litOf({ ...tier, fittings: tier.fittings.filter((f) => !off.includes(f.id)) });
    if (lit.length === 0) return setProblem('At least one lamp must be on.');
    const reading = takeReading(tier, { x: here.x, y: here.y, z }, meter.hand, read.shown, { ...takenNow(), lit, tops: leafTopsOf(t) });
    const doubtful = suspicionsOf(reading, of.tier.known.compared, of.lampOf, of.others, of.cache).length > 0;
    changeSite(sites, 'take a reading', keepReading(tier.id, { ...reading, leftOut: doubtful }));
    setText('');
    setProblem(null);
  }
  if (tier.fittings.length === 0) return <p>No lamp hangs on this tier. Hang one on the bench; then there is something to read.</p>;
  return (
    <form onSubmit={take} className="space-y-2 rounded-md bg-sunk p-3" aria-label="A reading from anywhere">
      <p className="text-[0.9375rem]">
        <strong className="font-semibold">From anywhere:</strong> press on the map where the sensor is. Several heights over one spot show
        how the light falls off.
      </p>
      <div className="flex flex-wrap items-end gap-x-3 gap-y-2">
        <MeterChoice practice={false} />
        <LengthField label="from the left" value={here.x} min={0} max={tier.width} inputClassName="w-22" onChange={(x) => move({ x })} />
        <LengthField label="from the front" value={here.y} min={0} max={tier.depth} inputClassName="w-22" onChange={(y) => move({ y })} />
        <LengthField label="above the shelf" value={z} min={0} max={3} inputClassName="w-22" onChange={(v) => move({ z: v })} />
        <ShownField
          label="it shows"
          value={text}
          placeholder={`850 ${unitWords(meter.unit)}`}
          problemId={problem && 'free-reading-problem'}
          onChange={(shown) => {
            setText(shown);
            setProblem(null);
          }}
        />
        <Button type="submit">Add reading</Button>
      </div>
      {t.lamps.length > 1 && (
        <fieldset className="flex flex-wrap gap-x-4 gap-y-1 text-[0.9375rem]">
          <legend className="text-sm text-soft">lamps that are on</legend>
          {t.lamps.map(({ fitting, lamp }, i) => (
            <CheckField
              key={fitting.id}
              label={`${i + 1}: ${lamp.name}`}
              checked={!off.includes(fitting.id)}
              onChange={(checked) => setOff(checked ? off.filter((id) => id !== fitting.id) : [...off, fitting.id])}
            />
          ))}
        </fieldset>
      )}
      {problem && (
        <p id="free-reading-problem" role="alert" className="text-copper">
          {problem}
        </p>
      )}
    </form>
  );
}
