'use client';
import { Footprints } from 'lucide-react';
import { useMemo, useState } from 'react';
import { useStore } from 'zustand';
import { colourOf } from '@/core/things/lamp/colourOf';
import { tables } from '@/core/things/tables/libraryTables';
import { createCache, type Cache } from '@/core/light/scene/Cache';
import { lightThere } from '@/core/measure/reading/lightThere';
import { expectedReading } from '@/core/measure/reading/expectedReading';
import { distanceOf, type Reading } from '@/core/site/reading/Reading';
import { suspicionsOf } from '@/core/measure/reading/suspicionsOf';
import { placeNow, takeReading } from '@/core/measure/reading/takeReading';
import { dropReadings, keepReading } from '@/core/site/stand/changeReadings';
import { plantAreaOf } from '@/core/site/stand/footprint';
import { realLamps } from '@/core/answer/stand/knownOf';
import type { SetUp } from '@/core/answer/stand/setUp';
import { showLength } from '@/core/units/length';
import { changeSite, undo } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { Fold } from '../parts/Fold';
import { LengthField } from '../parts/LengthField';
import { Link } from '../parts/Link';
import { say } from '../shell/toastStore';
import { useSettings, useSite, useWorkspace } from '../shell/WorkspaceContext';
import { uncertaintyWords, percent } from '../verdict/words';
import { MeterChoice } from './MeterChoice';
import { placeStore } from './placeStore';
import { ReadingRow } from './ReadingRow';
import { readShown } from './readShown';
import { ShownField } from './ShownField';
import { takenNow } from './takenNow';
import { useMeter } from './useMeter';
import { showReading, unitWords } from './words';
import { Select } from '../parts/Select';
import { Lengths } from '../parts/Lengths';

const useLampOf = () => {
  const lamps = useSite((s) => s.site.lamps);
  return useMemo(() => (id: string) => lamps.find((l) => l.id === id) ?? tables.lamp(id), [lamps]);
};

/** What a meter says, believed more than the box; a reading that can't be is questioned before it counts. */
export function QuickReadings({ setUp }: { setUp: SetUp }) {
  const { sites, benchLooks } = useWorkspace();
  const { lengthUnit } = useSettings();
  const { tier, stand, lamp, calibration, known } = setUp;
  const lampOf = useLampOf();
  /** Lamps and walls, settled: readings share them. */
  const cache = useMemo(() => createCache(), []);
  const spectrum = colourOf(lamp);
  const compared = known.compared.filter((c) => c.there.parts.some((p) => p.lamp.id === lamp.id));
  const others = tier.readings.length - compared.length;
  const keep = (what: string, reading: Reading) => changeSite(sites, what, keepReading(tier.id, reading));
  return (
    <Fold title="Readings" says={shortWords(compared.length, calibration?.scale)} startsOpen={compared.length > 0}>
      {calibration ? (
        <p data-testid="calibration">
          By {calibration.used.length === 1 ? 'one reading' : `${calibration.used.length} readings`} the lamp gives{' '}
          <strong className="font-semibold">{percent(calibration.scale)}</strong> of what its box says. Every number here now uses that
          {calibration.fitted ? ', as fitted' : ''}.
        </p>
      ) : (
        <p className="text-soft">
          A reading is more reliable than the label. Hold the meter level at canopy height, block daylight, and enter the value.
        </p>
      )}
      <NewReading setUp={setUp} cache={cache} onTake={(reading) => keep('take a reading', reading)} />
      <Link
        href="/readings"
        className="inline-flex min-h-9 items-center gap-2 font-semibold underline underline-offset-4 max-md:min-h-11"
        onClick={() => benchLooks.setState({ standId: stand.id, tierId: tier.id, chosen: [] })}
      >
        <Footprints size={17} aria-hidden /> Walk over it with the meter, and fit the plan
      </Link>
      {compared.length > 0 && (
        <ul className="space-y-2">
          {compared.map((c) => (
            <ReadingRow
              key={c.reading.id}
              compared={c}
              suspicions={c.reading.leftOut ? suspicionsOf(c.reading, setUp.known.compared, lampOf, [], cache) : []}
              where={showLength(distanceOf(c.reading), lengthUnit)}
              onKeep={keep}
              onDrop={() => {
                changeSite(sites, 'remove a reading', dropReadings(tier.id, [c.reading.id]));
                say('The reading is removed.', { label: 'Undo', run: () => undo(sites) });
              }}
            />
          ))}
        </ul>
      )}
      {others > 0 && <p className="text-sm text-soft">{others} more of another lamp: kept, and used again when it hangs here.</p>}
      <p className="text-sm text-soft">
        Lux and foot-candles are converted by this lamp’s own colour: {spectrum.luxPerUmol} lx for each µmol/m²/s ({spectrum.luxPerUmolLow}–
        {spectrum.luxPerUmolHigh}), {spectrum.name}.
        {calibration && (
          <Lengths
            of={` Left in doubt: ${calibration.uncertainties.map((d) => `${uncertaintyWords(d)} ±${percent(Math.max(d.low, d.high))}`).join(', ')}.`}
          />
        )}
      </p>
    </Fold>
  );
}

