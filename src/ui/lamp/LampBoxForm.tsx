'use client';
import { useState } from 'react';
import { contradictions } from '@/core/lamp/boxClaims';
import {
  BELIEFS,
  claimsOf,
  colourOfBox,
  EFFICACY_BEST,
  efficacyLimitOf,
  lampFromBox,
  type Belief,
  type Box,
  type BoxFigures,
  type Technology,
} from '@/core/lamp/lampFromBox';
import type { LampShape } from '@/core/lamp/Lamp';
import { readIes } from '@/core/photometry/readIes';
import { readLdt } from '@/core/photometry/readLdt';
import type { Problem } from '@/core/result';
import { readSpectrumCsv } from '@/core/spectrum/readSpectrumCsv';
import type { SetUp } from '@/core/stand/setUp';
import { newId } from '@/store/site/newId';
import { changeSite } from '@/store/site/siteStore';
import { keepLamp } from '@/store/site/setUpVerbs';
import { Button } from '../parts/Button';
import { FileButton } from '../parts/FileButton';
import { LengthField } from '../parts/LengthField';
import { MaybeNumberField } from '../parts/MaybeNumberField';
import { NumberField } from '../parts/NumberField';
import { Segments } from '../parts/Segments';
import { say } from '../shell/toastStore';
import { useWorkspace } from '../shell/WorkspaceContext';
import { lampProblemWords } from './lampProblemWords';
import { MapPaste } from './MapPaste';
import { BEAM_BY_SHAPE, ROUND, startingBox } from './startingBox';

const TECHNOLOGIES: readonly { value: Technology; label: string }[] = [
  { value: 'led', label: 'white LED' },
  { value: 'led-pink', label: 'pink LED' },
  { value: 'led-red-blue', label: 'red and blue LED' },
  { value: 'fluorescent', label: 'fluorescent' },
  { value: 'incandescent', label: 'glowing wire' },
  { value: 'discharge', label: 'discharge lamp' },
];

const SHAPES: readonly { value: LampShape; label: string }[] = [
  { value: 'bar', label: 'bar, or tape in lines' },
  { value: 'tube-bare', label: 'bare tube' },
  { value: 'tube-reflector', label: 'tube in reflector' },
  { value: 'panel', label: 'panel' },
  { value: 'round-panel', label: 'round panel' },
  { value: 'coil', label: 'tape in a coil' },
  { value: 'bulb-bare', label: 'bare bulb' },
  { value: 'bulb-reflector', label: 'bulb or spot in reflector' },
];

const BELIEF_WORDS: Readonly<Record<Belief, string>> = {
  lumens: 'lumens',
  ppf: 'PPF',
  efficacy: 'efficacy',
  ppfd: 'PPFD',
  map: 'a map',
  photometry: 'its file',
  unknown: 'nothing: I’ll measure',
};

const FILE_BYTES = 2_000_000;

