import type { FaceName } from '../light/room/Room';
import type { Metres } from '../quantities';

/** One thing that a person can do to a stand. */
export type Move =
  /** All lamps of a tier up or down by so many of their own steps. */
  | { readonly do: 'hang'; readonly tierId: string; readonly steps: number }
  | { readonly do: 'hours'; readonly programmeId: string; readonly on_min: number; readonly lit_min: number }
  /** All lamps of a tier sideways or to the back. */
  | { readonly do: 'shift'; readonly tierId: string; readonly dx: Metres; readonly dy: Metres }
  /** The gap between the lamps of a tier, which stay where their middle is. */
  | { readonly do: 'gap'; readonly tierId: string; readonly gap: Metres }
  /** One more lamp, of those that lie in the cupboard. */
  | { readonly do: 'add-lamp'; readonly tierId: string; readonly lampId: string; readonly y: Metres }
  /** Every lamp of a tier gives way to one of another kind. */
  | { readonly do: 'swap-lamp'; readonly tierId: string; readonly lampId: string }
  | { readonly do: 'line'; readonly tierId: string; readonly faces: readonly FaceName[] }
  | { readonly do: 'riser'; readonly trayId: string; readonly risers: number; readonly before: number }
  | { readonly do: 'turn-tray'; readonly trayId: string }
  | { readonly do: 'shift-tray'; readonly trayId: string; readonly x: Metres; readonly y: Metres; readonly dx: Metres }
  | { readonly do: 'swap-trays'; readonly trayId: string; readonly otherId: string }
  | { readonly do: 'tray-to-tier'; readonly trayId: string; readonly tierId: string; readonly x: Metres; readonly y: Metres };

/** How much trouble a move is, in minutes with wet hands: our estimate. */
export const EFFORT_min: Readonly<Record<Move['do'], number>> = {
  hours: 1,
  hang: 2,
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
