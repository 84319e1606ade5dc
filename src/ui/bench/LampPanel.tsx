'use client';
import { ArrowDown, ArrowUp } from 'lucide-react';
import { tables } from '@/core/things/tables/libraryTables';
import type { BenchLamp, BenchTier } from '@/core/answer/stand/benchStand';
import { highestFaceOf, stepsWithin } from '@/core/answer/stand/stepsWithin';
import { changeFittings, lampsSideBySide, rowOf } from '@/core/site/stand/change';
import { faceSizeOf } from '@/core/site/stand/footprint';
import { HANGER_KINDS, hangerOf, type HangerKind } from '@/core/site/stand/Hanger';
import { MOST_TILT } from '@/core/site/stand/poseOf';
import { newId } from '@/store/names/newId';
import { kindOfOwnLamp } from '@/core/site/ownLamps/changeOwnLamps';
import { FULL, nearestSetting } from '@/core/things/lamp/dimming';
import { ownPath } from '../lamps/lampPaths';
import { DimField } from '../lamp/DimField';
import { Button } from '../parts/Button';
import { useLampItems } from '../parts/useLampItems';
import { LengthField } from '../parts/LengthField';
import { Link } from '../parts/Link';
import { MaybeWeightField } from '../parts/MaybeWeightField';
import { NumberField } from '../parts/NumberField';
import { SelectField } from '../parts/SelectField';
import { Stepper } from '../parts/Stepper';
import { useSettings, useSite } from '../shell/WorkspaceContext';
import { HANGER_WORDS, hangWords, stepWords, tiltWords } from './benchWords';
import { ChoiceSheet } from './ChoiceSheet';
import { ON_A_RAIL, TravelFields } from './TravelFields';
import { ThingTools } from './ThingTools';
import type { EditCommands } from './useEditCommands';

/** So near to the leaves a lamp can be typed, m. */
const LEAST_DISTANCE = 0.005; // our choice: nearer is touching
const MOST_TILT_deg = Math.round((MOST_TILT * 180) / Math.PI);

interface LampPanelProps {
  tier: BenchTier;
  lamp: BenchLamp;
  /** All that are changed together: it, and those of its kind in line with it. */
  ids: readonly string[];
  commands: EditCommands;
}

