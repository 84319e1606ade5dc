import { randomBytes } from 'node:crypto';
import { createHandoverDesk, type HandoverDesk } from '@/store/handover/handoverDesk';

const KEY = Symbol.for('copper-noon/handover-desk');

/** The one desk of this server: routes are bundled apart, so it hangs on what they share. */
export function desk(): HandoverDesk {
  const shared = globalThis as { [KEY]?: HandoverDesk };
  return (shared[KEY] ??= createHandoverDesk(() => randomBytes(16).toString('hex')));
}
