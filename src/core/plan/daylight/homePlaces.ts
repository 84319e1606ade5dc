import { canopyOfTray } from '../../answer/daylight/litByWindow';
import { askedAt, askedOfPoint, type SillAsked } from '../../answer/daylight/sillsOf';
import { shelfStands } from '../../site/stand/shelfStands';
import type { Site } from '../../site/stand/Site';
import type { Tables } from '../../things/tables/Tables';
import type { Metres } from '../../units/quantities';

/** A place of the household where a plant can stand: a tier, or a free one before a window. */
export interface HomePlace {
  readonly id: string;
  readonly stand: {
    readonly id: string;
    readonly name: string;
    /** From the top; null: it has but one. */
    readonly tier: number | null;
  } | null;
  readonly window: { readonly id: string; readonly name: string } | null;
  /** From the glass; null at no window. */
  readonly depth: Metres | null;
  /** To work out its daylight; null: none is known to come there. */
  readonly asked: SillAsked | null;
}

/** Free places before every window: on its sill, within reach of it, and in the room; m from the glass. */
const FREE = [0.15, 0.6, 1.5] as const; // our choice
/** Leaves of a pot that stands there, over the lower edge of the window, m. */
const LEAVES: Metres = 0.2; // our choice

/** All places of the household: the tiers of its stands, and free ones before each window. */
export function homePlaces(site: Site, tables: Pick<Tables, 'crop'>): HomePlace[] {
  const tiers = shelfStands(site).flatMap((stand) =>
    stand.tiers.map((tier, i): HomePlace => {
      const tray = tier.trays[0];
      const z = tray ? canopyOfTray(site, tray, tables) : LEAVES;
      const asked = askedOfPoint(site, stand, tier, { x: tier.width / 2, y: tier.depth / 2, z });
      return {
        id: tier.id,
        stand: { id: stand.id, name: stand.name, tier: stand.tiers.length > 1 ? i + 1 : null },
        window: asked && { id: asked.window.id, name: asked.window.name },
        depth: asked && asked.at.depth,
        asked,
      };
    }),
  );
  const free = site.windows.flatMap((window) =>
    FREE.map((depth): HomePlace => ({
      id: `${window.id} ${depth}`,
      stand: null,
      window: { id: window.id, name: window.name },
      depth,
      asked: askedAt(window, { depth, along: 0, over: LEAVES }, site.place),
    })),
  );
  return [...tiers, ...free];
}
