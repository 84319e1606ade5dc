import { gaussLegendre } from '../../units/gaussLegendre';
import type { Share } from '../../units/quantities';

export const PANE_KINDS = ['single', 'double', 'double-coated', 'triple-coated', 'sun-protection'] as const;
export type PaneKind = (typeof PANE_KINDS)[number];

/** How many photons of 400–700 nm a window lets through. */
export interface Glass {
  /** Of light from a whole sky. */
  readonly diffuse: Share;
  /** Of the sun's rays by the cosine of the angle at which they meet the pane; 0 from behind. */
  beam(cosine: number): Share;
}

const INDEX = 1.526; // of float glass; Duffie & Beckman (2013), ch. 5.1
/** Absorbed on the straight way through 4 mm: with `INDEX` a single pane then passes 0.90, as makers declare by EN 410. */
const ABSORBED = 0.018;

/** Panes, and what coatings let through of it. Coated double panes are declared 0.75–0.80, triple 0.68–0.74 (EN 410), sun protection 0.5–0.7. */
const KINDS: Record<PaneKind, { readonly panes: number; readonly coating: Share }> = {
  single: { panes: 1, coating: 1 },
  double: { panes: 2, coating: 1 },
  'double-coated': { panes: 2, coating: 0.95 },
  'triple-coated': { panes: 3, coating: 0.93 },
  'sun-protection': { panes: 2, coating: 0.75 },
};

const STEPS = 90;
const known = Object.fromEntries(PANE_KINDS.map((kind) => [kind, glassOf(kind)])) as Record<PaneKind, Glass>;

/** The glass of a kind, clean. */
export const glass = (kind: PaneKind): Glass => known[kind];

/** A pane that lets the same share through from every side: for comparison with published figures. */
export const evenGlass = (share: Share): Glass => ({ diffuse: share, beam: (cosine) => (cosine > 0 ? share : 0) });

/**
 * Light reflected between and absorbed in plane panes, both polarisations apart.
 *
 * Source: Fresnel's equations and the ray trace of Duffie & Beckman (2013), eq. 5.3.1–5.3.5.
 */
function glassOf(kind: PaneKind): Glass {
  const { panes, coating } = KINDS[kind];
  const table = Float64Array.from({ length: STEPS + 1 }, (_, i) => coating * throughPanes(panes, i / STEPS));
  const beam = (cosine: number): Share => {
    if (!(cosine > 0)) return 0;
    const at = Math.min(cosine, 1) * STEPS;
    const i = Math.min(Math.floor(at), STEPS - 1);
    return table[i]! + (table[i + 1]! - table[i]!) * (at - i);
  };
  // Of an even sky: ∫ τ(cos θ) · 2 cos θ d(cos θ).
  const rule = gaussLegendre(32);
  let diffuse = 0;
  rule.at.forEach((x, i) => (diffuse += rule.weight[i]! * beam(x + 0.5) * 2 * (x + 0.5)));
  return { diffuse, beam };
}

function throughPanes(panes: number, cosine: number): Share {
  if (cosine <= 0) return 0;
  const inside = Math.sqrt(1 - (1 - cosine ** 2) / INDEX ** 2);
  const left = Math.exp(Math.log(1 - ABSORBED) / inside);
  let sum = 0;
  for (const r of [
    ((cosine - INDEX * inside) / (cosine + INDEX * inside)) ** 2,
    ((INDEX * cosine - inside) / (INDEX * cosine + inside)) ** 2,
  ]) {
    const t1 = (left * (1 - r) ** 2) / (1 - (r * left) ** 2);
    const r1 = r * (1 + left * t1);
    let [t, back] = [t1, r1];
    for (let i = 1; i < panes; i++) [t, back] = [(t * t1) / (1 - back * r1), r1 + (t1 * t1 * back) / (1 - back * r1)];
    sum += t / 2;
  }
  return sum;
}
