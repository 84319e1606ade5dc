import { BARE_SITE } from '../../site/stand/bare';
import { changeWindow } from '../../site/stand/changeWindows';
import { mulberry } from '../../units/mulberry';
import { ppfdOf, overcastSky, SOLAR_CONSTANT_W_per_m2 } from '../../sky/outdoors/skies';
import { outdoorsAt } from '../../sky/outdoors/outdoorsAt';
import { sillLight } from '../../sky/window/sillLight';
import { passedBy, USUAL_WINDOW, type SillReading, type Window } from '../../site/window/Window';
import { correctionOf, LUX_PER_UMOL_OUTDOORS, unusable, withRaise } from './correctionOf';
import { sillAsBuilt, type BeforeWindow } from './sillAsBuilt';

const DEGREE = Math.PI / 180;
const PLACE = { latitude: 52 * DEGREE, longitude: 0 };
const level = (elevation: number) => [{ azimuth: 0, elevation: elevation * DEGREE }];
/** A street: fronts opposite reach 20° up. */
const STREET: Window = { ...USUAL_WINDOW, id: 'w', name: 'Street', facing: Math.PI, horizon: level(20) };
const AT = (depth: number): BeforeWindow => ({ depth, along: 0, over: 0.1 });

/** What really comes in of a grey sky at a place: another pane, and fronts that reach so much higher than drawn. */
function truly(window: Window, at: BeforeWindow, pane: number, raise: number): number {
  const overcast = overcastSky(0.6, SOLAR_CONSTANT_W_per_m2);
  const moment = { sun: { elevation: 0.6, azimuth: Math.PI, distance_au: 1 }, clear: { global: 0, diffuse: 0, beam: 0 }, overcast };
  return (pane * sillLight(moment, sillAsBuilt(withRaise(window, raise * DEGREE), at)).overcast.up) / ppfdOf(overcast.global);
}
const pairAt = (at: BeforeWindow, ratio: number, id = 'r'): SillReading => ({ id, taken_ms: Date.UTC(2027, 1, 21, 12), sky: 'overcast', ...at, inside: 10_000 * ratio, outside: 10_000, unit: 'lx', passed: passedBy(STREET), horizonSince: false }); // prettier-ignore
/** What is taken to come in once the readings count. */
function taken(window: Window, at: BeforeWindow): number {
  const { factor, raise } = correctionOf(window);
  return truly(window, at, factor, raise / DEGREE);
}

test('readings at several depths tell a dirty pane from a taller house', () => {
  const depths = [0.05, 0.5, 1.2];
  const measured = (pane: number, raise: number): Window => ({
    ...STREET,
    readings: depths.flatMap((d, i) => Array.from({ length: 8 }, (_, k) => pairAt(AT(d), truly(STREET, AT(d), pane, raise), `${i} ${k}`))),
  });
  const dirty = correctionOf(measured(0.75, 0));
  expect(dirty.factor).toBeWithin(0.75, { absolute: 0.04 });
  expect(dirty.raise / DEGREE).toBeWithin(0, { absolute: 1.5 });
  const taller = correctionOf(measured(1, 8));
  expect(taller.factor).toBeWithin(1, { absolute: 0.05 });
  expect(taller.raise / DEGREE).toBeWithin(8, { absolute: 1.5 });
  // At a place where nobody measured, too; a pane alone, put right by its mean, would be off by far more.
  const there = truly(STREET, AT(0.85), 1, 8);
  expect(taken(measured(1, 8), AT(0.85))).toBeWithin(there, { relative: 0.04 });
  const near = truly(STREET, AT(0.05), 1, 8) / truly(STREET, AT(0.05), 1, 0);
  expect(Math.abs(Math.log((near * truly(STREET, AT(0.85), 1, 0)) / there))).toBeGreaterThan(0.08);
});

test('a flat horizon becomes a level edge, and what is drawn goes up and down with its shape', () => {
  expect(withRaise({ ...STREET, horizon: [] }, 5 * DEGREE).horizon).toEqual(level(5));
  expect(truly({ ...STREET, horizon: [] }, AT(0.5), 1, -5)).toBe(truly({ ...STREET, horizon: [] }, AT(0.5), 1, 0));
  const drawn = [
    { azimuth: -0.5, elevation: 0.2 },
    { azimuth: 0.5, elevation: 0.02 },
  ];
  expect(withRaise({ ...STREET, horizon: drawn }, -0.1).horizon.map((p) => p.elevation)).toEqual([expect.closeTo(0.1, 12), 0]);
  expect(withRaise(STREET, 0)).toBe(STREET);
});

