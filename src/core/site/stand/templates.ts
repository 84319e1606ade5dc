import { BARE_STAND, BARE_TIMER } from './bare';
import { AS_NEW } from '../../things/lamp/ageing';
import type { FaceName } from '../../light/room/Room';
import type { Metres } from '../../units/quantities';
import { SHELF } from './plain';
import type { Timer, Stand, StandKind, Tier } from './Site';

/** A usual stand to begin from; every figure can be changed afterwards. */
export interface Template {
  readonly kind: StandKind;
  readonly name: string;
  readonly about: string;
  readonly tiers: { readonly least: number; readonly usual: number; readonly most: number };
  readonly width: Metres;
  readonly depth: Metres;
  readonly height: Metres;
  readonly notch: Metres | null;
  readonly load: number | null;
  readonly faces: Readonly<Record<FaceName, string>>;
}

const OPEN = { floor: 'open', ceiling: 'open', left: 'open', right: 'open', front: 'open', back: 'open' } as const;

/** Usual sizes of what is sold for homes: growers' consensus, editable. */
export const TEMPLATES: readonly Template[] = [
  {
    kind: 'rack',
    name: 'Wire rack',
    about: 'Wire shelves on posts that are grooved every inch',
    tiers: { least: 1, usual: 4, most: 6 },
    width: 1.2,
    depth: 0.45,
    height: 0.4,
    notch: 0.0254,
    load: 60,
    faces: { ...OPEN, floor: 'wire', ceiling: 'wire' },
  },
  {
    kind: 'shelf',
    name: 'Bookshelf',
    about: 'Boards between wooden sides, with a back',
    tiers: { least: 1, usual: 3, most: 6 },
    width: 0.76,
    depth: 0.28,
    height: 0.34,
    notch: 0.032,
    load: 25,
    faces: { floor: 'pale-wood', ceiling: 'pale-wood', left: 'pale-wood', right: 'pale-wood', front: 'open', back: 'pale-wood' },
  },
  {
    kind: 'bench',
    name: 'Bench',
    about: 'A table with a bar above it that lamps hang from',
    tiers: { least: 1, usual: 1, most: 1 },
    width: 1.5,
    depth: 0.6,
    height: 0.9,
    notch: null,
    load: null,
    faces: { ...OPEN, floor: 'pale-wood' },
  },
  {
    kind: 'box',
    name: 'Clear box',
    about: 'A clear bin or propagator, lamp above the lid',
    tiers: { least: 1, usual: 1, most: 1 },
    width: 0.58,
    depth: 0.38,
    height: 0.4,
    notch: null,
    load: null,
    faces: { floor: 'dark', ceiling: 'open', left: 'clear', right: 'clear', front: 'clear', back: 'clear' },
  },
  {
    kind: 'sill',
    name: 'Windowsill',
    about: 'A sill under glass, with a lamp for the dark half of the year',
    tiers: { least: 1, usual: 1, most: 1 },
    width: 1.1,
    depth: 0.22,
    height: 0.7,
    notch: null,
    load: null,
    faces: { ...OPEN, floor: 'white-paint', back: 'clear' },
  },
  {
    kind: 'niche',
    name: 'Landing shelf',
    about: 'A board against a wall',
    tiers: { least: 1, usual: 1, most: 3 },
    width: 0.9,
    depth: 0.25,
    height: 0.5,
    notch: null,
    load: 20,
    faces: { ...OPEN, floor: 'pale-wood', back: 'white-paint' },
  },
  {
    kind: 'other',
    name: 'From nothing',
    about: 'Open all round; say yourself what it is made of',
    tiers: { least: 1, usual: 1, most: 6 },
    width: 1,
    depth: 0.5,
    height: 0.5,
    notch: null,
    load: null,
    faces: OPEN,
  },
];

/** An empty tier of a template. */
function tierFrom(template: Template, id: string, timerId: string): Tier {
  const { width, depth, height, faces, notch, load } = template;
  return {
    id,
    width,
    depth,
    enclosure: { width, depth, height, faces },
    notch,
    load,
    ageing: AS_NEW,
    fittings: [],
    trays: [],
    timerId,
    daylight: null,
    rotation: null,
    readings: [],
    fits: [],
  };
}

/** An empty stand of a template, all tiers on one timer. */
export function standFrom(template: Template, tiers: number, name: string, ids: () => string): { stand: Stand; timer: Timer } {
  const timer: Timer = { id: ids(), on_min: 6 * 60, lit_min: 16 * 60, ...BARE_TIMER };
  const stand: Stand = {
    id: ids(),
    name,
    kind: template.kind,
    autoArranged: false,
    tiers: Array.from({ length: tiers }, () => tierFrom(template, ids(), timer.id)),
    shelf: SHELF,
    ...BARE_STAND,
  };
  return { stand, timer };
}
