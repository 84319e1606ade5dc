'use client';
import clsx from 'clsx';
import { Check } from 'lucide-react';
import { useState } from 'react';
import { partOf, SIGN_NAMES, signsOf, type Part, type Sign } from '@/core/judge/clinic/signs';
import { toggleSign } from '@/core/site/stand/changeClinic';
import type { ClinicCase } from '@/core/site/clinic/ClinicCase';
import type { Crop } from '@/core/things/crop/Crop';
import { changeSite } from '@/store/site/siteStore';
import { useWorkspace } from '../shell/WorkspaceContext';
import { PlantFigure } from './PlantFigure';
import { PART_WORDS, SIGN_WORDS } from './signWords';
import { Select } from '../parts/Select';

const PARTS = Object.keys(PART_WORDS) as Part[];

/** What one sees, part by part of the plant. */
export function SignPicker({ kase, crop }: { kase: ClinicCase; crop: Crop }) {
  const { sites } = useWorkspace();
  const [part, setPart] = useState<Part>('stem');
  const signs = kase.signs as readonly Sign[];
  const possible = signsOf(crop);
  const chip = (sign: Sign) => {
    const isOn = signs.includes(sign);
    return (
      <button
        key={sign}
        type="button"
        aria-pressed={isOn}
        className={clsx(
          'inline-flex min-h-9 items-center gap-1.5 rounded-full border px-3 font-semibold max-md:min-h-11',
          isOn ? 'border-ember bg-ember text-night' : 'border-night-soft text-night-ink hover:bg-night-raised',
        )}
        onClick={() => changeSite(sites, isOn ? 'unmark a sign' : 'mark a sign', toggleSign(kase.id, sign))}
      >
        {isOn && <Check size={15} aria-hidden />}
        {SIGN_WORDS[sign]}
      </button>
    );
  };
  return (
    <section aria-labelledby="signs" className="pt-6">
      <h2 id="signs" className="pb-1 font-narrow text-night-soft">
        What do you see? Press a part, then what is wrong with it.
      </h2>
      <PlantFigure signs={signs} part={part} onPart={setPart} />
      <label className="block pt-2 text-sm text-night-soft">
        Part
        <Select
          aria-label="Part"
          className="block border-night-soft! bg-night! text-base text-night-ink!"
          value={part}
          onChange={(e) => setPart(e.target.value as Part)}
        >
          {PARTS.map((p) => (
            <option key={p} value={p}>
              {PART_WORDS[p]}
            </option>
          ))}
        </Select>
      </label>
      <div role="group" aria-label={`Signs: ${PART_WORDS[part]}`} className="flex flex-wrap gap-2 pt-2">
        {SIGN_NAMES.filter((s) => partOf(s) === part && (possible.includes(s) || signs.includes(s))).map(chip)}
      </div>
      {signs.some((s) => partOf(s) !== part) && (
        <div role="group" aria-label="Marked elsewhere" className="flex flex-wrap items-center gap-2 pt-3">
          <span className="text-sm text-night-soft">Also marked:</span>
          {signs.filter((s) => partOf(s) !== part).map(chip)}
        </div>
      )}
    </section>
  );
}