test('nine bands in ten hold what comes in, over windows as they may be', () => {
  const random = mulberry(5);
  const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  let [held, of] = [0, 0];
  for (let i = 0; i < 160; i++) {
    const [pane, raise] = [Math.exp((normal() * 0.2) / 1.645), (normal() * 6) / 1.645];
    const depths = [0.1, 0.4, 0.9].slice(0, 1 + (i % 3));
    const readings = depths.map((d) => pairAt(AT(d), truly(STREET, AT(d), pane, raise) * Math.exp((normal() * 0.15) / 1.645), `${d}`));
    const window = { ...STREET, readings };
    const off = Math.log(taken(window, AT(0.3)) / truly(STREET, AT(0.3), pane, raise));
    of++;
    if (Math.abs(off) <= correctionOf(window).uncertainty) held++;
  }
  expect(held / of).toBeWithin(0.9, { absolute: 0.06 });
});

test('a reading alone counts a little: under a blue sky out of the sun more than under a grey one, where it can be computed', () => {
  // In the morning the sun is on the other side of the house.
  const taken_ms = Date.UTC(2027, 5, 21, 5);
  const moment = outdoorsAt(taken_ms, PLACE);
  const at = AT(0.3);
  const light = sillLight(moment, sillAsBuilt(STREET, at));
  expect(light.clear.beam).toBe(0);
  const alone = (sky: 'clear' | 'overcast', times: number): Window => ({
    ...STREET,
    readings: [{ ...pairAt(at, 0), taken_ms, sky, outside: null, inside: light[sky].up * times * LUX_PER_UMOL_OUTDOORS }],
  });
  const come = (window: Window) => {
    const { factor, raise } = correctionOf(window, PLACE);
    return truly(STREET, at, factor, raise / DEGREE) / truly(STREET, at, 1, 0);
  };
  expect(come(alone('clear', 1))).toBeWithin(1, { absolute: 0.03 });
  expect(come(alone('clear', 0.5))).toBeLessThan(come(alone('overcast', 0.5)) - 0.05);
  expect(come(alone('overcast', 0.5))).toBeLessThan(0.97);
  expect(correctionOf(alone('clear', 0.5), PLACE).uncertainty).toBeLessThan(correctionOf(alone('overcast', 0.5), PLACE).uncertainty);
  const night = { ...alone('overcast', 1).readings[0]!, taken_ms: Date.UTC(2027, 5, 21, 0) };
  expect(unusable(STREET, night, PLACE)).toBe('dark');
  // Without a place nothing can be computed of it.
  expect(correctionOf(alone('clear', 0.5)).of).toBe(0);
  expect(unusable(STREET, alone('clear', 0.5).readings[0]!, PLACE)).toBeNull();
});

test('a curtain that was hung since is not taken for a dirty pane, and another horizon makes what was measured before it count for less', () => {
  const at = AT(0.3);
  const open: Window = { ...STREET, readings: Array.from({ length: 6 }, (_, k) => pairAt(at, truly(STREET, at, 0.8, 0), `${k}`)) };
  const before = correctionOf(open);
  const curtained = changeWindow('w', () => ({ curtain: 0.4 }))({ ...BARE_SITE, currency: 'EUR', price_per_kWh: 0.3, windows: [open] })
    .windows[0]!;
  expect(correctionOf(curtained).factor).toBeWithin(before.factor, { relative: 1e-9 });
  expect(curtained.readings).toEqual(open.readings);
  const redrawn = changeWindow('w', () => ({ horizon: [...open.horizon] }))({
    ...BARE_SITE,
    currency: 'EUR',
    price_per_kWh: 0.3,
    windows: [open],
  }).windows[0]!;
  expect(redrawn.readings.every((r) => r.horizonSince)).toBe(true);
  expect(correctionOf(redrawn).uncertainty).toBeGreaterThan(before.uncertainty);
  expect(correctionOf(redrawn).factor).toBeGreaterThan(before.factor);
});
