import type { Share } from '../../units/quantities';

/** What a lamp gives and draws at a setting of its dimmer, as shares of full. */
export interface DimPoint {
  readonly setting: Share;
  readonly light: Share;
  readonly draw: Share;
}

/** The dimmer of a lamp: the settings that it has besides full (none: any), and what was measured at some of them. */
export interface Dimmer {
  readonly steps: readonly Share[];
  readonly points: readonly DimPoint[];
}

export const FULL: Share = 1;
/** Below this drivers flicker or go out. */
export const LEAST_SETTING: Share = 0.1; // our choice: usual LED drivers go down to a tenth

/** What a driver draws at no light, as a share of full power: drivers lose about so much at any setting. Our estimate. */
const DRIVER_DRAW: Share = 0.04;

/** Where nothing was measured: light as the setting says, draw in proportion above what the driver takes for itself. */
const ENDS: readonly DimPoint[] = [
  { setting: 0, light: 0, draw: DRIVER_DRAW },
  { setting: FULL, light: 1, draw: 1 },
];

/**
 * Light and draw at a setting: by straight lines between what was measured, no light at zero and all of it at full.
 *
 * @param setting  0 … 1; beyond it is taken as its nearer end
 */
export function dimmedTo({ points }: Pick<Dimmer, 'points'>, setting: Share): { readonly light: Share; readonly draw: Share } {
  const known = [...ENDS, ...points.filter((p) => p.setting > 0 && p.setting < FULL)].sort((a, b) => a.setting - b.setting);
  const at = Math.min(FULL, Math.max(0, setting));
  const i = Math.max(
    1,
    known.findIndex((p) => p.setting >= at),
  );
  const [a, b] = [known[i - 1]!, known[i]!];
  const share = (at - a.setting) / (b.setting - a.setting);
  return { light: a.light + share * (b.light - a.light), draw: a.draw + share * (b.draw - a.draw) };
}

/** The settings that a dimmer offers, the brightest first. */
export const settingsOf = ({ steps }: Pick<Dimmer, 'steps'>): Share[] =>
  steps.length > 0
    ? [...new Set([FULL, ...steps])].sort((a, b) => b - a)
    : Array.from({ length: 10 }, (_, i) => Math.round((FULL - i / 10) * 10) / 10);

/** The setting that a dimmer can have nearest to one that is wished. */
export function nearestSetting(dimmer: Pick<Dimmer, 'steps'>, wished: Share): Share {
  if (dimmer.steps.length === 0) return Math.min(FULL, Math.max(LEAST_SETTING, wished));
  return settingsOf(dimmer).reduce((a, b) => (Math.abs(b - wished) < Math.abs(a - wished) ? b : a));
}
