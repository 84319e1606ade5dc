'use client';
import { Calculator, Eye, EyeOff, Trash2 } from 'lucide-react';
import { useState } from 'react';
import type { Compared } from '@/core/measure/reading/calibrate';
import type { Reading } from '@/core/site/reading/Reading';
import type { Suspicion } from '@/core/measure/reading/ErrorHypothesis';
import type { LightUnit } from '@/core/units/light';
import { Button } from '../parts/Button';
import { percent } from '../verdict/words';
import { MOST_SHOWN } from './readShown';
import { conversionWords, offWords, showReading, suspicionWords, unitWords } from './words';
import { Lengths } from '../parts/Lengths';

interface ReadingRowProps {
  compared: Compared;
  suspicions: readonly Suspicion[];
  /** Where it was taken. */
  where: string;
  /** What the plan says there now, if that is not the box. */
  plan?: number;
  onKeep(what: string, reading: Reading): void;
  onDrop(): void;
}

/** One reading: what it showed, what that means, whether it can be right, and what to do with it. */
export function ReadingRow({ compared, suspicions, where, plan, onKeep, onDrop }: ReadingRowProps) {
  const { reading, measured, ratio, converted } = compared;
  const [open, setOpen] = useState(false);
  const doubted = reading.leftOut && suspicions.length > 0;
  const named = `${showReading(reading.value)} ${unitWords(reading.unit)} at ${where}`;
  return (
    <li className={doubted ? 'rounded-md bg-copper-wash p-3' : ''} data-testid="reading">
      <div className="flex items-center gap-1">
        <p className={reading.leftOut ? 'flex-1 text-soft line-through' : 'flex-1'}>
          <strong className="font-semibold">
            {showReading(reading.value)} {unitWords(reading.unit)}
          </strong>
          {reading.unit !== 'umol' && ` = ${Math.round(measured)} µmol`} at {where}:{' '}
          {plan !== undefined && plan > 0
            ? offWords(measured / plan - 1)
            : ratio < 5
              ? `${percent(ratio)} of the box`
              : `${Math.round(ratio)} times the box`}
          {reading.of > 1 && <span className="text-soft"> (mean of {reading.of})</span>}
          {converted.wide && !reading.leftOut && (
            <span className="text-copper"> Low accuracy: this kind of meter responds poorly to this spectrum.</span>
          )}
        </p>
        <Button
          kind="quiet"
          size="icon"
          aria-label={`How it was converted: ${named}`}
          title="How it was converted"
          aria-expanded={open}
          onClick={() => setOpen(!open)}
        >
          <Calculator size={17} aria-hidden />
        </Button>
        <Button
          kind="quiet"
          size="icon"
          aria-label={`${reading.leftOut ? 'Count this reading' : 'Leave this reading out'}: ${named}`}
          title={reading.leftOut ? 'Count it' : 'Leave it out'}
          onClick={() => onKeep(reading.leftOut ? 'count a reading' : 'leave a reading out', { ...reading, leftOut: !reading.leftOut })}
        >
          {reading.leftOut ? <EyeOff size={17} aria-hidden /> : <Eye size={17} aria-hidden />}
        </Button>
        <Button kind="quiet" size="icon" aria-label={`Remove this reading: ${named}`} title="Remove" onClick={onDrop}>
          <Trash2 size={17} aria-hidden />
        </Button>
      </div>
      {open && <p className="pb-1 text-sm text-soft">{conversionWords(reading, converted)}</p>}
      {doubted && <Doubted reading={reading} suspicions={suspicions} onKeep={onKeep} />}
    </li>
  );
}

/** Why a reading can't be right, and the ways out. */
export function Doubted({
  reading,
  suspicions,
  onKeep,
}: {
  reading: Reading;
  suspicions: readonly Suspicion[];
  onKeep(what: string, reading: Reading): void;
}) {
  const fix = suspicions.find((s) => s.multiply !== null);
  return (
    <div role="alert" className="space-y-2 pt-1">
      <p>This lamp can’t give that. Likely:</p>
      <ul className="list-disc pl-5">
        {suspicions.slice(0, 3).map((s, i) => (
          <li key={i}>
            <Lengths of={suspicionWords(s)} /> <span className="text-soft">({percent(s.weight)})</span>
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap gap-2">
        {fix && (
          <Button onClick={() => onKeep('put a reading right', { ...reading, ...putRight(reading, fix), leftOut: false })}>
            It was {showReading(putRight(reading, fix).value)} {unitWords(putRight(reading, fix).unit)}
          </Button>
        )}
        <Button onClick={() => onKeep('count a reading', { ...reading, leftOut: false })}>Keep this reading</Button>
      </div>
    </div>
  );
}

/** A slip of the unit keeps its number and changes the unit; a slip of the range changes the number. */
function putRight(reading: Reading, { why, multiply }: Suspicion): { value: number; dark: number; unit: LightUnit } {
  const { value, dark } = reading;
  if (why === 'foot-candles-read-as-lux') return { value, dark, unit: 'fc' };
  if (why === 'lux-read-as-foot-candles' || why === 'lux-read-as-umol') return { value, dark, unit: 'lx' };
  if (why === 'umol-read-as-lux') return { value, dark, unit: 'umol' };
  const times = (v: number) => Math.min(MOST_SHOWN, Math.round(v * (multiply ?? 1) * 100) / 100);
  return { value: times(value), dark: times(dark), unit: reading.unit };
}
