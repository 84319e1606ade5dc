'use client';
import { Plus, Trash2, X } from 'lucide-react';
import { comesAs, dropCrop, fedAs, isGrown, keepCrop } from '@/core/site/crop/changeCrops';
import { LEGGY_REMEDIES, STAGE_NAMES, type Crop, type LeggyRemedy, type Stage } from '@/core/things/crop/Crop';
import { stays } from '@/core/things/crop/stays';
import { tables } from '@/core/things/tables/libraryTables';
import { fail, ok } from '@/core/units/result';
import { changeSite, undo } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { Group } from '../parts/Group';
import { LengthField } from '../parts/LengthField';
import { NumberField } from '../parts/NumberField';
import { SelectField } from '../parts/SelectField';
import { TemperatureField } from '../parts/TemperatureField';
import { TypedField } from '../parts/TypedField';
import { say } from '../shell/toastStore';
import { useSite, useWorkspace } from '../shell/WorkspaceContext';
import { stageWords } from '../verdict/words';
import { DAY_LENGTHS, dayLengthWords, remedyWords } from './cropWords';

/** The figures of a crop of the person's own, each of which can be changed; what would contradict another is refused as it is typed. */
export function CropEditor({ crop, onGone }: { crop: Crop; onGone(): void }) {
  const { sites } = useWorkspace();
  const base = tables.crop(crop.own?.basedOn ?? '');
  const grown = useSite((s) => isGrown(s.site, crop.id));
  const change = (by: Partial<Crop>) => changeSite(sites, 'change the crop', keepCrop({ ...crop, ...by }));
  const text = (max: number, empty: boolean) => (words: string) =>
    words.trim() || empty ? ok(words.trim().slice(0, max)) : fail({ code: 'name/empty', at: '' });
  return (
    <section aria-label={`Figures of ${crop.name}`} className="space-y-5 rounded-md bg-sunk p-4">
      <div className="flex flex-wrap items-end gap-3">
        <TypedField
          label="name"
          shown={crop.name}
          read={text(120, false)}
          hint="A name."
          inputClassName="w-52"
          onChange={(name) => change({ name })}
        />
        <TypedField
          label="botanical name"
          shown={crop.latin}
          read={text(120, true)}
          hint="A name."
          inputClassName="w-52"
          onChange={(latin) => change({ latin })}
        />
        <TypedField
          label="why it differs"
          shown={crop.own?.why ?? ''}
          read={text(2000, true)}
          hint="A few words."
          className="min-w-52 flex-1"
          inputClassName="w-full"
          onChange={(why) => change({ own: { basedOn: crop.own?.basedOn ?? null, why } })}
        />
      </div>
      <Group title="Stages">
        {crop.stages.map((s, i) => (
          <StageFields
            key={s.stage}
            crop={crop}
            index={i}
            onChange={(by) => change({ stages: crop.stages.map((x, k) => (k === i ? { ...x, ...by } : x)) })}
            onDrop={() => change({ stages: crop.stages.filter((_, k) => k !== i) })}
          />
        ))}
        <AddStage crop={crop} onAdd={(stage) => change({ stages: [...crop.stages, stage] })} />
      </Group>
      <Group title="Height by day">
        <div className="flex flex-wrap gap-x-4 gap-y-2">
          {crop.heightByDay.map((h, i) => {
            const put = (by: Partial<typeof h>) => change({ heightByDay: crop.heightByDay.map((x, k) => (k === i ? { ...x, ...by } : x)) });
            return (
              <div key={i} className="flex items-end gap-1">
                <NumberField
                  label="day"
                  whole
                  value={h.day}
                  min={(crop.heightByDay[i - 1]?.day ?? -1) + 1}
                  max={(crop.heightByDay[i + 1]?.day ?? 3651) - 1}
                  inputClassName="w-16"
                  onChange={(day) => put({ day })}
                />
                <LengthField label="tall" value={h.height} min={0} max={5} inputClassName="w-22" onChange={(height) => put({ height })} />
                {crop.heightByDay.length > 1 && (
                  <Drop
                    label={`Without day ${h.day}`}
                    onClick={() => change({ heightByDay: crop.heightByDay.filter((_, k) => k !== i) })}
                  />
                )}
              </div>
            );
          })}
          {crop.heightByDay.length < 60 && (
            <Button
              className="self-end"
              onClick={() => {
                const last = crop.heightByDay.at(-1)!;
                change({ heightByDay: [...crop.heightByDay, { day: Math.min(3650, last.day + 7), height: last.height }] });
              }}
            >
              <Plus size={17} aria-hidden /> A day
            </Button>
          )}
        </div>
      </Group>
      {crop.germination && <GerminationFields crop={crop} onChange={change} />}
      <Group title="Growth habits">
        <div className="flex flex-wrap items-end gap-3">
          <SelectField
            label="plants are"
            value={stays(crop) ? 'bought' : 'seed'}
            options={[
              { value: 'seed', label: 'raised from seed' },
              { value: 'bought', label: 'bought, and stay' },
            ]}
            onChange={(how) => change(comesAs(crop, how as 'seed' | 'bought', base))}
          />
          <SelectField
            label="feed"
            value={crop.fed ? 'fed' : 'none'}
            options={[
              { value: 'fed', label: 'fed' },
              { value: 'none', label: 'grown without feed' },
            ]}
            onChange={(how) => change(fedAs(crop, how === 'fed', base))}
          />
          <SelectField
            label="day length"
            value={crop.dayLengthType}
            options={DAY_LENGTHS.map((d) => ({ value: d, label: dayLengthWords(d) }))}
            onChange={(dayLengthType) => change({ dayLengthType })}
          />
          <SelectField
            label="Continuous light (24 h)"
            value={crop.continuousLightInjury ?? ''}
            options={[
              { value: '', label: 'not known' },
              { value: 'high', label: 'damages it' },
              { value: 'some', label: 'may injure it' },
              { value: 'low', label: 'tolerated' },
            ]}
            onChange={(v) =>
              change({ continuousLightInjury: (v || null) as Crop['continuousLightInjury'], continuousLightInjurySource: null })
            }
          />
          <SelectField
            label="remedy for stretched stems"
            value={crop.leggyRemedy}
            options={LEGGY_REMEDIES.map((r) => ({ value: r, label: remedyWords(r) }))}
            onChange={(r) => change({ leggyRemedy: r as LeggyRemedy })}
          />
        </div>
      </Group>
      <Button
        onClick={() => {
          if (grown) return say('This crop is in use. Choose another crop for its trays before you delete it.');
          onGone();
          changeSite(sites, 'delete a crop', dropCrop(crop.id));
          say(`${crop.name} is gone.`, { label: 'Undo', run: () => undo(sites) });
        }}
      >
        <Trash2 size={17} aria-hidden /> Delete
      </Button>
    </section>
  );
}

