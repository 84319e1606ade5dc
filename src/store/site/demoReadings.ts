import type { Fit } from '../../core/site/reading/Fit';
import type { OwnMeter } from '../../core/site/reading/OwnMeter';
import { litOf } from '../../core/site/reading/Reading';
import { takeReading, type SensorPlace } from '../../core/measure/reading/takeReading';
import { keepFit, keepMeter, keepReadings } from '../../core/site/stand/changeReadings';
import type { Site, Tier } from '../../core/site/stand/Site';

type Taken = SensorPlace & { readonly value: number; readonly leftOut?: true };

/** The reading room's own meter, matched one noon in spring. */
const METER: OwnMeter = {
  id: 'demo-meter',
  name: 'Yellow lux meter',
  kindId: 'lux-basic',
  factor: 1.06,
  uncertainty: 0.09,
  matchedBy: 'known-meter',
  checked_ms: Date.UTC(2026, 1, 20, 12, 15),
};

/** The white tier, a year ago. */
const LAST_YEAR: readonly Taken[] = [
  { x: 0.36, y: 0.225, z: 0.107, value: 8790 },
  { x: 0.281, y: 0.125, z: 0.107, value: 7650 },
  { x: 0.465, y: 0.325, z: 0.107, value: 8290 },
  { x: 0.84, y: 0.225, z: 0.116, value: 9150 },
  { x: 0.6, y: 0.15, z: 0.19, value: 14210 },
];

/** And this spring; the sixth was read on the wrong range, and is left out. */
const THIS_YEAR: readonly Taken[] = [
  { x: 0.36, y: 0.225, z: 0.107, value: 8130 },
  { x: 0.281, y: 0.125, z: 0.107, value: 6870 },
  { x: 0.281, y: 0.325, z: 0.107, value: 6900 },
  { x: 0.465, y: 0.325, z: 0.107, value: 7330 },
  { x: 0.84, y: 0.225, z: 0.116, value: 8380 },
  { x: 0.814, y: 0.325, z: 0.116, value: 707, leftOut: true },
  { x: 0.892, y: 0.125, z: 0.116, value: 7470 },
  { x: 0.6, y: 0.15, z: 0.19, value: 12270 },
  { x: 0.6, y: 0.3, z: 0.19, value: 12640 },
];

/** Below the front lamp of the highest tier, from near to far: its law of distance. */
const HEIGHTS: readonly Taken[] = [
  { x: 0.6, y: 0.14, z: 0.29, value: 19150 },
  { x: 0.6, y: 0.14, z: 0.26, value: 17970 },
  { x: 0.6, y: 0.14, z: 0.22, value: 15770 },
  { x: 0.6, y: 0.14, z: 0.17, value: 13420 },
  { x: 0.6, y: 0.14, z: 0.11, value: 10930 },
  { x: 0.6, y: 0.14, z: 0.04, value: 9440 },
];

/** Readings of the demo's rack: a year apart between the white sides, and at several heights on the highest tier. */
export function withDemoReadings(site: Site): Site {
  const rack = site.stands.find((s) => s.id === 'demo-rack')!;
  const [top, , , white] = rack.tiers;
  const last = Date.UTC(2025, 2, 8, 18, 40);
  const now = Date.UTC(2026, 2, 15, 18, 20);
  const steps = [
    keepMeter(METER),
    keepReadings(white!.id, [...taken(white!, LAST_YEAR, last, 'white-25'), ...taken(white!, THIS_YEAR, now, 'white-26')]),
    keepFit(white!.id, fitOf(white!, LAST_YEAR, last + 1_200_000, 'white-25', { scale: 0.93, error: 0.027, scatter: 0.061 }), []),
    keepFit(white!.id, fitOf(white!, THIS_YEAR, now + 1_200_000, 'white-26', { scale: 0.84, error: 0.019, scatter: 0.053 }), []),
    keepReadings(top!.id, taken(top!, HEIGHTS, now + 3_600_000, 'heights')),
  ];
  return steps.reduce((grown, step) => step(grown), site);
}

const taken = (tier: Tier, list: readonly Taken[], from_ms: number, name: string) =>
  list.map(({ x, y, z, value, leftOut }, i) => ({
    ...takeReading(
      tier,
      { x, y, z },
      { kindId: METER.kindId, meterId: METER.id, factor: METER.factor },
      { value, unit: 'lx' },
      { id: `demo-${name}-${i}`, now_ms: from_ms + 40_000 * i },
    ),
    leftOut: leftOut ?? false,
  }));

/** What the application's own fit said of them that evening. */
const fitOf = (
  tier: Tier,
  list: readonly Taken[],
  made_ms: number,
  name: string,
  { scale, error, scatter }: { scale: number; error: number; scatter: number },
): Fit => ({
  id: `demo-fit-${name}`,
  made_ms,
  readingIds: list.flatMap((r, i) => (r.leftOut ? [] : [`demo-${name}-${i}`])),
  leftOut: list.filter((r) => r.leftOut).length,
  lamps: [{ lampId: tier.fittings[0]!.lampId, scale, error, beamFwhm: null }],
  sides: null,
  scatter,
  meter: 0.075,
  lit: litOf(tier),
  used_h: null,
});
