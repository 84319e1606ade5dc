'use client';
import { useMemo, useState } from 'react';
import { dliOf } from '@/core/judge/dli/dli';
import { cosinePowerOfBeam } from '@/core/light/emitters/cosinePower';
import { ppfdAtPoint } from '@/core/light/ppfdAtPoint';
import { spectrumLibrary } from '@/core/light/spectrum/spectrumLibrary';
import { showLength } from '@/core/units/length';
import { SelectField } from '../parts/SelectField';
import { useSettings } from '../shell/WorkspaceContext';
import type { LivePicture } from './glossary';
import { wholeWords } from '../parts/locale';
import { NIGHT } from '../theme/night';

/** A small picture that answers: the engine itself works out what it shows. */
export function Live({ what }: { what: LivePicture }) {
  switch (what) {
    case 'distance':
      return <Distance />;
    case 'bucket':
      return <Bucket />;
    case 'beam':
      return <Beam />;
    case 'colours':
      return <Colours />;
  }
}

const FRAME = 'mt-3 space-y-2 rounded-md bg-night p-3 text-night-ink';

function Slider({
  label,
  value,
  min,
  max,
  step,
  text,
  onChange,
}: {
  label: string;
  value: number;
  min: number;
  max: number;
  step: number;
  text: string;
  onChange(v: number): void;
}) {
  return (
    <label className="block">
      <span className="flex justify-between gap-3 text-sm">
        <span className="text-night-soft">{label}</span>
        <b>{text}</b>
      </span>
      <input
        type="range"
        className="h-8 w-full accent-copper"
        min={min}
        max={max}
        step={step}
        value={value}
        aria-valuetext={text}
        onChange={(e) => onChange(Number(e.target.value))}
      />
    </label>
  );
}

/** A bar of 1.2 m and a bulb of the same PPF, raised together. */
const PPF = 40;
function Distance() {
  const { lengthUnit } = useSettings();
  const [d, setD] = useState(0.15);
  const of = (distance: number) => ({
    bar: ppfdAtPoint([{ kind: 'rect', x: 0, y: 0, z: distance, ppf: PPF, length: 1.15, width: 0.05, turn: 0, cosinePower: 1 }], 0, 0, 0),
    bulb: ppfdAtPoint([{ kind: 'disc', x: 0, y: 0, z: distance, ppf: PPF, radius: 0.03, cosinePower: 1 }], 0, 0, 0),
  });
  const now = of(d);
  const start = of(0.15);
  const share = (v: number, of: number) => `${Math.round((100 * v) / of)} %`;
  const y = 20 + d * 150;
  return (
    <figure className={FRAME}>
      <svg viewBox="0 0 320 130" className="w-full" role="img" aria-label={`Bar and bulb ${showLength(d, lengthUnit)} above the leaves`}>
        <g transform={`translate(0 ${110 - y})`}>
          <rect x="20" y="0" width="120" height="7" rx="2" fill="#e9ece8" />
          <circle cx="240" cy="3" r="9" fill="#e9ece8" />
        </g>
        <line x1="10" x2="310" y1="118" y2="118" stroke="#5f6f69" strokeWidth="4" />
        {[50, 80, 110, 240].map((x) => (
          <path key={x} d={`M${x} 116v-8m-5 0q5 -4 5 2q0 -6 5 -2`} stroke={NIGHT.rim} strokeWidth="2" fill="none" />
        ))}
      </svg>
      <Slider label="Lamps above the leaves" value={d} min={0.05} max={0.6} step={0.01} text={showLength(d, lengthUnit)} onChange={setD} />
      <p aria-live="polite">
        Bar: <b>{Math.round(now.bar)}</b> µmol/m²/s ({share(now.bar, start.bar)} of that at {showLength(0.15, lengthUnit)}). Bulb of the
        same PPF: <b>{Math.round(now.bulb)}</b> ({share(now.bulb, start.bulb)}).
      </p>
    </figure>
  );
}

