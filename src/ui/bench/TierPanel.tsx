'use client';
import { CopyPlus, TriangleAlert } from 'lucide-react';
import { useDeferredValue, useMemo, useState } from 'react';
import { drawOf } from '@/core/answer/power/drawOf';
import { lampsAMonth } from '@/core/plan/buying/bill';
import type { BenchStand, BenchTier } from '@/core/answer/stand/benchStand';
import { furnishLike } from '@/core/site/stand/change';
import { faultsOf } from '@/core/answer/faults/faults';
import { showMoney } from '@/core/units/money';
import { CautionList } from '../caution/CautionList';
import { newId } from '@/store/names/newId';
import { Button } from '../parts/Button';
import { PictureButtons } from '../parts/PictureButtons';
import { MapShowsChoice } from '../parts/MapShowsChoice';
import { Segments } from '../parts/Segments';
import { isCurtained } from '@/core/answer/daylight/windowOf';
import { useSettings, useSite } from '../shell/WorkspaceContext';
import { DliKey } from '../verdict/DliKey';
import { DliScale } from '../verdict/DliScale';
import { HeadlineLine } from '../verdict/HeadlineLine';
import { certaintyOf, consequencesOf, percent, shareWords, stageWords } from '../verdict/words';
import { Term } from '../terms/Term';
import { badness, faultsWords, trayName } from './benchWords';
import { AdvicePanel } from './AdvicePanel';
import { BestSetting } from './BestSetting';
import { TierAbove } from './TierAbove';
import { ReadingsLine } from './ReadingsLine';
import { TierFields, TierHours } from './TierFields';
import { useBenchLook, useJudged, useTierLight } from './useBench';
import type { EditCommands } from './useEditCommands';

