'use client';
import { useState } from 'react';
import { EFFICACY_BEST, lampFromBox, spectrumIdFor, type Box, type Technology } from '@/core/lamp/lampFromBox';
import type { LampShape } from '@/core/lamp/Lamp';
import { spectrumOf } from '@/core/library/spectrumLibrary';
import type { Problem } from '@/core/result';
import type { SetUp } from '@/core/stand/setUp';
import { newId } from '@/store/site/newId';
import { changeSite } from '@/store/site/siteStore';
import { keepLamp } from '@/store/site/setUpVerbs';
import { Button } from '../parts/Button';
import { LengthField } from '../parts/LengthField';
import { NumberField } from '../parts/NumberField';
import { Segments } from '../parts/Segments';
import { say } from '../shell/toastStore';
import { useWorkspace } from '../shell/WorkspaceContext';

const TECHNOLOGIES: readonly { value: Technology; label: string }[] = [
  { value: 'led', label: 'white LED' },
  { value: 'led-pink', label: 'pink LED' },
  { value: 'led-red-blue', label: 'red and blue LED' },
  { value: 'fluorescent', label: 'fluorescent' },
  { value: 'incandescent', label: 'glowing wire' },
  { value: 'discharge', label: 'discharge lamp' },
];

const SHAPES: readonly { value: LampShape; label: string }[] = [
  { value: 'bar', label: 'bar' },
  { value: 'tube-bare', label: 'bare tube' },
  { value: 'tube-reflector', label: 'tube in reflector' },
  { value: 'panel', label: 'panel' },
  { value: 'round-panel', label: 'round panel' },
  { value: 'bulb-bare', label: 'bare bulb' },
  { value: 'bulb-reflector', label: 'bulb or spot in reflector' },
];

const BEAM_BY_SHAPE: Readonly<Record<LampShape, number | null>> = {
  bar: 120,
  panel: 120,
  'round-panel': 120,
  'bulb-reflector': 95,
  'tube-bare': null,
  'tube-reflector': null,
  'bulb-bare': null,
};
const ROUND: readonly LampShape[] = ['bulb-bare', 'bulb-reflector', 'round-panel'];

