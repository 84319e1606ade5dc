'use client';
import { Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { meterErrorOf, meterLibrary, meterOf, unitOfMeter } from '@/core/things/meter/meterLibrary';
import { CHECK_EVERY_MS, type OwnMeter } from '@/core/site/reading/OwnMeter';
import { dropMeter, keepMeter } from '@/core/site/stand/changeReadings';
import { fail, ok } from '@/core/units/result';
import { newId } from '@/store/names/newId';
import { changeSite, undo } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { NumberField } from '../parts/NumberField';
import { SelectField } from '../parts/SelectField';
import { TypedField } from '../parts/TypedField';
import { say } from '../shell/toastStore';
import { useSite, useWorkspace } from '../shell/WorkspaceContext';
import { percent } from '../verdict/words';
import { MatchSheet } from './MatchSheet';
import { kindWords, unitWords } from './words';
import { LOCALE, numberWords } from '../parts/locale';

const MATCHED: Readonly<Record<OwnMeter['matchedBy'], string>> = {
  nothing: 'not calibrated',
  'known-meter': 'matched to a known meter',
  'noon-sun': 'matched to the noon sun',
};

/** The meters of the household: what they are, how good, and how each was matched. */
export function MetersPanel() {
  const { sites, settings } = useWorkspace();
  const meters = useSite((s) => s.site.meters);
  const add = () => {
    const meter: OwnMeter = {
      id: newId(),
      name: `Meter ${meters.length + 1}`,
      kindId: 'lux-basic',
      factor: 1,
      uncertainty: null,
      matchedBy: 'nothing',
      checked_ms: null,
    };
    changeSite(sites, 'add a meter', keepMeter(meter));
    settings.setState({ meter: meter.id });
  };
  return (
    <section className="space-y-4" aria-labelledby="meters">
      <div className="flex items-center gap-2">
        <h2 id="meters" className="flex-1 text-xl font-semibold">
          Your meters
        </h2>
        <Button onClick={add}>
          <Plus size={17} aria-hidden /> Add a meter
        </Button>
      </div>
      {meters.length === 0 && (
        <p className="text-soft">
          None yet: readings go by the usual meter of a kind. A meter of your own can be matched once against a known one or the noon sun,
          and carries its factor from then on; a phone is of little use without.
        </p>
      )}
      <ul className="space-y-4">
        {meters.map((m) => (
          <MeterItem key={m.id} meter={m} />
        ))}
      </ul>
    </section>
  );
}

function MeterItem({ meter }: { meter: OwnMeter }) {
  const { sites } = useWorkspace();
  const kind = meterOf(meter.kindId);
  const [now] = useState(() => Date.now());
  const change = (what: string, next: Partial<OwnMeter>) => changeSite(sites, what, keepMeter({ ...meter, ...next }));
  const due = meter.checked_ms !== null && now - meter.checked_ms > CHECK_EVERY_MS;
  return (
    <li className="space-y-2 border-t border-line pt-3" data-testid="own-meter">
      <div className="flex flex-wrap items-end gap-x-3 gap-y-2">
        <TypedField
          label="name"
          shown={meter.name}
          read={(text) => (text.trim() ? ok(text.trim().slice(0, 120)) : fail({ code: 'name/empty', at: '' }))}
          onChange={(name) => change('rename a meter', { name })}
          hint="A name, such as Yellow lux meter."
          inputClassName="w-48 max-w-full"
        />
        <SelectField
          label="kind"
          value={meter.kindId}
          options={meterLibrary.map((k) => ({ value: k.id, label: kindWords(k.id) }))}
          onChange={(kindId) => change('change a meter', { kindId, factor: 1, uncertainty: null, matchedBy: 'nothing', checked_ms: null })}
        />
        <NumberField
          label="times"
          value={meter.factor}
          min={0.25}
          max={4}
          inputClassName="w-18"
          onChange={(factor) => change('change a meter’s factor', { factor })}
        />
        <MatchSheet meter={meter} onMatched={(next) => change('match a meter', next)} />
        <Button
          kind="quiet"
          size="icon"
          aria-label={`Remove ${meter.name}`}
          title="Remove"
          onClick={() => {
            changeSite(sites, 'remove a meter', dropMeter(meter.id));
            say(`${meter.name} is removed; its readings stay as they are.`, { label: 'Undo', run: () => undo(sites) });
          }}
        >
          <Trash2 size={17} aria-hidden />
        </Button>
      </div>
      <p className="text-sm text-soft">
        {MATCHED[meter.matchedBy]}
        {meter.checked_ms !== null &&
          `, ${new Date(meter.checked_ms).toLocaleDateString(LOCALE, { day: 'numeric', month: 'long', year: 'numeric' })}`}
        ; good to ±{percent(meter.uncertainty ?? meterErrorOf(kind))}; ranges to {kind.ranges.map((r) => numberWords(r)).join(', ')}{' '}
        {unitWords(unitOfMeter(kind))}.
        {due && <strong className="font-semibold text-copper"> Calibrated more than two years ago. Calibrate it again.</strong>}
      </p>
    </li>
  );
}
