'use client';
import { coverLibrary } from '@/core/things/container/coverLibrary';
import { CalendarDays } from 'lucide-react';
import { useMemo } from 'react';
import { measureBatch, stageBatch } from '@/core/site/growth/changeGrowth';
import { tables } from '@/core/things/tables/libraryTables';
import { ok } from '@/core/units/result';
import type { BenchTier, BenchTray } from '@/core/answer/stand/benchStand';
import { plantHeightOf } from '@/core/site/stand/canopy';
import { changeBatch, changeTrays } from '@/core/site/stand/change';
import { cropOf } from '@/core/site/crop/cropOf';
import { sizesOf } from '@/core/site/stand/plain';
import { containerItems } from '../parts/containerItems';
import { cropItems } from '../parts/cropItems';
import { LengthField } from '../parts/LengthField';
import { Segments } from '../parts/Segments';
import { SelectField } from '../parts/SelectField';
import { Stepper } from '../parts/Stepper';
import { TypedField } from '../parts/TypedField';
import { ageWords } from '../chart/ageWords';
import { Link } from '../parts/Link';
import { loggedNow } from '../season/loggedNow';
import { useSettings, useSite, useToday } from '../shell/WorkspaceContext';
import { percent, stageWords } from '../verdict/words';
import { trayName } from './benchWords';
import { ChoiceSheet } from './ChoiceSheet';
import { ThingTools } from './ThingTools';
import type { EditCommands } from './useEditCommands';

/** What may be over a tray until its seedlings are up, with what it takes of the light. */
const COVERS = [
  { value: '', label: 'none' },
  ...coverLibrary.map((c) => ({ value: c.id, label: `${c.name}, lets ${percent(c.transmittance)} through` })),
];

/** One tray: what grows in it, how far along and how tall, where and on what it stands. */
export function TrayPanel({ tier: t, tray: y, commands }: { tier: BenchTier; tray: BenchTray; commands: EditCommands }) {
  const { lengthUnit } = useSettings();
  const { tray, batch, crop, stage } = y;
  const items = useMemo(() => containerItems(lengthUnit), [lengthUnit]);
  const change = (what: string, by: Parameters<typeof changeTrays>[2]) => commands.change(what, changeTrays(t.tier.id, [tray.id], by));
  const expected = plantHeightOf({ ...batch, height: null }, crop, stage);
  const today = useToday();
  const own = useSite((s) => s.site.crops);
  const container = tray.containerId ? tables.container(tray.containerId) : undefined;
  return (
    <section aria-label="The chosen tray" className="space-y-3 border-b border-line pb-4">
      <div className="flex items-start justify-between gap-2">
        <div className="min-w-0 flex-1">
          <ChoiceSheet
            label="Crop"
            shown={crop.name}
            title="What grows in it?"
            description="Search by any of its names."
            placeholder="Tomato, begonia, spring onion…"
            items={cropItems(own)}
            chosen={crop.id}
            onChoose={(id) => {
              const next = cropOf({ crops: own }, id, tables)!;
              const kept = next.stages.find((s) => s.stage === batch.stage) ?? next.stages[0]!;
              commands.change('choose the crop', changeBatch(batch.id, { cropId: id, stage: kept.stage, height: null }));
            }}
          />
        </div>
        <ThingTools commands={commands} />
      </div>
      <Segments
        label="Stage"
        value={stage.stage}
        options={crop.stages.map((s) => ({ value: s.stage, label: stageWords(s) }))}
        onChange={(s) => commands.change('choose the stage', stageBatch(batch.id, s, loggedNow(today)))}
      />
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2">
        <LengthField
          label={batch.sown !== null ? 'height today' : batch.height === null ? 'height, expected' : 'height, measured'}
          value={batch.height ?? expected}
          min={0}
          max={3}
          inputClassName="w-20"
          onChange={(height) => commands.change('measure the plants', measureBatch(batch.id, height, loggedNow(today)))}
        />
        <LengthField
          label="from the left"
          value={tray.x}
          min={-1}
          max={10}
          inputClassName="w-20"
          onChange={(x) => change('move the tray', () => ({ x }))}
        />
        <LengthField
          label="from the front"
          value={tray.y}
          min={-1}
          max={10}
          inputClassName="w-20"
          onChange={(v) => change('move the tray', () => ({ y: v }))}
        />
      </div>
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2">
        <Stepper
          label="risers under the tray"
          value={tray.risers}
          min={0}
          max={8}
          onChange={(risers) => change('change the risers', () => ({ risers }))}
        />
        <SelectField
          label="cover"
          value={tray.coverId ?? ''}
          options={COVERS}
          onChange={(id) => change('change the cover', () => ({ coverId: id || null }))}
        />
        {tray.risers > 0 && (
          <LengthField
            label="each"
            value={tray.riserHeight}
            min={0.005}
            max={0.5}
            inputClassName="w-20"
            onChange={(riserHeight) => change('change the risers', () => ({ riserHeight }))}
          />
        )}
        <TypedField
          label="label"
          shown={tray.label}
          read={(text) => ok(text.trim().slice(0, 80))}
          onChange={(label) => change('label the tray', () => ({ label }))}
          hint="A few words."
          inputClassName="w-28"
        />
      </div>
      <Link
        href={`/tray/${encodeURIComponent(tray.id)}`}
        className="inline-flex min-h-9 items-center gap-1.5 font-semibold underline underline-offset-4 max-md:min-h-11"
      >
        <CalendarDays size={17} aria-hidden /> {batch.sown === null ? 'Say when it was sown, and plan its hours' : ageWords(y, today)}
      </Link>
      <ChoiceSheet
        label="Tray"
        shown={container?.name ?? `${trayName(y)}: a size of its own`}
        title="Which tray or pot?"
        description="A tray or pot from the list."
        placeholder="72 cells, 9 cm pot, flat…"
        items={items}
        chosen={tray.containerId}
        onChoose={(id) => change('choose the tray', () => sizesOf(tables.container(id)!))}
      />
    </section>
  );
}