function StageFields({ crop, index, onChange, onDrop }: { crop: Crop; index: number; onChange(by: Partial<Stage>): void; onDrop(): void }) {
  const s = crop.stages[index]!;
  const dated = s.fromDay !== null;
  return (
    <div className="flex flex-wrap items-end gap-x-3 gap-y-1" role="group" aria-label={stageWords(s)}>
      <span className="w-28 pb-1.5 font-semibold">{stageWords(s)}</span>
      {dated && (
        <NumberField
          label="from day"
          whole
          value={s.fromDay}
          min={(crop.stages[index - 1]?.fromDay ?? -1) + 1}
          max={(crop.stages[index + 1]?.fromDay ?? 3651) - 1}
          inputClassName="w-16"
          onChange={(fromDay) => onChange({ fromDay })}
        />
      )}
      <NumberField
        label="minimum DLI"
        value={s.dliMin}
        min={0}
        max={s.dliTarget}
        inputClassName="w-16"
        onChange={(dliMin) => onChange({ dliMin, basis: 'consensus' })}
      />
      <NumberField
        label="best"
        value={s.dliTarget}
        min={s.dliMin}
        max={s.dliMax}
        inputClassName="w-16"
        onChange={(dliTarget) => onChange({ dliTarget, basis: 'consensus' })}
      />
      <NumberField
        label="most"
        value={s.dliMax}
        min={Math.max(0.01, s.dliTarget)}
        max={80}
        inputClassName="w-16"
        onChange={(dliMax) => onChange({ dliMax, basis: 'consensus' })}
      />
      <NumberField
        label="hours from"
        value={s.hoursMin}
        min={0}
        max={s.hoursMax}
        inputClassName="w-16"
        onChange={(hoursMin) => onChange({ hoursMin })}
      />
      <NumberField
        label="to"
        value={s.hoursMax}
        min={s.hoursMin}
        max={24}
        inputClassName="w-16"
        onChange={(hoursMax) => onChange({ hoursMax })}
      />
      <NumberField
        label="maximum PPFD, µmol/m²/s"
        value={s.ppfdMax}
        min={1}
        max={3000}
        inputClassName="w-20"
        onChange={(ppfdMax) => onChange({ ppfdMax })}
      />
      {crop.stages.length > 1 && index === crop.stages.length - 1 && <Drop label={`Without ${stageWords(s)}`} onClick={onDrop} />}
    </div>
  );
}

