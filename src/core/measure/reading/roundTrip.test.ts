import fc from 'fast-check';
import { lampLibrary } from '../../things/lamp/lampLibrary';
import { meterLibrary } from '../../things/meter/meterLibrary';
import { convert } from './convert';
import { expectedReading } from './expectedReading';
import { lightThere } from './lightThere';
import { PLAIN_READING, type Around, type LitLamp } from '../../site/reading/Reading';

/** What a meter should show, and what is made of what it shows, are each other's way back. */

const lampOf = (id: string) => lampLibrary.find((l) => l.id === id);
const around: Around = {
  width: 1.2,
  depth: 0.5,
  height: 0.5,
  faces: { floor: 'open', ceiling: 'open', left: 'open', right: 'open', front: 'open', back: 'open' },
  covered: 0,
};
const lamp = fc.constantFrom(...lampLibrary.filter((l) => l.ppf > 5));
const meter = fc.constantFrom(...meterLibrary.filter((m) => m.ranges.length > 0));

test('light that a meter shows is the light that is there: any meter, any mixture of lamps, any factor of its own', () => {
  let held = 0;
  fc.assert(
    fc.property(
      lamp,
      lamp,
      meter,
      fc.double({ min: 0.5, max: 2, noNaN: true }),
      fc.double({ min: -0.3, max: 0.3, noNaN: true }),
      (a, b, m, factor, dx) => {
        const lit: LitLamp[] = [a, b].map((l, i) => ({ lampId: l.id, dx: i * 0.2 - 0.1, dy: 0.05 * i, face: 0.45, turn: 0 }));
        const place = { dx, dy: 0, z: 0.1, lit, around };
        const there = lightThere(place, lampOf);
        const shown = expectedReading(m.id, there, factor);
        if (shown.value === null || shown.value < 100 * m.resolution) return;
        held++;
        const read = convert(
          { id: 'r', ...PLAIN_READING, kindId: m.id, ...place, value: shown.value, unit: shown.unit, factor, taken_ms: 0 },
          there,
        );
        expect(read.ppfd).toBeWithin(there.ppfd, { relative: 0.02 });
        expect(read.low).toBeLessThanOrEqual(read.ppfd + 1e-9);
        expect(read.high).toBeGreaterThanOrEqual(read.ppfd - 1e-9);
        // Daylight is what it shows with the lamps off: taken away again, whatever it is.
        const dark = shown.value / 3;
        const withDay = convert({ id: 'r', ...PLAIN_READING, kindId: m.id, ...place, value: shown.value + dark, dark, unit: shown.unit, factor, taken_ms: 0 }, there); // prettier-ignore
        expect(withDay.ppfd).toBeWithin(read.ppfd, { relative: 1e-9 });
        // The plain factor is that of white lamps; photons need none.
        if (shown.unit === 'umol') expect(read.plain).toBeWithin(read.ppfd, { relative: 1e-9 });
        else expect(read.plain * 74).toBeWithin(read.ppfd * read.luxPerUmol, { relative: 1e-9 });
        expect(read.wide).toBe(shown.unit !== 'umol' && read.high - read.low > 0.4 * read.ppfd);
      },
    ),
    { numRuns: 120 },
  );
  expect(held).toBeGreaterThan(60);
});

test('the shares of lamps add up, and each is what it gives alone', () => {
  const lit: LitLamp[] = ['led-bar-12-white-24', 'led-shop-12-twin-42'].map((lampId, i) => ({
    lampId,
    dx: 0,
    dy: 0.2 * i - 0.1,
    face: 0.45,
    turn: 0,
  }));
  const place = { dx: 0.1, dy: 0, z: 0.2, lit, around };
  const both = lightThere(place, lampOf);
  const alone = lit.map((l) => lightThere({ ...place, lit: [l] }, lampOf));
  expect(both.ppfd).toBeWithin(alone[0]!.ppfd + alone[1]!.ppfd, { relative: 1e-9 });
  both.parts.forEach((p, i) => expect(p.ppfd).toBeWithin(alone[i]!.ppfd, { relative: 1e-9 }));
  expect(both.slant).toBeWithin((alone[0]!.slant * alone[0]!.ppfd + alone[1]!.slant * alone[1]!.ppfd) / both.ppfd, { relative: 1e-9 });
  // Asked again with other lamps under the same names, it is not what was remembered.
  const bright = (id: string) => (lampOf(id) ? { ...lampOf(id)!, ppf: 2 * lampOf(id)!.ppf } : undefined);
  expect(lightThere(place, bright).ppfd).toBeWithin(2 * both.ppfd, { relative: 1e-9 });
  expect(lightThere({ ...place, lit: [] }, lampOf)).toEqual({ ppfd: 0, parts: [], slant: 0 });
});

test('between pale sides light comes from all about: it slants more, and there is more of it', () => {
  const lit: LitLamp[] = [{ lampId: 'led-bar-12-white-24', dx: 0, dy: 0, face: 0.45, turn: 0 }];
  const pale = {
    ...around,
    faces: { ...around.faces, left: 'white-card', right: 'white-card', front: 'white-card', back: 'white-card', ceiling: 'white-card' },
  };
  const place = { dx: 0, dy: 0, z: 0.1, lit, around };
  const [open, sided] = [lightThere(place, lampOf), lightThere({ ...place, around: pale }, lampOf)];
  expect(sided.ppfd).toBeGreaterThan(1.1 * open.ppfd);
  expect(sided.slant).toBeGreaterThan(open.slant);
});
