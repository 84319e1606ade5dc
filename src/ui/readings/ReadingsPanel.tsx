'use client';
import { Eye, EyeOff, Trash2 } from 'lucide-react';
import { useMemo, useState } from 'react';
import { useStore } from 'zustand';
import { colourOf } from '@/core/lamp/colourOf';
import { compare, type Compared } from '@/core/reading/calibrate';
import { expectedReading } from '@/core/reading/expectedReading';
import { METER_ERROR } from '@/core/reading/meterError';
import type { Suspicion } from '@/core/reading/question';
import { suspicionsOf } from '@/core/reading/suspicionsOf';
import type { MeterKind, Reading } from '@/core/reading/Reading';
import { plantAreaOf } from '@/core/stand/footprint';
import { lampRowOf } from '@/core/stand/layOut';
import type { SetUp } from '@/core/stand/setUp';
import { showLength } from '@/core/units/length';
import { readLight, type LightUnit } from '@/core/units/light';
import { newId } from '@/store/site/newId';
import { changeSite, undo } from '@/store/site/siteStore';
import { dropReading, keepReading } from '@/store/site/setUpVerbs';
import { Button } from '../parts/Button';
import { LengthField } from '../parts/LengthField';
import { Segments } from '../parts/Segments';
import { say } from '../shell/toastStore';
import { useSettings, useSite, useWorkspace } from '../shell/WorkspaceContext';
import { doubtWords, percent } from '../verdict/words';
import { placeStore } from './placeStore';
import { meterWords, suspicionWords, unitWords } from './words';

const BARE: Readonly<Record<MeterKind, LightUnit>> = { 'lux-meter': 'lx', 'foot-candle-meter': 'fc', 'quantum-meter': 'umol', phone: 'lx' };

