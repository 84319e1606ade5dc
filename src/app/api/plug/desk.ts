import { createPlugDesk, type PlugDesk } from '@/store/plug/plugDesk';

const KEY = Symbol.for('copper-noon/plug-desk');

/** The one desk of this server: routes are bundled apart, so it hangs on what they share. */
export function desk(): PlugDesk {
  const shared = globalThis as { [KEY]?: PlugDesk };
  return (shared[KEY] ??= createPlugDesk());
}
