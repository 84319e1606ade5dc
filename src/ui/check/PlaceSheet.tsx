import { materialLibrary, materialOf } from '@/core/things/material/materialLibrary';
import type { FaceName } from '@/core/light/room/Room';
import { isRoofed } from '@/core/site/stand/Enclosure';
import { changeSite } from '@/store/site/siteStore';
import { setEnclosure } from '@/store/site/setUpVerbs';
import { Button } from '../parts/Button';
import { LengthField } from '../parts/LengthField';
import { Segments } from '../parts/Segments';
import { DoneSheet } from '../parts/Sheet';
import { useWorkspace } from '../shell/WorkspaceContext';
import { percent } from '../verdict/words';
import type { ChoiceSheetProps } from './CropSheet';
import { FACE_WORDS, surroundingsOf, SURROUNDINGS } from './surroundings';
import { Select } from '../parts/Select';

const ORDER: readonly FaceName[] = ['back', 'left', 'right', 'front', 'ceiling', 'floor'];

/** What is around it: a usual place with one press, or face by face, and how large. */
export function PlaceSheet({ setUp, trigger, open, onOpenChange }: ChoiceSheetProps) {
  const { sites } = useWorkspace();
  const { stand, tier } = setUp;
  const { enclosure } = tier;
  const change = (next: Parameters<typeof setEnclosure>[1]) => changeSite(sites, 'change what is around it', setEnclosure(stand.id, next));
  const setFace = (name: FaceName, id: string) => change({ faces: { [name]: id } });
  return (
    <DoneSheet
      title="What are the walls made of?"
      description="White walls reflect light to the edges of the tray. Open sides lose it."
      trigger={trigger}
      open={open}
      onOpenChange={onOpenChange}
    >
      <div className="space-y-5">
        <Segments
          label="A usual place"
          value={surroundingsOf(enclosure)?.id ?? ''}
          options={SURROUNDINGS.map((p) => ({ value: p.id, label: p.name }))}
          onChange={(id) => change({ faces: SURROUNDINGS.find((p) => p.id === id)!.faces })}
        />
        <fieldset>
          <legend className="pb-1 font-semibold">Or choose each wall</legend>
          <div className="grid grid-cols-2 gap-x-4 gap-y-3 md:grid-cols-3">
            {ORDER.map((name) => (
              <label key={name} className="block text-sm text-soft">
                {FACE_WORDS[name]}
                <Select className="block w-full text-base" value={enclosure.faces[name]} onChange={(e) => setFace(name, e.target.value)}>
                  {materialLibrary.map((m) => (
                    <option key={m.id} value={m.id}>
                      {m.name}
                    </option>
                  ))}
                </Select>
                <span className="text-soft">{reflectWords(enclosure.faces[name])}</span>
              </label>
            ))}
          </div>
        </fieldset>
        <fieldset>
          <legend className="pb-1 font-semibold">How large it is inside</legend>
          <div className="flex flex-wrap gap-4">
            <LengthField label="width" value={tier.width} min={0.1} max={5} onChange={(width) => change({ width })} />
            <LengthField label="depth" value={tier.depth} min={0.1} max={5} onChange={(depth) => change({ depth })} />
            <LengthField
              label={isRoofed(enclosure) ? 'clear height' : 'height of the sides'}
              value={enclosure.height}
              min={0.1}
              max={3}
              onChange={(height) => change({ height })}
            />
          </div>
          <p className="pt-1 text-sm text-soft">
            Never smaller than what stands in it.
            {(enclosure.width !== null || enclosure.depth !== null) && (
              <Button kind="quiet" size="icon" onClick={() => change({ width: null, depth: null })}>
                Resize to fit lamps and trays
              </Button>
            )}
          </p>
        </fieldset>
        <p className="text-sm text-soft">
          Sides close by also keep air from moving: a small fan helps. Cloth, paper and card stay clear of hot lamps.
        </p>
      </div>
    </DoneSheet>
  );
}

function reflectWords(id: string): string {
  const { reflectance, reflectanceUncertainty, transmittance } = materialOf(id);
  if (id === 'open') return 'Reflectance 0 %';
  const back = `sends back ${percent(reflectance)} ±${Math.round(100 * reflectanceUncertainty)}`;
  return transmittance > 0 ? `${back}, lets ${percent(transmittance)} through` : back;
}