/** A lamp, or a row of them: how far from the leaves, where, how it hangs, and how many of them. */
export function LampPanel({ tier: t, lamp: { fitting, lamp, calibration }, ids, commands }: LampPanelProps) {
  const own = useSite((s) => s.site.lamps);
  const { lengthUnit } = useSettings();
  const items = useLampItems(own);
  const change = (what: string, by: Parameters<typeof changeFittings>[2]) => commands.change(what, changeFittings(t.tier.id, ids, by));
  const canopy = t.trays.length > 0 ? Math.max(...t.trays.map((y) => y.canopy)) : 0;
  const same = rowOf(t.tier, fitting);
  const pitch = same.length > 1 ? same[1]!.y - same[0]!.y : faceSizeOf(lamp).width + 0.08;
  const gap = Math.max(0, pitch - faceSizeOf(lamp).width);
  const fixed = fitting.hanger.kind === 'fixed';
  const looks = tiltWords(fitting);
  const named = useSite((s) => s.site.ownLamps.find((o) => o.id === fitting.own?.id)?.name ?? '');
  return (
    <section aria-label="The chosen lamp" className="space-y-3 border-b border-line pb-4">
      <div className="flex items-start justify-between gap-2">
        <div className="min-w-0 flex-1">
          <ChoiceSheet
            label="Lamp"
            shown={ids.length > 1 ? `${ids.length} × ${lamp.name}` : lamp.name}
            title="Which lamp?"
            description="The new lamp replaces the present one."
            placeholder="bar, T8, 24 W…"
            items={items}
            chosen={lamp.id}
            onChoose={(id) => change('change the lamp', () => ({ lampId: id }))}
          />
        </div>
        <ThingTools commands={commands} />
      </div>
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2">
        <LengthField
          label={t.trays.length > 0 ? 'lamp to leaves' : 'lamp to shelf'}
          value={fitting.face - canopy}
          min={LEAST_DISTANCE}
          max={Math.max(LEAST_DISTANCE, Math.min(3, highestFaceOf(t, { fitting, lamp }) - canopy))}
          inputClassName="w-22 text-lg"
          onChange={(d) =>
            change('move the lamp', (f) => ({ face: f.face + f.hanger.step * stepsWithin(t, { fitting: f, lamp }, canopy + d) }))
          }
        />
        <div className="flex gap-1">
          <Button
            size="icon"
            disabled={fixed}
            aria-label={`Lower: ${stepWords(fitting.hanger, -1, lengthUnit)}`}
            onClick={() => commands.lift(-1)}
          >
            <ArrowDown size={17} aria-hidden /> {stepWords(fitting.hanger, -1, lengthUnit).replace(' down', '')}
          </Button>
          <Button
            size="icon"
            disabled={fixed}
            aria-label={`Raise: ${stepWords(fitting.hanger, 1, lengthUnit)}`}
            onClick={() => commands.lift(1)}
          >
            <ArrowUp size={17} aria-hidden /> {stepWords(fitting.hanger, 1, lengthUnit).replace(' up', '')}
          </Button>
        </div>
        <span className="pb-1.5 text-sm text-soft">{hangWords(t, fitting, lengthUnit)}</span>
      </div>
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2">
        <LengthField
          label="from the left"
          value={fitting.x}
          min={-1}
          max={10}
          onChange={(x) => change('move the lamp', () => ({ x }))}
          inputClassName="w-20"
        />
        {ids.length === 1 && (
          <LengthField
            label="from the front"
            value={fitting.y}
            min={-1}
            max={10}
            onChange={(y) => change('move the lamp', () => ({ y }))}
            inputClassName="w-20"
          />
        )}
        <Stepper
          label="side by side"
          value={same.length}
          min={1}
          max={8}
          onChange={(n) => commands.change('hang lamps side by side', lampsSideBySide(t.tier.id, fitting.id, lamp, n, gap, newId))}
        />
        {same.length > 1 && (
          <LengthField
            label="gap"
            value={gap}
            min={0}
            max={2}
            inputClassName="w-20"
            onChange={(g) => commands.change('space the lamps', lampsSideBySide(t.tier.id, fitting.id, lamp, same.length, g, newId))}
          />
        )}
      </div>
      {fitting.own && fitting.own.channels.length > 1 && (
        <SelectField
          label="colour switch"
          value={lamp.id}
          options={fitting.own.channels.map((id) => ({
            value: id,
            label: own.find((l) => l.id === id)?.name ?? tables.lamp(id)?.name ?? id,
          }))}
          onChange={(id) => commands.change('switch the colour', kindOfOwnLamp(fitting.own!.id, id))}
        />
      )}
      {fitting.own?.dimmer && (
        <DimField
          dimmer={fitting.own.dimmer}
          value={fitting.dim ?? FULL}
          onChange={(dim) => change('dim the lamp', (f) => ({ dim: f.own?.dimmer ? nearestSetting(f.own.dimmer, dim) : FULL }))}
        />
      )}
      <details>
        <summary className="font-semibold text-verdigris">How it hangs</summary>
        <div className="flex flex-wrap items-end gap-x-4 gap-y-2 pt-2">
          <SelectField
            label="by"
            value={fitting.hanger.kind}
            options={HANGER_KINDS.map((k) => ({ value: k, label: HANGER_WORDS[k] }))}
            onChange={(kind) =>
              change('change how it hangs', (f) => ({ hanger: { ...hangerOf(kind as HangerKind), load: f.hanger.load } }))
            }
          />
          {!fixed && (
            <LengthField
              label="one step"
              value={fitting.hanger.step}
              min={0.001}
              max={0.3}
              inputClassName="w-20"
              onChange={(step) => change('change the step', (f) => ({ hanger: { ...f.hanger, step } }))}
            />
          )}
          <NumberField
            label="tilt"
            unit="°"
            value={((fitting.tilt ?? 0) * 180) / Math.PI}
            min={-MOST_TILT_deg}
            max={MOST_TILT_deg}
            inputClassName="w-16"
            onChange={(deg) => change('tilt the lamp', () => ({ tilt: (deg * Math.PI) / 180 }))}
          />
          <TravelFields tier={t} fitting={fitting} lamp={lamp} change={change} />
          <MaybeWeightField
            label="carries"
            value={fitting.hanger.load}
            min={0}
            max={500}
            inputClassName="w-16"
            onChange={(load) => change('change the maximum load', (f) => ({ hanger: { ...f.hanger, load } }))}
          />
        </div>
        <p className="pt-2 text-sm text-soft">
          {looks
            ? `It looks ${looks}. Heights are measured to the lowest edge of its face. Don’t let it dazzle: nobody should look into it at eye level.`
            : 'Tilt: 0 hangs level; above 0 it looks to the back (to the left, turned by a quarter), below 0 to the front.'}
        </p>
        {fitting.travel && <p className="pt-2 text-sm text-soft">{ON_A_RAIL}</p>}
      </details>
      <p className="text-sm text-soft">
        {Math.round(lamp.power * 10) / 10} W, {Math.round(lamp.ppf)} µmol/s by its {calibration ? 'box; ' : 'box.'}
        {calibration && (
          <strong className="text-verdigris">
            {Math.round(calibration.scale * 100)} % of that by {calibration.fitted ? 'a fit to readings' : 'readings'}.
          </strong>
        )}
        {tables.lamp(lamp.id) ? '' : ' A lamp of your own.'}{' '}
        {fitting.own && (
          <Link href={ownPath(fitting.own.id)} className="font-semibold text-ink underline underline-offset-4">
            {named}
          </Link>
        )}
      </p>
    </section>
  );
}
