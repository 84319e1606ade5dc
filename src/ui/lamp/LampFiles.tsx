'use client';
import { useState } from 'react';
import type { LampBox } from '@/core/things/lamp/lampFromBox';
import { readIes } from '@/core/light/photometry/readIes';
import { readLdt } from '@/core/light/photometry/readLdt';
import type { Problem } from '@/core/units/result';
import { readSpectrumCsv } from '@/core/light/spectrum/readSpectrumCsv';
import { FileButton } from '../parts/FileButton';
import { say } from '../shell/toastStore';
import { lampProblemWords } from './lampProblemWords';

const FILE_BYTES = 2_000_000;

/** What a maker's files say of a lamp: beam shape, and its colour. A file that can't be used changes nothing. */
export function LampFiles({ box, change }: { box: LampBox; change(part: Partial<LampBox>): void }) {
  const [refused, setRefused] = useState<{ name: string; problems: readonly Problem[] } | null>(null);
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
  const refuse = (name: string, problem: Problem) => setRefused({ name, problems: [problem] });

  return (
    <div className="space-y-2">
      <div className="flex flex-wrap gap-3">
        <FileButton accept=".ies,.ldt" maxBytes={FILE_BYTES} onText={openPhotometry} onRefused={refuse}>
          Photometric file
        </FileButton>
        <FileButton accept=".csv,.txt,.tsv,text/csv" maxBytes={FILE_BYTES} onText={openSpectrum} onRefused={refuse}>
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
  );
}