function Bucket() {
  const [ppfd, setPpfd] = useState(200);
  const [hours, setHours] = useState(14);
  const dli = dliOf(ppfd, hours);
  const FULL = 24;
  const level = (v: number) => 110 - 95 * Math.min(1, v / FULL);
  const words =
    dli < 8
      ? 'too little light for most seedlings: they stretch'
      : dli > 16
        ? 'more than most seedlings can use'
        : 'in the range of most seedlings, 8–16';
  return (
    <figure className={FRAME}>
      <svg viewBox="0 0 320 120" className="w-full" role="img" aria-label={`A bucket filled to ${dli.toFixed(1)} mol/m²/day`}>
        <rect x="112" width="96" y={level(16)} height={level(8) - level(16)} fill={NIGHT.inRange} opacity="0.45" />
        <rect x="112" width="96" y={level(dli)} height={110 - level(dli)} fill={NIGHT.lit} opacity="0.85" />
        <path d="M110 12v100h100V12" fill="none" stroke="#e9ece8" strokeWidth="3" />
        <text x="216" y={level(16) + 4} fill={NIGHT.rim} fontSize="11">
          16
        </text>
        <text x="216" y={level(8) + 4} fill={NIGHT.rim} fontSize="11">
          8
        </text>
      </svg>
      <Slider label="PPFD" value={ppfd} min={20} max={600} step={10} text={`${ppfd} µmol/m²/s`} onChange={setPpfd} />
      <Slider label="Photoperiod" value={hours} min={1} max={24} step={0.5} text={`${hours} h`} onChange={setHours} />
      <p aria-live="polite">
        {ppfd} × {hours} × 0.0036 = <b>{dli.toFixed(1)} mol/m²/day</b>: {words}.
      </p>
    </figure>
  );
}

function Beam() {
  const { lengthUnit } = useSettings();
  const [angle, setAngle] = useState(60);
  const across = useMemo(() => {
    const lamp = {
      kind: 'disc',
      x: 0,
      y: 0,
      z: 0.3,
      ppf: PPF,
      radius: 0.04,
      cosinePower: cosinePowerOfBeam((angle * Math.PI) / 180),
    } as const;
    return Array.from({ length: 61 }, (_, i) => ppfdAtPoint([lamp], -0.3 + i * 0.01, 0, 0));
  }, [angle]);
  const most = across[30]!;
  const top = 900;
  const path = across.map((v, i) => `${i === 0 ? 'M' : 'L'}${20 + (i * 280) / 60} ${112 - (100 * Math.min(top, v)) / top}`).join('');
  return (
    <figure className={FRAME}>
      <svg viewBox="0 0 320 120" className="w-full" role="img" aria-label={`Light across a tray under a beam of ${angle}°`}>
        <path d={`${path}L300 112L20 112Z`} fill={NIGHT.inRange} opacity="0.5" />
        <path d={path} fill="none" stroke={NIGHT.lit} strokeWidth="3" />
        <line x1="20" x2="300" y1="113" y2="113" stroke="#5f6f69" strokeWidth="3" />
      </svg>
      <Slider label="Beam angle" value={angle} min={20} max={150} step={5} text={`${angle}°`} onChange={setAngle} />
      <p aria-live="polite">
        {showLength(0.3, lengthUnit)} below: middle <b>{Math.round(most)}</b>, {showLength(0.3, lengthUnit)} aside{' '}
        <b>{Math.round(across[60]!)}</b> µmol/m²/s: the edge gets {Math.round((100 * across[60]!) / most)} % of the middle.
      </p>
    </figure>
  );
}

const SHOWN = ['daylight', 'led-4000', 'fl-840', 'incandescent', 'led-white-red', 'led-pink', 'led-blurple'];
function Colours() {
  const [id, setId] = useState('led-blurple');
  const spectra = spectrumLibrary.filter((s) => SHOWN.includes(s.id));
  const chosen = spectra.find((s) => s.id === id)!;
  const shows = 100 * chosen.luxPerUmol;
  const believed = shows / spectra.find((s) => s.id === 'daylight')!.luxPerUmol;
  return (
    <figure className={FRAME}>
      <div className="rounded-md bg-sheet p-2 text-ink">
        <SelectField label="Light" value={id} options={spectra.map((s) => ({ value: s.id, label: s.name }))} onChange={setId} />
      </div>
      <p aria-live="polite">
        100 µmol/m²/s of it read <b>{wholeWords(shows)} lx</b>. Taken for sunlight, that would be <b>{Math.round(believed)} µmol/m²/s</b>.
      </p>
    </figure>
  );
}
