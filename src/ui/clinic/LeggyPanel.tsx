'use client';
import { useState } from 'react';
import { legginessOf, worstOfLegginess, type BesideUsual, type HowLong } from '@/core/judge/growth/legginess';
import { stays } from '@/core/things/crop/stays';
import { latestLogged } from '@/core/site/growth/latestLogged';
import type { BenchTray } from '@/core/answer/stand/benchStand';
import type { ClinicCase } from '@/core/site/clinic/ClinicCase';
import { measureBatch } from '@/core/site/growth/changeGrowth';
import { tell, toggleSign } from '@/core/site/stand/changeClinic';
import { showLength } from '@/core/units/length';
import { changeSite } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { LengthField } from '../parts/LengthField';
import { focusHeadingIfLost } from '../shell/focusHeading';
import { loggedNow } from '../season/loggedNow';
import { useSettings, useToday, useWorkspace } from '../shell/WorkspaceContext';
import { GrowthFigure } from '../tray/GrowthFigure';

const SAYS: Readonly<Record<HowLong, string>> = {
  leggy: 'Leggy',
  long: 'A little long',
  usual: 'Not leggy: as tall as usual',
  short: 'Shorter than usual',
};
/** A height of so many days ago still counts. */
const STILL_COUNTS_days = 3;

/** Whether it is leggy at all: stem and height beside what is usual for this crop at this age. */
export function LeggyPanel({ kase, tray }: { kase: ClinicCase; tray: BenchTray }) {
  const { sites } = useWorkspace();
  const { lengthUnit } = useSettings();
  const today = useToday();
  const [isOpen, setOpen] = useState(false);
  const { batch, crop } = tray;
  const age = batch.age;
  // Plants that stay have no usual height for their age.
  if (age === undefined || age < 0 || stays(crop)) return null;
  const last = latestLogged(batch.log, today, (l) => l.what === 'height' && l.day >= today - STILL_COUNTS_days)?.height ?? null;
  const stem = kase.told.stem_m ?? null;
  const legginess = legginessOf(crop, age, last, stem);
  const says = worstOfLegginess(legginess);
  const line = (name: string, of: BesideUsual | null) =>
    of && (
      <li>
        {name}: {showLength(of.length, lengthUnit)}, usual {showLength(of.usual, lengthUnit)}:{' '}
        <b className={of.says === 'leggy' ? 'text-copper' : undefined}>{of.times.toFixed(1)} times</b>
      </li>
    );
  const isMarked = kase.signs.includes('stretched-stems');
  return (
    <section aria-labelledby="leggy" className="space-y-2 border-t border-line pt-4">
      <h2 id="leggy" className="text-lg font-semibold" aria-live="polite">
        {says === null ? 'Is it leggy at all?' : SAYS[says]}
      </h2>
      <p className="text-soft">
        {crop.name} of {age} {age === 1 ? 'day' : 'days'}. Measure one plant of the middle kind, or measure it on a photo below.
      </p>
      <div className="flex flex-wrap gap-3">
        <LengthField
          label="compost to tops"
          value={last}
          min={0.001}
          max={3}
          inputClassName="w-28"
          onChange={(height) => changeSite(sites, 'measure the height', measureBatch(batch.id, height, loggedNow(today)))}
        />
        <LengthField
          label="compost to seed leaves"
          value={stem}
          min={0.001}
          max={1}
          inputClassName="w-28"
          onChange={(v) => changeSite(sites, 'measure the stem', tell(kase.id, { stem_m: v }))}
        />
      </div>
      {says !== null && (
        <ul>
          {line('Height', legginess.height)}
          {line('Stem to the seed leaves', legginess.stem)}
          {line('Above the seed leaves, so the spacing of the leaves', legginess.above)}
        </ul>
      )}
      {says === 'leggy' && !isMarked && (
        <Button
          onClick={() => {
            changeSite(sites, 'mark a sign', toggleSign(kase.id, 'stretched-stems'));
            // The button goes with what it offered.
            focusHeadingIfLost();
          }}
        >
          Mark: stems too long
        </Button>
      )}
      {says === 'usual' && isMarked && (
        <p className="text-copper">You marked stems too long, but they are as long as usual. Remove the mark if it was only a fear.</p>
      )}
      <details open={isOpen} onToggle={(e) => setOpen(e.currentTarget.open)}>
        <summary className="min-h-9 cursor-pointer font-semibold max-md:min-h-11">On the curve of this crop</summary>
        {isOpen && <GrowthFigure tray={tray} />}
      </details>
    </section>
  );
}
