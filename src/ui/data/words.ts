import type { SnapshotLine } from '@/store/snapshots/snapshots';

/** Bytes as a person reads them. */
export function showBytes(bytes: number): string {
  if (bytes < 1000) return `${Math.round(bytes)} bytes`;
  if (bytes < 1e6) return `${Math.round(bytes / 1000)} kB`;
  return bytes < 1e9 ? `${Number((bytes / 1e6).toPrecision(2))} MB` : `${Number((bytes / 1e9).toPrecision(2))} GB`;
}

const NAMED = 4;

/** Names in a sentence, the rest as a number. */
export function namesWords(names: readonly string[]): string {
  const shown = names.slice(0, NAMED).map((n) => `“${n}”`);
  const rest = names.length - shown.length;
  return [...shown, ...(rest > 0 ? [`${rest} more`] : [])].join(', ');
}

/** What restoring a backup would bring back and take away, by the names of the set-ups; null where these are the same. */
export function differenceWords(inBackup: readonly string[], now: readonly string[]): string | null {
  const missing = inBackup.filter((n) => !now.includes(n));
  const added = now.filter((n) => !inBackup.includes(n));
  const parts = [
    ...(missing.length > 0 ? [`It has ${namesWords(missing)}, which ${missing.length === 1 ? 'is' : 'are'} not here now.`] : []),
    ...(added.length > 0 ? [`It does not have ${namesWords(added)}.`] : []),
  ];
  return parts.length > 0 ? parts.join(' ') : null;
}

export const WHY: Readonly<Record<SnapshotLine['why'], string>> = {
  hourly: 'automatic',
  before: 'before a restore',
  apart: 'from another window',
};
