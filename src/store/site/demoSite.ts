import type { Reading } from '../../core/site/reading/Reading';
import type { Site } from '../../core/site/stand/Site';
import { withDemoSafety } from './demoSafety';
import { withDemoLamps } from './demoLamps';
import { withDemoBench } from './demoBench';
import { withDemoReadings } from './demoReadings';
import type { Day } from '../../core/units/day';
import { withDemoClinic } from './demoClinic';
import { withDemoTrials } from './demoTrials';
import { withDemoPlan } from './demoPlan';
import { withDemoSeason } from './demoSeason';
import { withDemoWindows } from './demoWindows';
import { emptySite } from './newSite';
import { takeReading } from '../../core/measure/reading/takeReading';
import { keepReading } from '../../core/site/stand/changeReadings';
import { addSetUp, type Recipe } from './setUpVerbs';

/** The seed library of a small harbour town's reading room: six of its corners, with what is right and what is not. */
const recipes: readonly (Recipe & { id: string })[] = [
  {
    id: 'demo-celery',
    name: 'Map room · celery',
    cropId: 'celery',
    stage: 'seedling',
    containerId: 'cell-72',
    block: { across: 2, deep: 1, turned: false },
    lampId: 'led-bar-12-white-24',
    row: { count: 2, gap: 0.1 },
    distance: 0.11,
    on_min: 5 * 60 + 30,
    lit_min: 16 * 60,
  },
  {
    id: 'demo-leek',
    name: 'Map room · leek',
    cropId: 'leek',
    stage: 'seedling',
    containerId: 'cell-128',
    block: { across: 2, deep: 1, turned: false },
    lampId: 'led-shop-12-twin-50',
    row: { count: 2, gap: 0.04 },
    distance: 0.095,
    on_min: 6 * 60,
    lit_min: 13 * 60 + 45,
  },
  {
    id: 'demo-physalis',
    name: 'Map room · physalis',
    cropId: 'physalis',
    stage: 'seedling',
    containerId: 'flat-half',
    block: { across: 1, deep: 1, turned: false },
    lampId: 'led-a-14-clamp',
    row: { count: 1, gap: 0.1 },
    distance: 0.125,
    on_min: 6 * 60,
    lit_min: 16 * 60,
  },
  {
    id: 'demo-niche',
    name: 'Cupboard niche · peace lily',
    cropId: 'peace-lily',
    stage: 'growing-on',
    containerId: 'pot-15',
    block: { across: 3, deep: 1, turned: false },
    enclosure: {
      width: 0.7,
      depth: 0.3,
      height: 0.85,
      faces: { floor: 'dark-wood', ceiling: 'pale-wood', left: 'pale-wood', right: 'pale-wood', front: 'open', back: 'pale-wood' },
    },
    lampId: 'led-bar-06-white-10',
    distance: 0.145,
    on_min: 8 * 60,
    lit_min: 12 * 60 + 15,
  },
  {
    id: 'demo-hoya',
    name: 'Landing shelf · hoyas',
    cropId: 'hoya',
    stage: 'growing-on',
    containerId: 'pot-13',
    block: { across: 3, deep: 1, turned: false },
    lampId: 'led-grow-15',
    row: { count: 2, gap: 0.08 },
    distance: 0.34,
    on_min: 8 * 60,
    lit_min: 13 * 60,
  },
  {
    id: 'demo-parsley',
    name: 'Map room · parsley',
    cropId: 'parsley',
    stage: 'seedling',
    containerId: 'flat-half',
    block: { across: 1, deep: 1, turned: false },
    enclosure: {
      width: 0.5,
      depth: 0.45,
      height: 0.5,
      faces: { floor: 'white-card', ceiling: 'wire', left: 'white-card', right: 'white-card', front: 'open', back: 'white-card' },
    },
    lampId: 'led-board-65',
    distance: 0.25,
    on_min: 7 * 60,
    lit_min: 14 * 60,
  },
];

/** Taken one evening over the celery, lamp only; the second was read on the wrong range and is not counted. */
const celeryReadings: readonly (Pick<Reading, 'value' | 'dx' | 'dy'> & { leftOut?: true })[] = [
  { value: 11200, dx: 0, dy: 0 },
  { value: 845, dx: -0.5, dy: 0, leftOut: true },
  { value: 8390, dx: 0.5, dy: 0 },
  { value: 5760, dx: 0.5, dy: -0.12 },
  { value: 11050, dx: 0.12, dy: 0.01 },
];

/** The corners of the demo that are quick checks, with the readings that were taken. */
export function demoCorners(language: string): Site {
  const site = recipes.reduce((grown, { id, ...recipe }) => addSetUp(recipe, id)(grown), emptySite(language));
  const celery = site.stands.find((s) => s.id === 'demo-celery')!.tiers[0]!;
  const face = celery.fittings[0]!.face;
  return celeryReadings.reduce((grown, { value, dx, dy, leftOut }, i) => {
    const at = { x: celery.width / 2 + dx, y: celery.depth / 2 + dy, z: face - 0.14 };
    const taken = { id: `demo-reading-${i}`, now_ms: Date.UTC(2026, 2, 14, 19, 10 + 2 * i) };
    const reading = takeReading(celery, at, { kindId: 'lux-basic', meterId: null, factor: 1 }, { value, unit: 'lx' }, taken);
    return keepReading(celery.id, { ...reading, leftOut: leftOut ?? false })(grown);
  }, site);
}

/**
 * The whole demo: its stands on the bench, and its corners; with the dates of its season where the day is known.
 *
 * @param ahead_min  of the clocks by which it is looked at, over the world's
 */
export function demoSite(language: string, today: Day | null = null, ahead_min = 0): Site {
  const site = withDemoWindows(withDemoReadings(withDemoBench(demoCorners(language))), ahead_min);
  return today === null
    ? site
    : [withDemoSeason, withDemoPlan, withDemoLamps, withDemoClinic, withDemoTrials, withDemoSafety].reduce(
        (now, tell) => tell(now, today),
        site,
      );
}
