import type { StageName } from '../../core/things/crop/Crop';
import { tables } from '../../core/things/tables/libraryTables';
import { addFitting, addTray, changeFittings, changeTrays, plugInto, setTimes, withTier } from '../../core/site/stand/change';
import { hangerOf, type HangerKind } from '../../core/site/stand/Hanger';
import type { Site, StandKind } from '../../core/site/stand/Site';
import { standFrom, TEMPLATES } from '../../core/site/stand/templates';
import type { Metres } from '../../core/units/quantities';

interface TierPlan {
  readonly trays: readonly {
    crop: string;
    stage?: StageName;
    in: string;
    x: Metres;
    y?: Metres;
    turned?: boolean;
    risers?: number;
    label?: string;
  }[];
  readonly lamps: readonly { lamp: string; x: Metres; y?: Metres; face: Metres; by?: HangerKind }[];
  readonly white?: true;
  readonly on_min: number;
  readonly lit_min: number;
  /** The tier above has the same timer. */
  readonly shared?: true;
}

/** The stands of the reading room's seed library, the highest tier first; what is wrong with them is meant to be. */
const PLANS: readonly { id: string; name: string; kind: StandKind; strip: number | null; tiers: readonly TierPlan[] }[] = [
  {
    id: 'demo-rack',
    name: 'Map-room rack',
    kind: 'rack',
    strip: 600,
    tiers: [
      {
        trays: [
          { crop: 'leek', in: 'cell-128', x: 0.31, risers: 2 },
          { crop: 'sweet-pea', in: 'cell-deep-32', x: 0.89 },
        ],
        lamps: [
          { lamp: 'led-shop-12-twin-42', x: 0.6, y: 0.14, face: 0.33, by: 'chain' },
          { lamp: 'led-shop-12-twin-42', x: 0.6, y: 0.31, face: 0.33, by: 'chain' },
        ],
        on_min: 330,
        lit_min: 840,
      },
      {
        trays: [
          { crop: 'celery', in: 'cell-72', x: 0.36, label: 'Celery, early' },
          { crop: 'celery', in: 'cell-72', x: 0.91, label: 'Celery, late' },
        ],
        lamps: [
          { lamp: 't5-09-2refl', x: 0.46, y: 0.12, face: 0.2, by: 'notch' },
          { lamp: 't5-09-2refl', x: 0.46, y: 0.33, face: 0.2, by: 'notch' },
        ],
        on_min: 330,
        lit_min: 960,
      },
      {
        trays: [
          { crop: 'tomatillo', in: 'flat-half', x: 0.32 },
          { crop: 'physalis', in: 'flat-half', x: 0.88 },
        ],
        lamps: [
          { lamp: 'led-a-17-clamp', x: 0.2, face: 0.33, by: 'cord' },
          { lamp: 'led-a-17-clamp', x: 0.44, face: 0.33, by: 'cord' },
          { lamp: 'led-a-17-clamp', x: 0.88, face: 0.3, by: 'cord' },
        ],
        on_min: 300,
        lit_min: 1020,
      },
      {
        trays: [
          { crop: 'sage', in: 'flat-half', x: 0.36 },
          { crop: 'parsley', in: 'flat-half', x: 0.84 },
        ],
        lamps: [
          { lamp: 'led-bar-12-white-24', x: 0.6, y: 0.15, face: 0.27, by: 'ratchet' },
          { lamp: 'led-bar-12-white-24', x: 0.6, y: 0.3, face: 0.27, by: 'ratchet' },
        ],
        white: true,
        on_min: 360,
        lit_min: 960,
      },
      {
        trays: [{ crop: 'snapdragon', in: 'cell-200', x: 0.6, y: 0.225 }],
        lamps: [
          { lamp: 'led-shop-12-twin-38', x: 0.6, y: 0.12, face: 0.2, by: 'chain' },
          { lamp: 'led-bar-12-white-24', x: 0.6, y: 0.33, face: 0.18, by: 'chain' },
        ],
        on_min: 360,
        lit_min: 960,
        shared: true,
      },
    ],
  },
  {
    id: 'demo-sill',
    name: 'North-east sill',
    kind: 'sill',
    strip: null,
    tiers: [
      {
        trays: [
          { crop: 'fern', stage: 'growing-on', in: 'pot-15', x: 0.2 },
          { crop: 'begonia-rex', stage: 'growing-on', in: 'pot-13', x: 0.55 },
          { crop: 'begonia-rex', stage: 'growing-on', in: 'pot-13', x: 0.85 },
        ],
        lamps: [
          { lamp: 'led-bar-06-white-10', x: 0.35, face: 0.62, by: 'cord' },
          { lamp: 'led-grow-15', x: 0.75, face: 0.57, by: 'cord' },
        ],
        on_min: 420,
        lit_min: 720,
      },
    ],
  },
  {
    id: 'demo-landing',
    name: 'Landing shelf',
    kind: 'niche',
    strip: null,
    tiers: [
      {
        trays: [
          { crop: 'hoya', stage: 'growing-on', in: 'pot-13', x: 0.2, risers: 3 },
          { crop: 'hoya', stage: 'growing-on', in: 'pot-13', x: 0.42, risers: 3 },
          { crop: 'peace-lily', stage: 'growing-on', in: 'pot-15', x: 0.73 },
        ],
        lamps: [{ lamp: 'led-shop-06-twin-20', x: 0.4, face: 0.7, by: 'cord' }],
        on_min: 480,
        lit_min: 780,
      },
    ],
  },
  // Bought for what is potted on; most of it is still empty.
  {
    id: 'demo-stacks',
    name: 'Stack-room rack',
    kind: 'rack',
    strip: 600,
    tiers: [0, 1, 2].map((i) => ({
      trays: i === 1 ? [{ crop: 'basil', stage: 'emergence' as const, in: 'cell-72', x: 0.31 }] : [],
      lamps: [0.13, 0.32].map((y) => ({ lamp: 'led-shop-12-twin-50', x: 0.6, y, face: 0.34, by: 'chain' as const })),
      white: true as const,
      on_min: 330,
      lit_min: 960,
      ...(i > 0 ? { shared: true as const } : {}),
    })),
  },
];