/** What a meter says, believed more than the box; a reading that can't be is questioned before it counts. */
export function ReadingsPanel({ setUp }: { setUp: SetUp }) {
  const { sites } = useWorkspace();
  const { tier, stand, lamp, calibration } = setUp;
  const spectrum = colourOf(lamp);
  const compared = compare(tier.readings, lamp, spectrum, setUp.around);
  const others = tier.readings.length - compared.length;
  const keep = (what: string, reading: Reading) => changeSite(sites, what, keepReading(stand.id, reading));
  return (
    <section aria-labelledby="readings" className="space-y-3">
      <h2 id="readings" className="text-lg font-semibold">
        Readings
      </h2>
      {calibration ? (
        <p data-testid="calibration">
          By {calibration.used.length === 1 ? 'one reading' : `${calibration.used.length} readings`} the lamp gives{' '}
          <strong className="font-semibold">{percent(calibration.scale)}</strong> of what its box says. Every number here now uses that.
        </p>
      ) : (
        <p className="text-soft">
          A reading beats the box. Hold the meter level at the leaf tops, daylight shut out, and type what it shows.
        </p>
      )}
      <NewReading setUp={setUp} onTake={(reading) => keep('take a reading', reading)} />
      {compared.length > 0 && (
        <ul className="space-y-2">
          {compared.map((c) => (
            <Row
              key={c.reading.id}
              compared={c}
              suspicions={suspicionsOf(c.reading, tier.readings, lamp, spectrum, setUp.around)}
              onKeep={(what, r) => keep(what, r)}
              onDrop={() => {
                changeSite(sites, 'remove a reading', dropReading(stand.id, c.reading.id));
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
        {calibration &&
          ` Left in doubt: ${calibration.doubts.map((d) => `${doubtWords(d)} ±${percent(Math.max(d.low, d.high))}`).join(', ')}.`}
      </p>
    </section>
  );
}

function NewReading({ setUp, onTake }: { setUp: SetUp; onTake(reading: Reading): void }) {
  const { lengthUnit } = useSettings();
  const place = useStore(placeStore);
  const [meter, setMeter] = useState<MeterKind>('lux-meter');
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
    const { value, unit } = expectedReading(setUp, meter, place.dx, place.dy, distance ?? setUp.distance);
    return value === null
      ? 'Here such a meter is beyond its range.'
      : `Here it should show about ${Number(value.toPrecision(2))} ${unitWords(unit)}.`;
  }, [setUp, meter, place.dx, place.dy, distance, lamp.fluxBasis, dragging]);
  function take(e: React.FormEvent) {
    e.preventDefault();
    const read = readLight(text, BARE[meter]);
    if (!read.ok) return setProblem('What the meter shows, such as 850 lx, 1.2klx, 300 fc or 120 µmol.');
    if (read.value.value <= 0) return setProblem('More than nothing: is the lamp on, the sensor uncovered?');
    if (read.value.value > 1e7) return setProblem('No meter shows as much as that.');
    const reading: Reading = {
      id: newId(),
      ...read.value,
      meter,
      dx: place.dx,
      dy: place.dy,
      distance: distance ?? setUp.distance,
      lampId: lamp.id,
      row: lampRowOf(tier, lamp),
      leftOut: false,
      taken_ms: Date.now(),
    };
    const spectrum = colourOf(lamp);
    // Kept at once, so that nothing typed is lost; but one that can't be is left out until the person decides.
    const doubtful = suspicionsOf(reading, tier.readings, lamp, spectrum, setUp.around).length > 0;
    onTake({ ...reading, leftOut: doubtful });
    setText('');
    setProblem(null);
  }
  return (
    <form onSubmit={take} className="space-y-2">
      <Segments<MeterKind>
        label="Kind of meter"
        value={meter}
        options={(['lux-meter', 'foot-candle-meter', 'quantum-meter', 'phone'] as const).map((value) => ({
          value,
          label: meterWords(value),
        }))}
        onChange={setMeter}
      />
      <div className="flex flex-wrap gap-x-4 gap-y-2">
        <div>
          <label htmlFor="reading" className="block text-sm text-soft">
            it shows
          </label>
          <input
            id="reading"
            inputMode="decimal"
            className="min-h-9 w-28 rounded-md border border-line bg-sheet px-2 font-semibold max-md:min-h-11"
            value={text}
            placeholder={`850 ${unitWords(BARE[meter])}`}
            aria-invalid={problem !== null}
            aria-describedby={problem ? 'reading-problem' : undefined}
            autoComplete="off"
            onChange={(e) => {
              setText(e.target.value);
              setProblem(null);
            }}
          />
        </div>
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
          <select
            id="place"
            className="min-h-9 rounded-md border border-line bg-sheet px-2 font-semibold max-md:min-h-11"
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
          </select>
        </div>
        <Button type="submit" className="self-end">
          Take it
        </Button>
      </div>
      <p className="text-sm text-soft">
        {expected} Or press on the map from above to say where. A meter like this is good to ±{percent(METER_ERROR[meter])}.
      </p>
      {problem && (
        <p id="reading-problem" role="alert" className="text-sm text-copper">
          {problem}
        </p>
      )}
    </form>
  );
}

function Row({
  compared: { reading, measured, ratio },
  suspicions,
  onKeep,
  onDrop,
}: {
  compared: Compared;
  suspicions: readonly Suspicion[];
  onKeep(what: string, reading: Reading): void;
  onDrop(): void;
}) {
  const { lengthUnit } = useSettings();
  const open = reading.leftOut && suspicions.length > 0;
  const fix = suspicions.find((s) => s.multiply !== null);
  const put = fix ? Math.round(reading.value * fix.multiply! * 100) / 100 : null;
  return (
    <li className={open ? 'rounded-md bg-copper-wash p-3' : ''} data-testid="reading">
      <div className="flex items-center gap-2">
        <p className={reading.leftOut ? 'flex-1 text-soft line-through' : 'flex-1'}>
          <strong className="font-semibold">
            {reading.value} {unitWords(reading.unit)}
          </strong>
          {reading.unit !== 'umol' && ` = ${Math.round(measured)} µmol`} at {showLength(reading.distance, lengthUnit)}:{' '}
          {ratio < 5 ? percent(ratio) : `${Math.round(ratio)} times`} of the box
        </p>
        <Button
          kind="quiet"
          className="px-2!"
          aria-label={reading.leftOut ? 'Count this reading' : 'Leave this reading out'}
          title={reading.leftOut ? 'Count it' : 'Leave it out'}
          onClick={() => onKeep(reading.leftOut ? 'count a reading' : 'leave a reading out', { ...reading, leftOut: !reading.leftOut })}
        >
          {reading.leftOut ? <EyeOff size={17} aria-hidden /> : <Eye size={17} aria-hidden />}
        </Button>
        <Button kind="quiet" className="px-2!" aria-label="Remove this reading" title="Remove" onClick={onDrop}>
          <Trash2 size={17} aria-hidden />
        </Button>
      </div>
      {open && (
        <div role="alert" className="space-y-2 pt-1">
          <p>This lamp can’t give that. Likely:</p>
          <ul className="list-disc pl-5">
            {suspicions.slice(0, 3).map((s, i) => (
              <li key={i}>
                {suspicionWords(s)} <span className="text-soft">({percent(s.weight)})</span>
              </li>
            ))}
          </ul>
          <div className="flex flex-wrap gap-2">
            {put !== null && fix && (
              <Button onClick={() => onKeep('put a reading right', { ...reading, ...putRight(reading, fix, put), leftOut: false })}>
                It was {put} {unitWords(putRight(reading, fix, put).unit)}
              </Button>
            )}
            <Button onClick={() => onKeep('count a reading', { ...reading, leftOut: false })}>It is right: count it</Button>
          </div>
        </div>
      )}
    </li>
  );
}

/** A slip of the unit keeps its number and changes the unit; a slip of the range changes the number. */
function putRight(reading: Reading, { why }: Suspicion, multiplied: number): { value: number; unit: LightUnit } {
  if (why === 'foot-candles-read-as-lux') return { value: reading.value, unit: 'fc' };
  if (why === 'lux-read-as-foot-candles' || why === 'lux-read-as-umol') return { value: reading.value, unit: 'lx' };
  if (why === 'umol-read-as-lux') return { value: reading.value, unit: 'umol' };
  return { value: multiplied, unit: reading.unit };
}
