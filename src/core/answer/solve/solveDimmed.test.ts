import fc from 'fast-check';
import { evenly } from '../../../../test/evenly';
import { limitsOfStage } from '../../../../test/limitsOfStage';
import { emittersOf } from '../../things/lamp/emittersOf';
import { cropLibrary } from '../../things/crop/cropLibrary';
import { lampLibrary } from '../../things/lamp/lampLibrary';
import type { Dimming } from '../../site/ownLamps/dimmings';
import { profileOf, type Profile } from './Profile';
import { solve, type SolveTask } from './solve';
import { solveDimmed } from './solveDimmed';

const lamp = lampLibrary.find((l) => l.id === 'led-shop-12-twin-42')!;
const profile: Profile = profileOf({
  emitters: emittersOf(lamp, { x: 0, y: 0, face: 0, turn: 0 }),
  plantAreas: [{ x0: -0.25, x1: 0.25, y0: -0.12, y1: 0.12 }],
  nearest: 0.02,
  farthest: 0.3,
  around: null,
});
const asked = (cropId: string, stage = 0): SolveTask => {
  const crop = cropLibrary.find((c) => c.id === cropId)!;
  const s = crop.stages[stage % crop.stages.length]!;
  return { stage: s, limits: limitsOfStage(s), daylight: null, clearance: 0.03 };
};
const settings = [1, 0.8, 0.6, 0.4, 0.2, 0.1];
const dimmings = (now = 1): Dimming[] => settings.map((to) => ({ to, by: to / now, draw: to }));

test('where something suits as the dimmers are set, they stay', () => {
  const plain = solve(profile, asked('tomato'), { what: 'nothing' });
  expect(plain.distances).not.toBeNull();
  expect(solveDimmed(profile, asked('tomato'), { what: 'nothing' }, dimmings())).toEqual({ ...plain, dimming: null });
});

test('a lamp that is too strong at a distance that is held is dimmed, one that is dimmed too far is turned up', () => {
  const held = { what: 'distance', distance: 0.12 } as const;
  expect(solve(profile, asked('african-violet'), held).distances).toBeNull();
  const down = solveDimmed(profile, asked('african-violet'), held, dimmings());
  expect(down.distances).not.toBeNull();
  expect(down.dimming!.to).toBeLessThan(1);
  const weak = times(0.2);
  const up = solveDimmed(weak, asked('tomato'), held, dimmings(0.2));
  expect(up.dimming!.by).toBeGreaterThan(1);
  expect(up.distances).not.toBeNull();
});

test('for any crop, hours or distance: what it says of a setting is what the solver says of lamps so bright; without dimmers it is the solver', () => {
  fc.assert(
    fc.property(fc.constantFrom(...cropLibrary), fc.nat(9), evenly(0.05, 0.3), fc.boolean(), (crop, at, distance, free) => {
      const a = asked(crop.id, at);
      const fixed = free ? ({ what: 'nothing' } as const) : ({ what: 'distance', distance } as const);
      const plain = solve(profile, a, fixed);
      expect(solveDimmed(profile, a, fixed, [])).toEqual({ ...plain, dimming: null });
      const found = solveDimmed(profile, a, fixed, dimmings());
      if (!found.dimming) {
        // Nothing was gained by turning them.
        if (!plain.distances) for (const by of settings) expect(solve(times(by), a, fixed).distances).toBeNull();
        return;
      }
      const then = solve(times(found.dimming.by), a, fixed);
      expect([found.distances, found.hours, found.limits]).toEqual([then.distances, then.hours, then.limits]);
      expect(plain.distances).toBeNull();
      expect(found.best.shareInBand).toBeGreaterThan(plain.best.shareInBand);
    }),
    { numRuns: 80 },
  );
});

const brighter = (of: Profile, by: number): Profile =>
  of.map(({ distance, weakest, mean, strongest, centre, parts }) => ({
    distance,
    weakest: weakest * by,
    mean: mean * by,
    strongest: strongest * by,
    centre: centre * by,
    parts: parts.map((p) => p * by),
  }));
const times = (by: number): Profile => brighter(profile, by);

test('where no setting suits, dimmers are turned only to bring clearly more of the tray into range', () => {
  // A tray twice as long as its lamp: its ends are short however the dimmers stand.
  const wide = profileOf({
    emitters: emittersOf(lamp, { x: 0, y: 0, face: 0, turn: 0 }),
    plantAreas: [{ x0: -1.2, x1: 1.2, y0: -0.3, y1: 0.3 }],
    nearest: 0.02,
    farthest: 0.3,
    around: null,
  });
  const held = { what: 'distance', distance: 0.15 } as const;
  let turned = 0;
  for (const crop of cropLibrary)
    for (const now of settings) {
      const a = asked(crop.id);
      const plain = solve(wide, a, held);
      const found = solveDimmed(wide, a, held, dimmings(now));
      if (plain.distances || found.distances) continue;
      const best = Math.max(...dimmings(now).map(({ by }) => solve(brighter(wide, by), a, held).best.shareInBand)); // prettier-ignore
      if (found.dimming) {
        turned++;
        expect(found.best.shareInBand).toBeCloseTo(best, 9);
        expect(found.best.shareInBand).toBeGreaterThan(plain.best.shareInBand);
      } else {
        expect(found.best).toEqual(plain.best);
        expect(best).toBeLessThanOrEqual(plain.best.shareInBand + 0.05 + 1e-9);
      }
    }
  expect(turned).toBeGreaterThan(10);
});