/** Puts the stands of the demo on the bench, beside the corners that are there. */
export function withDemoBench(site: Site): Site {
  const planted = PLANS.reduce((grown, plan) => {
    let n = 0;
    const ids = () => `${plan.id}-${n++}`;
    const template = TEMPLATES.find((t) => t.kind === plan.kind)!;
    const { stand, timer } = standFrom(template, plan.tiers.length, plan.name, ids);
    const bare = { ...stand, id: plan.id, strip: plan.strip };
    const start: Site = { ...grown, stands: [...grown.stands, bare], timers: [...grown.timers, timer] };
    return plan.tiers.reduce(
      (now, tier, i) => withTierPlan(now, bare.tiers[i]!.id, tier, i > 0 ? bare.tiers[i - 1]!.id : null, ids),
      start,
    );
  }, site);
  return {
    ...planted,
    // The stands first: they are what the demo is about.
    stands: [...planted.stands.slice(site.stands.length), ...site.stands],
    quiet: { from_min: 22 * 60, to_min: 5 * 60 },
    cheap: { from_min: 5 * 60, to_min: 7 * 60, price_per_kWh: 0.16 },
    spares: [
      { lampId: 'led-bar-12-white-24', count: 1 },
      { lampId: 'led-a-14-clamp', count: 1 },
    ],
  };
}

function withTierPlan(site: Site, tierId: string, plan: TierPlan, aboveId: string | null, ids: () => string): Site {
  const tierOf = (s: Site, id: string) => s.stands.flatMap((stand) => stand.tiers).find((t) => t.id === id)!;
  const { depth } = tierOf(site, tierId);
  let now = site;
  for (const y of plan.trays) {
    now = addTray(
      tierId,
      tables.container(y.in)!,
      { cropId: y.crop, stage: y.stage ?? 'seedling' },
      { x: y.x, y: y.y ?? depth / 2 },
      ids,
    )(now);
    const { id } = tierOf(now, tierId).trays.at(-1)!;
    now = changeTrays(tierId, [id], () => ({ risers: y.risers ?? 0, label: y.label ?? '' }))(now);
  }
  for (const { lamp, x, y, face, by } of plan.lamps) {
    const id = ids();
    now = addFitting(tierId, tables.lamp(lamp)!, { x, y: y ?? depth / 2, face }, id)(now);
    if (by) now = changeFittings(tierId, [id], () => ({ hanger: hangerOf(by) }))(now);
  }
  if (plan.white)
    now = withTier(tierId, (t) => ({
      ...t,
      enclosure: { ...t.enclosure, faces: { ...t.enclosure.faces, left: 'white-card', right: 'white-card', back: 'white-card' } },
    }))(now);
  const timer = plan.shared && aboveId ? tierOf(now, aboveId).timerId : ids();
  now = plugInto(tierId, timer)(now);
  return setTimes(timer, plan.on_min, plan.lit_min)(now);
}
