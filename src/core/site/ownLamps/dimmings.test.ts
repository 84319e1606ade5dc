import type { Dimmer } from '../../things/lamp/dimming';
import { hangerOf } from '../stand/Hanger';
import type { Fitting } from '../stand/Site';
import { plainOwnLamp } from './changeOwnLamps';
import { dimmingsOf } from './dimmings';
import { asHung } from './hangingOf';

const FREE: Dimmer = { steps: [], points: [] };
const hung = (id: string, dimmer: Dimmer | null, dim = 1): Fitting => ({
  id,
  lampId: 'led-tube-12',
  x: 0.3,
  y: 0.2,
  face: 0.3,
  turn: 0,
  hanger: hangerOf('chain'),
  dim,
  own: asHung({ ...plainOwnLamp(`own ${id}`, 'led-tube-12', id), dimmer }, null),
});
const settings = (...of: Parameters<typeof dimmingsOf>[0]) => dimmingsOf(of).map((d) => d.to);

test('lamps with the same dimmer at the same setting are turned together, others are not', () => {
  expect(settings(hung('a', FREE), hung('b', FREE))).toEqual([1, 0.9, 0.8, 0.7, 0.6, 0.5, 0.4, 0.3, 0.2, 0.1]);
  expect(settings(hung('a', { steps: [0.25, 0.05], points: [] }))).toEqual([1, 0.25]); // below a tenth drivers flicker
  expect(settings(hung('a', FREE), hung('b', FREE, 0.5))).toEqual([]);
  expect(settings(hung('a', FREE), hung('b', { steps: [0.5], points: [] }))).toEqual([]);
  expect(settings(hung('a', FREE), hung('b', null))).toEqual([]);
  expect(settings()).toEqual([]);
});

test('lamps that are dark at their setting are not turned by a share of nothing, and no setting is offered that gives no light', () => {
  const dead = { steps: [0.25, 0.5], points: [{ setting: 0.25, light: 0, draw: 0.1 }] };
  expect(settings(hung('a', dead, 0.25))).toEqual([]);
  expect(settings(hung('a', dead))).toEqual([1, 0.5]);
});

test('the setting of now is among them, whatever it is; light counts from it, the draw from full power', () => {
  expect(settings(hung('a', FREE, 0.55))).toContain(0.55);
  expect(settings(hung('a', FREE, 0.03))).toContain(0.03);
  const measured = dimmingsOf([hung('a', { steps: [0.5], points: [{ setting: 0.5, light: 0.6, draw: 0.55 }] }, 0.5)]);
  expect(measured).toEqual([
    { to: 1, by: 1 / 0.6, draw: 1 },
    { to: 0.5, by: 1, draw: 0.55 },
  ]);
});
