import type { PlugState } from '../../core/plan/plug/PlugDriver';
import type { LivePlug } from './livePlug';

/** How often a plug is looked at, ms. */
const LOOK_MS = 1000;

/**
 * Looks at a plug again and again, one look at a time, until it fails once or is no longer watched.
 *
 * @param failed  told once, with the reason in words
 * @returns ends the watch: nobody is told anything afterwards
 */
export function watchPlug(plug: Pick<LivePlug, 'state'>, told: (state: PlugState) => void, failed: (reason: string) => void): () => void {
  let isWatched = true;
  let next: ReturnType<typeof setTimeout> | null = null;
  const look = async (): Promise<void> => {
    try {
      const state = await plug.state();
      if (!isWatched) return;
      told(state);
      next = setTimeout(() => void look(), LOOK_MS);
    } catch (e) {
      if (isWatched) failed(e instanceof Error ? e.message : String(e));
    }
  };
  void look();
  return () => {
    isWatched = false;
    if (next !== null) clearTimeout(next);
  };
}
