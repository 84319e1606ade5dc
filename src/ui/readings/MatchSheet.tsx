'use client';
import { Scale } from 'lucide-react';
import { useState } from 'react';
import { meterErrorOf, meterLibrary, meterOf, unitOfMeter } from '@/core/things/meter/meterLibrary';
import { inUnit, matchMeter, noonHeight_deg, noonSun } from '@/core/things/meter/matchMeter';
import type { OwnMeter } from '@/core/site/reading/OwnMeter';
import { readLight } from '@/core/units/light';
import { spectrumOf } from '@/core/light/spectrum/spectrumLibrary';
import { Button } from '../parts/Button';
import { NumberField } from '../parts/NumberField';
import { Segments } from '../parts/Segments';
import { SelectField } from '../parts/SelectField';
import { Sheet } from '../parts/Sheet';
import { useSite } from '../shell/WorkspaceContext';
import { percent } from '../verdict/words';
import { ShownField } from './ShownField';
import { takenNow } from './takenNow';
import { decimalSign } from '../parts/decimalSign';
import { kindWords, unitWords } from './words';

interface MatchSheetProps {
  meter: OwnMeter;
  onMatched(change: Pick<OwnMeter, 'factor' | 'uncertainty' | 'matchedBy' | 'checked_ms'>): void;
}

const LIGHTS = [
  { value: 'daylight', label: 'daylight' },
  { value: 'led-4000', label: 'white LED' },
  { value: 'fl-840', label: 'fluorescent, white' },
  { value: 'incandescent', label: 'incandescent' },
] as const;
const PAIRS = 4;

