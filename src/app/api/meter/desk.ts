import { createMeterDesk, type MeterDesk } from '@/store/meter/meterDesk';

const KEY = Symbol.for('copper-noon/meter-desk');

/** The one desk of this server: routes are bundled apart, so it hangs on what they share. */
export function desk(): MeterDesk {
  const shared = globalThis as { [KEY]?: MeterDesk };
  return (shared[KEY] ??= createMeterDesk());
}
