/** Where a kind of lamp is shown, and where a lamp of one's own is. */
export const kindPath = (id: string): string => `/lamps/library/${encodeURIComponent(id)}`;
export const ownPath = (id: string): string => `/lamps/mine/${encodeURIComponent(id)}`;
