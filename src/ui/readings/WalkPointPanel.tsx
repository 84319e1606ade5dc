'use client';
import clsx from 'clsx';
import { ArrowLeft, Repeat, SkipForward } from 'lucide-react';
import { useEffect, useMemo, useState } from 'react';
import { useStore } from 'zustand';
import { leafTopsOf } from '@/core/answer/stand/benchStand';
import { convert } from '@/core/measure/reading/convert';
import { expectedReading } from '@/core/measure/reading/expectedReading';
import { lightThere } from '@/core/measure/reading/lightThere';
import type { Reading } from '@/core/site/reading/Reading';
import { suspicionsOf } from '@/core/measure/reading/suspicionsOf';
import { placeNow, takeReading } from '@/core/measure/reading/takeReading';
import { keepReading } from '@/core/site/stand/changeReadings';
import { readLight, type LightUnit } from '@/core/units/light';
import type { WalkPoint } from '@/core/answer/walk/planWalk';
import type { PracticeTruth } from '@/store/meter/practiceWorld';
import { changeSite } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { hasKeyboard } from '../parts/hasKeyboard';
import { Segments } from '../parts/Segments';
import { useWorkspace } from '../shell/WorkspaceContext';
import { percent } from '../verdict/words';
import { Doubted } from './ReadingRow';
import { SensorPicture } from './SensorPicture';
import { useLiveMeter } from './useLiveMeter';
import { MOST_SHOWN, NO_READING, readShown, TOO_MUCH } from './readShown';
import { ShownField } from './ShownField';
import { takenNow } from './takenNow';
import { useMeter } from './useMeter';
import { useMeterWorld } from './useMeterWorld';
import type { TierReadings } from './useTierReadings';
import { goTo, noteTaken, walkStore, type Walk } from './walkStore';
import { decimalSign } from '../parts/decimalSign';
import { pointWords, showReading, unitWords } from './words';
import { numberWords } from '../parts/locale';