/** Matches a meter once against one that is known, or against the noon sun of a clear day. */
export function MatchSheet({ meter, onMatched }: MatchSheetProps) {
  const own = useSite((s) => s.site.meters).filter((m) => m.id !== meter.id && m.matchedBy !== 'nothing');
  const [open, setOpen] = useState(false);
  const [by, setBy] = useState<'known-meter' | 'noon-sun'>('known-meter');
  const [knownId, setKnownId] = useState('lux-calibrated');
  const [light, setLight] = useState<(typeof LIGHTS)[number]['value']>('daylight');
  const [texts, setTexts] = useState<readonly (readonly [string, string])[]>(() => Array.from({ length: PAIRS }, () => ['', ''] as const));
  const [latitude, setLatitude] = useState(50);
  const [sun, setSun] = useState('');
  const unit = unitOfMeter(meterOf(meter.kindId));
  const known = own.find((m) => m.id === knownId);
  const knownKind = meterOf(known?.kindId ?? (own.some((m) => m.id === knownId) ? 'lux-calibrated' : knownId));
  const knownUnit = unitOfMeter(knownKind);
  const [day] = useState(() => Math.ceil((Date.now() - new Date(new Date().getFullYear(), 0, 0).getTime()) / 86_400_000));
  const height = noonHeight_deg(latitude, day);

  const result = (() => {
    if (by === 'noon-sun') {
      if (height < 15) return { problem: 'The sun is too low today. Use a known meter, or wait until spring.' };
      const read = sun.trim() === '' ? null : readLight(sun, unit, decimalSign());
      if (!read) return null;
      if (!read.ok) return { problem: 'What it shows, such as 78 000 lx or 78klx.' };
      const standard = noonSun(height, unit);
      return matched(
        matchMeter([{ own: inUnit(read.value, unit, spectrumOf('daylight').luxPerUmol), known: standard.value }], standard.uncertainty),
      );
    }
    const luxPerUmol = spectrumOf(light).luxPerUmol;
    const pairs: { own: number; known: number }[] = [];
    for (const [a, b] of texts) {
      if (a.trim() === '' || b.trim() === '') continue;
      const mine = readLight(a, unit, decimalSign());
      const theirs = readLight(b, knownUnit, decimalSign());
      if (!mine.ok || !theirs.ok) return { problem: 'Each line: what both show at the same place, such as 850 and 910.' };
      pairs.push({
        own: inUnit(mine.value, unit, luxPerUmol),
        known: inUnit(theirs.value, unit, luxPerUmol) * (known?.factor ?? 1),
      });
    }
    if (pairs.length === 0) return null;
    return matched(matchMeter(pairs, known?.uncertainty ?? meterErrorOf(knownKind)));
  })();

  return (
    <Sheet
      title={`Match ${meter.name}`}
      description="Once, with care: from then on every reading of it is put right."
      trigger={
        <Button>
          <Scale size={17} aria-hidden /> Calibrate
        </Button>
      }
      open={open}
      onOpenChange={setOpen}
      footer={
        <Button
          kind="main"
          disabled={!result || 'problem' in result}
          onClick={() => {
            if (!result || 'problem' in result) return;
            onMatched({ factor: result.factor, uncertainty: result.uncertainty, matchedBy: by, checked_ms: takenNow().now_ms });
            setOpen(false);
          }}
        >
          {result && !('problem' in result) ? `Times ${result.factor.toPrecision(3)} from now on` : 'Not matched yet'}
        </Button>
      }
    >
      <div className="space-y-4">
        <Segments<'known-meter' | 'noon-sun'>
          label="Matched against"
          value={by}
          options={[
            { value: 'known-meter', label: 'a meter that is known' },
            { value: 'noon-sun', label: 'the noon sun' },
          ]}
          onChange={setBy}
        />
        {by === 'known-meter' ? (
          <>
            <p className="text-soft">
              Lay both sensors side by side at the same height, wait until they are steady, and type what both show; better at several
              strengths, all under the same kind of light.
            </p>
            <div className="flex flex-wrap gap-3">
              <SelectField
                label="the known one"
                value={knownId}
                options={[
                  ...own.map((m) => ({ value: m.id, label: m.name })),
                  ...meterLibrary.filter((m) => !m.id.startsWith('phone')).map((m) => ({ value: m.id, label: kindWords(m.id) })),
                ]}
                onChange={setKnownId}
              />
              {unit !== knownUnit && (
                <SelectField
                  label="both under"
                  value={light}
                  options={LIGHTS}
                  onChange={(v) => setLight(v as (typeof LIGHTS)[number]['value'])}
                />
              )}
            </div>
            <table className="text-left">
              <caption className="sr-only">What both meters show, place by place</caption>
              <thead className="text-sm text-soft">
                <tr>
                  <th className="pr-3 font-normal">{meter.name}</th>
                  <th className="font-normal">the known one</th>
                </tr>
              </thead>
              <tbody>
                {texts.map((pair, i) => (
                  <tr key={i}>
                    {([0, 1] as const).map((k) => (
                      <td key={k} className="py-1 pr-3">
                        <ShownField
                          label={`${k === 0 ? meter.name : 'The known one'}, place ${i + 1}`}
                          hideLabel
                          className="min-h-9 w-32"
                          value={pair[k]}
                          placeholder={unitWords(k === 0 ? unit : knownUnit)}
                          onChange={(shown) => setTexts(texts.map((p, j) => (j === i ? (k === 0 ? [shown, p[1]] : [p[0], shown]) : p)))}
                        />
                      </td>
                    ))}
                  </tr>
                ))}
              </tbody>
            </table>
          </>
        ) : (
          <>
            <p className="text-soft">
              On a day without cloud or haze, at true noon, lay the sensor level in the open, nothing shading it, and type what it shows.
              Look at the display, never into the sun. A phone’s sensor may stop short of so much light: then this can’t be done with it.
            </p>
            <div className="flex flex-wrap items-end gap-3">
              <NumberField label="latitude" value={latitude} min={-90} max={90} unit="°" inputClassName="w-18" onChange={setLatitude} />
              <ShownField
                label="It shows under the noon sun"
                className="min-h-9 w-36"
                value={sun}
                placeholder={height >= 15 ? `${Math.round(noonSun(height, unit).value / 100) * 100} ${unitWords(unit)}` : unitWords(unit)}
                onChange={setSun}
              />
            </div>
            <p className="text-sm text-soft">
              Today the sun stands {Math.round(height)}° high at noon
              {height >= 15 &&
                `: a sound meter shows about ${Math.round(noonSun(height, unit).value / 100) * 100} ${unitWords(unit)}, ±12 % by the air`}
              .
            </p>
          </>
        )}
        {result && 'problem' in result && (
          <p role="alert" className="text-copper">
            {result.problem}
          </p>
        )}
        {result && !('problem' in result) && (
          <p data-testid="match-result">
            Times <strong className="font-semibold">{result.factor.toPrecision(3)}</strong>, left in doubt ±{percent(result.uncertainty)}
            {result.worst > 0.1 && `; the pairs differ by up to ${percent(result.worst)}`}.
          </p>
        )}
      </div>
    </Sheet>
  );
}

function matched(result: ReturnType<typeof matchMeter>) {
  if (result.ok) return result.value;
  const [problem] = result.problems;
  switch (problem!.code) {
    case 'match/not-sane':
      return {
        problem: `It would have to be multiplied by ${Number(problem!.found).toPrecision(2)}: that is no calibration. Are both on the right range and in the units shown?`,
      };
    case 'match/contradict':
      return { problem: `${problem!.at} contradicts the others: was a sensor shaded, or a range switched?` };
    default:
      return { problem: 'Both readings must be above 0.' };
  }
}
