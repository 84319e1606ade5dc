import type { FaceName } from '../../light/room/Room';
import type { Metres, Share } from '../../units/quantities';

/** One thing that a person can do to a stand. */
export type Move =
  /** All lamps of a tier that can be hung otherwise up or (below zero) down, each by the whole steps of its hanger that come nearest. */
  | { readonly do: 'hang'; readonly tierId: string; readonly lift: Metres }
  /** All lamps of a tier at a setting of their dimmers, each at the nearest that it has. */
  | { readonly do: 'dim'; readonly tierId: string; readonly to: Share }
  | { readonly do: 'hours'; readonly timerId: string; readonly on_min: number; readonly lit_min: number }
  /** All lamps of a tier sideways or to the back. */
  | { readonly do: 'shift'; readonly tierId: string; readonly dx: Metres; readonly dy: Metres }
  /** The gap between the lamps of a tier, which stay where their middle is. */
  | { readonly do: 'gap'; readonly tierId: string; readonly gap: Metres }
  /** One more lamp, of those that lie in the cupboard. */
  | { readonly do: 'add-lamp'; readonly tierId: string; readonly lampId: string; readonly y: Metres }
  /** Every lamp of a tier gives way to one of another kind: out of the cupboard as far as they lie there, else to be bought. */
  | { readonly do: 'swap-lamp'; readonly tierId: string; readonly lampId: string }
  | { readonly do: 'line'; readonly tierId: string; readonly faces: readonly FaceName[] }
  | { readonly do: 'riser'; readonly trayId: string; readonly risers: number }
  | { readonly do: 'turn-tray'; readonly trayId: string }
  | { readonly do: 'shift-tray'; readonly trayId: string; readonly dx: Metres; readonly dy: Metres }
  | { readonly do: 'swap-trays'; readonly trayId: string; readonly otherId: string }
  | { readonly do: 'tray-to-tier'; readonly trayId: string; readonly tierId: string; readonly x: Metres; readonly y: Metres };

/** How much trouble a move is, in minutes with wet hands: our estimate. */
export const EFFORT_min: Readonly<Record<Move['do'], number>> = {
  hours: 1,
  hang: 2,
  dim: 1,
  'turn-tray': 1,
  'shift-tray': 1,
  'swap-trays': 2,
  riser: 2,
  shift: 4,
  gap: 5,
  'tray-to-tier': 3,
  'add-lamp': 10,
  line: 15,
  'swap-lamp': 25,
};

/** What lines a side. */
export const LINING = 'white-card';

/** What a move is about: the tier of its lamps, its tray or its timer. */
export const aboutOf = (m: Move): string => ('trayId' in m ? m.trayId : 'timerId' in m ? m.timerId : m.tierId);

/** Names a move: the same for the same move, whatever it is called on the screen. */
export const idOf = (m: Move): string =>
  Object.values(m.do === 'swap-trays' && m.otherId < m.trayId ? { ...m, trayId: m.otherId, otherId: m.trayId } : m)
    .map((v) => (typeof v === 'number' ? Math.round(v * 1e4) / 1e4 : v))
    .join(':');

/** Heights and hours are tuned for everything else. */
export const isStructural = (m: Move): boolean => m.do !== 'hang' && m.do !== 'hours';

/** What kind of move it is, and on what. */
export const kindOf = (m: Move): string => `${m.do} ${aboutOf(m)}`;
