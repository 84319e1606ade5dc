import type { BenchTier, BenchTray } from '../../answer/stand/benchStand';
import { receivedOf, turnedDay, type LightDay, type Received } from '../../judge/dli/LightDay';
import { shareInBand } from '../../judge/verdict/loss';
import { spreadOf } from '../../judge/dli/LightSpread';
import type { LightMap, Rect } from '../../light/field/Grid';
import { plantAreaOf } from '../../site/stand/footprint';
import type { RotationKind } from '../../site/stand/Rotation';
import type { Ppfd, Share } from '../../units/quantities';
import { roundOf } from './rotateTier';

/** Cells along and across a tray in which its light is added up. */
const ALONG = 24;
const ACROSS = 16;

/** A tray over one round of turning and changing places. */
export interface RotatedTray {
  readonly trayId: string;
  readonly received: Received;
  /** Of its area, in band. */
  readonly inBand: Share;
  /** The strongest light at any leaf on any day of the round. */
  readonly peak: Ppfd;
  /** Weakest spot over mean. */
  readonly evenness: Share;
}

/**
 * What each tray of a tier gets on average over a whole round: every spot of it in the light of all the places where it stands and all
 * the ways in which it is turned, each for as long as the others.
 *
 * @param lights  of each turn of swapping, the maps of all trays where they then stand; at least as many as there are places
 */
export function rotatedLight(
  tier: BenchTier,
  kind: RotationKind | null,
  lights: readonly Readonly<Record<string, LightMap | undefined>>[],
): RotatedTray[] {
  const turns = kind === null ? 1 : roundOf(tier.tier, kind);
  return tier.trays.flatMap((tray): RotatedTray[] => {
    const sum = new Float64Array(ALONG * ACROSS);
    let peak = 0;
    for (let n = 0; n < turns; n++) {
      const swapped = kind === 'swap' || kind === 'both' ? n % lights.length : 0;
      const map = lights[swapped]?.[tray.tray.id];
      if (!map) return [];
      const cells = sampled(map, areaIn(tray, map));
      peak = cells.reduce((most, v) => Math.max(most, v), peak);
      const isTurned = kind !== null && kind !== 'swap' && n % 2 === 1;
      for (let k = 0; k < sum.length; k++) sum[k]! += cells[isTurned ? sum.length - 1 - k : k]! / turns;
    }
    const light = spreadOf(sum, undefined, NINE);
    const day = dayOver(tier, tray, kind);
    const received = receivedOf(light, day);
    return [
      {
        trayId: tray.tray.id,
        received,
        peak,
        inBand: shareInBand(light, tray.stage, day),
        evenness: light.mean > 0 ? light.weakest / light.mean : 1,
      },
    ];
  });
}

/** The nine spots in the grid. */
const NINE = [0, ALONG / 2, ALONG - 1].flatMap((i) => [0, ACROSS / 2, ACROSS - 1].map((j) => i + ALONG * j));

/** The daylight of a round: trays that turn have it from two sides, those that change places that of them all. */
function dayOver(tier: BenchTier, tray: BenchTray, kind: RotationKind | null): LightDay {
  if (kind === null) return tray.day;
  return kind === 'turn' ? turnedDay(tray.day) : tier.day;
}

/** Where the plants of a tray are within its map: the same strip along its walls wherever it stands. */
function areaIn({ tray }: BenchTray, { area }: LightMap): Rect {
  const own = plantAreaOf(tray);
  const [dx, dy] = [(area.x0 + area.x1) / 2 - tray.x, (area.y0 + area.y1) / 2 - tray.y];
  return { x0: own.x0 + dx, x1: own.x1 + dx, y0: own.y0 + dy, y1: own.y1 + dy };
}

/** Strengths at an even grid over an area of a map, by the nearest cell. */
function sampled({ area, columns, rows, ppfd }: LightMap, over: Rect): Float64Array {
  const cell = (at: number, from: number, to: number, count: number) =>
    Math.min(count - 1, Math.max(0, Math.floor(((at - from) / (to - from)) * count)));
  const out = new Float64Array(ALONG * ACROSS);
  for (let j = 0; j < ACROSS; j++)
    for (let i = 0; i < ALONG; i++) {
      const x = over.x0 + ((i + 0.5) / ALONG) * (over.x1 - over.x0);
      const y = over.y0 + ((j + 0.5) / ACROSS) * (over.y1 - over.y0);
      out[i + ALONG * j] = ppfd[cell(x, area.x0, area.x1, columns) + columns * cell(y, area.y0, area.y1, rows)] as Ppfd;
    }
  return out;
}
