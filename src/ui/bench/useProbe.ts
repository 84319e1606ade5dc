'use client';
import { useEffect, useRef, useState } from 'react';
import type { TierLight } from '@/core/answer/bench/BenchQuestion';
import type { JudgedTray } from '@/core/answer/bench/judgeTray';
import { planeOf } from '@/core/answer/bench/questionOfStand';
import type { BenchTier } from '@/core/answer/stand/benchStand';
import { outlineOf } from '@/core/site/stand/footprint';
import { useSettings, useWorkspace } from '../shell/WorkspaceContext';
import { lightWords } from '../drawing/lightWords';
import { valueAt } from '../drawing/valueAt';
import { bandOf } from './bands';
import { fromEdgesWords } from '../drawing/fromEdgesWords';

/** Reads any point of a tier, and a moment later which lamps its light comes from. */
export function useProbe(t: BenchTier, light: TierLight | null, judged: readonly JudgedTray[]) {
  const { sharesAt } = useWorkspace();
  const { lengthUnit, mapShows } = useSettings();
  const [at, setAt] = useState<{ x: number; y: number } | null>(null);
  const [shares, setShares] = useState<{ key: string; words: string } | null>(null);
  const busy = useRef(false);
  const { tier } = t;
  const point = at && { x: Math.min(tier.width, Math.max(0, at.x)), y: Math.min(tier.depth, Math.max(0, at.y)) };
  const under = point && judged.find((j) => within(outlineOf(j.tray.tray), point));
  const map = under?.light.map ?? light?.map;
  const value = point && map ? valueAt(map, point.x, point.y) : null;
  const key = point ? `${tier.id} ${point.x.toFixed(2)} ${point.y.toFixed(2)}` : '';
  const z = under?.tray.canopy ?? planeOf(t);
  useEffect(() => {
    if (value === null || !point || busy.current || shares?.key === key) return;
    const timer = setTimeout(() => {
      busy.current = true;
      sharesAt(t, point.x, point.y, z)
        .then((parts) => setShares({ key, words: shareWords(t, parts, value) }))
        .catch(() => undefined) // the drawing says when the light cannot be computed
        .finally(() => {
          busy.current = false;
        });
    }, 120);
    return () => clearTimeout(timer);
  });
  let words: string | null = null;
  if (point && value !== null) {
    const { number, unit } = lightWords(
      value,
      t.hours,
      mapShows,
      bandOf(under?.tray ?? t.trays[0], (under?.tray ?? t.trays[0] ?? t).day).target,
    );
    words = `${number} ${unit} at ${fromEdgesWords(point, lengthUnit)}${shares?.key === key ? ` · ${shares.words}` : ''}`;
  }
  return { at: point, words, to: setAt };
}

/** "60 % front lamp, 38 % back lamp, 2 % other tiers" */
function shareWords(t: BenchTier, parts: readonly { id: string; ppfd: number }[], whole: number): string {
  const sum = parts.reduce((s, p) => s + p.ppfd, 0);
  const all = Math.max(whole, sum);
  if (!(all > 0)) return '';
  const named = t.lamps.map(({ fitting, lamp }, i) => {
    const share = (parts.find((p) => p.id === fitting.id)?.ppfd ?? 0) / all;
    const word = t.lamps.length === 1 ? lamp.name : `lamp ${i + 1}`;
    return { share, word };
  });
  const rest = 1 - sum / all;
  return [...named, ...(rest > 0.005 ? [{ share: rest, word: 'other tiers' }] : [])]
    .filter((n) => n.share >= 0.005)
    .sort((a, b) => b.share - a.share)
    .slice(0, 4)
    .map((n) => `${Math.round(n.share * 100)} % ${n.word}`)
    .join(', ');
}

const within = (r: { x0: number; x1: number; y0: number; y1: number }, p: { x: number; y: number }) =>
  p.x >= r.x0 && p.x <= r.x1 && p.y >= r.y0 && p.y <= r.y1;