/** One point of the walk: where the sensor goes, what it shows in big digits, and on to the next. */
export function WalkPointPanel({ of, walk, point, truth }: { of: TierReadings; walk: Walk; point: WalkPoint; truth: PracticeTruth }) {
  const { sites } = useWorkspace();
  const meter = useMeter();
  const { tier: t } = of;
  // Who has a keyboard types at once, point after point; on a phone no keyboard jumps up before it is wanted.
  useEffect(() => {
    if (hasKeyboard()) document.getElementById('shown')?.focus();
  }, []);
  const { draft, darkDraft } = useStore(walkStore);
  const [problem, setProblem] = useState<string | null>(null);
  const [lampsOn, setLampsOn] = useState(true);
  const [range, setRange] = useState<number | null>(null);
  const { multipliers } = meter.kind;
  const [times, setTimes] = useState(1);

  const world = useMeterWorld(of, truth);
  const scale = multipliers.length > 0 ? meter.kind.ranges[0]! : null; // a needle's own scale
  const held = {
    x: point.x,
    y: point.y,
    z: point.z,
    range: range ?? (scale ? meter.kind.ranges[meter.kind.ranges.length - 1]! : null),
    lampsOn,
  };
  const display = useLiveMeter(world, meter.practice ? held : null);

  const place = useMemo(() => placeNow(t.tier, point, leafTopsOf(t)), [t, point]);
  const plan = useMemo(() => of.plannedAt(place), [place, of]);
  const asLabelled = useMemo(() => lightThere(place, of.lampOf, {}, of.cache), [place, of]);
  const expected = useMemo(() => expectedReading(meter.kind.id, plan, meter.factor), [meter.kind.id, meter.factor, plan]);
  const before = t.tier.readings.find((r) => r.id === walk.taken[walk.at]) ?? null;
  const uncertainties = useMemo(
    () => (before?.leftOut ? suspicionsOf(before, t.known.compared, of.lampOf, of.others, of.cache) : []),
    [before, t.known.compared, of.lampOf, of.others, of.cache],
  );

  const shownNow = display.sample ? onItsFace(display.sample.value, display.sample.range, scale) : null;
  // What the practice meter shows stands where nothing is typed, and counts then; the first key takes its place.
  const live = meter.practice && shownNow !== null ? String(Number(shownNow.toPrecision(4))) : '';
  const text = draft || live;
  const typed = text.trim() === '' ? null : readLight(text, meter.unit, decimalSign());
  const value = typed?.ok ? typed.value.value * times : null;
  const preview = value === null || !typed?.ok ? null : previewOf(value, typed.value.unit);

  function previewOf(shown: number, unit: LightUnit) {
    const dark = walk.daylight ? darkOf(darkDraft, meter.unit) * times : 0;
    const reading = takeReading(t.tier, point, meter.hand, { value: shown, unit, dark }, { id: '', now_ms: 0, tops: leafTopsOf(t) });
    return convert(reading, asLabelled);
  }

  function take(again: boolean) {
    const read = readShown(text, meter.unit);
    if ('problem' in read) return setProblem(read.problem);
    if (!typed?.ok || value === null) return setProblem(NO_READING);
    if (value > MOST_SHOWN) return setProblem(TOO_MUCH);
    const dark = walk.daylight ? darkOf(darkDraft, typed.value.unit) * times : 0;
    if (walk.daylight && darkDraft.trim() !== '' && !readLight(darkDraft, meter.unit, decimalSign()).ok)
      return setProblem(`With the lamps off: ${NO_READING}`);
    if (dark >= value)
      return setProblem('With the lamps off it showed as much as with them on. Are the lamps on, the fields the right way round?');
    const mean = again && before && before.unit === typed.value.unit ? (before.value * before.of + value) / (before.of + 1) : value;
    const count = again && before ? before.of + 1 : 1;
    const shown = { value: mean, unit: typed.value.unit, dark, of: count };
    const reading = takeReading(t.tier, point, meter.hand, shown, { ...takenNow(before?.id), tops: leafTopsOf(t) });
    // Kept at once, so that nothing typed is lost; but one that can't be is left out until the person decides.
    const doubtful = suspicionsOf(reading, t.known.compared, of.lampOf, of.others, of.cache).length > 0;
    changeSite(sites, 'take a reading', keepReading(t.tier.id, { ...reading, leftOut: doubtful }));
    noteTaken(reading.id);
    setProblem(null);
    walkStore.setState({ draft: '', darkDraft: again ? darkDraft : '' });
    if (!doubtful && !again) goTo(walk.at + 1);
  }
  const keep = (what: string, reading: Reading) => {
    changeSite(sites, what, keepReading(t.tier.id, reading));
    if (!reading.leftOut) goTo(walk.at + 1);
  };

  return (
    <section className="space-y-3" aria-labelledby="point">
      <div className="flex items-start gap-3">
        <div className="min-w-0 flex-1">
          <p className="text-sm text-soft">
            Point {walk.at + 1} of {walk.points.length}, {meter.name}
          </p>
          <h2 id="point" className="text-2xl leading-tight font-semibold">
            {capital(pointWords(t, point))}
          </h2>
          <p className="pt-1 text-[0.9375rem] text-soft">
            Level, facing up, {point.where === 'near-lamp' ? 'hand and plants out of the way' : 'at the leaf tops'}
            {expected.value !== null &&
              meter.kind.ranges.length > 1 &&
              `. Range ${rangeWords(expected.range, scale)}`.replaceAll('× ', '×\u00a0')}
            .
          </p>
        </div>
        <SensorPicture tier={t} x={point.x} y={point.y} z={point.z} />
      </div>

      {meter.practice && (
        <div className="flex flex-wrap items-center gap-2">
          <span className="text-sm text-soft">its switch</span>
          <Segments
            label="Range of the practice meter"
            value={String(held.range ?? 'auto')}
            options={[
              ...(scale ? [] : [{ value: 'auto', label: 'auto' }]),
              ...(meter.kind.ranges.length > 1 ? meter.kind.ranges.map((r) => ({ value: String(r), label: rangeWords(r, scale) })) : []),
            ]}
            onChange={(v) => setRange(v === 'auto' ? null : Number(v))}
          />
          {walk.daylight && (
            <Segments
              label="Lamps of the practice world"
              value={lampsOn ? 'on' : 'off'}
              options={[
                { value: 'on', label: 'lamps on' },
                { value: 'off', label: 'lamps off' },
              ]}
              onChange={(v) => setLampsOn(v === 'on')}
            />
          )}
        </div>
      )}

      <form
        className="space-y-2"
        onSubmit={(e) => {
          e.preventDefault();
          take(false);
        }}
      >
        <div className="flex items-end gap-3 rounded-md bg-sunk px-3 py-2">
          <label htmlFor="shown" className="sr-only">
            The meter shows
          </label>
          <input
            id="shown"
            inputMode="decimal"
            autoComplete="off"
            className={clsx(
              'w-0 min-w-0 flex-1 bg-transparent text-5xl leading-tight font-semibold tabular-nums',
              live ? 'placeholder:text-ink' : 'placeholder:text-line',
            )}
            value={draft}
            placeholder={live || (display.sample && display.sample.value === null ? 'OL' : '0')}
            aria-invalid={problem !== null}
            aria-describedby="shown-means"
            data-testid="big-digits"
            onChange={(e) => {
              walkStore.setState({ draft: e.target.value });
              setProblem(null);
            }}
          />
          <span className="pb-1.5 text-2xl font-semibold text-soft">{unitWords(typed?.ok ? typed.value.unit : meter.unit)}</span>
        </div>
        {multipliers.length > 0 && (
          <div className="flex items-center gap-2">
            <span className="text-sm text-soft">Range switch position</span>
            <Segments
              label="Times the switch"
              value={String(times)}
              options={multipliers.map((m) => ({ value: String(m), label: `× ${m}` }))}
              onChange={(v) => setTimes(Number(v))}
            />
          </div>
        )}
        {walk.daylight && (
          <div className="flex items-center gap-2">
            <span aria-hidden>with the lamps off</span>
            <ShownField
              label="With the lamps off"
              hideLabel
              className="min-h-11 w-28 text-xl"
              value={darkDraft}
              placeholder={!lampsOn && shownNow !== null ? String(Number(shownNow.toPrecision(3))) : '0'}
              onChange={(shown) => walkStore.setState({ darkDraft: shown })}
            />
            {unitWords(meter.unit)}
            {meter.practice && !lampsOn && shownNow !== null && (
              <Button
                onClick={() => {
                  walkStore.setState({ darkDraft: String(Number(shownNow.toPrecision(3))) });
                  setLampsOn(true);
                }}
              >
                Take that
              </Button>
            )}
          </div>
        )}
        <p id="shown-means" className="min-h-6 text-soft" role="status">
          {display.trouble
            ? `The practice meter does not answer: ${display.trouble}. Reload the page to try again.`
            : preview
              ? `${Math.round(preview.ppfd)} µmol/m²/s${plan.ppfd > 0 ? `, ${percent(preview.ppfd / plan.ppfd)} of the plan` : ''}${preview.wide ? '; a wide guess under this colour' : ''}`
              : display.sample && display.sample.value === null
                ? 'Beyond this range: turn the switch up.'
                : 'Without a unit, the meter’s unit is used. You can also type klx, fc or µmol.'}
        </p>
        {problem && (
          <p role="alert" className="text-copper">
            {problem}
          </p>
        )}
        {before && !before.leftOut && (
          <p className="text-sm text-soft">
            Taken here: {showReading(before.value)} {unitWords(before.unit)}
            {before.of > 1 && `, mean of ${before.of}`}.
          </p>
        )}
        <div className="grid grid-cols-3 gap-2 pt-1">
          <Button type="submit" kind="main" className="col-span-2 min-h-14! text-xl">
            Add reading and continue
          </Button>
          <Button className="min-h-14!" onClick={() => take(true)} title="Add reading and stay: several are averaged">
            <Repeat size={18} aria-hidden /> Again
          </Button>
          <Button kind="quiet" className="min-h-12!" disabled={walk.at === 0} onClick={() => goTo(walk.at - 1)}>
            <ArrowLeft size={18} aria-hidden /> Back
          </Button>
          <span />
          <Button kind="quiet" className="min-h-12!" onClick={() => goTo(walk.at + 1)}>
            Skip <SkipForward size={18} aria-hidden />
          </Button>
        </div>
      </form>
      {before?.leftOut && uncertainties.length > 0 && (
        <div
          className="scroll-mb-20 rounded-md bg-copper-wash p-3"
          data-testid="doubted"
          // On a phone it would begin below the way about.
          ref={(e) => e?.scrollIntoView({ block: 'nearest' })}
        >
          <p className="font-semibold">
            {showReading(before.value)} {unitWords(before.unit)}?
          </p>
          <Doubted reading={before} suspicions={uncertainties} onKeep={keep} />
          <p className="pt-2 text-sm text-soft">Or measure again. The reading is kept but not used until you decide.</p>
        </div>
      )}
    </section>
  );
}

/** The number typed for the lamps off; nothing typed is none. */
function darkOf(text: string, bare: LightUnit): number {
  const read = text.trim() === '' ? null : readLight(text, bare, decimalSign());
  return read?.ok ? read.value.value : 0;
}

/** What stands on the display: of a needle, the number on its one scale, whatever the switch is on. */
const onItsFace = (value: number | null, range: number, scale: number | null) =>
  value === null ? null : scale ? (value / range) * scale : value;

/** A range as its switch is marked: by its top, or by what the scale is multiplied with. */
const rangeWords = (range: number, scale: number | null) => (scale ? `× ${Math.round(range / scale)}` : numberWords(range));

const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);
