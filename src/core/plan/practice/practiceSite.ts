import { BARE_SITE, BARE_STAND, UNDATED } from '../../site/stand/bare';
import { addFitting, addTray, changeBatch, changeFittings, changeTrays, setTimes, withTier } from '../../site/stand/change';
import { hangerOf, type HangerKind } from '../../site/stand/Hanger';
import type { Site, StandKind } from '../../site/stand/Site';
import { standFrom, TEMPLATES } from '../../site/stand/templates';
import type { FaceName } from '../../light/room/Room';
import type { Lamp } from '../../things/lamp/Lamp';
import type { Tables } from '../../things/tables/Tables';
import type { Day } from '../../units/day';
import type { Metres } from '../../units/quantities';

/** One tier of a practice stand, in a few words. */
export interface PracticeTier {
  readonly kind: StandKind;
  readonly name: string;
  readonly trays: readonly PracticeTray[];
  readonly lamps: readonly {
    readonly lamp: string;
    readonly x: Metres;
    readonly y?: Metres;
    readonly face: Metres;
    readonly by?: HangerKind;
  }[];
  readonly faces?: Partial<Record<FaceName, string>>;
  readonly on_min: number;
  readonly lit_min: number;
}

interface PracticeTray {
  readonly id: string;
  readonly crop: string;
  readonly in: string;
  readonly x: Metres;
  readonly y?: Metres;
  readonly turned?: boolean;
  readonly label?: string;
  /** Up for so many days; left out: sown `sown` days ago and not up yet. */
  readonly age?: number;
  readonly sown?: number;
}

/** A price of power for practice: a round one. */
const PRICE = 0.3;

/** A household with one stand of one tier. */
export function practiceSite(
  tier: PracticeTier,
  today: Day,
  tables: Tables,
  own: { lamps?: readonly Lamp[]; spares?: Site['spares'] } = {},
): Site {
  let made = 0;
  const ids = () => `practice-${made++}`;
  const template = TEMPLATES.find((t) => t.kind === tier.kind)!;
  const { stand, timer } = standFrom(template, 1, tier.name, ids);
  const { id: tierId, depth, enclosure } = stand.tiers[0]!;
  const lampOf = (id: string) => own.lamps?.find((l) => l.id === id) ?? tables.lamp(id)!;
  const empty: Site = {
    ...BARE_SITE,
    currency: 'EUR',
    price_per_kWh: PRICE,
    timeZone: 'Etc/UTC',
    stands: [{ ...stand, ...BARE_STAND }],
    timers: [timer],
    lamps: own.lamps ?? [],
    spares: own.spares ?? [],
  };
  const steps = [
    withTier(tierId, (t) => ({ ...t, enclosure: { ...enclosure, faces: { ...enclosure.faces, ...tier.faces } }, load: null })),
    ...tier.lamps.flatMap(({ lamp, x, y = depth / 2, face, by = 'ratchet' }, i) => [
      addFitting(tierId, lampOf(lamp), { x, y, face }, `practice-lamp-${i + 1}`),
      changeFittings(tierId, [`practice-lamp-${i + 1}`], () => ({ hanger: hangerOf(by) })),
    ]),
    ...tier.trays.flatMap((y) => {
      const crop = tables.crop(y.crop)!;
      const g = crop.germination!;
      const middle = Math.round((g.days.first + g.days.last) / 2);
      const [batch, tray] = [y.id, `${y.id}-tray`];
      const names = [batch, tray];
      const up = y.age;
      return [
        addTray(tierId, tables.container(y.in)!, { cropId: y.crop, stage: crop.stages[0]!.stage }, { x: y.x, y: y.y ?? depth / 2, turned: y.turned ?? false }, () => names.shift()!), // prettier-ignore
        changeTrays(tierId, [tray], () => ({ label: y.label ?? '' })),
        changeBatch(batch, {
          ...UNDATED,
          sown: today - (up === undefined ? (y.sown ?? 0) : up + middle),
          log: up === undefined ? [] : [{ id: `${batch}-up`, day: today - up, what: 'emerged', height: null, stage: null }],
        }),
      ];
    }),
    setTimes(timer.id, tier.on_min, tier.lit_min),
  ];
  return steps.reduce((site, step) => step(site), empty);
}
