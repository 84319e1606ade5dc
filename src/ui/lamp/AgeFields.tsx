import { hoursBurned, maintenance, type AgeView } from '@/core/things/lamp/ageing';
import type { SetUp } from '@/core/answer/stand/setUp';
import { changeSite } from '@/store/site/siteStore';
import { setAgeing } from '@/store/site/setUpVerbs';
import { MaybeNumberField } from '../parts/MaybeNumberField';
import { NumberField } from '../parts/NumberField';
import { Segments } from '../parts/Segments';
import { useWorkspace } from '../shell/WorkspaceContext';
import { percent } from '../verdict/words';
import { wholeWords } from '../parts/locale';

const VIEWS: readonly { value: AgeView; label: string }[] = [
  { value: 'new', label: 'new' },
  { value: 'now', label: 'as it is now' },
  { value: 'end', label: 'at the end of its life' },
];

/** Lamps fade: how old these are, how dusty, and for which day the light is shown. */
export function AgeFields({ setUp }: { setUp: SetUp }) {
  const { sites } = useWorkspace();
  const { stand, tier, lamp, hours, calibration } = setUp;
  const { ageing } = tier;
  const change = (next: Partial<typeof ageing>) => changeSite(sites, 'change the lamp’s age', setAgeing(stand.id, next));
  const years = hours > 0 ? lamp.life_h / (hours * 365.25) : null;
  return (
    <div className="space-y-4">
      <Segments label="Show the light of" value={ageing.view} options={VIEWS} onChange={(view) => change({ view })} />
      <div className="flex flex-wrap gap-4">
        <MaybeNumberField
          label="operating hours so far"
          unit="h"
          value={ageing.used_h}
          min={0}
          max={500000}
          onChange={(used_h) => change({ used_h })}
        />
        <NumberField
          label="light lost to dust"
          unit="%"
          value={Math.round(ageing.dirt * 100)}
          min={0}
          max={60}
          inputClassName="w-16"
          onChange={(dirt) => change({ dirt: dirt / 100 })}
        />
      </div>
      <p>
        {ageing.used_h === null
          ? `Its hours are not known: it is taken to be half-way through its life, giving ${percent(maintenance(lamp, hoursBurned(lamp, ageing)))} of its first light, and the band says how far that may be off.`
          : `After ${wholeWords(ageing.used_h)} h a lamp of its kind still gives ${percent(maintenance(lamp, ageing.used_h))} of its first light.`}{' '}
        At the end of its stated {wholeWords(lamp.life_h)} h it gives {percent(lamp.maintenanceAtEnd)}
        {years !== null &&
          `; at ${hours} h a day that is in ${years < 1.5 ? `${Math.round(years * 12)} months` : `${Math.round(years)} years`}`}
        . Plan for that day, not for the first.
      </p>
      {calibration && <p className="text-sm text-soft">Output at other ages is calculated from your readings.</p>}
    </div>
  );
}
