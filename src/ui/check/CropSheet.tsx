'use client';
import { measureBatch, stageBatch } from '@/core/site/growth/changeGrowth';
import { plantHeightOf } from '@/core/site/stand/canopy';
import { tables } from '@/core/things/tables/libraryTables';
import { type SetUp } from '@/core/answer/stand/setUp';
import { cropOf } from '@/core/site/crop/cropOf';
import { changeSite } from '@/store/site/siteStore';
import { chooseCrop, chooseStage, setPlantHeight } from '@/store/site/setUpVerbs';
import { Button } from '../parts/Button';
import { LengthField } from '../parts/LengthField';
import { cropItems } from '../parts/cropItems';
import { SearchList } from '../parts/SearchList';
import { Segments } from '../parts/Segments';
import { DoneSheet } from '../parts/Sheet';
import { loggedNow } from '../season/loggedNow';
import { useSite, useToday, useWorkspace } from '../shell/WorkspaceContext';
import { basisWords, stageWords } from '../verdict/words';

export interface ChoiceSheetProps {
  setUp: SetUp;
  trigger: React.ReactNode;
  open: boolean;
  onOpenChange(open: boolean): void;
}

/** Crop and stage, and the plants' own height. */
export function CropSheet({ setUp, trigger, open, onOpenChange }: ChoiceSheetProps) {
  const { sites } = useWorkspace();
  const site = useSite((s) => s.site);
  const { crop, stage, stand, batch } = setUp;
  const today = useToday();
  const dated = batch.sown !== null;
  const expected = plantHeightOf({ ...batch, height: null }, crop, stage);
  return (
    <DoneSheet
      title="What are you growing?"
      description="Search by any of its names, then say how far along it is."
      trigger={trigger}
      open={open}
      onOpenChange={onOpenChange}
    >
      <div className="space-y-5">
        <SearchList
          label="Crops"
          placeholder="Tomato, begonia, spring onion…"
          items={cropItems(site.crops)}
          chosen={crop.id}
          onChoose={(id) => changeSite(sites, 'choose the crop', chooseCrop(stand.id, cropOf(site, id, tables)!))}
          empty="Choose a plant of the same family. It needs about the same light."
        />
        <div className="space-y-2">
          <p className="font-semibold">{crop.name}: how far along?</p>
          <Segments
            label="Stage"
            value={stage.stage}
            options={crop.stages.map((s) => ({ value: s.stage, label: stageWords(s) }))}
            onChange={(s) =>
              changeSite(sites, 'choose the stage', dated ? stageBatch(batch.id, s, loggedNow(today)) : chooseStage(stand.id, s))
            }
          />
          <p className="text-soft">
            {stage.fromDay !== null && `From day ${stage.fromDay}. `}Needs {stage.dliMin}–{stage.dliMax} mol/m²/day (best {stage.dliTarget})
            in {stage.hoursMin}–{stage.hoursMax} h, at most {stage.ppfdMax} µmol/m²/s: {basisWords(stage.basis)}.
          </p>
        </div>
        <div className="flex flex-wrap items-end gap-3">
          <LengthField
            label="plants’ height above the compost"
            value={setUp.plantHeight}
            min={0}
            max={3}
            onChange={(v) =>
              changeSite(sites, 'measure the plants', dated ? measureBatch(batch.id, v, loggedNow(today)) : setPlantHeight(stand.id, v))
            }
          />
          {dated ? (
            <p className="pb-2 text-sm text-soft">today, by its date and what was measured</p>
          ) : batch.height !== null && Math.abs(batch.height - expected) > 1e-6 ? (
            <Button kind="quiet" onClick={() => changeSite(sites, 'use the usual height', setPlantHeight(stand.id, null))}>
              Use the usual height
            </Button>
          ) : (
            <p className="pb-2 text-sm text-soft">usual at this stage; growers’ consensus</p>
          )}
        </div>
        {crop.notes && <p className="text-soft">{crop.notes}</p>}
      </div>
    </DoneSheet>
  );
}
