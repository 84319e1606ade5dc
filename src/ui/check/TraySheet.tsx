'use client';
import { useMemo } from 'react';
import { containerLibrary } from '@/core/things/container/containerLibrary';
import { trayBlockOf } from '@/core/site/stand/layOut';
import { changeSite } from '@/store/site/siteStore';
import { chooseContainer, setTrayBlock, setTraySize } from '@/store/site/setUpVerbs';
import { LengthField } from '../parts/LengthField';
import { containerItems } from '../parts/containerItems';
import { SearchList } from '../parts/SearchList';
import { Segments } from '../parts/Segments';
import { DoneSheet } from '../parts/Sheet';
import { Stepper } from '../parts/Stepper';
import { useSettings, useWorkspace } from '../shell/WorkspaceContext';
import type { ChoiceSheetProps } from './CropSheet';

/** The tray, how many stand side by side, or a size of one's own. */
export function TraySheet({ setUp, trigger, open, onOpenChange }: ChoiceSheetProps) {
  const { sites } = useWorkspace();
  const { lengthUnit } = useSettings();
  const { stand, tier } = setUp;
  const tray = tier.trays[0]!;
  const block = trayBlockOf(tier);
  const items = useMemo(() => containerItems(lengthUnit), [lengthUnit]);
  const setBlock = (change: Partial<typeof block>) => changeSite(sites, 'place the trays', setTrayBlock(stand.id, change));
  const size = (change: Partial<{ length: number; width: number; height: number }>) => {
    const next = { length: tray.length, width: tray.width, height: tray.height, ...change };
    changeSite(sites, 'size the tray', setTraySize(stand.id, next.length, next.width, next.height));
  };
  return (
    <DoneSheet
      title="Which tray or pot?"
      description="A tray or pot from the list, or a size of your own."
      trigger={trigger}
      open={open}
      onOpenChange={onOpenChange}
    >
      <div className="space-y-5">
        <SearchList
          label="Trays and pots"
          placeholder="72 cells, 9 cm pot, flat…"
          items={items}
          chosen={tray.containerId}
          onChoose={(id) =>
            changeSite(
              sites,
              'choose the tray',
              chooseContainer(
                stand.id,
                containerLibrary.find((c) => c.id === id)!,
              ),
            )
          }
          empty="No results for this name. Type the size of yours below."
        />
        <div className="flex flex-wrap items-end gap-4">
          <Stepper label="side by side" value={block.across} min={1} max={8} onChange={(across) => setBlock({ across })} />
          <Stepper label="rows deep" value={block.deep} min={1} max={8} onChange={(deep) => setBlock({ deep })} />
          <Segments
            label="Tray direction"
            value={block.turned ? 'across' : 'along'}
            options={[
              { value: 'along', label: 'along the lamp' },
              { value: 'across', label: 'across it' },
            ]}
            onChange={(v) => setBlock({ turned: v === 'across' })}
          />
        </div>
        <fieldset>
          <legend className="pb-1 font-semibold">{tray.containerId ? 'Its size; change it for one of your own' : 'Your own size'}</legend>
          <div className="flex flex-wrap gap-4">
            <LengthField label="width" value={tray.length} min={0.02} max={2.5} onChange={(length) => size({ length })} />
            <LengthField label="depth" value={tray.width} min={0.02} max={2.5} onChange={(width) => size({ width })} />
            <LengthField label="height" value={tray.height} min={0} max={0.8} onChange={(height) => size({ height })} />
          </div>
        </fieldset>
      </div>
    </DoneSheet>
  );
}
