import { cautionLibrary } from '../caution/cautionLibrary';
import { containerLibrary } from '../container/containerLibrary';
import { cropLibrary } from '../crop/cropLibrary';
import { lampLibrary } from '../lamp/lampLibrary';
import { spectrumOf } from '../../light/spectrum/spectrumLibrary';
import { emittersOf } from '../lamp/emittersOf';
import { EFFICACY_LIMIT } from '../lamp/lampFromBox';
import { lightOf } from '../../light/ppfdAtPoint';

test('the tables are whole', () => {
  expect([cropLibrary.length, lampLibrary.length, containerLibrary.length, cautionLibrary.length]).toEqual([81, 141, 28, 35]);
});

test('every crop asks for bands in order, in hours that a day has', () => {
  for (const crop of cropLibrary) {
    expect(crop.stages.length).toBeGreaterThan(0);
    for (const s of crop.stages) {
      expect(s.dliMin).toBeLessThanOrEqual(s.dliTarget);
      expect(s.dliTarget).toBeLessThanOrEqual(s.dliMax);
      expect(s.hoursMin).toBeLessThanOrEqual(s.hoursMax);
      expect(s.hoursMax).toBeLessThanOrEqual(24);
    }
  }
});

test('no lamp makes more photons than physics allows, and its lumens agree with them', () => {
  for (const lamp of lampLibrary) {
    expect(lamp.ppf / lamp.power).toBeLessThan(EFFICACY_LIMIT);
    expect(lamp.lumens! / spectrumOf(lamp.spectrumId).luxPerUmol).toBeWithin(lamp.ppf, { relative: 0.02 });
  }
});

/** Flux that falls on a large floor below a lamp, by polar sums out to two hundred times the height. */
function landing(lamp: (typeof lampLibrary)[number]): number {
  const lights = emittersOf(lamp, { x: 0, y: 0, face: 0.8, turn: 0.3 }).map(lightOf);
  let sum = 0;
  const rings = 60, spokes = 16; // prettier-ignore
  for (let i = 0; i < rings - 1; i++) {
    const [s0, s1] = [i / rings, (i + 1) / rings];
    const [r0, r1, s] = [s0 / (1 - s0), s1 / (1 - s1), (s0 + s1) / 2];
    const r = s / (1 - s);
    for (let k = 0; k < spokes; k++) {
      const turn = (2 * Math.PI * (k + 0.5)) / spokes;
      for (const light of lights) sum += (light(r * Math.cos(turn), r * Math.sin(turn), 0) * Math.PI * (r1 ** 2 - r0 ** 2)) / spokes;
    }
  }
  return sum;
}

test('every lamp of the table sends the photons that it is said to make: half of them down when bare, all of them otherwise', () => {
  const seen = new Set<string>();
  for (const lamp of lampLibrary) {
    const kind = `${lamp.shape}/${lamp.emitters}/${lamp.beamFwhm}`;
    if (seen.has(kind)) continue;
    seen.add(kind);
    const bare = lamp.shape === 'tube-bare' || lamp.shape === 'bulb-bare';
    expect(landing(lamp) / lamp.ppf).toBeWithin(bare ? 0.5 : 1, { relative: 0.05 });
  }
  expect(seen.size).toBeGreaterThan(15);
});