/** What the readings say in a few words. */
const shortWords = (readings: number, scale: number | undefined): string => {
  if (readings === 0) return 'none yet';
  const count = readings === 1 ? 'one' : String(readings);
  return scale === undefined ? count : `${count}, ${percent(scale)} of the label`;
};

interface NewReadingProps {
  readonly setUp: SetUp;
  readonly cache: Cache;
  onTake(reading: Reading): void;
}

function NewReading({ setUp, cache, onTake }: NewReadingProps) {
  const { lengthUnit } = useSettings();
  const place = useStore(placeStore);
  const meter = useMeter();
  const lampOf = useLampOf();
  const [text, setText] = useState('');
  const [distance, setDistance] = useState<number | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const { tier, lamp } = setUp;
  const areas = tier.trays.map(plantAreaOf);
  const half = {
    x: Math.max(...areas.map((a) => a.x1)) - tier.width / 2 - 0.01,
    y: Math.max(...areas.map((a) => a.y1)) - tier.depth / 2 - 0.01,
  };
  const places = [
    { name: 'middle', dx: 0, dy: 0 },
    { name: 'left end', dx: -half.x, dy: 0 },
    { name: 'right end', dx: half.x, dy: 0 },
    { name: 'front edge', dx: 0, dy: -half.y },
    { name: 'back edge', dx: 0, dy: half.y },
    { name: 'corner', dx: half.x, dy: -half.y },
  ];
  const named = places.find((p) => Math.hypot(p.dx - place.dx, p.dy - place.dy) < 0.005)?.name ?? 'pointed';
  const dragging = useSite((s) => s.inGesture);
  const expected = useMemo(() => {
    if (dragging) return ''; // nobody reads a meter while they move the lamp
    if (lamp.fluxBasis === 'unknown' && !setUp.calibration) return '';
    const at = placeNow(tier, sensorAt(setUp, place, distance), setUp.tops);
    const real = realLamps(setUp.known, lampOf);
    const { value, unit } = expectedReading(meter.kind.id, lightThere(at, real, setUp.known.fit?.sides?.reflectances, cache), meter.factor);
    return value === null
      ? 'Here such a meter is beyond its range.'
      : `Here it should show about ${showReading(Number(value.toPrecision(2)))} ${unitWords(unit)}.`;
  }, [setUp, tier, meter.kind.id, meter.factor, place, distance, lamp.fluxBasis, dragging, lampOf, cache]);
  function take(e: React.FormEvent) {
    e.preventDefault();
    const read = readShown(text, meter.unit);
    if ('problem' in read) return setProblem(read.problem);
    const reading = takeReading(tier, sensorAt(setUp, place, distance), meter.hand, read.shown, { ...takenNow(), tops: setUp.tops });
    // Kept at once, so that nothing typed is lost; but one that can't be is left out until the person decides.
    const doubtful = suspicionsOf(reading, setUp.known.compared, lampOf, [], cache).length > 0;
    onTake({ ...reading, leftOut: doubtful });
    setText('');
    setProblem(null);
  }
  return (
    <form onSubmit={take} className="space-y-2">
      <MeterChoice practice={false} />
      <div className="flex flex-wrap gap-x-4 gap-y-2">
        <ShownField
          label="it shows"
          value={text}
          placeholder={`850 ${unitWords(meter.unit)}`}
          problemId={problem && 'reading-problem'}
          onChange={(shown) => {
            setText(shown);
            setProblem(null);
          }}
        />
        <LengthField
          label="below the lamp’s face"
          value={distance ?? setUp.distance}
          min={0.005}
          max={3}
          inputClassName="w-22"
          onChange={setDistance}
        />
        <div>
          <label htmlFor="place" className="block text-sm text-soft">
            where
          </label>
          <Select
            id="place"

            value={named}
            onChange={(e) => {
              const chosen = places.find((p) => p.name === e.target.value);
              if (chosen) placeStore.setState({ dx: chosen.dx, dy: chosen.dy });
            }}
          >
            {places.map((p) => (
              <option key={p.name}>{p.name}</option>
            ))}
            {named === 'pointed' && (
              <option value="pointed">
                {showLength(place.dx + tier.width / 2, lengthUnit)} from left, {showLength(place.dy + tier.depth / 2, lengthUnit)} from
                front
              </option>
            )}
          </Select>
        </div>
        <Button type="submit" className="self-end">
          Add reading
        </Button>
      </div>
      <p className="text-sm text-soft">
        {expected} Or press on the map from above to say where. A meter like this is good to ±{percent(meter.uncertainty)}.
      </p>
      {problem && (
        <p id="reading-problem" role="alert" className="text-sm text-copper">
          {problem}
        </p>
      )}
    </form>
  );
}

/** A place from the middle of the tier, so far below the lamps. */
function sensorAt({ tier, distance: now }: SetUp, { dx, dy }: { dx: number; dy: number }, distance: number | null) {
  return { x: tier.width / 2 + dx, y: tier.depth / 2 + dy, z: tier.fittings[0]!.face - (distance ?? now) };
}