/** The chosen tier: how its trays fare, seen from above, what is wrong, what would help. */
export function TierPanel({ stand, tier: t, commands }: { stand: BenchStand; tier: BenchTier; commands: EditCommands }) {
  const { lengthUnit } = useSettings();
  const { chosen, day } = useBenchLook();
  const light = useTierLight(t);
  // Nothing to press hangs on the cautions: while a hand moves something they follow when there is time.
  const settled = useDeferredValue(stand);
  const judged = useJudged(t);
  const [looked, setLooked] = useState<string | null>(null);
  const site = useSite((s) => s.site);
  const chosenTray = judged.find((j) => chosen.includes(j.tray.tray.id)) ?? judged.find((j) => j.tray.tray.id === looked);
  const worst = judged.reduce<(typeof judged)[number] | null>(
    (w, j) => (!w || badness(j.verdict.says) > badness(w.verdict.says) ? j : w),
    null,
  );
  const focus = chosenTray ?? worst;
  const passing = focus?.light.passing ?? null;
  const ids = new Set([t.tier.id, stand.stand.id, ...t.tier.fittings.map((f) => f.id), ...t.tier.trays.map((y) => y.id)]);
  const faults = useMemo(() => faultsOf(stand), [stand]).filter((f) => ids.has(f.thingId));
  const empty = stand.tiers.filter((other) => other.lamps.length === 0 && other.trays.length === 0).length;
  const power = drawOf(t);
  return (
    <section aria-label={`Tier ${t.number}`} className="space-y-4">
      <div className="space-y-2">
        <p className="font-narrow text-sm font-medium text-soft">
          Tier {t.number}
          {focus && ` · ${trayName(focus.tray)}, ${stageWords(focus.tray.stage)}`}
        </p>
        {focus ? (
          <HeadlineLine verdict={focus.verdict} crop={focus.tray.crop} />
        ) : (
          <h2 className="text-[1.375rem] leading-7 font-semibold text-soft" data-testid="verdict">
            {t.trays.length === 0
              ? t.lamps.length === 0
                ? 'Nothing here yet.'
                : 'No tray here yet.'
              : light
                ? 'No lamp here yet.'
                : 'Working out the light…'}
          </h2>
        )}
        {t.trays.length === 0 || t.lamps.length === 0 ? (
          <p className="text-soft">
            {t.lamps.length === 0 ? 'Drag a lamp from below onto this tier, or choose one there and press Enter. ' : ''}
            {t.trays.length === 0
              ? `${t.lamps.length === 0 ? 'Then' : 'Add'} a tray: its light is judged as soon as both are there. Until then the colours are those of most seedlings, 8 to 16 mol in 16 hours (growers’ consensus).`
              : ''}
          </p>
        ) : null}
      </div>
      {judged.length > 1 && (
        <Segments
          label="Which tray"
          value={focus?.tray.tray.id ?? ''}
          options={judged.map((j, i) => ({
            value: j.tray.tray.id,
            label: `${i + 1} ${trayName(j.tray)}${j.verdict.says === 'in-range' ? '' : ' !'}`,
          }))}
          onChange={(id) => {
            setLooked(id);
            commands.choose([], t.tier.id);
          }}
        />
      )}
      <TierAbove stand={stand} tier={t} light={light} judged={judged} focus={focus ?? null} commands={commands} />
      <div className="flex flex-wrap items-center justify-between gap-2">
        <MapShowsChoice />
        <PictureButtons of="map" name={`${stand.stand.name} tier ${t.number}`} words="the map" />
        {power > 0 && (
          <span className="text-sm text-soft" data-testid="tier-cost">
            {showMoney(lampsAMonth(site, [t]), site.currency)} a month
          </span>
        )}
      </div>
      {focus && focus.verdict.says !== 'dark' && (
        <div>
          <DliScale verdict={focus.verdict} stage={focus.tray.stage} />
          <DliKey />
        </div>
      )}
      {faults.length > 0 && (
        <ul className="space-y-1" aria-label="What is wrong">
          {faultsWords(faults, stand, lengthUnit).map((words) => (
            <li key={words} className="flex gap-2 rounded-md bg-copper-wash px-3 py-2 text-copper">
              <TriangleAlert size={17} className="mt-0.5 shrink-0" aria-hidden />
              {words}
            </li>
          ))}
        </ul>
      )}
      {focus && (
        <div className="space-y-1">
          {consequencesOf(focus.verdict, focus.tray.crop, focus.tray.stage, isCurtained(site, stand.stand)).map((text) => (
            <p key={text}>{text}</p>
          ))}
          {passing !== null && passing > focus.tray.limits.strongest && (
            <p>
              As a lamp passes, the strongest spot gets {passing.toFixed(0)} µmol/m²/s for a moment;{' '}
              {focus.tray.limits.strongest.toFixed(0)} is the most for hours on end. The verdict goes by the mean: watch for pale leaves,
              and raise the lamp if you see them.
            </p>
          )}
          <p className="text-sm text-soft">
            {shareWords(focus.verdict)} of the tray is in range; <Term id="uniformity">uniformity</Term>{' '}
            {focus.light.stats.uniformityMinOverMean.toFixed(2)}
            {focus.light.spillShare > 0.005 && `; ${percent(focus.light.spillShare)} of its light comes from other tiers`}
            {focus.light.reflectedShare > 0.005 && `; ${percent(focus.light.reflectedShare)} by way of the sides`}
            {focus.light.shadedShare > 0.005 && `; taller plants beside it take ${percent(focus.light.shadedShare)}`}
            {passing !== null &&
              passing <= focus.tray.limits.strongest &&
              `; for a moment, as a lamp passes, up to ${passing.toFixed(0)} µmol/m²/s`}
            .{' '}
            {certaintyOf(
              focus.verdict,
              t.lamps.every((l) => l.calibration !== null),
            )}
          </p>
        </div>
      )}
      <ReadingsLine stand={stand} tier={t} />
      {day === null && (
        <>
          <AdvicePanel stand={stand} tier={t} trayId={focus?.tray.tray.id ?? null} />
          <BestSetting stand={stand} tier={t} commands={commands} />
        </>
      )}
      {t.lamps.length > 0 && t.trays.length > 0 && empty > 0 && (
        <Button onClick={() => commands.change('furnish the other tiers', furnishLike(stand.stand.id, t.tier.id, newId))}>
          <CopyPlus size={17} aria-hidden /> {empty === 1 ? 'Copy this tier to the empty tier' : `All ${empty} empty tiers like this one`}
        </Button>
      )}
      <TierHours stand={stand} tier={t} commands={commands} />
      <TierFields stand={stand} tier={t} commands={commands} />
      {t.lamps.length > 0 && <CautionList stand={settled} />}
    </section>
  );
}
