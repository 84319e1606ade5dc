'use client';
import { meterLibrary } from '@/core/things/meter/meterLibrary';
import { useSite, useWorkspace } from '../shell/WorkspaceContext';
import { PRACTICE, useMeter } from './useMeter';
import { kindWords } from './words';
import { Select } from '../parts/Select';

/** Kinds that are simulated for practice: one of each way to read. */
const FOR_PRACTICE = ['lux-basic', 'fc-analogue', 'quantum-par', 'phone-sensor'];

/** Which meter is in the hand: one's own, any of a kind, or a simulated one. */
export function MeterChoice({ practice = true }: { practice?: boolean }) {
  const { settings } = useWorkspace();
  const meters = useSite((s) => s.site.meters);
  const { choice, kind, practice: simulated } = useMeter();
  return (
    <label className="block text-sm text-soft">
      meter
      <Select
        aria-label="Meter"
        className="block w-full max-w-72 text-base"
        value={simulated && !practice ? kind.id : choice}
        onChange={(e) => settings.setState({ meter: e.target.value })}
      >
        {meters.length > 0 && (
          <optgroup label="Yours">
            {meters.map((m) => (
              <option key={m.id} value={m.id}>
                {m.name}
              </option>
            ))}
          </optgroup>
        )}
        <optgroup label="Any">
          {meterLibrary.map((m) => (
            <option key={m.id} value={m.id}>
              {kindWords(m.id)}
            </option>
          ))}
        </optgroup>
        {practice && (
          <optgroup label="To practise with, simulated">
            {FOR_PRACTICE.map((id) => (
              <option key={id} value={`${PRACTICE}${id}`}>
                practice: {kindWords(id)}
              </option>
            ))}
          </optgroup>
        )}
      </Select>
    </label>
  );
}