function AddStage({ crop, onAdd }: { crop: Crop; onAdd(stage: Stage): void }) {
  const last = crop.stages.at(-1)!;
  const free = STAGE_NAMES.filter((n) => !crop.stages.some((s) => s.stage === n));
  if (free.length === 0) return null;
  return (
    <div className="flex flex-wrap gap-2">
      {free.map((name) => (
        <Button
          key={name}
          onClick={() =>
            onAdd({
              ...last,
              stage: name,
              label: null,
              basis: 'consensus',
              fromDay: last.fromDay === null ? null : Math.min(3650, last.fromDay + 14),
            })
          }
        >
          <Plus size={17} aria-hidden /> {stageWords({ ...last, stage: name, label: null })}
        </Button>
      ))}
    </div>
  );
}

function GerminationFields({ crop, onChange }: { crop: Crop; onChange(by: Partial<Crop>): void }) {
  const g = crop.germination!;
  const put = (by: Partial<typeof g>) => onChange({ germination: { ...g, ...by } });
  const { least, best, most } = g.temperature;
  const temp = (by: Partial<typeof g.temperature>) => put({ temperature: { ...g.temperature, ...by } });
  return (
    <Group title="Germination">
      <div className="flex flex-wrap items-end gap-3">
        <NumberField
          label="days from"
          whole
          value={g.days.first}
          min={0}
          max={g.days.last}
          inputClassName="w-16"
          onChange={(first) => put({ days: { ...g.days, first } })}
        />
        <NumberField
          label="to"
          whole
          value={g.days.last}
          min={g.days.first}
          max={400}
          inputClassName="w-16"
          onChange={(last) => put({ days: { ...g.days, last } })}
        />
        <TemperatureField
          label="at least"
          value={least}
          min={-10}
          max={best}
          inputClassName="w-16"
          onChange={(v) => temp({ least: Math.min(v, best) })}
        />
        <TemperatureField
          label="best"
          value={best}
          min={least}
          max={most}
          inputClassName="w-16"
          onChange={(v) => temp({ best: Math.min(most, Math.max(least, v)) })}
        />
        <TemperatureField
          label="at most"
          value={most}
          min={best}
          max={60}
          inputClassName="w-16"
          onChange={(v) => temp({ most: Math.max(v, best) })}
        />
        <SelectField
          label="its seed"
          value={g.light}
          options={[
            { value: 'either', label: 'does not mind light' },
            { value: 'needs', label: 'needs light' },
            { value: 'dark', label: 'needs darkness' },
          ]}
          onChange={(v) => put({ light: v as typeof g.light })}
        />
      </div>
    </Group>
  );
}

function Drop({ label, onClick }: { label: string; onClick(): void }) {
  return (
    <button
      type="button"
      className="grid size-9 place-items-center rounded-md hover:bg-sheet max-md:size-11"
      aria-label={label}
      title={label}
      onClick={onClick}
    >
      <X size={16} aria-hidden />
    </button>
  );
}
