import type { Problem } from '@/core/units/result';

/** What there can be too many of, by the last name of its place. */
const MANY: Readonly<Record<string, string>> = {
  stands: 'stands and set-ups',
  tiers: 'tiers on a stand',
  fittings: 'lamps on a tier',
  trays: 'trays on a tier',
  readings: 'readings on a tier',
  fits: 'fits of a tier',
  plugged: 'things plugged in at a stand',
  lamps: 'lamps of your own',
  spares: 'kinds of lamps in the cupboard',
  meters: 'meters',
  crops: 'crops of your own',
  cropNotes: 'notes on crops',
  batches: 'batches',
  programmes: 'timers',
  log: 'entries of a tray',
  away: 'trips',
  windows: 'windows',
  horizon: 'points of a skyline',
};

/** Why a change was not made: what would have come of it could not be kept. */
export function refusalWords(problems: readonly Problem[]): string {
  const { code, at, expected } = problems[0]!;
  const name = at
    .replace(/\[\d+\]$/, '')
    .split('.')
    .at(-1)!;
  const most = /\d+/.exec(expected ?? '')?.[0];
  if (code === 'site/arrayMaxSize') return `No more than ${most} ${MANY[name] ?? name} can be kept. Nothing has changed.`;
  if (code === 'site/maxLength') return `No more than ${most} letters fit in there. Nothing has changed.`;
  return `That can’t be kept (${at}: ${expected ?? code}). Nothing has changed.`;
}