/** A lamp as its box and its files describe it; what was typed stays until it is kept. */
export function LampBoxForm({ setUp, own, onKept }: { setUp: SetUp; own: boolean; onKept(): void }) {
  const { sites } = useWorkspace();
  const { lamp, stand } = setUp;
  const [box, setBox] = useState<Box>(() => startingBox(lamp, own));
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [refused, setRefused] = useState<{ name: string; problems: readonly Problem[] } | null>(null);
  const change = (part: Partial<Box>) => {
    setBox((now) => ({ ...now, ...part }));
    setProblems([]);
  };
  /** A figure that is typed counts from then on, unless another one is chosen. */
  const figure = (what: 'lumens' | 'ppf' | 'efficacy' | 'ppfd', value: number | null) =>
    change({ figures: { ...box.figures, [what]: value } satisfies BoxFigures, ...(value !== null ? { believe: what } : {}) });
  // The name may come last; the numbers are checked without it.
  const trial = lampFromBox({ ...box, name: box.name || 'trial' }, own ? lamp.id : 'trial');
  const round = ROUND.includes(box.shape);
  const measured = box.shape === 'measured';
  const problem = (at: string) => problems.find((p) => p.at === at);
  const colour = colourOfBox(box);
  const believable = BELIEFS.filter((b) =>
    b === 'photometry' ? box.measured : b === 'map' ? box.map : b === 'unknown' || box.figures[b] !== null,
  );

  function keep() {
    const made = lampFromBox(box, own ? lamp.id : `own-${newId()}`);
    if (!made.ok) return setProblems(made.problems);
    changeSite(sites, own ? 'change the lamp' : 'add a lamp', keepLamp(stand.id, made.value));
    say(`${made.value.name} hangs over your tray.`);
    onKept();
  }
  function openPhotometry(name: string, text: string) {
    const file = /\.ldt$/i.test(name) ? readLdt(text) : readIes(text);
    if (!file.ok) return setRefused({ name, problems: file.problems });
    setRefused(null);
    const { table, round: isRound, lumens, power, length, width } = file.value;
    change({
      shape: 'measured',
      name: box.name || file.value.name,
      length,
      width,
      emitters: 1,
      beam_deg: null,
      power: power ?? box.power,
      measured: { farField: { table, round: isRound }, lumens },
      figures: { ...box.figures, lumens: Math.round(lumens) },
      believe: 'photometry',
    });
    say(`${name} is read: ${Math.round(lumens)} lm.`);
  }
  function openSpectrum(name: string, text: string) {
    const spectrum = readSpectrumCsv(text);
    if (!spectrum.ok) return setRefused({ name, problems: spectrum.problems });
    setRefused(null);
    change({ curve: spectrum.value });
    say(`${name} is read: its own colour now counts.`);
  }
  const tooLarge = (name: string, bytes: number) =>
    setRefused({ name, problems: [{ code: 'file/too-large', at: '', found: bytes, expected: '2 MB' }] });

  return (
    <div className="space-y-5">
      <div className="space-y-2">
        <div className="flex flex-wrap gap-3">
          <FileButton accept=".ies,.ldt" maxBytes={FILE_BYTES} onText={openPhotometry} onTooLarge={tooLarge}>
            Photometric file
          </FileButton>
          <FileButton accept=".csv,.txt,.tsv,text/csv" maxBytes={FILE_BYTES} onText={openSpectrum} onTooLarge={tooLarge}>
            Spectrum
          </FileButton>
        </div>
        <p className="text-sm text-soft">If its maker gives them: .ies or .ldt for how it spreads, a CSV of nm and power for its colour.</p>
        {refused && (
          <div role="alert" className="rounded-md bg-copper-wash px-3 py-2 text-copper">
            <p className="font-semibold">{refused.name} can’t be used. Nothing here has changed.</p>
            <ul className="list-disc pl-5">
              {refused.problems.slice(0, 5).map((p, i) => (
                <li key={i}>
                  {p.at && !p.code.startsWith('box') && `${p.at}: `}
                  {lampProblemWords(p)}
                </li>
              ))}
            </ul>
          </div>
        )}
      </div>
      <div>
        <label htmlFor="lamp-name" className="block text-sm text-soft">
          name
        </label>
        <input
          id="lamp-name"
          className="min-h-9 w-full max-w-96 rounded-md border border-line bg-sheet px-2 font-semibold max-md:min-h-11"
          value={box.name}
          maxLength={120}
          onChange={(e) => change({ name: e.target.value })}
        />
        <Wrong problem={problem('name')} />
      </div>
      <Group title="What makes the light">
        <Segments
          label="What makes the light"
          value={box.technology}
          options={TECHNOLOGIES}
          onChange={(technology) => change({ technology })}
        />
        {box.curve && (
          <p className="text-sm text-soft">
            Its own spectrum counts: {colour.luxPerUmol} lx for each µmol/m²/s.{' '}
            <Button kind="quiet" className="px-1!" onClick={() => change({ curve: null })}>
              Use the usual one of its kind
            </Button>
          </p>
        )}
      </Group>
      <Group title="Its shape">
        <Segments
          label="Shape"
          value={box.shape}
          options={box.measured ? [...SHAPES, { value: 'measured', label: 'as its file says' }] : SHAPES}
          onChange={(shape) =>
            change({
              shape,
              beam_deg: BEAM_BY_SHAPE[shape],
              emitters: ROUND.includes(shape) || shape === 'measured' ? 1 : box.emitters,
              ...(shape !== 'measured' && box.believe === 'photometry' ? { believe: 'lumens' } : {}),
            })
          }
        />
        <div className="flex flex-wrap gap-4">
          {!round && (
            <LengthField
              label="lit length"
              value={box.length}
              min={measured ? 0 : 0.01}
              max={3}
              onChange={(length) => change({ length })}
            />
          )}
          <LengthField
            label={round ? 'diameter of the lit face' : 'lit width'}
            value={box.width}
            min={measured ? 0 : 0.005}
            max={2}
            onChange={(width) => change({ width, ...(round ? { length: width } : {}) })}
          />
          {box.shape === 'coil' && (
            <LengthField label="hole in its middle" value={box.hole} min={0} max={2} onChange={(hole) => change({ hole })} />
          )}
          {!round && !measured && (
            <NumberField
              label={box.shape === 'bar' ? 'rows of light' : 'tubes or rows'}
              value={box.emitters}
              min={1}
              max={12}
              whole
              inputClassName="w-16"
              onChange={(emitters) => change({ emitters })}
            />
          )}
          {box.shape === 'panel' && (
            <>
              <MaybeNumberField
                label="diodes along it, if few"
                value={box.diodes?.columns ?? null}
                min={1}
                max={40}
                onChange={(columns) =>
                  change({ diodes: columns === null ? null : { rows: 1, ...box.diodes, columns: Math.round(columns) } })
                }
              />
              {box.diodes && (
                <NumberField
                  label="across it"
                  value={box.diodes.rows}
                  min={1}
                  max={40}
                  whole
                  inputClassName="w-16"
                  onChange={(rows) => change({ diodes: { columns: 1, ...box.diodes, rows } })}
                />
              )}
            </>
          )}
          {box.beam_deg !== null && (
            <NumberField
              label="beam angle"
              unit="°"
              value={box.beam_deg}
              min={5}
              max={170}
              inputClassName="w-16"
              onChange={(beam_deg) => change({ beam_deg })}
            />
          )}
        </div>
        <Wrong problem={problem('hole')} />
      </Group>
      <Group title="What the box says of power and light">
        <div className="flex flex-wrap gap-4">
          <NumberField
            label="watts drawn (not “equivalent”)"
            unit="W"
            value={box.power}
            min={0.5}
            max={2000}
            onChange={(power) => change({ power })}
          />
          <NumberField label="colour temperature" unit="K" value={box.cct} min={1500} max={20000} onChange={(cct) => change({ cct })} />
        </div>
        <p className="text-sm text-soft">Put in what is there; the rest may stay empty.</p>
        <div className="flex flex-wrap gap-4">
          <MaybeNumberField label="lumens" unit="lm" value={box.figures.lumens} min={1} max={1e6} onChange={(v) => figure('lumens', v)} />
          <MaybeNumberField label="PPF" unit="µmol/s" value={box.figures.ppf} min={0.1} max={10000} onChange={(v) => figure('ppf', v)} />
          <MaybeNumberField
            label="efficacy"
            unit="µmol/J"
            value={box.figures.efficacy}
            min={0.01}
            max={10}
            onChange={(v) => figure('efficacy', v)}
          />
          <div className="flex gap-3">
            <MaybeNumberField
              label="PPFD in the middle"
              unit="µmol/m²/s"
              value={box.figures.ppfd}
              min={0.1}
              max={10000}
              onChange={(v) => figure('ppfd', v)}
            />
            <LengthField
              label="at this distance"
              value={box.figures.ppfdDistance}
              min={0.01}
              max={3}
              inputClassName="w-20"
              onChange={(ppfdDistance) => change({ figures: { ...box.figures, ppfdDistance } })}
            />
          </div>
        </div>
        <MapPaste map={box.map} onMap={(map) => change({ map, believe: map ? 'map' : box.believe === 'map' ? 'lumens' : box.believe })} />
        <div>
          <p className="pb-1 text-sm text-soft">What counts</p>
          <Segments
            label="Which figure counts"
            value={box.believe}
            options={believable.map((value) => ({ value, label: BELIEF_WORDS[value] }))}
            onChange={(believe) => change({ believe })}
          />
        </div>
        <Wrong problem={problem(box.believe)} />
        {contradictions(claimsOf(box)).map((c) => (
          <p key={c.higher + c.lower} className="text-copper" role="status">
            The box contradicts itself: by its {BELIEF_WORDS[c.higher]} it gives {c.times.toFixed(1)} times what its {BELIEF_WORDS[c.lower]}{' '}
            say
            {c.lower === 'lumens' ? '' : 's'}. Believe the lower until a meter says otherwise.
          </p>
        ))}
        {trial.ok ? (
          <p className="text-soft" data-testid="box-check">
            Makes {trial.value.ppf.toFixed(1)} µmol/s in all directions, {(trial.value.ppf / box.power).toFixed(2)} µmol for each joule
            {(box.believe === 'lumens' || box.believe === 'photometry') && ` (${colour.luxPerUmol} lm for each µmol/s: ${colour.name})`}
            {box.believe === 'map' &&
              trial.value.beamFwhm !== null &&
              `, in a beam of ${Math.round((trial.value.beamFwhm * 180) / Math.PI)}°`}
            . Physics allows {efficacyLimitOf(box).toFixed(1)} in this colour.
            {trial.value.ppf / box.power > EFFICACY_BEST && (
              <span className="block text-copper">Better than the best lamps sold ({EFFICACY_BEST}): is it really the watts drawn?</span>
            )}
          </p>
        ) : (
          <p className="text-copper" role="status">
            {trial.problems.map(lampProblemWords).join(' ')}
          </p>
        )}
      </Group>
      <Button kind="main" onClick={keep}>
        {own ? 'Keep the changes' : 'Hang this lamp'}
      </Button>
    </div>
  );
}

function Group({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <fieldset className="space-y-3">
      <legend className="pb-1 font-semibold">{title}</legend>
      {children}
    </fieldset>
  );
}

function Wrong({ problem }: { problem: Problem | undefined }) {
  return problem ? (
    <p role="alert" className="text-sm text-copper">
      {lampProblemWords(problem)}
    </p>
  ) : null;
}
