import { addSillReading, addWindow, setClimate, setPlace, standAtWindow } from '../../core/site/stand/changeWindows';
import type { Site } from '../../core/site/stand/Site';
import { houseOpposite, passedBy, tidyAngle, USUAL_WINDOW, type Window } from '../../core/site/window/Window';
import { readyClimate } from '../../core/sky/outdoors/climates';
import { radiansOf } from '../../core/sky/place/readCoordinate';

const MAP_ROOM: Window = {
  ...USUAL_WINDOW,
  id: 'demo-window-map-room',
  name: 'Map-room window',
  facing: radiansOf(45),
  height: 1.3,
  sill: 0.85,
  panes: 'double',
  inside: { width: 6, depth: 5, height: 3, paleness: 'pale' },
  horizon: [
    { azimuth: radiansOf(-80), elevation: radiansOf(14) },
    { azimuth: radiansOf(-40), elevation: radiansOf(12) },
    ...houseOpposite({ height: 4.5, distance: 14, width: 9, along: -4 }).slice(1, -1),
    { azimuth: radiansOf(3), elevation: radiansOf(6) },
    { azimuth: radiansOf(80), elevation: radiansOf(4) },
  ],
};

const LANDING: Window = {
  ...USUAL_WINDOW,
  id: 'demo-window-landing',
  name: 'Landing window',
  facing: tidyAngle((135 * Math.PI) / 180),
  width: 0.9,
  height: 1.5,
  sill: 0.6,
  panes: 'single',
  inside: { width: 2.4, depth: 4, height: 3.2, paleness: 'middling' },
};

/** The sun goes once round in a day. */
const MINUTES_PER_DEGREE = 4;

/**
 * Where the reading room is, its windows, and what was measured at one of them.
 *
 * @param ahead_min  of the clocks by which the demo is looked at, over the world's: the reading room lies where the sun goes by them
 */
export function withDemoWindows(site: Site, ahead_min = 0): Site {
  const at = (...then: Parameters<typeof Date.UTC>) => Date.UTC(...then) - ahead_min * 60_000;
  return [
    setPlace({ latitude: radiansOf(54), longitude: radiansOf(ahead_min / MINUTES_PER_DEGREE) }),
    setClimate(readyClimate('cloudy-coast')),
    addWindow(MAP_ROOM),
    addWindow(LANDING),
    standAtWindow('demo-sill', { windowId: MAP_ROOM.id, side: 'back', gap: 0.05, along: 0, above: 0 }),
    standAtWindow('demo-landing', { windowId: LANDING.id, side: 'left', gap: 0.35, along: 0, above: 0.1 }),
    addSillReading(MAP_ROOM.id, {
      id: 'demo-sill-reading-1',
      taken_ms: at(2026, 9, 18, 11, 20),
      sky: 'overcast',
      depth: 0.16,
      along: 0,
      over: 0.3,
      inside: 1720,
      outside: 9400,
      unit: 'lx',
      passed: passedBy(MAP_ROOM),
      horizonSince: false,
    }),
    addSillReading(MAP_ROOM.id, {
      id: 'demo-sill-reading-2',
      taken_ms: at(2026, 9, 21, 9, 5),
      sky: 'clear',
      depth: 0.16,
      along: 0,
      over: 0.3,
      inside: 8200,
      outside: 41_000,
      unit: 'lx',
      passed: passedBy(MAP_ROOM),
      horizonSince: false,
    }),
  ].reduce((now, change) => change(now), site);
}
