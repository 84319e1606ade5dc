import type { Site, Stand } from '../../site/stand/Site';

/** Whether a net curtain hangs already at the window that a stand is at. */
export const isCurtained = ({ windows }: Pick<Site, 'windows'>, { window }: Pick<Stand, 'window'>): boolean =>
  windows.some(({ id, curtain }) => id === window?.windowId && curtain < 1);
