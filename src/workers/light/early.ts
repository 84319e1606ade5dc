import { startLightWorker, type LightWorker } from './light.client';

let early: LightWorker | null = null;

/**
 * Starts a light worker before anybody asks: it loads beside the page while that is still being put together, and has its tables ready
 * when the first question comes. Once a page.
 */
export function startEarly(): void {
  early ??= startLightWorker();
}

/** The worker that was started early, where there is one that nobody has taken yet; else a new one. */
export function takeLightWorker(start: () => LightWorker = startLightWorker): LightWorker {
  const taken = early ?? start();
  early = null;
  return taken;
}
