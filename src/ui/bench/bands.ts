import type { LightDay } from '@/core/judge/dli/LightDay';
import { lampBandOf, type LightBand } from '@/core/judge/dli/lightBand';
import type { BenchTier, BenchTray } from '@/core/answer/stand/benchStand';
import { outlineOf } from '@/core/site/stand/footprint';
import type { View } from './benchFrame';

/** Where no tray stands yet: what most seedlings ask, 8 to 16 mol in 16 hours. Growers' consensus, and said to be so. */
const ANY_SEEDLING: LightBand = { low: 140, target: 210, high: 280, highBy: 'dose' };

/** The band in which a tray's light is shown. */
export const bandOf = (tray: BenchTray | undefined, day: LightDay): LightBand =>
  tray && day.lit_min > 0 ? lampBandOf(tray.stage, day) : ANY_SEEDLING;

/** A stretch of a tier, as shares of its width, and the band that is shown there. */
export interface Stretch {
  readonly from: number;
  readonly to: number;
  readonly band: LightBand;
  readonly tray: BenchTray | undefined;
}

/**
 * Along a tier each tray's own crop decides what the colours mean, halfway to the next tray; neighbours of one crop and stage
 * make one stretch. With a tray chosen, its crop decides for the whole tier.
 */
export function stretchesOf(tier: BenchTier, view: View, chosen: BenchTray | undefined): Stretch[] {
  const span = view === 'front' ? tier.tier.width : tier.tier.depth;
  if (chosen || tier.trays.length === 0) return [{ from: 0, to: 1, band: bandOf(chosen, (chosen ?? tier).day), tray: chosen }];
  const ends = (t: BenchTray) => {
    const r = outlineOf(t.tray);
    return view === 'front' ? [r.x0, r.x1] : [r.y0, r.y1];
  };
  const inOrder = [...tier.trays].sort((a, b) => ends(a)[0]! - ends(b)[0]!);
  const stretches: Stretch[] = [];
  inOrder.forEach((tray, i) => {
    const last = stretches[stretches.length - 1];
    if (last?.tray && last.tray.stage === tray.stage) return;
    const from = i === 0 ? 0 : Math.min(1, Math.max(0, (ends(inOrder[i - 1]!)[1]! + ends(tray)[0]!) / 2 / span));
    stretches.push({ from, to: 1, band: bandOf(tray, tray.day), tray });
  });
  return stretches.map((s, i) => ({ ...s, to: stretches[i + 1]?.from ?? 1 })).filter((s) => s.to > s.from);
}
