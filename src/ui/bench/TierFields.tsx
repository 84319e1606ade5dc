'use client';
import { memo } from 'react';
import { mostLit, offAt } from '@/core/units/LitTimes';
import { timesWords } from '../hours/timerWords';
import { materialLibrary } from '@/core/things/material/materialLibrary';
import type { BenchStand, BenchTier } from '@/core/answer/stand/benchStand';
import { changeStand, plugInto, removeTier, setTimes, sizeTier, withTier } from '@/core/site/stand/change';
import type { FaceName } from '@/core/light/room/Room';
import { showClock } from '@/core/units/clock';
import { newId } from '@/store/names/newId';
import { FACE_WORDS } from '../check/surroundings';
import { Button } from '../parts/Button';
import { LengthField } from '../parts/LengthField';
import { MaybeNumberField } from '../parts/MaybeNumberField';
import { MaybeWeightField } from '../parts/MaybeWeightField';
import { NumberField } from '../parts/NumberField';
import { SelectField } from '../parts/SelectField';
import { ClockField } from '../hours/ClockField';
import type { EditCommands } from './useEditCommands';
import { useSettings } from '../shell/WorkspaceContext';

const ORDER: readonly FaceName[] = ['back', 'left', 'right', 'front', 'ceiling', 'floor'];
const MATERIALS = materialLibrary.map((m) => ({ value: m.id, label: m.name }));

/** The hours of a tier's lamps, and which timer they hang on. */
export const TierHours = memo(function TierHours({
  stand,
  tier: t,
  commands,
}: {
  stand: BenchStand;
  tier: BenchTier;
  commands: EditCommands;
}) {
  const { clock } = useSettings();
  const { id, on_min, lit_min, pause } = t.timer;
  const set = (on: number, lit: number) => commands.change('change the hours', setTimes(id, on, lit));
  const timers = [...new Map(stand.tiers.map((other) => [other.timer.id, other])).values()];
  const sharers = stand.tiers.filter((other) => other.timer.id === id);
  return (
    <section aria-labelledby="tier-hours" className="space-y-2">
      <h2 id="tier-hours" className="text-lg font-semibold">
        Hours
      </h2>
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2">
        <ClockField label="on at" value={on_min} onChange={(on) => set(on, lit_min)} />
        <NumberField
          label="for"
          unit="h"
          value={t.hours}
          min={0}
          max={mostLit(pause) / 60}
          inputClassName="w-16"
          onChange={(h) => set(on_min, h * 60)}
        />
        <span className="pb-1.5 text-soft">{pause ? timesWords(t.timer, clock) : `off ${showClock(offAt(t.timer), clock)}`}</span>
        {stand.tiers.length > 1 && (
          <SelectField
            label="timer"
            value={id}
            options={[
              ...timers.map((other) => ({
                value: other.timer.id,
                label: `of tier ${stand.tiers
                  .filter((s) => s.timer.id === other.timer.id)
                  .map((s) => s.number)
                  .join(', ')}`,
              })),
              ...(sharers.length > 1 ? [{ value: 'new', label: 'a separate timer' }] : []),
            ]}
            onChange={(timer) => commands.change('change the timer', plugInto(t.tier.id, timer === 'new' ? newId() : timer))}
          />
        )}
      </div>
    </section>
  );
});

/** The shelf above, or the sides, up or down by the notches that there are. */
function Notches({ tier: { tier }, notch, commands }: { tier: BenchTier; notch: number; commands: EditCommands }) {
  const by = (n: number) => commands.change('move the shelf', sizeTier(tier.id, { height: tier.enclosure.height + n * notch }));
  return (
    <div className="flex gap-1" role="group" aria-label="Shelf above">
      <Button size="icon" disabled={tier.enclosure.height - notch < 0.05} onClick={() => by(-1)}>
        1 notch lower
      </Button>
      <Button size="icon" onClick={() => by(1)}>
        1 notch higher
      </Button>
    </div>
  );
}

/** What a tier is made of and how large it is; the stand's own figures below. */
export const TierFields = memo(function TierFields({
  stand,
  tier: t,
  commands,
}: {
  stand: BenchStand;
  tier: BenchTier;
  commands: EditCommands;
}) {
  const { tier } = t;
  const change = (what: string, by: Parameters<typeof withTier>[1]) => commands.change(what, withTier(tier.id, by));
  return (
    <details>
      <summary className="min-h-9 text-lg font-semibold max-md:min-h-11">Size and sides of tier {t.number}</summary>
      <div className="space-y-4 pt-2">
        <div className="flex flex-wrap items-end gap-x-4 gap-y-2">
          <LengthField
            label="width"
            value={tier.width}
            min={0.1}
            max={6}
            inputClassName="w-20"
            onChange={(width) => commands.change('change the tier size', sizeTier(tier.id, { width }))}
          />
          <LengthField
            label="depth"
            value={tier.depth}
            min={0.05}
            max={3}
            inputClassName="w-20"
            onChange={(depth) => commands.change('change the tier size', sizeTier(tier.id, { depth }))}
          />
          <LengthField
            label="clear height"
            value={tier.enclosure.height}
            min={0.05}
            max={3}
            inputClassName="w-20"
            onChange={(height) => commands.change('change the tier size', sizeTier(tier.id, { height }))}
          />
          {tier.notch !== null && <Notches tier={t} notch={tier.notch} commands={commands} />}
          <LengthField
            label="Notch spacing of the posts"
            value={tier.notch}
            min={0.001}
            max={0.5}
            inputClassName="w-20"
            onChange={(notch) => change('change the notch spacing', (now) => ({ ...now, notch }))}
          />
          <MaybeWeightField
            label="shelf carries"
            value={tier.load}
            min={0}
            max={2000}
            inputClassName="w-16"
            onChange={(load) => change('change the maximum load', (now) => ({ ...now, load }))}
          />
          <MaybeNumberField
            label="power strip carries"
            unit="W"
            value={stand.stand.strip}
            min={1}
            max={20000}
            inputClassName="w-20"
            onChange={(strip) => commands.change('state the strip', changeStand(stand.stand.id, { strip }))}
          />
        </div>
        <div className="grid grid-cols-2 gap-x-4 gap-y-2">
          {ORDER.map((name) => (
            <SelectField
              key={name}
              label={FACE_WORDS[name]}
              value={tier.enclosure.faces[name]}
              options={MATERIALS}
              onChange={(id) =>
                change('change its sides', (now) => ({
                  ...now,
                  enclosure: { ...now.enclosure, faces: { ...now.enclosure.faces, [name]: id } },
                }))
              }
            />
          ))}
        </div>
        {stand.tiers.length > 1 && (
          <Button onClick={() => commands.change(`delete tier ${t.number}`, removeTier(stand.stand.id, tier.id))}>
            Delete tier {t.number}
          </Button>
        )}
      </div>
    </details>
  );
});
