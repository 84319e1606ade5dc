import type { Site, Stand } from '../../site/stand/Site';
import type { Window } from '../../site/window/Window';

/** The window that a stand is at. */
export const windowOf = ({ windows }: Pick<Site, 'windows'>, { window }: Pick<Stand, 'window'>): Window | undefined =>
  window ? windows.find((w) => w.id === window.windowId) : undefined;

/** Whether a net curtain hangs already at the window that a stand is at. */
export const isCurtained = (site: Pick<Site, 'windows'>, stand: Pick<Stand, 'window'>): boolean =>
  (windowOf(site, stand)?.curtain ?? 1) < 1;
