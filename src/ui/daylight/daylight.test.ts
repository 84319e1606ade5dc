import { USUAL_WINDOW } from '@/core/site/window/Window';
import { sunComesIn } from '@/core/sky/window/Aperture';
import { sillAsBuilt } from '@/core/answer/daylight/sillAsBuilt';
import { correctionWords, monthRuns, turnEvery } from './daylightWords';
import { joined } from '../parts/joined';
import { besideFacing, directionThrough, onPane, sunPatch } from './paneFrame';

const RAD = Math.PI / 180;
const window = { ...USUAL_WINDOW, id: 'w', name: 'w', facing: Math.PI, reveal: 0 };
const at = { depth: 0.4, along: 0.1, over: 0.2 };

test('a direction and its point of the pane lead back to each other', () => {
  for (const azimuth of [-60, -10, 0, 35])
    for (const elevation of [0, 12, 50]) {
      const p = onPane(at, azimuth * RAD, elevation * RAD)!;
      const back = directionThrough(at, p);
      expect(back.azimuth).toBeCloseTo(azimuth * RAD, 9);
      expect(back.elevation).toBeCloseTo(elevation * RAD, 9);
    }
  // By hand: 45° to the right, 0.4 m behind the glass.
  expect(onPane(at, Math.PI / 4, 0)).toEqual({ across: expect.closeTo(0.5, 9), up: expect.closeTo(0.2, 9) });
  expect(onPane(at, Math.PI / 2, 0.1)).toBeNull();
});

test('a place lies in the patch of sun exactly when its ray comes in', () => {
  for (let i = 0; i < 400; i++) {
    const [azimuth, elevation] = [(100 + ((i * 37) % 160)) * RAD, (3 + ((i * 13) % 60)) * RAD];
    const sun = { azimuth, elevation, distance_au: 1 };
    const place = { depth: 0.05 + ((i * 7) % 20) / 10, along: ((i * 11) % 21) / 10 - 1, over: 0.15 };
    const inside = isInside(sunPatch(window, sun, place.over).map((p) => [p.across, p.depth] as const), [place.along, place.depth]); // prettier-ignore
    expect(inside).toBe(sunComesIn(sillAsBuilt(window, place).aperture, besideFacing(sun, window.facing), elevation));
  }
});

/** Whether a point is in a convex polygon: on the same side of all its edges. */
function isInside(corners: readonly (readonly [number, number])[], [x, y]: readonly [number, number]): boolean {
  if (corners.length === 0) return false;
  const sides = corners.map(([ax, ay], i) => {
    const [bx, by] = corners[(i + 1) % corners.length]!;
    return (bx - ax) * (y - ay) - (by - ay) * (x - ax);
  });
  return sides.every((s) => s >= 0) || sides.every((s) => s <= 0);
}

test('months in words', () => {
  const of = (...on: number[]) => monthRuns(Array.from({ length: 12 }, (_, i) => on.includes(i)));
  expect(of(2, 3, 4, 8)).toEqual(['March to May', 'September']);
  expect(of(10, 11, 0)).toEqual(['November to January']);
  expect(of()).toEqual([]);
  expect(of(...Array.from({ length: 12 }, (_, i) => i))).toEqual(['all year']);
  expect(joined(['March to May', 'September'])).toBe('March to May and September');
  expect([1.5, 3, 6, 30].map((l) => turnEvery(l) === null)).toEqual([true, false, false, false]);
});

test('what readings say of a window is told with pane and horizon apart', () => {
  const said = (degrees: number, of = 3) => correctionWords({ factor: 0.82, raise: degrees * RAD, uncertainty: 0.12, of });
  expect(said(0)).toBe('The panes let through 82 % of what was computed. What comes in is known to about ±12 %, by 3 readings.');
  expect(said(4, 1)).toContain('what stands outside reaches 4° higher than drawn. What comes in is known to about ±12 %, by one reading.');
  expect(said(-2)).toContain('reaches 2° less high than drawn');
  expect(correctionWords({ factor: 1, raise: 0, uncertainty: 0.25, of: 0 })).toContain('As computed');
});