/** A lamp as its box describes it; what was typed stays until it is kept. */
export function LampBoxForm({ setUp, own, onKept }: { setUp: SetUp; own: boolean; onKept(): void }) {
  const { sites } = useWorkspace();
  const { lamp, stand } = setUp;
  const [box, setBox] = useState<Box>(() => boxOf(setUp, own));
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const change = (part: Partial<Box>) => {
    setBox((now) => ({ ...now, ...part }));
    setProblems([]);
  };
  const spectrum = spectrumOf(spectrumIdFor(box.technology, box.cct));
  const trial = lampFromBox(box, own ? lamp.id : 'trial', spectrum);
  const round = ROUND.includes(box.shape);
  const problem = (at: string) => problems.find((p) => p.at === at);
  function keep() {
    const made = lampFromBox(box, own ? lamp.id : `own-${newId()}`, spectrum);
    if (!made.ok) return setProblems(made.problems);
    changeSite(sites, own ? 'change the lamp' : 'add a lamp', keepLamp(stand.id, made.value));
    say(`${made.value.name} hangs over your tray.`);
    onKept();
  }
  return (
    <div className="space-y-5">
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
      </Group>
      <Group title="Its shape">
        <Segments
          label="Shape"
          value={box.shape}
          options={SHAPES}
          onChange={(shape) => change({ shape, beam_deg: BEAM_BY_SHAPE[shape], emitters: ROUND.includes(shape) ? 1 : box.emitters })}
        />
        <div className="flex flex-wrap gap-4">
          {!round && <LengthField label="lit length" value={box.length} min={0.01} max={3} onChange={(length) => change({ length })} />}
          <LengthField
            label={round ? 'diameter of the lit face' : 'lit width'}
            value={box.width}
            min={0.005}
            max={2}
            onChange={(width) => change({ width, ...(round ? { length: width } : {}) })}
          />
          {!round && (
            <NumberField
              label="tubes or rows"
              value={box.emitters}
              min={1}
              max={12}
              whole
              inputClassName="w-16"
              onChange={(emitters) => change({ emitters })}
            />
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
        <Segments
          label="Which figure the box gives"
          value={box.light.basis}
          options={[
            { value: 'lumens', label: 'lumens' },
            { value: 'ppf', label: 'PPF' },
            { value: 'efficacy', label: 'efficacy' },
            { value: 'unknown', label: 'nothing: I’ll measure' },
          ]}
          onChange={(basis) => {
            const ppf = trial.ok ? trial.value.ppf : 20;
            change({
              light:
                basis === 'lumens'
                  ? { basis, lumens: Math.round(ppf * spectrum.luxPerUmol) }
                  : basis === 'ppf'
                    ? { basis, ppf: Math.round(ppf * 10) / 10 }
                    : basis === 'efficacy'
                      ? { basis, efficacy: Math.round((ppf / box.power) * 100) / 100 }
                      : { basis },
            });
          }}
        />
        {box.light.basis === 'lumens' && (
          <NumberField
            label="lumens"
            unit="lm"
            value={box.light.lumens}
            min={1}
            max={1e6}
            onChange={(lumens) => change({ light: { basis: 'lumens', lumens } })}
          />
        )}
        {box.light.basis === 'ppf' && (
          <NumberField
            label="PPF"
            unit="µmol/s"
            value={box.light.ppf}
            min={0.1}
            max={10000}
            onChange={(ppf) => change({ light: { basis: 'ppf', ppf } })}
          />
        )}
        {box.light.basis === 'efficacy' && (
          <NumberField
            label="efficacy"
            unit="µmol/J"
            value={box.light.efficacy}
            min={0.01}
            max={10}
            onChange={(efficacy) => change({ light: { basis: 'efficacy', efficacy } })}
          />
        )}
        <Wrong problem={problem(box.light.basis)} />
        {trial.ok ? (
          <p className="text-soft" data-testid="box-check">
            Makes {trial.value.ppf.toFixed(1)} µmol/s in all directions, {(trial.value.ppf / box.power).toFixed(2)} µmol for each joule
            {box.light.basis === 'lumens' && ` (${spectrum.luxPerUmol} lm for each µmol/s: ${spectrum.name})`}.
            {trial.value.ppf / box.power > EFFICACY_BEST && (
              <span className="block text-copper">Better than the best lamps sold ({EFFICACY_BEST}): is it really the watts drawn?</span>
            )}
          </p>
        ) : (
          <p className="text-copper" role="status">
            {trial.problems.map(words).join(' ')}
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
      {words(problem)}
    </p>
  ) : null;
}

const FIELD: Readonly<Record<string, string>> = {
  name: 'The name',
  length: 'The length',
  width: 'The width',
  emitters: 'The number of tubes',
  power: 'The watts',
  cct: 'The colour temperature',
  beam_deg: 'The beam angle',
  lumens: 'The lumens',
  ppf: 'The PPF',
  efficacy: 'The efficacy',
};

function words(p: Problem): string {
  const field = FIELD[p.at] ?? p.at;
  if (p.code === 'box/empty') return `${field} is missing.`;
  if (p.code === 'box/impossible')
    return `${field} can’t be: ${Number(p.found).toFixed(1)} µmol for each joule, and physics allows ${p.expected?.replace('at most ', '')} at most. Check watts and light against the box.`;
  return `${field} should be ${p.expected}.`;
}

function boxOf({ lamp }: SetUp, own: boolean): Box {
  const technology: Technology =
    lamp.spectrumId === 'led-pink'
      ? 'led-pink'
      : lamp.spectrumId === 'led-blurple'
        ? 'led-red-blue'
        : lamp.spectrumId.startsWith('fl')
          ? 'fluorescent'
          : /incandescent|halogen/.test(lamp.spectrumId)
            ? 'incandescent'
            : /mh|hps/.test(lamp.spectrumId)
              ? 'discharge'
              : 'led';
  return {
    name: own ? lamp.name : '',
    technology,
    shape: lamp.shape,
    length: lamp.length,
    width: lamp.width,
    emitters: lamp.emitters,
    power: lamp.power,
    cct: lamp.cct ?? 4000,
    beam_deg: lamp.beamFwhm === null ? BEAM_BY_SHAPE[lamp.shape] : Math.round((lamp.beamFwhm * 180) / Math.PI),
    light:
      own && lamp.fluxBasis === 'ppf'
        ? { basis: 'ppf', ppf: lamp.ppf }
        : own && lamp.fluxBasis === 'efficacy'
          ? { basis: 'efficacy', efficacy: lamp.ppf / lamp.power }
          : lamp.lumens !== null
            ? { basis: 'lumens', lumens: Math.round(lamp.lumens) }
            : { basis: 'ppf', ppf: lamp.ppf },
  };
}
